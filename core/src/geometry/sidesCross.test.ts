import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Point } from './point';
import { sidesCross } from './sidesCross';
import { law } from '../../test/depth';

const point = fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 })).map(([x, y]): Point => [x, y]);
/** Whether two sides share a point, by solving for it. */
const share = (a: Point, b: Point, c: Point, d: Point): boolean => {
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const cross = rx * sy - ry * sx;
  const [qx, qy] = [c[0] - a[0], c[1] - a[1]];
  if (cross !== 0) {
    const [t, u] = [(qx * sy - qy * sx) / cross, (qx * ry - qy * rx) / cross];
    return t >= 0 && t <= 1 && u >= 0 && u <= 1;
  }
  if (qx * ry - qy * rx !== 0) return false;
  const length = rx * rx + ry * ry;
  if (length === 0) return false;
  const [t0, t1] = [(qx * rx + qy * ry) / length, ((d[0] - a[0]) * rx + (d[1] - a[1]) * ry) / length];
  return Math.max(Math.min(t0, t1), 0) <= Math.min(Math.max(t0, t1), 1);
};

describe('sides that cross', () => {
  it('are found as by looking at every two of them', () => {
    fc.assert(
      fc.property(fc.uniqueArray(point, { minLength: 4, maxLength: 7, selector: String }), (ring) => {
        const n = ring.length;
        const side = (i: number): [Point, Point] => [ring[i]!, ring[(i + 1) % n]!];
        let crossed = false;
        for (let i = 0; i < n; i++)
          for (let j = i + 1; j < n; j++) if (j - i !== 1 && j - i !== n - 1 && share(...side(i), ...side(j))) crossed = true;
        // sides that fold back on the one before
        for (let i = 0; i < n; i++) {
          const [a, b] = side(i);
          const c = ring[(i + 2) % n]!;
          const flat = (b[0] - a[0]) * (c[1] - b[1]) === (b[1] - a[1]) * (c[0] - b[0]);
          if (flat && (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]) <= 0) crossed = true;
        }
        expect(sidesCross(ring)).toBe(crossed);
      }),
      law(500),
    );
  });
  it('are none in a square, an L, a circle; and in what has no three corners nothing is right', () => {
    expect(
      sidesCross([
        [0, 0],
        [2, 0],
        [2, 2],
        [0, 2],
      ]),
    ).toBe(false);
    expect(
      sidesCross([
        [0, 0],
        [4, 0],
        [4, 1],
        [1, 1],
        [1, 3],
        [0, 3],
      ]),
    ).toBe(false);
    expect(sidesCross(Array.from({ length: 500 }, (_, i): Point => [Math.cos(i / 80), Math.sin(i / 80)]).slice(0, 490))).toBe(false);
    expect(
      sidesCross([
        [0, 0],
        [1, 1],
      ]),
    ).toBe(true);
  });
});
