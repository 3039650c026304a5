import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  applyToRegion,
  boxRegion,
  difference,
  regionArea,
  regionInside,
  rotation,
  scaling,
  then,
  translation,
  union,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import { largestFitAnywhere } from './largestFitAnywhere';
import { law } from '../../test/depth';

const polygon = (n: number, r: number, [cx, cy]: Point = [0, 0]): Ring =>
  Array.from({ length: n }, (_, i): Point => [cx + r * Math.cos((2 * Math.PI * i) / n), cy + r * Math.sin((2 * Math.PI * i) / n)]);
const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const square: Ring = box(-1, -1, 1, 1)[0]!.outer;
const ell: Region = difference(box(0, 0, 60, 60), box(30, 30, 60, 60));

describe('the largest fit in a zone of any shape', () => {
  it.each([
    ['a square in an ell', [square], ell, 15, false],
    // the circle touches both walls and the inner corner: r = 30·√2 / (1 + √2)
    ['a circle in an ell', [polygon(240, 1)], ell, (30 * Math.SQRT2) / (1 + Math.SQRT2), false],
    [
      'a circle beside a post',
      [polygon(240, 1)],
      difference(box(-50, -50, 50, 50), [{ outer: polygon(400, 20), holes: [] }]),
      (50 * Math.SQRT2 - 20) / (1 + Math.SQRT2),
      false,
    ],
    [
      'a circle in a ring',
      [polygon(240, 1)],
      difference([{ outer: polygon(600, 50), holes: [] }], [{ outer: polygon(400, 20), holes: [] }]),
      15,
      false,
    ],
    ['a bar turned to the diagonal', [box(-4, -0.5, 4, 0.5)[0]!.outer], box(0, 0, 90, 90), (90 * Math.SQRT2) / 9, true],
    [
      'a square in a cross, from whose corners no place may start',
      [square],
      union(box(-50, -20, 50, 20), box(-20, -50, 20, 50)),
      20,
      false,
    ],
    ['a square in the larger of two parts', [square], [...box(0, 0, 20, 20), ...box(40, 0, 80, 40)], 20, false],
  ] as const)('%s, within half a percent', (_name, art, zone, best, turn) => {
    const { scale } = largestFitAnywhere([...art], zone, { turn });
    expect(scale).toBeGreaterThan(best * 0.995);
    expect(scale).toBeLessThan(best * 1.0015);
  });

  it('whatever it finds lies in the zone, and grows with it', () => {
    const point = fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -1, max: 1, noNaN: true }));
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 9 }), fc.double({ min: 5, max: 25, noNaN: true }), (points, r) => {
        const hull = points.map(([x, y]): Point => [x, y]).toSorted((a, b) => Math.atan2(a[1], a[0]) - Math.atan2(b[1], b[0]));
        const art: Region = [{ outer: hull, holes: [] }];
        fc.pre(regionArea(art) > 0.2);
        const zone = difference(box(-50, -30, 50, 30), [{ outer: polygon(40, r, [10, 0]), holes: [] }]);
        const fit = largestFitAnywhere([hull], zone, { starts: 80 });
        const placed = applyToRegion(then(then(scaling(fit.scale), rotation(fit.turn)), translation(...fit.at)), art);
        expect(regionInside(placed, zone, 0.05)).toBe(true);
        const doubled = largestFitAnywhere([hull], applyToRegion(scaling(2), zone), { starts: 80 });
        expect(doubled.scale / fit.scale).toBeGreaterThan(1.98);
      }),
      { ...law(25, undefined, 4), maxSkipsPerRun: 1000 },
    );
  });

  it('there is none in nothing, and none at a place outside', () => {
    expect(largestFitAnywhere([square], []).scale).toBe(0);
    expect(largestFitAnywhere([square], ell, { at: [50, 50] }).scale).toBe(0);
    expect(largestFitAnywhere([square], ell, { at: [20, 10] }).scale).toBeCloseTo(10, 3);
  });
});
