import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { COAT_SURFACES, COATS, GROUNDS, RECIPES, type CoatId, type GroundId, type RecipeRow } from '../facts';
import type { Piece } from '../job';
import { cleanSteps, coatSteps, rowFor } from './prepare';
import { draftFor } from './recipeDraft';

const { jobs, shop } = demoWorkshop();
const job = jobs[1]!;
const piece = ({ ...more }: Partial<Piece>): Piece => ({
  ...job.piece,
  ground: 'sealedWood',
  coat: undefined,
  sealedFirst: false,
  ...more,
});
const draft = (more: Partial<Piece>) =>
  draftFor({ job: { ...job, piece: piece(more) }, layers: [], climate: shop.climate, paints: shop.paints });

describe('recipes as rows', () => {
  it('a label comes off before anything else; what got wet dries until the next day', () => {
    for (const more of [{}, { coat: 'acrylic' as const }, { sealedFirst: true }] satisfies Partial<Piece>[]) {
      const one = draft({ ground: 'rawWood', labelled: 'paper', ...more });
      const { clean } = cleanSteps(one, [coatSteps(one) ?? []].flat());
      expect(one.steps[0]!.about).toMatchObject({ kind: 'label', of: 'paper' });
      const [second] = one.steps.slice(1);
      expect(second!.after[0]).toMatchObject({ step: one.steps[0]!.id, why: 'labelDry' });
      expect(second!.after[0]!.least).toBeGreaterThanOrEqual(12 * 60);
      expect(clean.step).toBe(one.steps.at(-1)!.id);
    }
    const plastic = draft({ ground: 'glass', labelled: 'plastic' });
    cleanSteps(plastic, [coatSteps(plastic) ?? []].flat());
    expect(plastic.steps.map(({ kind }) => kind)).toEqual(['label', 'clean']);
    expect(plastic.steps[1]!.after[0]!.least).toBe(0);
  });

  it('every ground has its recipe: nothing wet on what drinks, no alcohol on what it harms', () => {
    for (const ground of Object.keys(GROUNDS) as GroundId[]) {
      const one = draft({ ground });
      const { wiped, clean } = cleanSteps(one, [coatSteps(one) ?? []].flat());
      expect(one.steps).toHaveLength(1);
      expect(clean.step).toBe(one.steps[0]!.id);
      expect(clean.most !== undefined).toBe(wiped);
      expect(clean.why).toBe(!wiped ? 'dustedOff' : ['acrylic', 'polystyrene'].includes(ground) ? 'washed' : 'alcohol');
      const { about } = one.steps[0]!;
      const cleaning = about.kind === 'clean' ? about.cleaning : undefined;
      const { porous, material, wear } = GROUNDS[ground];
      const wet = cleaning === 'soap' || cleaning === 'wipe' || cleaning === 'wipeGently';
      expect([ground, wet]).toEqual([ground, !porous && wear === 'hard' && ['glass', 'ceramic', 'metal', 'plastic'].includes(material)]);
      if (material === 'cloth' || material === 'mat') expect(['lint', 'dustPaper']).toContain(cleaning);
      if (material === 'paper') expect(cleaning).toBe('dustPaper');
      expect(['acrylic', 'polystyrene'].includes(ground) ? cleaning : 'soap').toBe('soap');
    }
  });
  it('degreasing and sanding come before the coat, by what is bare then; over it only a dry brush', () => {
    for (const ground of Object.keys(GROUNDS) as GroundId[]) {
      for (const piece of [{ coat: 'acrylic' as const }, { sealedFirst: true }]) {
        const one = draft({ ground, ...piece });
        cleanSteps(one, [coatSteps(one) ?? []].flat());
        const kinds = one.steps.map(({ about }) => (about.kind === 'clean' ? about.cleaning : about.kind));
        const first = kinds.findIndex((kind) => kind === 'coat' || kind === 'seal');
        expect(kinds.at(-1)).toBe('dust');
        expect(kinds.slice(first).some((kind) => kind === 'wipe' || kind === 'sand' || kind === 'soap')).toBe(false);
        const { material } = GROUNDS[ground];
        expect(kinds.includes('sand')).toBe(['metal', 'plastic', 'wood'].includes(material));
        expect(kinds.slice(0, first).some((kind) => kind === 'wipe' || kind === 'soap')).toBe(
          ['glass', 'metal', 'plastic'].includes(material) || ground === 'glazedCeramic',
        );
      }
    }
  });
  it('spray enamel takes its second coat within the hour, and film after it has hardened', () => {
    const one = draft({ ground: 'bareMetal', coat: 'sprayEnamel' });
    const film = coatSteps(one)!;
    const second = one.steps.find(({ id }) => id.endsWith('coat1'))!;
    expect(second.after[0]).toMatchObject({ why: 'recoatSoon', least: 10, most: 60 });
    expect(film.least).toBeGreaterThan(40 * 60);
  });
  it('every coat goes on before the sealer and the cleaning, each after what dries', () => {
    for (const coat of Object.keys(COAT_SURFACES).filter((id) => id !== 'sealer') as CoatId[]) {
      for (const sealedFirst of [false, true]) {
        const one = draft({ coat, sealedFirst });
        const ground = coatSteps(one)!;
        cleanSteps(one, [ground]);
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
    expect(rowFor('clean', piece({ ground: 'acrylic' }), rows)!.id).toBe('soap');
    expect(rowFor('seal', piece({ ground: 'glass', sealedFirst: true }), rows)!.id).toBe('seal');
    expect(rowFor('seal', piece({ ground: 'glass' }), rows)).toBeUndefined();
    const one = draft({ ground: 'glass' });
    const { clean } = cleanSteps(one, [], rows);
    expect(one.steps.map(({ id }) => id)).toEqual([`${job.id}/wash`, `${job.id}/clean`]);
    expect(one.steps[1]!.after).toEqual([{ step: `${job.id}/wash`, least: 0, why: 'bare' }]);
    expect(clean.step).toBe(`${job.id}/clean`);
  });
  it('a stain is wiped once, paint goes on twice', () => {
    const kinds = (coat: CoatId) => {
      const one = draft({ coat });
      coatSteps(one);
      return one.steps.map(({ kind }) => kind);
    };
    expect(kinds('oilStain')).toEqual(['sand', 'stain']);
    expect(kinds('chalkPaint')).toEqual(['sand', 'coat', 'coat']);
  });
});
