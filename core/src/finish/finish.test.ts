import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import { COATS, type CoatId } from '../facts';
import { dryingFactor, dryingTimes } from './drying';
import { recipeFor } from './recipe';
import type { RecipeLayer } from './recipeInput';
import { paintNeeded, pullWindow } from './stencil';

const demo = demoWorkshop();
const climate = fc.record({
  celsius: fc.integer({ min: 5, max: 35 }),
  humidity: fc.double({ min: 0.1, max: 0.95, noNaN: true }),
});

describe('drying', () => {
  it('at 18 °C and 61 % takes 1.45 times as long for water, 1.15 for the rest', () => {
    expect(dryingFactor('water', demo.shop.climate).factor).toBeCloseTo(1.45, 2);
    expect(dryingFactor('solvent', demo.shop.climate).factor).toBeCloseTo(1.15, 2);
    expect(dryingFactor('water', { celsius: 20, humidity: 0.5 }).factor).toBeCloseTo(1, 9);
  });
  it('a damper or colder room never dries faster, and factors stay within their bounds', () => {
    fc.assert(
      fc.property(climate, fc.constantFrom(...(Object.keys(COATS) as CoatId[])), (room, coat) => {
        const times = dryingTimes(coat, room);
        const damper = dryingTimes(coat, { ...room, humidity: Math.min(0.99, room.humidity + 0.04) });
        const colder = dryingTimes(coat, { ...room, celsius: room.celsius - 2 });
        expect(damper.touchDry).toBeGreaterThanOrEqual(times.touchDry - 1e-9);
        expect(colder.recoat).toBeGreaterThanOrEqual(times.recoat - 1e-9);
        expect(times.touchDry).toBeGreaterThanOrEqual(COATS[coat].touchDry * 0.5 - 1e-9);
        expect(times.touchDry).toBeLessThanOrEqual(COATS[coat].touchDry * 4 + 1e-9);
      }),
    );
  });
  it('the three schools pull the stencil one after another, and their windows scale', () => {
    const times = dryingTimes('acrylic', { celsius: 20, humidity: 0.5 });
    expect(pullWindow('halfDry', times)).toEqual({ least: 15, most: 30 });
    expect(pullWindow('nearlyDry', times)).toEqual({ least: 30, most: 60 });
    expect(pullWindow('dry', times)).toEqual({ least: 60 });
  });
});

describe('recipes', () => {
  const [glasses, board, flask, plates] = demo.jobs;
  const layer = (job: (typeof demo.jobs)[number], i = 0): RecipeLayer => ({
    mark: job.marks[i]!,
    film: { id: job.marks[i]!.film, name: 'film' },
    width: 60,
    height: 30,
    area: 600,
    foot: 40,
    cutMinutes: 5,
    taken: 100,
    weedMinutes: 2,
    weedText: '',
    tapeText: '',
    tapePieces: 1,
    perPiece: 1,
  });
  const recipe = (job: (typeof demo.jobs)[number]) =>
    recipeFor({
      job,
      layers: job.marks.map((_, i) => layer(job, i)),
      climate: demo.shop.climate,
      paints: demo.shop.paints,
      lengths: 'mm',
    });
  it.each([
    ['decals on glass', glasses!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['vapour', 'blade', 'food', 'cutter']],
    ['decals on powder coat', flask!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['vapour', 'blade', 'cutter']],
    ['decals on acrylic', plates!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['vapour', 'blade']],
    [
      'a stencil and a decal on stained, sealed wood',
      board!,
      ['coat1', 'seal', 'cut', 'weed', 'tape', 'clean', 'place', 'edge', 'paint', 'pull', 'pack'],
      ['paint', 'blade'],
    ],
  ])('%s have their steps, each after those that it waits for, with cautions', (_name, job, keys, cautions) => {
    const { steps, unknownGround, care } = recipe(job);
    expect(unknownGround).toBe(false);
    expect([...new Set(steps.map((s) => s.id.split('/')[1]!.split(':')[0]))]).toEqual(expect.arrayContaining(keys));
    const seen = new Set<string>();
    for (const step of steps) {
      for (const lag of step.after) {
        expect(seen).toContain(lag.step);
        expect(lag.most ?? Infinity).toBeGreaterThanOrEqual(lag.least);
      }
      expect(step.hands).toBeGreaterThan(0);
      seen.add(step.id);
    }
    expect(steps.flatMap((s) => s.cautions)).toEqual(expect.arrayContaining(cautions));
    expect(care.length).toBeGreaterThan(0);
  });
  it('the stencil comes off between half touch-dry and touch-dry in this room', () => {
    const pull = recipe(board!).steps.find((s) => s.id.includes('pull'))!;
    expect(pull.after[0]!.least).toBeCloseTo(0.5 * 30 * 1.453, 0);
    expect(pull.after[0]!.most).toBeCloseTo(30 * 1.453, 0);
  });
  it('first wash comes 83 hours after the glasses are done', () => {
    expect(recipe(glasses!).care.find((c) => c.then === 'first wash')!.minutes / 60).toBeCloseTo(82.7, 1);
  });
  it('decals on raw wood take the general recipe, and that is said', () => {
    expect(recipe({ ...glasses!, piece: { ...glasses!.piece, ground: 'rawWood' } }).unknownGround).toBe(true);
  });
  it('paint is at least 2 ml and grows with coats', () => {
    expect(paintNeeded(100, 2, 1)).toBe(2);
    expect(paintNeeded(100_000, 2, 1)).toBeCloseTo((0.1 * 2 * 1000 * 1.4) / 6, 6);
  });
});
