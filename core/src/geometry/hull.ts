import type { Point, Ring } from './point';

/**
 * The convex hull, counter-clockwise, by the monotone chain (Andrew, 1979).
 *
 * @returns fewer than three points when all lie on a line
 */
export function convexHull(points: readonly Point[]): Ring {
  const sorted = points.toSorted((a, b) => a[0] - b[0] || a[1] - b[1]);
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
