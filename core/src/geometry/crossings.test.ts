import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { regionArea, signedArea } from './area';
import { difference, regionOf, union } from './boolean';
import { edgesMeet } from './crossings';
import { convexHull } from './hull';
import { faultsOfRegion } from './isValidRegion';
import { pointInRing } from './pointInRing';
import type { Point, Ring } from './point';
import { ringsOf } from './point';
import { law } from '../../test/depth';

/** A star around a place, of whole thousandths of a mm. */
const star = (x: number, y: number, r: number, points: number, clockwise: boolean): Ring => {
  const ring = Array.from({ length: points }, (_, i): Point => {
    const angle = (i / points) * 2 * Math.PI;
    const far = i % 2 === 0 ? r : r * 0.6;
    return [Math.round((x + far * Math.cos(angle)) * 1000) / 1000, Math.round((y + far * Math.sin(angle)) * 1000) / 1000];
  });
  return clockwise ? ring.toReversed() : ring;
};

const aStar = fc
  .tuple(
    fc.integer({ min: 0, max: 40 }),
    fc.integer({ min: 0, max: 40 }),
    fc.integer({ min: 1, max: 20 }),
    fc.integer({ min: 6, max: 13 }),
    fc.boolean(),
  )
  .map(([x, y, r, points, clockwise]) => star(x, y, r, points, clockwise));
const stars = fc.array(aStar, { minLength: 1, maxLength: 7 });

const whole = (ring: Ring) => ring.map(([x, y]) => ({ x: Math.round(x * 1000), y: Math.round(y * 1000) }));

/** Winding number of rings at a point. */
const winding = (point: Point, rings: readonly Ring[]): number =>
  rings.reduce((sum, ring) => sum + (pointInRing(point, ring) ? Math.sign(signedArea(ring)) : 0), 0);

test('rings untangled hold just the places that the fill rule counts as inside, whether they cross or only lie within each other', () => {
  let crossed = 0;
  let nested = 0;
  fc.assert(
    fc.property(
      stars,
      fc.constantFrom('nonzero' as const, 'evenodd' as const),
      fc.array(fc.tuple(fc.double({ min: -9, max: 49, noNaN: true }), fc.double({ min: -9, max: 49, noNaN: true })), {
        minLength: 20,
        maxLength: 20,
      }),
      (rings, fill, places) => {
        if (edgesMeet(rings.map(whole))) crossed++;
        else if (rings.length > 1) nested++;
        const region = regionOf(rings, fill);
        expect(faultsOfRegion(region)).toEqual([]);
        const edges = rings.flatMap((ring) => ring.map((a, i) => [a, ring[(i + 1) % ring.length]!] as const));
        for (const [x, y] of places) {
          // on an edge either answer is right
          const near = edges.some(
            ([a, b]) => Math.abs((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) < 0.01 * Math.hypot(b[0] - a[0], b[1] - a[1]),
          );
          if (near) continue;
          const turns = winding([x, y], rings);
          const within = ringsOf(region).filter((ring) => pointInRing([x, y], ring)).length % 2 === 1;
          expect(within).toBe(fill === 'nonzero' ? turns !== 0 : turns % 2 !== 0);
        }
      },
    ),
    law(400, undefined, 7),
  );
  // both ways were gone
  expect(crossed).toBeGreaterThan(50);
  expect(nested).toBeGreaterThan(20);
});

test('shapes that stand apart are joined as they are, others by what they share', () => {
  fc.assert(
    fc.property(stars, (rings) => {
      const regions = rings.map((ring) => [{ outer: signedArea(ring) > 0 ? ring : ring.toReversed(), holes: [] }]);
      const joined = union(...regions);
      expect(faultsOfRegion(joined)).toEqual([]);
      // |A ∪ B| = |A| + |B \ A|, one after the other
      const grown = regions.reduce<{ area: number; so: typeof joined }>(
        ({ area, so }, region) => ({ area: area + regionArea(difference(region, so)), so: [...so, ...difference(region, so)] }),
        { area: 0, so: [] },
      );
      expect(Math.abs(regionArea(joined) - grown.area)).toBeLessThan(0.2);
    }),
    law(150, undefined, 3),
  );
});

test('edges that share a point meet, neighbours along a ring do not', () => {
  const square = [
    whole([
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ]),
  ];
  expect(edgesMeet(square)).toBe(false);
  expect(
    edgesMeet([
      ...square,
      ...[
        whole([
          [2, 2],
          [4, 2],
          [3, 4],
        ]),
      ],
    ]),
  ).toBe(false);
  // a corner on an edge, a crossing, a stretch of one line
  expect(
    edgesMeet([
      ...square,
      ...[
        whole([
          [2, 0],
          [4, 2],
          [3, 4],
        ]),
      ],
    ]),
  ).toBe(true);
  expect(
    edgesMeet([
      ...square,
      ...[
        whole([
          [5, 5],
          [15, 6],
          [14, 8],
        ]),
      ],
    ]),
  ).toBe(true);
  expect(
    edgesMeet([
      ...square,
      ...[
        whole([
          [2, 0],
          [4, 0],
          [3, -4],
        ]),
      ],
    ]),
  ).toBe(true);
  // a ring that crosses itself
  expect(
    edgesMeet([
      whole([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ]),
  ).toBe(true);
  // edges of one group are not compared
  const over = [
    ...square,
    ...[
      whole([
        [5, 5],
        [15, 6],
        [14, 8],
      ]),
    ],
  ];
  expect(edgesMeet(over, [0, 0])).toBe(false);
  expect(edgesMeet(over, [0, 1])).toBe(true);
});

test('a hull holds every point, has corners of its own only, and many points give the same as few', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })), { minLength: 50, maxLength: 300 }),
      (points) => {
        const hull = convexHull(points);
        fc.pre(hull.length >= 3);
        const depth = (x: number, y: number, [ax, ay]: Point, [bx, by]: Point) => (bx - ax) * (y - ay) - (by - ay) * (x - ax);
        const least = Math.min(...points.flatMap(([x, y]) => hull.map((a, i) => depth(x, y, a, hull[(i + 1) % hull.length]!))));
        expect(least).toBeGreaterThanOrEqual(0);
        for (const [x, y] of hull) expect(points.some((p) => p[0] === x && p[1] === y)).toBe(true);
      },
    ),
    law(60, 800),
  );
});
