import { signedArea, type Point } from '../geometry';
import type { Photo } from '../job';
import { good, refused, type Result } from '../units';

/** A map between two planes that keeps straight lines straight, row by row. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** Where a point of the one plane lies on the other. */
export function throughHomography(h: Homography, [x, y]: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}

/** The map back, by the adjugate. */
export function inverseHomography([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
}

/** Solves n linear equations by elimination with the largest pivot; undefined when they do not determine the answer. */
function solve(rows: number[][]): number[] | undefined {
  const n = rows.length;
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let r = k + 1; r < n; r++) if (Math.abs(rows[r]![k]!) > Math.abs(rows[best]![k]!)) best = r;
    [rows[k], rows[best]] = [rows[best]!, rows[k]!];
    const pivot = rows[k]![k]!;
    if (Math.abs(pivot) < 1e-12) return undefined;
    for (let r = 0; r < n; r++) {
      if (r === k) continue;
      const share = rows[r]![k]! / pivot;
      for (let c = k; c <= n; c++) rows[r]![c]! -= share * rows[k]![c]!;
    }
  }
  return rows.map((row, k) => row[n]! / row[k]!);
}

const CROSSED = 'Drag the corners so that they go round the sheet in order: upper left, upper right, lower right, lower left.';

/** Whether four corners go round without crossing, and not nearly along one line. */
function isRound(corners: readonly Point[]): boolean {
  const turns = corners.map((b, i) => {
    const [a, c] = [corners[(i + 3) % 4]!, corners[(i + 1) % 4]!];
    return (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]);
  });
  const size = Math.abs(signedArea(corners));
  return size > 100 && (turns.every((t) => t > size * 0.01) || turns.every((t) => t < -size * 0.01));
}

/**
 * The map from a photo to the plane that a known rectangle lies in, mm, y up, the rectangle's lower left at 0; by the direct linear
 * transformation (Hartley and Zisserman,
 * 2004, Multiple view geometry in computer vision).
 *
 * @param corners of the rectangle in the photo, pixels from its upper left: upper left, upper right, lower right, lower left
 * @returns a problem when the corners cross or lie along one line
 */
export function rectify(corners: readonly Point[], width: number, height: number): Result<Homography> {
  if (corners.length !== 4 || !isRound(corners))
    return refused('The four corners cross, or lie along one line.', 'corners that go round', 'Corners', CROSSED);
  const to: Point[] = [
    [0, height],
    [width, height],
    [width, 0],
    [0, 0],
  ];
  const rows = corners.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const h = solve(rows);
  return h
    ? good([...h, 1] as unknown as Homography)
    : refused('The four corners lie along one line.', 'corners that go round', 'Corners', CROSSED);
}

/** The map of a photo taken straight on, of which one length is known: it only scales. */
export function scaledBy(from: Point, to: Point, length: number): Result<Homography> {
  const pixels = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (pixels < 10 || !(length > 0))
    return refused(
      'The two ends are too near to each other.',
      'ends further apart',
      'Known length',
      'Drag the two ends onto something whose length you know, as long as possible.',
    );
  const k = length / pixels;
  return good([k, 0, -k * from[0], 0, -k, k * from[1], 0, 0, 1]);
}

/** The map of a photo as it was set up. */
export const photoMap = (photo: Photo): Result<Homography> =>
  photo.known.kind === 'sheet'
    ? rectify(photo.known.corners, photo.known.width, photo.known.height)
    : scaledBy(photo.known.ends[0], photo.known.ends[1], photo.known.length);
