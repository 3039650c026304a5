import { boxAround, boxHeight, boxOf, boxRegion, boxWidth, growBox, regionOf, type Box, type Point, type Region } from '../../geometry';
import type { Plate } from '../../job';
import { FLATTEN_MM } from '../../units';

/** A corner's radius as a share of a plate's smaller side. */
const CORNER = 0.16;

function arcs(box: Box, rx: number, ry: number): Region {
  const n = Math.max(6, Math.ceil(Math.PI / 4 / Math.acos(Math.max(0.5, 1 - FLATTEN_MM / Math.max(rx, ry, FLATTEN_MM)))));
  const middles: Point[] = [
    [box.maxX - rx, box.maxY - ry],
    [box.minX + rx, box.maxY - ry],
    [box.minX + rx, box.minY + ry],
    [box.maxX - rx, box.minY + ry],
  ];
  const ring = middles.flatMap(([x, y], k) =>
    Array.from({ length: n + 1 }, (_, i): Point => {
      const a = (Math.PI / 2) * (k + i / n);
      return [x + rx * Math.cos(a), y + ry * Math.sin(a)];
    }),
  );
  return regionOf([ring]);
}

/**
 * A plate around a mark.
 *
 * @param regions the mark, mm
 * @param margin between mark and plate, mm; an ellipse keeps it at the corners of the mark's box
 */
export function plateAround(regions: readonly Region[], plate: Plate, margin: number): Region {
  const box = growBox(boxAround(regions.filter((region) => region.length > 0).map(boxOf)), margin);
  if (plate === 'box') return boxRegion(box);
  if (plate === 'rounded') {
    const r = Math.min(boxWidth(box), boxHeight(box)) * CORNER;
    return arcs(box, r, r);
  }
  const [w, h] = [boxWidth(box) / Math.SQRT2, boxHeight(box) / Math.SQRT2];
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return arcs({ minX: x - w, maxX: x + w, minY: y - h, maxY: y + h }, w, h);
}
