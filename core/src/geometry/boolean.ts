import { clipperDifference, clipperIntersect, clipperUnion, clipperUntangle, type Fill } from './clipper';
import { boxOf } from './box';
import type { Region, Ring } from './point';

export type { Fill } from './clipper';

/**
 * Makes a proper region of rings as drawn.
 *
 * @param rings mm, in any winding, crossing or overlapping
 * @param fill which places count as inside
 * @param once without the check of ADR 7: for a first look that is done again
 * @returns outer rings counter-clockwise, holes clockwise, none crossing; rings without area vanish
 */
export const regionOf = (rings: readonly Ring[], fill: Fill = 'nonzero', once = false): Region => clipperUntangle(rings, fill, once);

/** Boxes no further apart than this may hold outlines that touch, mm. */
const TOUCH_MM = 0.002;

/** Regions in groups whose boxes touch: what stands apart need not be joined. */
function neighbours(regions: readonly Region[]): Region[][] {
  const sorted = regions.map((region) => ({ region, box: boxOf(region) })).toSorted((a, b) => a.box.minX - b.box.minX);
  const parent = sorted.map((_, i) => i);
  const root = (i: number): number => (parent[i] === i ? i : (parent[i] = root(parent[i]!)));
  let active: number[] = [];
  sorted.forEach(({ box }, i) => {
    active = active.filter((j) => sorted[j]!.box.maxX >= box.minX - TOUCH_MM);
    for (const j of active) {
      const other = sorted[j]!.box;
      if (other.minY <= box.maxY + TOUCH_MM && other.maxY >= box.minY - TOUCH_MM) parent[root(i)] = root(j);
    }
    active.push(i);
  });
  const groups = new Map<number, Region[]>();
  sorted.forEach(({ region }, i) => groups.set(root(i), [...(groups.get(root(i)) ?? []), region]));
  return [...groups.values()];
}

function joinAll(regions: readonly Region[], once: boolean): Region {
  const filled = regions.filter((region) => region.length > 0);
  if (regions.length < 2) return clipperUnion(filled, once);
  return neighbours(filled).flatMap((group) => (group.length === 1 ? group[0]! : clipperUnion(group, once)));
}

/** All that lies in any of the regions, as one outline. Of several, each has to be proper by itself; a single one is untangled. */
export const union = (...regions: readonly Region[]): Region => joinAll(regions, false);

/** The same without the check of ADR 7: for a first look that is done again. */
export const unionOnce = (...regions: readonly Region[]): Region => joinAll(regions, true);

/** What lies in both. */
export const intersection = (a: Region, b: Region): Region => clipperIntersect(a, b);

/** What lies in `a` and not in `b`. */
export const difference = (a: Region, b: Region): Region => clipperDifference(a, b);
