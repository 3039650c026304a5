import type { Point, Ring } from './point';

/** Twice the area of a triangle, above 0 when it runs counter-clockwise. */
const turn = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether a point that lies on the line of a side lies on the side. */
const within = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a[0], b[0]) <= p[0] && p[0] <= Math.max(a[0], b[0]) && Math.min(a[1], b[1]) <= p[1] && p[1] <= Math.max(a[1], b[1]);

function meet(a: Point, b: Point, c: Point, d: Point): boolean {
  const [c1, d1, a1, b1] = [turn(a, b, c), turn(a, b, d), turn(c, d, a), turn(c, d, b)];
  if (((c1 > 0 && d1 < 0) || (c1 < 0 && d1 > 0)) && ((a1 > 0 && b1 < 0) || (a1 < 0 && b1 > 0))) return true;
  return (c1 === 0 && within(a, b, c)) || (d1 === 0 && within(a, b, d)) || (a1 === 0 && within(c, d, a)) || (b1 === 0 && within(c, d, b));
}

/**
 * Whether any two sides of a ring cross or touch, beside those that share a corner; or two that share one fold back on each other. Sides are looked at
 * from left to right.
 */
export function sidesCross(ring: Ring): boolean {
  const n = ring.length;
  if (n < 3) return true;
  const sides = ring
    .map((a, i) => ({ i, a, b: ring[(i + 1) % n]! }))
    .toSorted((p, q) => Math.min(p.a[0], p.b[0]) - Math.min(q.a[0], q.b[0]));
  for (const [k, { i, a, b }] of sides.entries()) {
    const right = Math.max(a[0], b[0]);
    for (let m = k + 1; m < n; m++) {
      const other = sides[m]!;
      if (Math.min(other.a[0], other.b[0]) > right) break;
      const apart = Math.abs(i - other.i);
      if (apart === 1 || apart === n - 1) {
        // neighbours share a corner: they may only not fold back
        const [before, after] = (i + 1) % n === other.i ? [{ a, b }, other] : [other, { a, b }];
        const back = turn(before.a, before.b, after.b) === 0;
        const dot = (before.b[0] - before.a[0]) * (after.b[0] - after.a[0]) + (before.b[1] - before.a[1]) * (after.b[1] - after.a[1]);
        if (back && dot <= 0) return true;
      } else if (meet(a, b, other.a, other.b)) return true;
    }
  }
  return false;
}
