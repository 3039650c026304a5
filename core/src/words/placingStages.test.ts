import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { PLACINGS, type PlacingId } from '../facts';
import { placingMeasure, placingStages, type PlacingInput } from './placingStages';

const say = (mm: number) => `${mm.toFixed(1)} mm`;
const base: PlacingInput = {
  step: { method: 'hinge', films: ['White'], slats: false },
  piece: { shape: { kind: 'flat', width: 300, height: 200 } },
  seenThrough: false,
  box: { minX: -40, maxX: 40, minY: 30, maxY: 60 },
  height: 200,
};
const texts = (input: PlacingInput) => placingStages(input, say).map(({ text }) => text);

describe('the stages of placing a mark', () => {
  it('are those of its way, in their order, whatever is added; the first that lays it on has its measure', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(PLACINGS) as PlacingId[])),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: 0, max: 150 }),
        (method, seenThrough, rough, slats, snipped, minY) => {
          const input: PlacingInput = {
            ...base,
            seenThrough,
            box: { ...base.box, minY, maxY: minY + 30 },
            step: {
              ...{ method, films: ['White', 'Petrol'], slats },
              ...(rough ? { rough: true } : {}),
              ...(snipped ? { snips: { count: 6, length: 14 } } : {}),
            },
          };
          const stages = placingStages(input, say);
          const usual = PLACINGS[method].stages.map(({ text }) => text);
          expect(stages.map(({ text }) => usual.findIndex((one) => text.startsWith(one))).filter((at) => at >= 0)).toEqual(
            usual.map((_, i) => i),
          );
          expect(stages).toHaveLength(usual.length + [seenThrough, slats, snipped].filter(Boolean).length + 1);
          const [first] = stages.filter(({ measure }) => measure);
          expect(first).toBe(stages[seenThrough ? 1 : 0]);
          // measured from the edge that is nearer
          expect(first!.measure!.mm).toBe(Math.min(minY, 200 - minY - 30));
          expect(first!.text).toContain(say(first!.measure!.mm));
          for (const { text } of stages) expect(text).toMatch(/^[A-Z].*\.$/);
        },
      ),
    );
  });
  it('of a round piece stand on their foot, and show it from above once the tape touches it', () => {
    const round = {
      ...base,
      piece: { shape: { kind: 'cylinder', diameter: 80, height: 200 } as const },
      step: { ...base.step, method: 'centreOut' as const },
    };
    expect(texts(round)[0]).toMatch(/above the foot: a block of that height/);
    expect(placingStages(round, say).map(({ view }) => view)).toEqual(['wall', 'above', 'above', 'above']);
    expect(placingMeasure({ box: { ...base.box, minY: 150, maxY: 180 }, height: 200 })).toEqual({ from: 'upper', mm: 20 });
  });
});
