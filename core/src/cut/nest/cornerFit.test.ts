import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { cutUp } from '../../../test/cutUp';
import { demoShop } from '../../../test/sampleJobs';
import { boxRegion, type Point, type Region } from '../../geometry';
import { checkNesting } from './checkNesting';
import { CornerFit, cornersFit } from './cornerFit';
import { nestedLength } from './nestedLength';
import type { NestPart, NestOptions } from './nester';
import { NestingSearch } from './nestingSearch';
import { freeEnd } from './sheet';
import { skyline } from './skyline';
import { law } from '../../../test/depth';

const [film] = demoShop().films as [ReturnType<typeof demoShop>['films'][number]];

/** A plate of a few straight sides. */
const plate: fc.Arbitrary<NestPart> = fc.record({
  region: fc
    .tuple(fc.integer({ min: 3, max: 7 }), fc.integer({ min: 10, max: 45 }), fc.integer({ min: 30, max: 100 }), fc.nat(360))
    .map(([n, r, flat, at]): Region => [
      {
        outer: Array.from({ length: n }, (_, i): Point => {
          const angle = (2 * Math.PI * i) / n + (at * Math.PI) / 180;
          return [r * Math.cos(angle) + 5, (r * flat * Math.sin(angle)) / 100 - 9];
        }),
        holes: [],
      },
    ]),
  copies: fc.integer({ min: 1, max: 4 }),
  fixed: fc.boolean(),
});

const fitted = (parts: readonly NestPart[], width: number, options: NestOptions) => {
  const fit = new CornerFit(parts, freeEnd(film, width), options);
  // the first turn, and a little of the second
  for (let step = 0; step < 40 && fit.step(); step++);
  return fit.nested();
};

describe('corner into corner', () => {
  it('puts a rectangle together again that was cut into parts by straight lines', () => {
    for (const [count, seed] of [
      [6, 3],
      [10, 5],
      [16, 9],
    ] as const) {
      const parts = cutUp(200, 160, count, seed);
      const nested = fitted(parts, 200, { gap: 0, holdDown: 0 });
      expect(nestedLength({ nested: nested! }, parts)).toBeLessThan(160.5);
    }
  });
  it('lays every copy once, a few hundredths of a millimetre near to each other at most', () => {
    fc.assert(
      fc.property(
        fc.array(plate, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 120, max: 300 }),
        fc.constantFrom(0, 2, 3),
        (parts, width, gap) => {
          const options = { gap, holdDown: 10 };
          const nested = fitted(parts, width, options);
          if (!nested) return;
          const nearly = { gap: gap - 0.2, holdDown: 9.8 };
          expect(checkNesting({ nested, tooLarge: [] }, parts, [freeEnd(film, width)], nearly)).toEqual([]);
          expect(nested).toEqual(fitted(parts, width, options));
          for (const { part, place } of nested) if (parts[part]!.fixed) expect(place.slice(0, 4)).toEqual([1, 0, 0, 1]);
        },
      ),
      law(10, 120),
    );
  });
  it('takes plates of few sides in one piece only', () => {
    const box = boxRegion({ minX: 0, minY: 0, maxX: 40, maxY: 30 });
    const far = boxRegion({ minX: 60, minY: 0, maxX: 90, maxY: 30 });
    const hole: Region = [{ outer: box[0]!.outer, holes: [boxRegion({ minX: 5, minY: 5, maxX: 9, maxY: 9 })[0]!.outer.toReversed()] }];
    const round: Region = [
      { outer: Array.from({ length: 40 }, (_, i): Point => [Math.cos(i / 6.4) * 9, Math.sin(i / 6.4) * 9]), holes: [] },
    ];
    expect([box, [...box, ...far], hole, round].map((region) => cornersFit([{ region, copies: 2 }]))).toEqual([true, false, false, false]);
    expect(new CornerFit([], freeEnd(film, 200), { gap: 2, holdDown: 0 }).step()).toBe(false);
  });
});

describe('a search from corners', () => {
  const looked = (parts: readonly NestPart[], options: NestOptions, rounds: number, seed = 2) => {
    const sheet = freeEnd(film, 200);
    const start = skyline(parts, [sheet], options, { rounds: 1, seed });
    const search = new NestingSearch(parts, sheet, options, start, seed, 'corners');
    for (let round = 0; round < rounds; round++) search.round();
    return { start, sheet, found: { nested: search.nested(), tooLarge: [] }, gathered: { nested: search.gathered(), tooLarge: [] } };
  };
  it('is never longer than what it began with, and free of faults', () => {
    fc.assert(
      fc.property(fc.array(plate, { minLength: 1, maxLength: 4 }), fc.constantFrom(2, 3), (parts, gap) => {
        const options = { gap, holdDown: 10 };
        const { start, sheet, found, gathered } = looked(parts, options, 60);
        expect(nestedLength(found, parts)).toBeLessThanOrEqual(nestedLength(start, parts) + 0.01);
        for (const one of [found, gathered]) expect(checkNesting(one, parts, [sheet], options)).toEqual([]);
      }),
      law(5, 45),
    );
  });
  it('needs no more than the rectangle that its parts were cut from, and hardly half of what their boxes need', () => {
    const parts = cutUp(200, 160, 10, 5);
    const options = { gap: 0, holdDown: 0 };
    const { start, sheet, found } = looked(parts, options, 80);
    expect(checkNesting(found, parts, [sheet], options)).toEqual([]);
    expect(nestedLength(found, parts)).toBeLessThan(162);
    expect(nestedLength(start, parts)).toBeGreaterThan(220);
  });
});
