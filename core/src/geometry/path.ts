import { FLATTEN_MM } from '../units';
import type { Box } from './box';
import type { Point, Ring } from './point';
import { applyToPoint, type Transform } from './transform';

/** One step of an outline. Curves are kept as curves until a size is known. */
export type Segment =
  readonly ['M', Point] | readonly ['L', Point] | readonly ['Q', Point, Point] | readonly ['C', Point, Point, Point] | readonly ['Z'];

/** An outline with curves, of any number of closed subpaths. */
export type Path = readonly Segment[];

/** How far the middle of three points lies off, mm: their second difference. */
const bow = (p: Point, q: Point, r: Point): number => Math.sqrt((p[0] - 2 * q[0] + r[0]) ** 2 + (p[1] - 2 * q[1] + r[1]) ** 2);

/** Steps that keep a quadratic within `tol`: √(|second difference| / 4·tol). */
function quadraticSteps(p: Point, q: Point, r: Point, tol: number): number {
  const d = bow(p, q, r);
  return Math.max(1, Math.ceil(Math.sqrt(d / (4 * tol))));
}

/** Steps that keep a cubic within `tol`, by Wang's bound (Wang, 1984, on the second differences of a Bézier curve). */
function cubicSteps(p: Point, q: Point, r: Point, s: Point, tol: number): number {
  const d = Math.max(bow(p, q, r), bow(q, r, s));
  return Math.max(1, Math.ceil(Math.sqrt((6 * d) / (8 * tol))));
}

/** A way of straight edges, closed or open. */
export interface Line {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/**
 * Turns an outline into ways of straight edges, open ones kept open.
 *
 * @param path the outline
 * @param map applied first, so that the tolerance is in mm of the result
 * @param tolerance the greatest distance between curve and way, mm
 * @returns ways as drawn, single points too
 */
export function linesOf(path: Path, map: Transform = [1, 0, 0, 1, 0, 0], tolerance = FLATTEN_MM): Line[] {
  const lines: Line[] = [];
  let points: Point[] = [];
  let at: Point = [0, 0];
  const end = (closed: boolean) => {
    if (points.length > 0) lines.push({ points, closed });
    points = [];
  };
  for (const segment of path) {
    if (segment[0] === 'Z') {
      const first = points[0];
      end(true);
      if (first) at = first;
      continue;
    }
    const last = applyToPoint(map, segment[segment.length - 1] as Point);
    if (segment[0] === 'M') {
      end(false);
      points = [last];
    } else {
      if (points.length === 0) points = [at];
      if (segment[0] === 'L') points.push(last);
      else if (segment[0] === 'Q') {
        const q = applyToPoint(map, segment[1]);
        const r = last;
        const n = quadraticSteps(at, q, r, tolerance);
        for (let i = 1; i < n; i++) {
          const [t, u] = [i / n, 1 - i / n];
          const [a, b, c] = [u * u, 2 * u * t, t * t];
          points.push([a * at[0] + b * q[0] + c * r[0], a * at[1] + b * q[1] + c * r[1]]);
        }
        points.push(r);
      } else {
        const [q, r, s] = [applyToPoint(map, segment[1]), applyToPoint(map, segment[2]), last];
        const n = cubicSteps(at, q, r, s, tolerance);
        for (let i = 1; i < n; i++) {
          const [t, u] = [i / n, 1 - i / n];
          const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
          points.push([a * at[0] + b * q[0] + c * r[0] + d * s[0], a * at[1] + b * q[1] + c * r[1] + d * s[1]]);
        }
        points.push(s);
      }
    }
    at = last;
  }
  end(false);
  return lines;
}

/**
 * Turns an outline into rings of straight edges.
 *
 * @param path the outline; open subpaths are closed
 * @param map applied first, so that the tolerance is in mm of the result
 * @param tolerance the greatest distance between curve and ring, mm
 * @returns rings as drawn: not yet wound or untangled; those under three points are left out
 */
export const flatten = (path: Path, map: Transform = [1, 0, 0, 1, 0, 0], tolerance = FLATTEN_MM): Ring[] =>
  linesOf(path, map, tolerance).flatMap(({ points }) => {
    const [first, last] = [points[0]!, points.at(-1)!];
    const ring = points.length > 1 && first[0] === last[0] && first[1] === last[1] ? points.slice(0, -1) : points;
    return ring.length >= 3 ? [ring] : [];
  });

/** The box around the control points of paths: it holds their outlines. Of none, a box of no size at the origin. */
export function boxOfPaths(paths: readonly Path[]): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const path of paths)
    for (const segment of path)
      for (let k = 1; k < segment.length; k++) {
        const [x, y] = segment[k] as Point;
        if (x < minX) minX = x;
        if (x > maxX) maxX = x;
        if (y < minY) minY = y;
        if (y > maxY) maxY = y;
      }
  return minX > maxX ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : { minX, minY, maxX, maxY };
}

/** A path with every point mapped. */
export function mapPath(path: Path, map: Transform): Path {
  const mapped = new Array<Segment>(path.length);
  for (let i = 0; i < path.length; i++) {
    const segment = path[i]!;
    switch (segment[0]) {
      case 'Z':
        mapped[i] = segment;
        break;
      case 'Q':
        mapped[i] = ['Q', applyToPoint(map, segment[1]), applyToPoint(map, segment[2])];
        break;
      case 'C':
        mapped[i] = ['C', applyToPoint(map, segment[1]), applyToPoint(map, segment[2]), applyToPoint(map, segment[3])];
        break;
      default:
        mapped[i] = [segment[0], applyToPoint(map, segment[1])];
    }
  }
  return mapped;
}
