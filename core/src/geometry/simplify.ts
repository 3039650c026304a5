import type { Point, Ring } from './point';

/**
 * A ring with fewer points, by the method of Douglas and Peucker (1973), parted at its two points furthest apart along the way.
 *
 * @param tolerance points nearer than this to the line between their neighbours kept may go, mm; not a bound on the area
 * @returns the ring itself where nothing is gained; fewer than three points are never returned unless given
 */
export function simplifyRing(ring: Ring, tolerance: number): Ring {
  if (ring.length <= 4 || tolerance <= 0) return ring;
  const far = (from: Point): number => {
    let [most, index] = [-1, 0];
    ring.forEach(([x, y], i) => {
      const d = (x - from[0]) ** 2 + (y - from[1]) ** 2;
      if (d > most) [most, index] = [d, i];
    });
    return index;
  };
  const first = far(ring[0]!);
  const second = far(ring[first]!);
  const turned = [...ring.slice(first), ...ring.slice(0, first), ring[first]!];
  const half = (second - first + ring.length) % ring.length;
  const kept = keptOf(turned, tolerance, [0, half, turned.length - 1]).slice(0, -1);
  return kept.length >= 3 ? kept : ring;
}

/**
 * A way from its first point to its last with fewer points, by the same method.
 *
 * @param tolerance as for a ring
 */
export const simplifyWay = (way: readonly Point[], tolerance: number): readonly Point[] =>
  way.length <= 2 || tolerance <= 0 ? way : keptOf(way, tolerance, [0, way.length - 1]);

/** Points that are needed, between fixed places in their order. */
function keptOf(way: readonly Point[], tolerance: number, fixed: readonly number[]): Point[] {
  const keep = new Uint8Array(way.length);
  for (const index of fixed) keep[index] = 1;
  const stack = fixed.slice(1).map((end, i): [number, number] => [fixed[i]!, end]);
  while (stack.length > 0) {
    const [a, b] = stack.pop()!;
    const [ax, ay] = way[a]!;
    const [dx, dy] = [way[b]![0] - ax, way[b]![1] - ay];
    const length = Math.sqrt(dx * dx + dy * dy);
    let [most, index] = [tolerance, -1];
    for (let i = a + 1; i < b; i++) {
      const [px, py] = [way[i]![0] - ax, way[i]![1] - ay];
      const along = length > 0 ? (px * dx + py * dy) / (length * length) : 0;
      const t = Math.max(0, Math.min(1, along));
      const off = Math.sqrt((px - t * dx) ** 2 + (py - t * dy) ** 2);
      if (off > most) [most, index] = [off, i];
    }
    if (index >= 0) {
      keep[index] = 1;
      stack.push([a, index], [index, b]);
    }
  }
  return way.filter((_, i) => keep[i]);
}
