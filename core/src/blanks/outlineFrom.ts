import {
  boxHeight,
  boxOf,
  boxWidth,
  flatten,
  regionArea,
  regionOf,
  ringsOf,
  simplifyRing,
  union,
  type Point,
  type Region,
} from '../geometry';
import type { DrawnPart, Outline } from '../job';
import { good, refused, type Result } from '../units';

/** An outline is kept with points no closer to the true line than this share of its size. */
const FINE = 2e-4;
/** The finest that curves are drawn, as a share of the drawing. */
const STEPS = 1500;
/** As many points as an outline keeps. */
const MOST_POINTS = 8000;

/** The outline of a piece from a region on any scale. */
export function outlineOf(region: Region, name: string): Result<{ outline: Outline; width: number; height: number }> {
  const box = boxOf(region);
  const [width, height] = [boxWidth(box), boxHeight(box)];
  if (region.length === 0 || !(regionArea(region) > 1e-4 * width * height))
    return refused(
      `"${name}" has no area.`,
      'a closed shape',
      name,
      'Draw the outline as one closed shape with an area, and take it in again.',
    );
  const size = Math.max(width, height);
  let fine = size * FINE;
  let rings = ringsOf(region).map((ring) => simplifyRing(ring, fine));
  while (rings.reduce((sum, ring) => sum + ring.length, 0) > MOST_POINTS) {
    fine *= 2;
    rings = ringsOf(region).map((ring) => simplifyRing(ring, fine));
  }
  const share = ([x, y]: Point): Point => [
    Math.round(((x - box.minX) / width) * 1e6) / 1e6,
    Math.round(((y - box.minY) / height) * 1e6) / 1e6,
  ];
  return good({ outline: { kind: 'drawn', name: name.slice(0, 200), rings: rings.map((ring) => ring.map(share)) }, width, height });
}

/**
 * The outline of a piece from a drawing: everything painted is taken together; what is left open inside stays a cut-out.
 *
 * @param parts of a drawing, any unit
 * @returns the outline in shares of its box, and the box in the drawing's unit; a problem when nothing has an area
 */
export function outlineFromDrawing(parts: readonly DrawnPart[], name: string): Result<{ outline: Outline; width: number; height: number }> {
  const points = parts.flatMap((part) => part.path.flatMap((segment) => segment.slice(1) as Point[]));
  let [low, high] = [Infinity, -Infinity];
  for (const [x, y] of points) {
    low = Math.min(low, x, y);
    high = Math.max(high, x, y);
  }
  // brought to a size at which the polygon library's grid is fine
  const k = STEPS / Math.max(1e-9, high - low);
  const regions = parts.map((part) => regionOf(flatten(part.path, [k, 0, 0, k, 0, 0], 0.05), part.fill));
  const found = outlineOf(regions.length === 1 ? regions[0]! : union(...regions), name);
  return found.ok ? good({ ...found.value, width: found.value.width / k, height: found.value.height / k }) : found;
}
