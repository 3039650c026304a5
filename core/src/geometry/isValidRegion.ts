import { signedArea } from './area';
import { pointInRing } from './pointInRing';
import type { Point, Region, Ring } from './point';

/** Rounding to a thousandth of a mm may move a touching hole this far over its edge, mm. */
const ROUNDING = 0.003;

function nearRing([x, y]: Point, ring: Ring): boolean {
  return ring.some(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!;
    const square = (bx - ax) ** 2 + (by - ay) ** 2;
    const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / square));
    return Math.hypot(ax + t * (bx - ax) - x, ay + t * (by - ay) - y) < ROUNDING;
  });
}

/**
 * A checker: says what is wrong with a region, or nothing.
 *
 * @returns sentences; empty when every outer ring runs counter-clockwise, every hole clockwise and within its outer ring
 */
export function faultsOfRegion(region: Region): string[] {
  const faults: string[] = [];
  region.forEach((part, i) => {
    if (part.outer.length < 3) faults.push(`part ${i}: outer ring of ${part.outer.length} points`);
    if (signedArea(part.outer) <= 0) faults.push(`part ${i}: outer ring is not counter-clockwise`);
    part.holes.forEach((hole, k) => {
      if (signedArea(hole) >= 0) faults.push(`part ${i}, hole ${k}: not clockwise`);
      if (!hole.every((p) => pointInRing(p, part.outer) || nearRing(p, part.outer)))
        faults.push(`part ${i}, hole ${k}: not within its part`);
    });
  });
  return faults;
}
