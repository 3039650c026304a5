import type { Point, Segment } from '../../geometry';

import { arcWay, degrees, polyline, type Group, type Loose } from './dxfWays';
import { splinePoints } from './spline';

/** Groups read one after another. */
class Groups {
  #at = 0;
  constructor(readonly groups: readonly Group[]) {}
  /** The next group of a code, from here on. */
  seek(code: number): number | undefined {
    while (this.#at < this.groups.length) {
      const group = this.groups[this.#at++]!;
      if (group.code === code) return Number(group.value);
    }
    return undefined;
  }
  /** The next group where it has that code; nothing, and no step on, where it has not. */
  next(code: number): number | undefined {
    const group = this.groups[this.#at];
    if (group?.code !== code) return undefined;
    this.#at += 1;
    return Number(group.value);
  }
  point(code = 10): Point {
    return [this.seek(code) ?? Number.NaN, this.seek(code + 10) ?? Number.NaN];
  }
}

/** More edges than this no boundary has. */
const MOST_EDGES = 100_000;
const LINE = 1;
const ARC = 2;
const ELLIPSE = 3;
const SPLINE = 4;

/** One edge of a boundary, from its start. */
function edgeOf(groups: Groups, tolerance: number): Loose | undefined {
  const kind = groups.seek(72);
  if (kind === LINE) {
    const [from, to] = [groups.point(), groups.point(11)];
    return { from, segments: [['L', to]], closed: false };
  }
  if (kind === ARC || kind === ELLIPSE) {
    const centre = groups.point();
    const axis: Point = kind === ARC ? [1, 0] : groups.point(11);
    const size = groups.seek(40) ?? Number.NaN;
    const major = kind === ARC ? size : Math.hypot(axis[0], axis[1]);
    const minor = kind === ARC ? size : major * size;
    const [from, to] = [degrees(groups.seek(50) ?? 0), degrees(groups.seek(51) ?? 360)];
    const clockwise = groups.seek(73) === 0;
    const turn = Math.atan2(axis[1], axis[0]);
    // what runs clockwise has its angles counted clockwise
    return arcWay(centre, [major, minor], turn, clockwise ? [-from, -to] : [from, to], clockwise);
  }
  if (kind === SPLINE) {
    const degree = groups.seek(94) ?? 3;
    const rational = groups.seek(73) === 1;
    groups.seek(74);
    const [knotCount, controlCount] = [groups.seek(95) ?? 0, groups.seek(96) ?? 0];
    if (knotCount > MOST_EDGES || controlCount > MOST_EDGES) return undefined;
    const knots = Array.from({ length: knotCount }, () => groups.seek(40) ?? Number.NaN);
    const control: Point[] = [];
    const weights: number[] = [];
    for (let i = 0; i < controlCount; i++) {
      control.push(groups.point());
      weights.push(groups.next(42) ?? 1);
    }
    const points = splinePoints({ control, knots, degree, ...(rational ? { weights } : {}) }, tolerance);
    return points.length < 2 ? undefined : { from: points[0]!, segments: points.slice(1).map((p): Segment => ['L', p]), closed: false };
  }
  return undefined;
}

/**
 * The boundaries of a solid hatch, each a closed way; none where it is drawn in lines, or cannot be read.
 *
 * @param groups all that stands in the file of it
 * @param tolerance how near splines are followed, units of the drawing
 */
export function hatchWays(all: readonly Group[], tolerance: number): Loose[] {
  const groups = new Groups(all);
  if (groups.seek(70) !== 1) return [];
  const count = groups.seek(91) ?? 0;
  const ways: Loose[] = [];
  for (let i = 0; i < count && i < MOST_EDGES; i++) {
    const flags = groups.seek(92);
    if (flags === undefined) break;
    if ((flags & 2) !== 0) {
      const bulges = groups.seek(72) === 1;
      groups.seek(73);
      const vertices = Array.from({ length: Math.min(groups.seek(93) ?? 0, MOST_EDGES) }, () => {
        const [x, y] = groups.point();
        const bulge = bulges ? groups.next(42) : undefined;
        return { x, y, ...(bulge === undefined ? {} : { bulge }) };
      });
      const way = polyline(vertices, true);
      if (way) ways.push(way);
    } else {
      const edges = Array.from({ length: Math.min(groups.seek(93) ?? 0, MOST_EDGES) }, () => edgeOf(groups, tolerance));
      const [first] = edges;
      if (!first || edges.some((edge) => !edge)) continue;
      // each edge begins where the one before ended
      ways.push({ ...first, segments: edges.flatMap((edge) => edge!.segments), closed: true });
    }
  }
  return ways;
}
