import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { COATS, GROUNDS, RECIPES, type CoatId, type GroundId, type RecipeRow } from '../facts';
import type { Piece } from '../job';
import { cleanSteps, coatSteps, rowFor } from './prepare';
import { draftFor } from './recipeDraft';

const { jobs, shop } = demoWorkshop();
const job = jobs[1]!;
const piece = (more: Partial<Piece>): Piece => ({ ...job.piece, coat: undefined, sealedFirst: false, ...more });
const draft = (more: Partial<Piece>) =>
  draftFor({ job: { ...job, piece: piece(more) }, layers: [], climate: shop.climate, paints: shop.paints });

describe('recipes as rows', () => {
  it('every ground is cleaned by just one row; where none is written for it, that is said', () => {
    for (const ground of Object.keys(GROUNDS) as GroundId[]) {
      const one = draft({ ground });
      const { known, wiped, clean } = cleanSteps(one, coatSteps(one));
      expect(one.steps).toHaveLength(1);
      expect(clean.step).toBe(one.steps[0]!.id);
      expect(known).toBe(RECIPES.some((row) => row.part === 'clean' && row.when.ground?.includes(ground)));
      expect(wiped).toBe(clean.why === 'alcohol');
      expect(clean.most !== undefined).toBe(wiped);
    }
  });
  it('every coat goes on before the sealer and the cleaning, each after what dries', () => {
    for (const coat of Object.keys(COATS) as CoatId[]) {
      for (const sealedFirst of [false, true]) {
        const one = draft({ coat, sealedFirst });
        const ground = coatSteps(one)!;
        cleanSteps(one, ground);
        const known = new Set<string>();
        for (const { id, after } of one.steps) {
          for (const lag of after) expect(known).toContain(lag.step);
          known.add(id);
        }
        expect(ground).toMatchObject({ why: 'beforeFilm', coat: sealedFirst ? 'sealer' : coat });
        expect(one.care).toHaveLength(1);
        expect(one.steps.filter((step) => step.cautions.includes('vapour') && step.kind !== 'clean').length > 0).toBe(
          COATS[coat].base === 'solvent',
        );
      }
    }
  });
  it('rows of the workshop come first, of the same part and for the pieces that they are for', () => {
    const own: RecipeRow = {
      id: 'own',
      part: 'clean',
      when: { ground: ['glass'] },
      steps: [
        { key: 'wash', kind: 'clean', rate: 'dustOff', cleaning: 'dust' },
        { key: 'clean', kind: 'clean', rate: 'wipe', cleaning: 'wipe', puts: 'alcohol', within: 'placeAfterWipe' },
      ],
    };
    const rows = [own, ...RECIPES];
    expect(rowFor('clean', piece({ ground: 'glass' }), rows)).toBe(own);
    expect(rowFor('clean', piece({ ground: 'acrylic' }), rows)!.id).toBe('wipe-peeled');
    expect(rowFor('seal', piece({ ground: 'glass', sealedFirst: true }), rows)!.id).toBe('seal');
    expect(rowFor('seal', piece({ ground: 'glass' }), rows)).toBeUndefined();
    const one = draft({ ground: 'glass' });
    const { clean, known } = cleanSteps(one, undefined, rows);
    expect(one.steps.map(({ id }) => id)).toEqual([`${job.id}/wash`, `${job.id}/clean`]);
    expect(one.steps[1]!.after).toEqual([{ step: `${job.id}/wash`, least: 0, why: 'dustedOff' }]);
    expect([clean.step, known]).toEqual([`${job.id}/clean`, true]);
  });
  it('a stain is wiped once, paint goes on twice', () => {
    const kinds = (coat: CoatId) => {
      const one = draft({ coat });
      coatSteps(one);
      return one.steps.map(({ kind }) => kind);
    };
    expect(kinds('oilStain')).toEqual(['stain']);
    expect(kinds('chalkPaint')).toEqual(['coat', 'coat']);
  });
});
