import type { Part, Region, Ring } from './point';

/** The area of a ring in mm²: positive when it runs counter-clockwise. */
export function signedArea(ring: Ring): number {
  let twice = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[j]!, ring[i]!];
    twice += a[0] * b[1] - b[0] * a[1];
  }
  return twice / 2;
}

/** The area of a part without its holes, mm². */
export const partArea = (part: Part): number =>
  Math.abs(signedArea(part.outer)) - part.holes.reduce((sum, hole) => sum + Math.abs(signedArea(hole)), 0);

/** The area of a region, mm². */
export const regionArea = (region: Region): number => region.reduce((sum, part) => sum + partArea(part), 0);
