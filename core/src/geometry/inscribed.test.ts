import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxRegion } from './box';
import { difference, intersection } from './boolean';
import { regionArea } from './area';
import { largestInscribed } from './inscribed';
import type { Point, Region } from './point';
import { law } from '../../test/depth';

const disc = (x: number, y: number, r: number, n = 96): Region => [
  {
    outer: Array.from({ length: n }, (_, i): Point => [x + r * Math.cos((2 * Math.PI * i) / n), y + r * Math.sin((2 * Math.PI * i) / n)]),
    holes: [],
  },
];

describe('the largest circle within a region', () => {
  it('is half as wide as a rectangle is narrow, and as large as a disc', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200, noNaN: true }), fc.double({ min: 1, max: 200, noNaN: true }), (w, h) => {
        const found = largestInscribed(boxRegion({ minX: -3, minY: 5, maxX: w - 3, maxY: h + 5 }))!;
        expect(Math.abs(found.radius - Math.min(w, h) / 2)).toBeLessThan(0.06);
        expect(Math.abs(largestInscribed(disc(9, -4, w / 2))!.radius - w / 2)).toBeLessThan(0.06 + w * 0.001);
      }),
      law(20, 200),
    );
  });
  it('counts the width of a ring, not its size, and the stoutest of several parts', () => {
    const ring = difference(disc(0, 0, 50), disc(0, 0, 38));
    expect(largestInscribed(ring)!.radius).toBeCloseTo(6, 0);
    expect(largestInscribed([...ring, ...disc(200, 0, 9)])!.radius).toBeCloseTo(9, 0);
    expect(largestInscribed([])).toBeUndefined();
  });
  it('lies within the region', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 9 }), fc.double({ min: 0.2, max: 0.95, noNaN: true }), (points, waist) => {
        const star: Region = [
          {
            outer: Array.from({ length: 2 * points }, (_, i): Point => {
              const r = i % 2 === 0 ? 40 : 40 * waist;
              return [r * Math.cos((Math.PI * i) / points), r * Math.sin((Math.PI * i) / points)];
            }),
            holes: [],
          },
        ];
        const { at, radius } = largestInscribed(star)!;
        const circle = disc(at[0], at[1], radius * 0.999);
        expect(regionArea(intersection(circle, star))).toBeCloseTo(regionArea(circle), 1);
      }),
      law(15, 150),
    );
  });
});
