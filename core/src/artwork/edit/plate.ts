import { boxAround, boxHeight, boxOf, boxRegion, boxWidth, ellipseIn, growBox, roundedBox, type Region } from '../../geometry';
import type { Plate } from '../../job';

/** A corner's radius as a share of a plate's smaller side. */
const CORNER = 0.16;

/**
 * A plate around a mark.
 *
 * @param regions the mark, mm
 * @param margin between mark and plate, mm; an ellipse keeps it at the corners of the mark's box
 */
export function plateAround(regions: readonly Region[], plate: Plate, margin: number): Region {
  const box = growBox(boxAround(regions.filter((region) => region.length > 0).map(boxOf)), margin);
  if (plate === 'box') return boxRegion(box);
  const [width, height] = [boxWidth(box), boxHeight(box)];
  if (plate === 'rounded') return roundedBox(box, Math.min(width, height) * CORNER);
  // the ellipse through the corners of a box is its own, √2 larger
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [rx, ry] = [width / Math.SQRT2, height / Math.SQRT2];
  return ellipseIn({ minX: x - rx, maxX: x + rx, minY: y - ry, maxY: y + ry });
}
