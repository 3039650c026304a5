import { beforeAll, describe, expect, it } from '@jest/globals';
import { demoWorkshop, textMark } from '../../test/sampleJobs';
import {
  COAT_SURFACES,
  FILM_KINDS,
  filmSuits,
  GROUNDS,
  SEALERS,
  STATES,
  STEP_KINDS,
  TECHNIQUES,
  type CautionId,
  type CoatId,
  type GroundId,
  type SealerId,
  type StepKind,
  type TechniqueId,
} from '../facts';
import { pieceReadings, pressOf, sealerReadings, type RecipeLayer, type WorkStep } from '../finish';
import { isCoated } from '../blanks';
import type { Job, Mark, Piece } from '../job';
import { stepText, stepTitle } from '../words';
import { recipeFor } from './recipeFor';
import { techniqueReadings } from './techniqueReadings';

const keys = <K extends string>(table: Readonly<Record<K, unknown>>): K[] => Object.keys(table) as K[];
const { jobs, shop } = demoWorkshop();
const [base] = jobs;

/** A layer of a mark, in film of the technique's usual kind. */
function layerOf(mark: Mark): RecipeLayer {
  const film = shop.films.find(({ id }) => id === mark.film)!;
  return {
    ...{ mark, film, width: 80, height: 40, area: 1200, perPiece: 1, shapes: { count: 4, least: 60 }, foot: 30, cutMinutes: 4, taken: 90 },
    ...{ filmArea: 30_000, from: { kind: 'roll' as const }, weedMinutes: 2, parts: 1 },
    weeding: { kept: 'shapes', letters: true, waste: 5, small: 0, onCarrier: false },
    ...(pressOf(film) ? { press: pressOf(film)! } : {}),
  };
}

const markOf = (technique: TechniqueId): Mark =>
  textMark('TERN', { technique, paint: 'cream', film: shop.films.find(({ kind }) => filmSuits(technique, kind))!.id });

interface Case {
  readonly job: Job;
  readonly steps: readonly WorkStep[];
  readonly stops: readonly { readonly id: string; readonly out: boolean }[];
}

/** Every ground with every coat, state, technique, sealer and use: thousands of pieces. */
function* everyCase(): Generator<Case> {
  const coats = [undefined, ...Object.keys(COAT_SURFACES)].filter((coat) => coat !== 'sealer') as (CoatId | undefined)[];
  const states: Piece['state'][] = [undefined, ...STATES.map((state) => [state]), [...STATES]];
  for (const ground of keys(GROUNDS))
    for (const coat of coats)
      for (const [i, state] of states.entries())
        for (const technique of keys(TECHNIQUES)) {
          const sealers = [undefined, ...keys(SEALERS)];
          const food = i % 2 === 1;
          const piece: Piece = {
            ...base!.piece,
            ...{ ground, contact: 'satin', shape: { kind: 'flat', width: 300, height: 200 }, sealedFirst: i === 2 },
            ...(coat ? { coat } : {}),
            ...(state ? { state } : {}),
            ...(i === 3 ? { labelled: 'paper' as const, primed: true, coats: 3 } : {}),
            ...(i === 1 ? { printGoes: technique.length % 2 === 0 ? ('covered' as const) : ('turned' as const) } : {}),
            ...(i === 4 ? { painted: { coat: 'wallPaint' as const, at: base!.createdAt }, leftOut: ['sand' as const] } : {}),
            ...{ use: { drink: false, food, dryShort: false }, sealedAfter: sealers[(i + technique.length) % sealers.length] as SealerId },
          };
          if (piece.sealedAfter === undefined) delete piece.sealedAfter;
          const mark: Mark = { ...markOf(technique), ...(i === 4 ? { overEdge: true } : {}) };
          const job: Job = { ...base!, id: 'j', count: 2, piece, marks: [mark] };
          const layers = [layerOf(mark)];
          const { steps } = recipeFor({ job, layers, climate: shop.climate, paints: shop.paints, presses: shop.presses });
          const readings = [...techniqueReadings(job, layers, shop), ...sealerReadings(job), ...pieceReadings(job, shop)];
          yield {
            job,
            steps,
            stops: readings
              .filter(({ verdict }) => verdict === 'stop')
              .map(({ id, remedies, advice }) => ({ id, out: remedies.length > 0 || (advice ?? '') !== '' })),
          };
        }
}

describe('every ground, coat, state, technique, sealer and use', () => {
  const cases: Case[] = [];
  beforeAll(() => {
    cases.push(...everyCase());
  });
  it('are thousands', () => expect(cases.length).toBeGreaterThan(5000));
  it('have a complete recipe: cleaned, made, packed, each step after those that it waits for, with no wait that cannot be met', () => {
    for (const { steps } of cases) {
      const known = new Set<string>();
      for (const { id, after, hands } of steps) {
        if (known.has(id)) throw new Error(`${id} is there twice`);
        for (const { step, least, most } of after) {
          if (!known.has(step) || least < 0 || (most ?? Infinity) < least) throw new Error(`${id} waits for ${step}: ${least} to ${most}`);
        }
        if (!(hands > 0)) throw new Error(`${id} takes no time`);
        known.add(id);
      }
      const kinds = steps.map(({ kind }) => kind);
      if (kinds.at(-1) !== 'pack' || !kinds.includes('clean') || !kinds.includes('cut')) throw new Error(kinds.join(' '));
    }
  });
  it('or a stop, which always has a way out', () => {
    for (const { job, stops } of cases)
      for (const { id, out } of stops) if (!out) throw new Error(`${job.piece.ground}: ${id} leads nowhere`);
    expect(cases.filter(({ stops }) => stops.length > 0).length).toBeGreaterThan(100);
  });
  it('every step that can hurt carries its caution', () => {
    const needs: Partial<Record<StepKind, readonly CautionId[]>> = {
      ...{ cut: ['cutter', 'blade'], write: ['cutter'], weed: ['blade', 'smallParts'], sand: ['dust'], scrape: ['blade', 'vapour'] },
      ...{ fill: ['vapour'], etch: ['etching'], rinse: ['etching', 'blade'], prePress: ['heat'], press: ['heat'], pressBack: ['heat'] },
      ...{
        dab: ['paint'],
        cover: ['paint'],
        edge: ['paint'],
        coat: ['paint'],
        stain: ['paint'],
        seal: ['paint'],
        sealOver: ['paint', 'vapour'],
      },
      ...{ trim: ['blade'] },
      ...{ pull: ['blade'], pullLetters: ['blade'], pack: ['smallParts'] },
    };
    const seen = new Set<StepKind>();
    for (const { steps } of cases)
      for (const step of steps) {
        seen.add(step.kind);
        for (const caution of needs[step.kind] ?? [])
          if (!step.cautions.includes(caution)) throw new Error(`${stepTitle(step)} lacks ${caution}`);
      }
    for (const kind of Object.keys(needs)) expect([...seen]).toContain(kind);
    // what none of them needs is a step without any danger
    const free = keys(STEP_KINDS).filter((kind) => needs[kind] === undefined && seen.has(kind));
    expect(free.sort()).toEqual(['clean', 'label', 'place', 'tape', 'touchUp']);
  });
  it('says each step in whole sentences', () => {
    const said = new Set<string>();
    for (const { steps } of cases)
      for (const step of steps) {
        const text = stepText(step, 'mm');
        if (said.has(text)) continue;
        said.add(text);
        expect(text).toMatch(/^[A-Z0-9].*\.$/s);
        expect(text).not.toMatch(/undefined|NaN|\[object/);
      }
  });
  it('an etched mark is stopped on what does not etch, and a pressed one on what does not stand the press', () => {
    for (const { job, stops } of cases) {
      const { ground, coat } = job.piece;
      const [mark] = job.marks;
      const ids = stops.map(({ id }) => id.split(':')[0]);
      const bare = !isCoated(job.piece);
      const agree = (is: boolean, wanted: boolean) => {
        if (is !== wanted) throw new Error(`${ground}, ${coat}: ${ids.join(' ')}`);
      };
      if (TECHNIQUES[mark!.technique].stays === 'etching') agree(ids.includes('bite'), !(GROUNDS[ground].etches && bare));
      if (TECHNIQUES[mark!.technique].filmBy === 'heat') {
        const stands = GROUNDS[ground].stands?.typical ?? 0;
        const hot = pressOf(shop.films.find(({ id }) => id === mark!.film)!)!.celsius;
        agree(ids.includes('scorch'), !bare || hot > stands);
      }
    }
  });
});

describe('film', () => {
  it.each(keys(TECHNIQUES))('of the usual kind of a %s suits it, and a press is known for what is pressed', (technique) => {
    const { usualFilm, filmBy } = TECHNIQUES[technique];
    expect(filmSuits(technique, usualFilm)).toBe(true);
    expect(FILM_KINDS[usualFilm].press !== undefined).toBe(filmBy === 'heat');
  });
  it('that is pressed is never laid on what melts: nylon and card have no heat that they stand', () => {
    for (const ground of ['nylon', 'card', 'polypropylene', 'glass'] satisfies GroundId[]) expect(GROUNDS[ground].stands).toBeUndefined();
  });
});
