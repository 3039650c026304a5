import type { Picture } from '../artwork';
import { boxHeight, boxOfPoints, boxWidth, type Box, type Point } from '../geometry';
import type { Photo } from '../job';
import { inverseHomography, throughHomography, type Homography } from './photo';

/** A plane as it is redrawn from straight above. */
export interface StraightFrame {
  /** What it shows, mm, y up. */
  readonly box: Box;
  readonly perMm: number;
  /** pixels */
  readonly width: number;
  readonly height: number;
}

/** The longer side of what is redrawn, pixels. */
const MOST_PX = 1400;
/** Places of the photo that are looked at for how far the plane reaches, a side. */
const GRID = 24;
/** What lies so much further off than the sheet is left out: towards the horizon a plane has no end. */
const FURTHEST = 3;

/** How far off a place of the photo lies, compared with others: the last row of the map. */
const nearness = (h: Homography, [x, y]: Point) => h[6] * x + h[7] * y + h[8];

/**
 * How much of a photo's plane can be redrawn from straight above, and how finely.
 *
 * @param map from `photoMap`, photo to plane
 */
export function straightFrame(photo: Pick<Photo, 'width' | 'height' | 'known'>, map: Homography): StraightFrame {
  const { known } = photo;
  const fixed = known.kind === 'sheet' ? known.corners : known.ends;
  const middle: Point = [fixed.reduce((s, p) => s + p[0], 0) / fixed.length, fixed.reduce((s, p) => s + p[1], 0) / fixed.length];
  const at = nearness(map, middle);
  const seen = Array.from({ length: (GRID + 1) ** 2 }, (_, i): Point => [
    ((i % (GRID + 1)) / GRID) * photo.width,
    (Math.floor(i / (GRID + 1)) / GRID) * photo.height,
  ]).filter((p) => nearness(map, p) / at > 1 / FURTHEST);
  const box = boxOfPoints([...seen, ...fixed].map((p) => throughHomography(map, p)));
  const perMm = MOST_PX / Math.max(boxWidth(box), boxHeight(box));
  return { box, perMm, width: Math.max(1, Math.round(boxWidth(box) * perMm)), height: Math.max(1, Math.round(boxHeight(box) * perMm)) };
}

/**
 * A photo's plane redrawn from straight above, with colours mixed from the four nearest pixels; what the photo does not show stays clear.
 *
 * @param map from `photoMap`, photo to plane
 */
export function straighten({ data, width, height }: Picture, map: Homography, frame: StraightFrame): Picture {
  const back = inverseHomography(map);
  const out = new Uint8ClampedArray(frame.width * frame.height * 4);
  for (let py = 0; py < frame.height; py++) {
    for (let px = 0; px < frame.width; px++) {
      const mm: Point = [frame.box.minX + (px + 0.5) / frame.perMm, frame.box.maxY - (py + 0.5) / frame.perMm];
      const [sx, sy] = throughHomography(back, mm);
      const [fx, fy] = [sx - 0.5, sy - 0.5];
      const [x0, y0] = [Math.floor(fx), Math.floor(fy)];
      if (!(x0 >= 0 && y0 >= 0 && x0 < width - 1 && y0 < height - 1)) continue;
      const [u, v] = [fx - x0, fy - y0];
      const from = 4 * (y0 * width + x0);
      const to = 4 * (py * frame.width + px);
      for (let c = 0; c < 4; c++) {
        const upper = data[from + c]! * (1 - u) + data[from + 4 + c]! * u;
        const lower = data[from + 4 * width + c]! * (1 - u) + data[from + 4 * width + 4 + c]! * u;
        out[to + c] = upper * (1 - v) + lower * v;
      }
    }
  }
  return { width: frame.width, height: frame.height, data: out };
}
