import { boxOfPoints, flatten, intersection, regionOf, type Path, type Point, type Ring } from '../../geometry';

/** Heights at which two letters are compared, em. */
const STEP = 0.008;
/** Letters that were apart are made to overlap by this, em, so that the join is no hair. */
const LAP = 0.014;
/** Letters further apart than this are meant to be, em. */
const MOST = 0.45;
/** Curves are followed this closely, em. */
const FINE = 0.002;
/** Outlines are compared as large as this, mm an em. */
const LOOKED_AT = 100;
/** Letters that lie within each other's reach and do not touch are moved on by so much at a time, em. */
const NEARER = 0.02;

/** At each height that a letter crosses, how far it reaches to a side, em. */
function profile(path: Path, side: 1 | -1): Map<number, number> {
  const reach = new Map<number, number>();
  const note = ([x, y]: Point) => {
    const row = Math.round(y / STEP);
    const before = reach.get(row);
    if (before === undefined || side * x > side * before) reach.set(row, x);
  };
  for (const ring of flatten(path, [1, 0, 0, 1, 0, 0], FINE)) {
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const n = Math.max(1, Math.ceil((Math.abs(b[1] - a[1]) / STEP) * 2));
      for (let k = 0; k <= n; k++) note([a[0] + ((b[0] - a[0]) * k) / n, a[1] + ((b[1] - a[1]) * k) / n]);
    });
  }
  return reach;
}

type Edge = readonly [a: Point, b: Point];

/** Edges of rings that reach into a stretch from left to right. */
const edgesWithin = (rings: readonly Ring[], from: number, to: number): Edge[] =>
  rings.flatMap((ring) =>
    ring.flatMap((a, i): Edge[] => {
      const b = ring[(i + 1) % ring.length]!;
      return Math.max(a[0], b[0]) >= from && Math.min(a[0], b[0]) <= to ? [[a, b]] : [];
    }),
  );

const turn = (a: Point, b: Point, c: Point): number => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether two edges cross, neither just touching the other. */
const cross = ([a, b]: Edge, [c, d]: Edge): boolean =>
  Math.max(a[1], b[1]) > Math.min(c[1], d[1]) &&
  Math.max(c[1], d[1]) > Math.min(a[1], b[1]) &&
  turn(a, b, c) * turn(a, b, d) < 0 &&
  turn(c, d, a) * turn(c, d, b) < 0;

/** Whether the outlines of two letters meet, the second moved to the left by so much, em. */
function meet(left: Path, right: Path, by: number): boolean {
  const rings = (path: Path, shift: number) => flatten(path, [LOOKED_AT, 0, 0, LOOKED_AT, -shift * LOOKED_AT, 0], FINE * LOOKED_AT);
  const [a, b] = [rings(left, 0), rings(right, by)];
  // outlines that cross share some area on one side or the other of where they do
  const [from, to] = [boxOfPoints(b.flat()).minX, boxOfPoints(a.flat()).maxX];
  const others = edgesWithin(b, from, to);
  if (edgesWithin(a, from, to).some((edge) => others.some((other) => cross(edge, other)))) return true;
  return intersection(regionOf(a, 'nonzero', true), regionOf(b, 'nonzero', true)).length > 0;
}

/**
 * How far the right of two letters has to move left until they touch.
 *
 * @param left, right outlines at their places, em
 * @returns em, overlap included; 0 when they touch already; undefined when no move within reach joins them
 */
export function closeUpBy(left: Path, right: Path): number | undefined {
  const [a, b] = [profile(left, 1), profile(right, -1)];
  let gap = Infinity;
  for (const [row, x] of a) {
    // corners between rows are not missed: a row above and below count as well
    for (const near of [row - 1, row, row + 1]) {
      const other = b.get(near);
      if (other !== undefined) gap = Math.min(gap, other - x);
    }
  }
  if (gap > MOST) return undefined;
  // a letter may reach into the opening of another and touch nothing: it is moved on until it does
  for (let by = gap <= 0 ? 0 : gap + LAP; by <= MOST + LAP; by += NEARER) if (meet(left, right, by)) return by;
  return undefined;
}
