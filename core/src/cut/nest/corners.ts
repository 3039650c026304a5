import { distance, type Point, type Region, type Ring } from '../../geometry';

/** Edges that lie so near each other touch, mm, and so nearly the same way, as a sine. */
const TOUCHING = { apart: 0.15, sine: 0.01 } as const;
/** A part may cross the edge of what is free by so much, mm. */
const OVER = 0.05;
/** Steps in the edge of what is free under this are rounding, mm. */
export const STEP = 0.4;
/** A corner that is nearly straight is none, as a sine. */
const FLAT = 0.02;

/** A corner of what is free: where it is, and which way its sides go from there, radians; what is free lies between them. */
export interface Corner {
  readonly at: Point;
  readonly right: number;
  readonly left: number;
  /** How long both sides are, mm. */
  readonly long: readonly [number, number];
}

/** The first edge from a corner, one way or the other, that is no rounding. */
function sideFrom(ring: Ring, from: number, way: 1 | -1): readonly [Point, Point] {
  let walked = 0;
  for (let k = 0; k < ring.length; k++) {
    const a = ring[(from + way * k + ring.length * 2) % ring.length]!;
    const b = ring[(from + way * (k + 1) + ring.length * 2) % ring.length]!;
    walked += distance(a, b);
    if (walked >= STEP) return [a, b];
  }
  return [ring[from]!, ring[(from + way + ring.length) % ring.length]!];
}

/** The corners of what is free that a part may go into, the lowest first. */
export function cornersOf(free: Region, top: number): Corner[] {
  return free
    .flatMap(({ outer: ring }) =>
      ring.flatMap(([x, y], at): Corner[] => {
        if (y > top) return [];
        const [[ax, ay], [bx, by]] = sideFrom(ring, at, 1);
        const [[cx, cy], [dx, dy]] = sideFrom(ring, at, -1);
        const [vx, vy, wx, wy] = [bx - ax, by - ay, dx - cx, dy - cy];
        const cross = vx * wy - vy * wx;
        if (cross < FLAT * Math.hypot(vx, vy) * Math.hypot(wx, wy)) return [];
        const right = Math.atan2(vy, vx);
        const left = Math.atan2(wy, wx);
        // where both sides meet, were there no rounding
        const along = ((cx - ax) * wy - (cy - ay) * wx) / cross;
        const meet: Point = [ax + along * vx, ay + along * vy];
        if (distance(meet, [x, y]) > 2 * STEP) return [];
        return [{ at: meet, right, left, long: [distance(meet, [bx, by]), distance(meet, [dx, dy])] }];
      }),
    )
    .toSorted((a, b) => a.at[1] - b.at[1] || a.at[0] - b.at[0]);
}

/** mm² of a region that lie below a height. */
export function areaBelow(region: Region, top: number): number {
  let sum = 0;
  for (const { outer, holes } of region)
    for (const ring of [outer, ...holes])
      for (let i = 0; i < ring.length; i++) {
        let [[ax, ay], [bx, by]] = [ring[i]!, ring[(i + 1) % ring.length]!];
        if (ay >= top && by >= top) continue;
        // what is below, down from the height: edges above it add nothing
        if (ay > top) [ax, ay] = [ax + ((bx - ax) * (ay - top)) / (ay - by), top];
        if (by > top) [bx, by] = [bx + ((ax - bx) * (by - top)) / (by - ay), top];
        sum += ((bx - ax) * (2 * top - ay - by)) / 2;
      }
  return sum;
}

/** Edges of what is free, as numbers. */
export interface Edges {
  readonly count: number;
  readonly from: Float64Array;
}

export function edgesOf(free: Region): Edges {
  const rings = free.flatMap(({ outer, holes }) => [outer, ...holes]);
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  const from = new Float64Array(count * 4);
  let at = 0;
  for (const ring of rings)
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
      from.set([a[0], a[1], b[0], b[1]], at);
      at += 4;
    }
  return { count, from };
}

/** mm of a part's edges that touch the edge of what is free; undefined where it would reach beyond that. */
export function touchingOf(ring: Ring, x: number, y: number, { count, from }: Edges): number | undefined {
  let sum = 0;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
    const [px, py, qx, qy] = [a[0] + x, a[1] + y, b[0] + x, b[1] + y];
    const long = Math.hypot(qx - px, qy - py);
    const [ux, uy] = [(qx - px) / long, (qy - py) / long];
    const [minX, maxX, minY, maxY] = [
      Math.min(px, qx) - TOUCHING.apart,
      Math.max(px, qx) + TOUCHING.apart,
      Math.min(py, qy) - TOUCHING.apart,
      Math.max(py, qy) + TOUCHING.apart,
    ];
    for (let k = 0; k < count * 4; k += 4) {
      const [ax, ay, bx, by] = [from[k]!, from[k + 1]!, from[k + 2]!, from[k + 3]!];
      if ((ax < minX && bx < minX) || (ax > maxX && bx > maxX) || (ay < minY && by < minY) || (ay > maxY && by > maxY)) continue;
      // how far both ends lie to the inner side of the part's edge
      const one = ux * (ay - py) - uy * (ax - px);
      const other = ux * (by - py) - uy * (bx - px);
      const [vx, vy] = [bx - ax, by - ay];
      const side = Math.hypot(vx, vy);
      if (side < 1e-9) continue;
      const sine = (ux * vy - uy * vx) / side;
      if (Math.abs(sine) < TOUCHING.sine && Math.min(Math.abs(one), Math.abs(other)) < TOUCHING.apart && ux * vx + uy * vy > 0) {
        const [s, e] = [ux * (ax - px) + uy * (ay - py), ux * (bx - px) + uy * (by - py)];
        sum += Math.max(0, Math.min(long, e) - Math.max(0, s));
        continue;
      }
      // an edge of what is free that goes through the part's edge, and not just at its ends
      if (Math.max(one, other) <= OVER || Math.min(one, other) >= -OVER) continue;
      const t = one / (one - other);
      const [mx, my] = [ax + t * vx, ay + t * vy];
      const along = ux * (mx - px) + uy * (my - py);
      if (along > OVER && along < long - OVER) return undefined;
    }
  }
  return sum;
}

/** Whether a corner of what is free, or a point of its edge, lies well inside a part. */
export function cornersInside(ring: Ring, x: number, y: number, { count, from }: Edges): boolean {
  const deep = (px: number, py: number): boolean => {
    let within = false;
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
      const [ax, ay, bx, by] = [a[0] + x, a[1] + y, b[0] + x, b[1] + y];
      const long = Math.hypot(bx - ax, by - ay);
      const t = Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / (long * long)));
      if (Math.hypot(px - ax - t * (bx - ax), py - ay - t * (by - ay)) < OVER) return false;
      if (ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax) within = !within;
    }
    return within;
  };
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [px, py] of ring) {
    minX = Math.min(minX, px + x);
    maxX = Math.max(maxX, px + x);
    minY = Math.min(minY, py + y);
    maxY = Math.max(maxY, py + y);
  }
  const within = (px: number, py: number) => px > minX && px < maxX && py > minY && py < maxY && deep(px, py);
  for (let k = 0; k < count * 4; k += 4) {
    if (within(from[k]!, from[k + 1]!)) return true;
    if (within((from[k]! + from[k + 2]!) / 2, (from[k + 1]! + from[k + 3]!) / 2)) return true;
  }
  return false;
}

/**
 * Where a part lies in a corner: against both of its sides.
 *
 * @returns nothing where it touches one of them only beyond its end
 */
export function inWedge(ring: Ring, { at, right, left, long }: Corner): Point | undefined {
  const [ux, uy, wx, wy] = [Math.cos(right), Math.sin(right), Math.cos(left), Math.sin(left)];
  // how far each side has to be left behind: the part's reach beyond it
  let [below, beside] = [Infinity, -Infinity];
  for (const [px, py] of ring) {
    below = Math.min(below, ux * py - uy * px);
    beside = Math.max(beside, wx * py - wy * px);
  }
  const cross = ux * wy - uy * wx;
  if (cross < FLAT) return undefined;
  // the middle that touches both sides
  const [f, g] = [-below, -beside];
  const [x, y] = [(f * wx - g * ux) / cross, (f * wy - g * uy) / cross];
  // which touches them where they are, not where they would go on
  let [onRight, onLeft] = [Infinity, Infinity];
  for (const [px, py] of ring) {
    if (ux * py - uy * px < below + OVER) onRight = Math.min(onRight, ux * (px + x) + uy * (py + y));
    if (wx * py - wy * px > beside - OVER) onLeft = Math.min(onLeft, wx * (px + x) + wy * (py + y));
  }
  if (onRight > long[0] + OVER || onLeft > long[1] + OVER) return undefined;
  return [at[0] + x, at[1] + y];
}
