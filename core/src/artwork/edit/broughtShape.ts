import {
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxWidth,
  flatten,
  regionOf,
  scaling,
  then,
  translation,
  applyToRegion,
  boxOfPaths,
  type Box,
  type Path,
  type Region,
} from '../../geometry';
import { FLATTEN_MM } from '../../units';

/** A shape that a change brings along, in units of its own. */
export interface Brought {
  readonly path: Path;
  readonly fill: 'nonzero' | 'evenodd';
}

/**
 * A brought shape at its size, around the origin.
 *
 * @param sizeOf how many mm a unit is, by the shape's own width and height
 * @returns nothing when the shape has no area
 */
export function broughtRegion({ path, fill }: Brought, sizeOf: (width: number, height: number) => number): Region {
  const rough = boxOfPaths([path]);
  const scale = sizeOf(Math.max(1e-9, boxWidth(rough)), Math.max(1e-9, boxHeight(rough)));
  if (!Number.isFinite(scale) || scale <= 0) return [];
  const [cx, cy] = boxCentre(rough);
  const region = regionOf(flatten(path, then(translation(-cx, -cy), scaling(scale)), FLATTEN_MM), fill);
  if (region.length === 0) return [];
  // control points reach further than ink: the ink itself is what is sized and centred
  const ink = boxOf(region);
  const again = sizeOf(boxWidth(ink) / scale, boxHeight(ink) / scale) / scale;
  const [x, y] = boxCentre(ink);
  return applyToRegion(then(translation(-x, -y), scaling(again)), region);
}

/** The box of what is drawn, mm. */
export const inkBox = (regions: readonly Region[]): Box => boxAround(regions.filter((region) => region.length > 0).map(boxOf));
