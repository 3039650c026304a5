import { countWork } from '../units';

/** So many pairs of edges are looked at in a step. */
const PAIRS = 60;

/** A point of whole numbers, thousandths of a mm. */
export interface XY {
  x: number;
  y: number;
}

/** Where three points turn: above 0 to the left. Exact for whole numbers up to tens of millions. */
const turn = (a: XY, b: XY, c: XY): number => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);

/** Whether two edges share a point. */
function meet(a: XY, b: XY, c: XY, d: XY): boolean {
  const [p, q] = [turn(a, b, c), turn(a, b, d)];
  if ((p > 0 && q > 0) || (p < 0 && q < 0)) return false;
  const [r, s] = [turn(c, d, a), turn(c, d, b)];
  if ((r > 0 && s > 0) || (r < 0 && s < 0)) return false;
  // along one line only boxes tell, and those are known to meet
  return true;
}

/** Goes through pairs of edges that meet, from left to right, until it is told to stop; neighbours along a ring, which share a corner, do not count. */
function eachMeeting(rings: readonly (readonly XY[])[], group: readonly number[] | undefined, stops: () => boolean): boolean {
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  const from: XY[] = new Array<XY>(count);
  const to: XY[] = new Array<XY>(count);
  const ringOf = new Int32Array(count);
  const left = new Float64Array(count);
  let n = 0;
  rings.forEach((ring, r) => {
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[i + 1 < ring.length ? i + 1 : 0]!];
      from[n] = a;
      to[n] = b;
      ringOf[n] = r;
      left[n] = a.x < b.x ? a.x : b.x;
      n++;
    }
  });
  const order = new Uint32Array(count).map((_, i) => i).sort((i, j) => left[i]! - left[j]!);
  const active: number[] = [];
  for (const i of order) {
    const [a, b] = [from[i]!, to[i]!];
    const [low, high] = a.y < b.y ? [a.y, b.y] : [b.y, a.y];
    let kept = 0;
    countWork(active.length / PAIRS);
    for (const j of active) {
      const [c, d] = [from[j]!, to[j]!];
      if (c.x < left[i]! && d.x < left[i]!) continue;
      active[kept++] = j;
      if ((c.y < low && d.y < low) || (c.y > high && d.y > high)) continue;
      if (group ? group[ringOf[i]!] === group[ringOf[j]!] : ringOf[i] === ringOf[j] && (a === d || b === c)) continue;
      if (meet(a, b, c, d) && stops()) return true;
    }
    active.length = kept;
    active.push(i);
  }
  return false;
}

/**
 * Whether edges of rings cross or touch, each other's or their own; neighbours along a ring, which share a corner, do not count.
 *
 * @param rings whole numbers, without repeated points and without points where a ring turns straight back
 * @param group of each ring: edges of one group are not compared; as many as there are rings
 */
export const edgesMeet = (rings: readonly (readonly XY[])[], group?: readonly number[]): boolean => eachMeeting(rings, group, () => true);

/** The polygon library takes about so many steps for each pair of edges that cross. */
const CROSSING = 4;

/** Counts the work of the crossings of rings before the polygon library is at them: it cannot be stopped. */
export function countCrossings(rings: readonly (readonly XY[])[]): void {
  eachMeeting(rings, undefined, () => {
    countWork(CROSSING);
    return false;
  });
}
