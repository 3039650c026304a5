import { boxOf, boxHeight, boxWidth } from './box';
import type { Part, Point, Region } from './point';

/** A circle within a region, mm. */
export interface Inscribed {
  readonly at: Point;
  readonly radius: number;
}

/** How far a point lies from the edge of a part, mm: within it above 0, outside below. */
function depth([x, y]: Point, { outer, holes }: Part): number {
  let nearest = Infinity;
  let inside = false;
  for (const ring of [outer, ...holes]) {
    let [ax, ay] = ring.at(-1)!;
    for (const [bx, by] of ring) {
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
      const [dx, dy] = [bx - ax, by - ay];
      const length = dx * dx + dy * dy;
      const t = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / length));
      const [ex, ey] = [ax + t * dx - x, ay + t * dy - y];
      nearest = Math.min(nearest, ex * ex + ey * ey);
      [ax, ay] = [bx, by];
    }
  }
  return (inside ? 1 : -1) * Math.sqrt(nearest);
}

/**
 * The largest circle that lies within one connected part of a region, by halving squares that may still hold a larger one
 * (Garcia-Castellanos and Lombardo, 2007,
 * Poles of inaccessibility, for the question; the search is branch and bound).
 *
 * @param within the radius is found to within so many mm
 * @returns undefined for a region without parts
 */
export function largestInscribed(region: Region, within = 0.05): Inscribed | undefined {
  let best: Inscribed | undefined;
  for (const part of region) {
    const box = boxOf([part]);
    const [w, h] = [boxWidth(box), boxHeight(box)];
    // no circle in it is larger than its box is narrow
    if (best && Math.min(w, h) / 2 <= best.radius + within) continue;
    const side = Math.max(Math.min(w, h) / 2, within);
    const cells: { at: Point; half: number; depth: number }[] = [];
    const add = (at: Point, half: number) => {
      const own = depth(at, part);
      if (own > (best?.radius ?? 0)) best = { at, radius: own };
      if (own + half * Math.SQRT2 > (best?.radius ?? 0) + within) cells.push({ at, half, depth: own });
    };
    for (let x = box.minX; x < box.maxX; x += side)
      for (let y = box.minY; y < box.maxY; y += side) add([x + side / 2, y + side / 2], side / 2);
    while (cells.length > 0) {
      // the most promising first, so that the others need not be looked at
      let most = 0;
      for (let i = 1; i < cells.length; i++)
        if (cells[i]!.depth + cells[i]!.half * Math.SQRT2 > cells[most]!.depth + cells[most]!.half * Math.SQRT2) most = i;
      const [cell] = cells.splice(most, 1);
      if (cell!.depth + cell!.half * Math.SQRT2 <= (best?.radius ?? 0) + within) break;
      const q = cell!.half / 2;
      const [x, y] = cell!.at;
      for (const [dx, dy] of [
        [-q, -q],
        [q, -q],
        [-q, q],
        [q, q],
      ] as const)
        add([x + dx, y + dy], q);
    }
  }
  return best;
}
