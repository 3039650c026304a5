import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { COAT_SURFACES, COATS, GROUNDS, RECIPES, type CoatId, type GroundId, type RecipeRow } from '../facts';
import { applyPatch, type Piece } from '../job';
import { dryingTimes } from './drying';
import { leavableOf, pieceReadings } from './pieceReadings';
import { cleanSteps, coatSteps, coatsOf, rowFor } from './prepare';
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
const getsAny = ({ coat, sealedFirst }: Partial<Piece>): boolean => coat !== undefined || sealedFirst === true;
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
      if (material === 'cloth' || material === 'mat') expect(['lint', 'dustPaper', 'brush']).toContain(cleaning);
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
  it('an old coat dries before anything comes on it, is keyed before another, and is never wiped wet', () => {
    const at = Date.UTC(2026, 11, 1, 9);
    for (const coat of Object.keys(COAT_SURFACES) as CoatId[])
      for (const more of [{}, { coat: 'acrylic' as const }, { sealedFirst: true }] satisfies Partial<Piece>[]) {
        const fresh = draft({ ground: 'glass', painted: { coat, at }, ...more });
        cleanSteps(fresh, [coatSteps(fresh) ?? []].flat());
        const times = dryingTimes(coat, shop.climate);
        const last = fresh.steps.at(-1)!;
        expect(last.about).toMatchObject({ kind: 'clean', cleaning: 'dust' });
        expect(last.opens).toEqual({ at: at + times.beforeFilm * 60_000, why: 'beforeFilm', coat });
        for (const { opens, id } of fresh.steps.slice(0, -1))
          expect([id, opens?.at]).toEqual([id, fresh.steps[0]!.id === id ? at + times.recoat * 60_000 : undefined]);
        expect(fresh.steps.some(({ kind }) => kind === 'sand')).toBe(Object.keys(more).length > 0);
        const old = draft({ ground: 'glass', painted: { coat }, ...more });
        cleanSteps(old, [coatSteps(old) ?? []].flat());
        expect(old.steps.map(({ kind }) => kind)).toEqual(fresh.steps.map(({ kind }) => kind));
        expect(old.steps.every(({ opens }) => opens === undefined)).toBe(true);
      }
  });
  it('a thirsty ground is sealed before its coat, and the coat comes in as many coats as its maker wants', () => {
    for (const coat of Object.keys(COAT_SURFACES).filter((id) => id !== 'sealer') as CoatId[])
      for (const coats of [1, 2, 3, 5]) {
        const one = draft({ ground: 'rawWood', coat, coats, primed: true });
        coatSteps(one);
        expect(one.steps[1]!.about).toMatchObject({ kind: 'seal', first: true });
        const put = one.steps.slice(2);
        expect(put).toHaveLength(coats);
        expect(coatsOf(one.input.job.piece)).toBe(coats);
        expect(new Set(put.map(({ id }) => id)).size).toBe(coats);
        for (const [i, { after, about }] of put.entries()) {
          expect(after.map(({ step }) => step)).toEqual([one.steps[i + 1]!.id]);
          expect('nth' in about && about.nth ? about.nth : [1, 1]).toEqual([i + 1, coats]);
        }
      }
    // said of no number it is what is usual, with the ids that the log knows
    const usual = draft({ ground: 'rawWood', coat: 'acrylic' });
    const said = draft({ ground: 'rawWood', coat: 'acrylic', coats: 2 });
    coatSteps(usual);
    coatSteps(said);
    expect(said.steps).toEqual(usual.steps);
  });
  it('what is left out is not done, and what comes next waits for what came before', () => {
    for (const ground of Object.keys(GROUNDS) as GroundId[]) {
      const all = draft({ ground, coat: 'acrylic' });
      coatSteps(all);
      const leftOut = leavableOf(all.input.job.piece);
      const one = draft({ ground, coat: 'acrylic', leftOut: [...leftOut] });
      coatSteps(one);
      expect(one.steps).toHaveLength(all.steps.length - leftOut.length);
      expect(one.steps[0]).toMatchObject({ kind: 'coat', after: [] });
      const [reading] = pieceReadings(one.input.job, shop);
      expect(reading?.verdict).toBe(leftOut.length > 0 ? 'watch' : undefined);
    }
  });
  it("steps of the maker's own come where they belong: what follows waits for them", () => {
    for (const more of [{ coat: 'acrylic' as const }, { sealedFirst: true }, {}] satisfies Partial<Piece>[]) {
      const one = draft({ ground: 'bareMetal', ...more });
      const own = { id: 'p', name: 'Prime it', minutes: 4, wait: 240, when: 'beforeCoat' as const };
      const whole = draftFor({ ...one.input, job: { ...one.input.job, steps: [own] } });
      cleanSteps(whole, [coatSteps(whole) ?? []].flat());
      const at = whole.steps.findIndex(({ kind }) => kind === 'own');
      const next = whole.steps[at + 1]!;
      expect(next.after).toContainEqual({ step: whole.steps[at]!.id, least: 240, why: 'own' });
      expect(next.kind).toBe(more.coat ? 'coat' : more.sealedFirst ? 'seal' : 'clean');
      if (getsAny(more)) expect(whole.steps[at - 1]!.kind).toBe('clean');
    }
  });
  it.each([
    ['rawWood', {}, 'fine', 'comes off'],
    ['card', {}, 'watch', 'stays'],
    ['card', { coat: 'acrylic' }, 'fine', 'covered'],
    ['rawWood', { printGoes: 'covered' }, 'watch', 'shows through'],
    ['rawWood', { printGoes: 'covered', sealedFirst: true }, 'watch', 'shows through'],
    ['rawWood', { printGoes: 'covered', coat: 'chalkPaint' }, 'fine', 'covered'],
    ['rawWood', { printGoes: 'turned' }, 'fine', 'on the back'],
    ['glass', { printGoes: 'turned' }, 'watch', 'shines through'],
  ] as const)('an old print on %s, %j: %s, %s', (ground, more, verdict, value) => {
    const one = draft({ ground, state: ['printed'], ...more });
    const [reading] = pieceReadings(one.input.job, shop);
    expect(reading).toMatchObject({ verdict, value });
    expect(verdict === 'fine' || reading!.remedies.length > 0 || reading!.advice).toBeTruthy();
    // each way out of it leads to what is fine
    for (const { patch } of reading!.remedies)
      expect(pieceReadings(applyPatch(one.input.job, patch).document, shop)[0]!.verdict).toBe('fine');
    coatSteps(one);
    expect(one.steps.some(({ about }) => about.kind === 'scrape' || (about.kind === 'sand' && about.of === 'print'))).toBe(
      value === 'comes off',
    );
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
