import { boxOfPoints, boxCentre, convexHull, distance, reach, signedArea, type Point, type Ring } from '../geometry';

/** The largest copy of an outline in a zone. */
export interface LargestFit {
  /** Against the outline as given; 0 when the zone is smaller than its margin. */
  readonly scale: number;
  /** Where the outline's origin comes to lie, mm. */
  readonly at: Point;
}

/** An origin this little outside an edge that the outline does not reach beyond is on it, mm. */
const NEAR = 1e-6;

interface HalfPlane {
  readonly n: Point;
  readonly c: number;
}

/** The edges of a convex zone as half-planes n·p ≤ c with unit normals. */
function halfPlanes(zone: Ring): HalfPlane[] {
  const ring = signedArea(zone) > 0 ? zone : zone.toReversed();
  return ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const length = distance(a, b);
    if (length < 1e-9) return [];
    const n: Point = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length];
    return [{ n, c: n[0] * a[0] + n[1] * a[1] }];
  });
}

/** What is left of a convex ring on the near side of a line. */
function clip(ring: Ring, { n, c }: HalfPlane): Point[] {
  const kept: Point[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const [da, db] = [n[0] * a[0] + n[1] * a[1] - c, n[0] * b[0] + n[1] * b[1] - c];
    if (da <= 0) kept.push(a);
    if (da < 0 !== db < 0 && da !== db) {
      const t = da / (da - db);
      if (t > 0 && t < 1) kept.push([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]);
    }
  });
  return kept;
}

/** Places for the origin at which the outline, `scale` times as large, stays inside. */
function places(zone: Ring, planes: readonly HalfPlane[], reaches: readonly number[], margin: number, scale: number): Point[] {
  let left: Point[] = [...zone];
  for (let i = 0; i < planes.length && left.length > 0; i++) {
    const plane = planes[i]!;
    left = clip(left, { n: plane.n, c: plane.c - margin - scale * reaches[i]! });
  }
  return left;
}

/**
 * The largest scale at which an outline lies in a convex zone with a margin all round, and where.
 *
 * In a convex zone an outline lies where its hull does: n·t + s·h(n) ≤ c − margin for each edge, h the hull's reach. That is a linear
 * programme in (s, x, y), solved by halving s and cutting the places that are left; s is exact to 1 part in 10⁹.
 *
 * @param points of the true outline, mm, around its own origin
 * @param zone a convex ring, mm; its hull is taken when it is not convex
 * @param margin breathing room, mm
 * @param at keeps the origin there instead of choosing the place
 * @returns scale 0 at the zone's middle when the zone is smaller than its margin; where several places are as good, the middle of them
 */
export function largestFit(points: readonly Point[], zone: Ring, margin: number, at?: Point): LargestFit {
  const convex = convexHull(zone);
  const hull = convexHull(points);
  const planes = halfPlanes(convex);
  const reaches = planes.map(({ n }) => reach(hull.length >= 3 ? hull : points, n));
  const middle = boxCentre(boxOfPoints(convex));
  if (at) {
    const scale = planes.reduce((least, { n, c }, i) => {
      const room = c - margin - (n[0] * at[0] + n[1] * at[1]);
      return reaches[i]! > 1e-12 ? Math.min(least, room / reaches[i]!) : room < -NEAR ? 0 : least;
    }, Infinity);
    return { scale: Number.isFinite(scale) ? Math.max(0, scale) : 0, at };
  }
  if (places(convex, planes, reaches, margin, 0).length === 0) return { scale: 0, at: middle };
  let low = 0;
  let high = 1;
  while (places(convex, planes, reaches, margin, high).length > 0 && high < 1e9) [low, high] = [high, high * 2];
  for (let i = 0; i < 60 && high - low > low * 1e-9; i++) {
    const mid = (low + high) / 2;
    if (places(convex, planes, reaches, margin, mid).length > 0) low = mid;
    else high = mid;
  }
  const left = places(convex, planes, reaches, margin, low * (1 - 1e-9));
  return { scale: low, at: left.length > 0 ? boxCentre(boxOfPoints(left)) : middle };
}
