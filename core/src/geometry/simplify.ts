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
  const keep = new Uint8Array(turned.length);
  keep[0] = keep[half] = keep[turned.length - 1] = 1;
  const stack: [number, number][] = [
    [0, half],
    [half, turned.length - 1],
  ];
  while (stack.length > 0) {
    const [a, b] = stack.pop()!;
    const [ax, ay] = turned[a]!;
    const [dx, dy] = [turned[b]![0] - ax, turned[b]![1] - ay];
    const length = Math.hypot(dx, dy);
    let [most, index] = [tolerance, -1];
    for (let i = a + 1; i < b; i++) {
      const [px, py] = [turned[i]![0] - ax, turned[i]![1] - ay];
      const along = length > 0 ? (px * dx + py * dy) / (length * length) : 0;
      const t = Math.max(0, Math.min(1, along));
      const off = Math.hypot(px - t * dx, py - t * dy);
      if (off > most) [most, index] = [off, i];
    }
    if (index >= 0) {
      keep[index] = 1;
      stack.push([a, index], [index, b]);
    }
  }
  const kept = turned.slice(0, -1).filter((_, i) => keep[i]);
  return kept.length >= 3 ? kept : ring;
}
