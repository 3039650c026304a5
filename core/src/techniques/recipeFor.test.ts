import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import type { RecipeLayer } from '../finish';
import { isWashed } from '../blanks';
import { recipeFor } from './recipeFor';

const demo = demoWorkshop();

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
    filmArea: 30_500,
    from: { kind: 'roll' },
    weedMinutes: 2,
    weeding: { kept: 'shapes', letters: true, waste: 5, small: 1, onCarrier: false },
    perPiece: 1,
    parts: 1,
    shapes: { count: 4, least: 40 },
  });
  const recipe = (job: (typeof demo.jobs)[number]) =>
    recipeFor({
      job,
      layers: job.marks.map((_, i) => layer(job, i)),
      climate: demo.shop.climate,
      paints: demo.shop.paints,
    });
  it.each([
    ['decals on glass', glasses!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['vapour', 'blade', 'food', 'cutter']],
    ['decals on powder coat', flask!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['vapour', 'blade', 'cutter']],
    ['decals on acrylic', plates!, ['cut', 'weed', 'tape', 'clean', 'place', 'pack'], ['cutter', 'blade']],
    [
      'a stencil and a decal on stained, sealed wood',
      board!,
      ['coat1', 'seal', 'cut', 'weed', 'tape', 'clean', 'place', 'edge', 'paint', 'pull', 'pack'],
      ['paint', 'blade'],
    ],
  ])('%s have their steps, each after those that it waits for, with cautions', (_name, job, keys, cautions) => {
    const { steps, care } = recipe(job);
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
    // boards and plates are not washed: nothing is promised of it
    expect(care.some((c) => c.then === 'firstWash')).toBe(isWashed(job.piece));
  });
  it('the stencil comes off between half touch-dry and touch-dry in this room', () => {
    const pull = recipe(board!).steps.find((s) => s.id.includes('pull'))!;
    expect(pull.after[0]!.least).toBeCloseTo(0.5 * 30 * 1.453, 0);
    expect(pull.after[0]!.most).toBeCloseTo(30 * 1.453, 0);
  });
  it('first wash comes 83 hours after the glasses are done', () => {
    expect(recipe(glasses!).care.find((c) => c.then === 'firstWash')!.minutes / 60).toBeCloseTo(82.7, 1);
  });
});
