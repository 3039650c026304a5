import { flatten, intersection, regionOf, type Path, type Point } from '../../geometry';

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

/** Whether the outlines of two letters meet, the second moved to the left by so much, em. */
function meet(left: Path, right: Path, by: number): boolean {
  const region = (path: Path, shift: number) =>
    regionOf(flatten(path, [LOOKED_AT, 0, 0, LOOKED_AT, -shift * LOOKED_AT, 0], FINE * LOOKED_AT), 'nonzero', true);
  return intersection(region(left, 0), region(right, by)).length > 0;
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
