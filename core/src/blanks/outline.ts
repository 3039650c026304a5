import { boxHeight, boxRegion, boxWidth, regionOf, type Box, type Point, type Region } from '../geometry';
import type { Outline } from '../job';
import { FLATTEN_MM } from '../units';

/** A quarter of an ellipse from `from` (radians), as points, the last left out. */
function quarter([cx, cy]: Point, rx: number, ry: number, from: number): Point[] {
  const r = Math.max(rx, ry, FLATTEN_MM);
  const n = Math.max(2, Math.ceil(Math.PI / 4 / Math.acos(Math.max(0.5, 1 - FLATTEN_MM / r))));
  return Array.from({ length: n }, (_, i): Point => {
    const a = from + (Math.PI / 2) * (i / n);
    return [cx + rx * Math.cos(a), cy + ry * Math.sin(a)];
  });
}

/** An ellipse that fills a box. */
export function ellipseIn(box: Box): Region {
  const c: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [rx, ry] = [boxWidth(box) / 2, boxHeight(box) / 2];
  return [{ outer: [0, 1, 2, 3].flatMap((k) => quarter(c, rx, ry, (k * Math.PI) / 2)), holes: [] }];
}

/** A box with rounded corners; a radius of half a side or more makes that side round. */
export function roundedBox(box: Box, radius: number): Region {
  const r = Math.min(radius, boxWidth(box) / 2, boxHeight(box) / 2);
  if (r < FLATTEN_MM) return boxRegion(box);
  const corners: Point[] = [
    [box.maxX - r, box.maxY - r],
    [box.minX + r, box.maxY - r],
    [box.minX + r, box.minY + r],
    [box.maxX - r, box.minY + r],
  ];
  return regionOf([
    corners.flatMap(([x, y], k): Point[] => [
      ...quarter([x, y], r, r, (k * Math.PI) / 2),
      [x + r * Math.cos(((k + 1) * Math.PI) / 2), y + r * Math.sin(((k + 1) * Math.PI) / 2)],
    ]),
  ]);
}

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
