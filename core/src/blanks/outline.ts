import { boxHeight, boxRegion, boxWidth, ellipseIn, regionOf, roundedBox, type Box, type Point, type Region } from '../geometry';
import type { Outline } from '../job';

/**
 * An outline at its size.
 *
 * @param box that it fills, mm; undefined outlines are the box itself
 * @returns a proper region; drawn rings are taken even-odd, crossings untangled
 */
export function outlineRegion(outline: Outline | undefined, box: Box): Region {
  if (!outline) return boxRegion(box);
  if (outline.kind === 'ellipse') return ellipseIn(box);
  if (outline.kind === 'rounded') return roundedBox(box, outline.radius);
  const place = ([x, y]: Point): Point => [box.minX + x * boxWidth(box), box.minY + y * boxHeight(box)];
  return regionOf(
    outline.rings.map((ring) => ring.map(place)),
    'evenodd',
  );
}
