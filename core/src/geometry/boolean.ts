import { clipperDifference, clipperIntersect, clipperUnion, clipperUntangle, type Fill } from './clipper';
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

/** All that lies in any of the regions, as one outline. */
export const union = (...regions: readonly Region[]): Region => clipperUnion(regions);

/** The same without the check of ADR 7: for a first look that is done again. */
export const unionOnce = (...regions: readonly Region[]): Region => clipperUnion(regions, true);

/** What lies in both. */
export const intersection = (a: Region, b: Region): Region => clipperIntersect(a, b);

/** What lies in `a` and not in `b`. */
export const difference = (a: Region, b: Region): Region => clipperDifference(a, b);
