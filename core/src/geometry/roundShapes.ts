import { FLATTEN_MM } from '../units';
import { regionOf } from './boolean';
import { boxHeight, boxRegion, boxWidth, type Box } from './box';
import type { Point, Region } from './point';

/** A quarter of an ellipse from `from` (radians), both ends with it. */
function quarter([cx, cy]: Point, rx: number, ry: number, from: number): Point[] {
  const r = Math.max(rx, ry, FLATTEN_MM);
  const n = Math.max(2, Math.ceil(Math.PI / 4 / Math.acos(Math.max(0.5, 1 - FLATTEN_MM / r))));
  return Array.from({ length: n + 1 }, (_, i): Point => {
    const a = from + (Math.PI / 2) * (i / n);
    return [cx + rx * Math.cos(a), cy + ry * Math.sin(a)];
  });
}

/** An ellipse that fills a box, mm. */
export function ellipseIn(box: Box): Region {
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const quarters = [0, 1, 2, 3].map((k) => quarter(middle, boxWidth(box) / 2, boxHeight(box) / 2, (k * Math.PI) / 2));
  return [{ outer: quarters.flatMap((points) => points.slice(0, -1)), holes: [] }];
}

/** A box with rounded corners, mm; a radius of half a side or more makes that side round. */
export function roundedBox(box: Box, radius: number): Region {
  const r = Math.min(radius, boxWidth(box) / 2, boxHeight(box) / 2);
  if (r < FLATTEN_MM) return boxRegion(box);
  const corners: Point[] = [
    [box.maxX - r, box.maxY - r],
    [box.minX + r, box.maxY - r],
    [box.minX + r, box.minY + r],
    [box.maxX - r, box.minY + r],
  ];
  return regionOf([corners.flatMap((corner, k) => quarter(corner, r, r, (k * Math.PI) / 2))]);
}
