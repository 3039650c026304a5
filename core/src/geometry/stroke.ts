import { clipperStroke, type Cap, type Join } from './clipper';
import type { Line } from './path';
import { distance, type Point, type Region } from './point';

export type { Cap, Join } from './clipper';

/** How a line is drawn. */
export interface Pen {
  /** mm. */
  readonly width: number;
  readonly cap: Cap;
  readonly join: Join;
  /** A mitre longer than this many widths is cut off. */
  readonly miterLimit: number;
}

/** What a pen leaves that follows ways: round where it is round, mitred where it may be. */
export const strokeOutline = (lines: readonly Line[], pen: Pen): Region =>
  pen.width > 0 ? clipperStroke(lines, pen.width, pen.cap, pen.join, pen.miterLimit) : [];

/** Dashes of all ways together are at most so many; finer ones are drawn through. */
const MOST_DASHES = 3000;

/**
 * Parts ways into dashes.
 *
 * @param pattern lengths of dash and gap in turn, mm; an odd count is gone through twice; all zero leaves the ways whole
 * @param offset how far into the pattern a way begins, mm
 */
export function dashed(lines: readonly Line[], pattern: readonly number[], offset: number): Line[] {
  const whole = pattern.length % 2 === 1 ? [...pattern, ...pattern] : pattern;
  const period = whole.reduce((sum, n) => sum + n, 0);
  if (!(period > 0) || whole.some((n) => !(n >= 0))) return [...lines];
  const length = lines.reduce((sum, { points }) => sum + points.slice(1).reduce((way, p, i) => way + distance(points[i]!, p), 0), 0);
  if ((length / period) * (whole.length / 2) > MOST_DASHES) return [...lines];
  const dashes: Line[] = [];
  for (const { points, closed } of lines) {
    const way = closed && points.length > 1 ? [...points, points[0]!] : points;
    let left = ((offset % period) + period) % period;
    let i = 0;
    while (left >= whole[i]! && (left > 0 || whole[i] === 0)) {
      left -= whole[i]!;
      i = (i + 1) % whole.length;
    }
    left = whole[i]! - left;
    let dash: Point[] = i % 2 === 0 ? [way[0]!] : [];
    for (let k = 0; k + 1 < way.length; k++) {
      let from = way[k]!;
      const to = way[k + 1]!;
      let length = distance(from, to);
      while (length > left && dashes.length < MOST_DASHES) {
        const t = left / length;
        const cut: Point = [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
        if (i % 2 === 0) dashes.push({ points: [...dash, cut], closed: false });
        length -= left;
        from = cut;
        i = (i + 1) % whole.length;
        left = whole[i]!;
        dash = i % 2 === 0 ? [cut] : [];
      }
      left -= length;
      if (i % 2 === 0) dash.push(to);
    }
    if (dash.length > 1) dashes.push({ points: dash, closed: false });
  }
  return dashes;
}
