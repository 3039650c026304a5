import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Point } from '../../geometry';
import { axisWay } from './dragKnife';
import { law } from '../../../test/depth';

/** Where the tip of a drag knife goes: it is pulled behind its axis like a wheel of a trailer. */
function tipWay(axis: readonly Point[], offset: number, heading: number): Point[] {
  let [x, y] = [axis[0]![0] - offset * Math.cos(heading), axis[0]![1] - offset * Math.sin(heading)];
  const tips: Point[] = [[x, y]];
  axis.slice(1).forEach((to, i) => {
    const from = axis[i]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / 0.04));
    for (let k = 1; k <= steps; k++) {
      const [cx, cy] = [from[0] + ((to[0] - from[0]) * k) / steps, from[1] + ((to[1] - from[1]) * k) / steps];
      const away = Math.hypot(cx - x, cy - y);
      [x, y] = [cx - (offset * (cx - x)) / away, cy - (offset * (cy - y)) / away];
      tips.push([x, y]);
    }
  });
  return tips;
}

const toLine = ([x, y]: Point, line: readonly Point[]): number =>
  Math.min(
    ...line.slice(1).map(([bx, by], i) => {
      const [ax, ay] = line[i]!;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
      return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }),
  );

const corner = fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 40 })).map(([x, y]): Point => [x, y]);
const line = fc
  .array(corner, { minLength: 3, maxLength: 8 })
  .map((points) => points.filter((p, i) => i === 0 || p[0] !== points[i - 1]![0] || p[1] !== points[i - 1]![1]))
  .filter((points) => points.length >= 2);

describe('the way of a drag knife', () => {
  it('leads its tip along the line, corners and all, whatever way it pointed before', () => {
    fc.assert(
      fc.property(
        line,
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (wanted, offset, heading) => {
          const tips = tipWay(axisWay(wanted, offset, heading).points, offset, heading);
          expect(Math.max(...tips.map((tip) => toLine(tip, wanted)))).toBeLessThan(0.06);
          // and all of the line
          for (const [i, b] of wanted.slice(1).entries()) {
            const a = wanted[i]!;
            for (const t of [0, 0.5, 1]) expect(toLine([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t], tips)).toBeLessThan(0.06);
          }
        },
      ),
      law(30),
    );
  });
  it('strays little on a circle of short edges, which it turns on the way', () => {
    const circle = Array.from({ length: 241 }, (_, i): Point => [10 * Math.cos((i * Math.PI) / 120), 10 * Math.sin((i * Math.PI) / 120)]);
    const { points, heading } = axisWay(circle, 0.5);
    expect(points).toHaveLength(circle.length);
    expect(Math.max(...tipWay(points, 0.5, Math.PI / 2).map((tip) => Math.abs(Math.hypot(...tip) - 10)))).toBeLessThan(0.02);
    expect(heading).toBeCloseTo(Math.PI / 2, 1);
  });
  it('without it, corners are rounded: that is what it is for', () => {
    const square: Point[] = [
      [0, 0],
      [10, 0],
      [10, 10],
    ];
    const away = (axis: readonly Point[]) => Math.max(...tipWay(axis, 0.5, 0).map((tip) => toLine(tip, square)));
    expect(away(square.map(([x, y]): Point => [x, y]))).toBeGreaterThan(0.15);
    expect(away(axisWay(square, 0.5, 0).points)).toBeLessThan(0.01);
  });
});
