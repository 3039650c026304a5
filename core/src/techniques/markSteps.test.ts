import { describe, expect, it } from '@jest/globals';
import { demoWorkshop, textMark } from '../../test/sampleJobs';
import { COATS, HANDS_ON, PLACINGS, WAITS } from '../facts';
import { dryingFactor, dryingTimes, minutesFor, paintNeeded, pullWindow, type RecipeLayer } from '../finish';
import type { Climate, Job, Mark } from '../job';
import { recipeFor } from './recipeFor';

const { jobs, shop } = demoWorkshop();
const glass = jobs[0]!;
const climate: Climate = { celsius: 18, humidity: 0.61 };
const layer = (mark: Mark, film = mark.film, more: Partial<RecipeLayer> = {}): RecipeLayer => ({
  ...{ mark, film: { id: film, name: film }, width: 60, height: 30, area: 600, foot: 40, cutMinutes: 5, taken: 100, filmArea: 30_500 },
  ...{
    from: { kind: 'roll' },
    weedMinutes: 2,
    weeding: { kept: 'shapes', letters: true, waste: 5, small: 1, onCarrier: false },
    perPiece: 1,
    parts: 1,
    shapes: { count: 4, least: 40 },
  },
  ...more,
});
const mark = (id: string, more: Partial<Mark> = {}): Mark => ({ ...textMark('x', more), id, name: `the ${id}` });
const flat: Job['piece'] = {
  ...glass.piece,
  name: 'sign',
  ground: 'rawWood',
  shape: { kind: 'flat', width: 300, height: 200 },
  use: { drink: false, food: false, dryShort: false },
};
const recipe = (layers: RecipeLayer[], more: Partial<Job> = {}) => {
  const marks = [...new Set(layers.map((one) => one.mark))];
  const job = { ...glass, id: 'j', count: 1, piece: flat, marks, ...more };
  const { steps, care } = recipeFor({ job, layers, climate, paints: shop.paints });
  return { steps, care, at: (key: string) => steps.find(({ id }) => id === `j/${key}`)! };
};
const size = (60 * 30) / 1e6;

describe('placing marks', () => {
  it('takes a dry fit and the hinge on what is flat, after its tape and the cleaning; packing waits for it', () => {
    const m = mark('m');
    const { at, steps, care } = recipe([layer(m)]);
    expect(at('place:m')).toMatchObject({
      kind: 'place',
      hands: minutesFor(PLACINGS.hinge.rate, 1, size) + HANDS_ON.dryFit,
      after: [
        { step: 'j/tape:m:white-gloss', least: 0, why: 'taped' },
        { step: 'j/clean', least: 0, why: 'dustedOff' },
      ],
      cautions: [],
      mayPause: true,
      about: {
        method: 'hinge',
        perPiece: 1,
        films: ['white-gloss'],
        slats: false,
        technique: 'decal',
        mark: 'the m',
        pieces: { count: 1, name: 'sign' },
      },
    });
    expect(at('place:m').about).not.toHaveProperty('stop');
    expect(at('place:m').about).not.toHaveProperty('mask');
    expect(at('pack')).toMatchObject({
      kind: 'pack',
      after: [{ step: 'j/place:m', least: 0, why: 'placed' }],
      cautions: ['smallParts'],
      hands: minutesFor(HANDS_ON.pack, 1, 0),
    });
    expect(steps.map(({ id }) => id)).toEqual([
      'j/cut:white-gloss',
      'j/weed:m:white-gloss',
      'j/tape:m:white-gloss',
      'j/clean',
      'j/place:m',
      'j/pack',
    ]);
    expect(care).toEqual([]);
  });
  it('is by the middle on what is round, with a stop that makes a set equal, within the hour after a wipe', () => {
    const m = mark('m');
    const { at, care } = recipe([layer(m)], {
      count: 12,
      piece: { ...glass.piece, ground: 'glass', use: { drink: true, food: false, dryShort: false } },
    });
    expect(at('place:m')).toMatchObject({
      hands: minutesFor(PLACINGS.centreOut.rate, 12, size) + HANDS_ON.dryFit,
      mayPause: false,
      cautions: ['food'],
      about: { method: 'centreOut', stop: 40, pieces: { count: 12 } },
    });
    expect(at('place:m').after[1]).toEqual({
      step: 'j/clean',
      least: COATS.alcohol.touchDry * dryingFactor('solvent', climate).factor,
      most: WAITS.placeAfterWipe,
      dries: 'solvent',
      why: 'alcohol',
    });
    expect(care).toEqual([
      { after: 'j/place:m', minutes: 72 * 60 * dryingFactor('adhesive', climate, true).factor, then: 'firstWash', packed: true },
    ]);
    const one = recipe([layer(m)], { count: 1, piece: glass.piece });
    expect(one.at('place:m').about).not.toHaveProperty('stop');
  });
  it('counts every copy and every film, and parts film over slats', () => {
    const m = mark('m');
    const slats = { run: 'level' as const, slat: 40, gap: 5, first: 0 };
    const { at } = recipe([layer(m, 'petrol', { perPiece: 3, area: 100 }), layer(m, 'white-gloss', { perPiece: 3 })], {
      piece: { ...flat, slats },
      count: 2,
    });
    expect(at('place:m')).toMatchObject({
      hands: minutesFor(PLACINGS.hinge.rate, 6, size) * 2 + HANDS_ON.dryFit,
      about: { perPiece: 3, films: ['petrol', 'white-gloss'], slats: true },
    });
    expect(at('place:m').after.map(({ step }) => step)).toEqual(['j/tape:m:petrol', 'j/tape:m:white-gloss', 'j/clean']);
    expect(at('weed:m:petrol').about).toMatchObject({ layer: { layered: true, film: 'petrol', count: 2 } });
  });
  it('goes on with the next mark when the one before is placed, soon where the piece was wiped', () => {
    const [a, b] = [mark('a'), mark('b')];
    const dry = recipe([layer(a), layer(b)]);
    expect(dry.at('place:b').after).toEqual([
      { step: 'j/tape:b:white-gloss', least: 0, why: 'taped' },
      { step: 'j/place:a', least: 0, why: 'placed' },
    ]);
    const wiped = recipe([layer(a), layer(b)], { piece: { ...glass.piece, ground: 'glass' } });
    expect(wiped.at('place:b').after[1]).toEqual({ step: 'j/place:a', least: 0, most: WAITS.placeAfterWipe, why: 'placed' });
    expect(dry.at('pack').after.map(({ step }) => step)).toEqual(['j/place:a', 'j/place:b']);
  });
  it('a job without a mark is cleaned and packed', () => {
    const { steps, at } = recipe([]);
    expect(steps.map(({ id }) => id)).toEqual(['j/clean', 'j/pack']);
    expect(at('pack').after).toEqual([{ step: 'j/clean', least: 0, why: 'dustedOff' }]);
  });
});

describe('a painted stencil', () => {
  const paint = shop.paints.find(({ coat }) => coat === 'acrylic')!;
  const m = mark('m', { technique: 'stencil', film: 'stencil', paint: paint.id, coats: 2, pullAt: 'nearlyDry' });
  const { at, care, steps } = recipe([layer(m, 'stencil', { area: 4000 }), layer(mark('d'))], { count: 2 });
  const [own, clear] = [dryingTimes(paint.coat, climate), dryingTimes('sealer', climate)];
  const dab = minutesFor(HANDS_ON.dab, 2, 4000 / 1e6);
  it('is masked around, sealed at its edges, dabbed coat by coat and pulled in its window', () => {
    expect(at('place:m')).toMatchObject({
      about: { technique: 'stencil', mask: 25 },
      hands: minutesFor(PLACINGS.hinge.rate, 2, size) + HANDS_ON.dryFit + minutesFor(HANDS_ON.mask, 2, size),
      cautions: [],
    });
    expect(at('edge:m')).toMatchObject({
      about: { kind: 'edge', mark: 'the m' },
      hands: dab,
      after: [{ step: 'j/place:m', least: 0, most: WAITS.edgeAfterStencil, why: 'stencilLaid' }],
      cautions: ['paint'],
    });
    const millilitres = Math.ceil(paintNeeded(4000, 2, 2));
    expect(at('paint:m:1')).toMatchObject({
      about: { kind: 'dab', nth: [1, 2], paint: paint.name, millilitres },
      hands: dab,
      after: [{ step: 'j/edge:m', least: clear.touchDry, most: WAITS.paintAfterEdge, why: 'edgeSealer' }],
      cautions: ['paint'],
    });
    expect(at('paint:m:2')).toMatchObject({
      about: { kind: 'dab', nth: [2, 2] },
      after: [{ step: 'j/paint:m:1', least: own.recoat, most: WAITS.nextCoat + own.recoat, why: 'recoat', coat: 'acrylic' }],
    });
    expect(at('paint:m:3')).toBeUndefined();
    expect(at('pull:m')).toMatchObject({
      about: { kind: 'pull', pullAt: 'nearlyDry', window: pullWindow('nearlyDry', own) },
      hands: minutesFor(HANDS_ON.pull, 2, size),
      after: [{ step: 'j/paint:m:2', least: own.touchDry, most: own.recoat, why: 'nearlyDry' }],
      cautions: ['blade'],
    });
  });
  it('goes before the decals, which wait until its paint is touch dry, and is packed when it is firm', () => {
    expect(steps.findIndex(({ id }) => id === 'j/pull:m')).toBeLessThan(steps.findIndex(({ id }) => id === 'j/place:d'));
    expect(at('touch:m').after).toEqual([{ step: 'j/pull:m', least: own.touchDry, why: 'touchDry', dries: 'water' }]);
    expect(at('place:d').after[1]).toEqual({ step: 'j/touch:m', least: 0, why: 'touchDry' });
    expect(at('pack').after).toEqual([
      { step: 'j/touch:m', least: own.beforeFilm - own.touchDry, why: 'firm', dries: 'water' },
      { step: 'j/place:d', least: 0, why: 'placed' },
    ]);
    expect(care).toEqual([{ after: 'j/touch:m', minutes: own.fullCure, coat: 'acrylic', then: 'water', packed: true }]);
  });
  it('has one coat where one is wanted, and is planned as acrylic until a paint is chosen', () => {
    const none = mark('n', { technique: 'stencil', film: 'stencil', coats: 1, pullAt: 'dry' });
    const one = recipe([layer(none, 'stencil')]);
    expect(one.at('paint:n:1').about).toMatchObject({ nth: [1, 1], millilitres: 2 });
    expect(one.at('paint:n:1').about).not.toHaveProperty('paint');
    expect(one.at('paint:n:2')).toBeUndefined();
    expect(one.at('pull:n').after).toEqual([{ step: 'j/paint:n:1', least: own.recoat, why: 'dry', dries: 'water', closesDry: true }]);
    expect(one.care[0]!.coat).toBe('acrylic');
  });
});
