import type { Point, Ring } from './point';

/** Whether a point lies within a ring, by counting crossings to the right; on the edge either answer may come. */
export function pointInRing([x, y]: Point, ring: Ring): boolean {
  let within = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[i]!;
    const [bx, by] = ring[j]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) within = !within;
  }
  return within;
}
