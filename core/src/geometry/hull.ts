import type { Point, Ring } from './point';

/** Fewer points than this are sorted as they are. */
const FEW = 50;

/** Points that may lie on the hull: those within the box between the points that reach furthest aslant do not (after Akl and Toussaint, 1978). */
function outerPoints(points: readonly Point[]): readonly Point[] {
  if (points.length < FEW) return points;
  const corners: Point[] = [points[0]!, points[0]!, points[0]!, points[0]!];
  for (const p of points) {
    const [sum, difference] = [p[0] + p[1], p[0] - p[1]];
    if (sum > corners[0]![0] + corners[0]![1]) corners[0] = p;
    if (sum < corners[1]![0] + corners[1]![1]) corners[1] = p;
    if (difference > corners[2]![0] - corners[2]![1]) corners[2] = p;
    if (difference < corners[3]![0] - corners[3]![1]) corners[3] = p;
  }
  const [upRight, downLeft, downRight, upLeft] = corners as [Point, Point, Point, Point];
  const [left, right] = [Math.max(downLeft[0], upLeft[0]), Math.min(upRight[0], downRight[0])];
  const [low, high] = [Math.max(downLeft[1], downRight[1]), Math.min(upLeft[1], upRight[1])];
  return points.filter(([x, y]) => x <= left || x >= right || y <= low || y >= high);
}

/**
 * The convex hull, counter-clockwise, by the monotone chain (Andrew, 1979).
 *
 * @returns fewer than three points when all lie on a line
 */
export function convexHull(points: readonly Point[]): Ring {
  const sorted = outerPoints(points).toSorted((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length >= 2) {
        const [a, b] = [chain.at(-2)!, chain.at(-1)!];
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain;
  };
  const lower = half(sorted);
  const upper = half(sorted.toReversed());
  return [...lower.slice(0, -1), ...upper.slice(0, -1)];
}

/** How far a set of points reaches in a direction: the support function of its hull. */
export const reach = (points: readonly Point[], [nx, ny]: Point): number =>
  points.reduce((most, [x, y]) => Math.max(most, x * nx + y * ny), -Infinity);
