import { clipperDifference, clipperIntersect, clipperUnion, clipperUntangle, type Fill } from './clipper';
import type { Region, Ring } from './point';

export type { Fill } from './clipper';

/**
 * Makes a proper region of rings as drawn.
 *
 * @param rings mm, in any winding, crossing or overlapping
 * @param fill which places count as inside
 * @returns outer rings counter-clockwise, holes clockwise, none crossing; rings without area vanish
 */
export const regionOf = (rings: readonly Ring[], fill: Fill = 'nonzero'): Region => clipperUntangle(rings, fill);

/** All that lies in any of the regions, as one outline. */
export const union = (...regions: readonly Region[]): Region => clipperUnion(regions);

/** What lies in both. */
export const intersection = (a: Region, b: Region): Region => clipperIntersect(a, b);

/** What lies in `a` and not in `b`. */
export const difference = (a: Region, b: Region): Region => clipperDifference(a, b);
