import { clipperOffset } from './clipper';
import { union } from './boolean';
import { forEachShape } from './sameShapes';
import { applyToRegion, translation } from './transform';
import type { Region } from './point';

/**
 * Moves every edge of a region outward, corners rounded.
 *
 * @param region mm
 * @param by mm; negative moves inward
 * @returns the region, parts that now touch made one
 */
export function offset(region: Region, by: number): Region {
  if (by === 0 || region.length === 0) return region;
  // a part at a time: the library's cost grows faster than the number of edges
  const grown = forEachShape(
    region,
    (part) => clipperOffset([part], by),
    (one, [dx, dy]) => applyToRegion(translation(dx, dy), one),
  );
  return by > 0 && region.length > 1 ? union(...grown) : grown.flat();
}
