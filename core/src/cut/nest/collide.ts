import { CHAIN, type NestShape } from './nestShape';

/** Whether a point lies in a shape at the origin. */
function inside({ ax, ay, bx, by, minX, maxX, minY, maxY }: NestShape, x: number, y: number): boolean {
  if (x < minX || x > maxX || y < minY || y > maxY) return false;
  let within = false;
  for (let i = 0; i < ax.length; i++) {
    const y0 = ay[i]!;
    const y1 = by[i]!;
    if (y0 > y !== y1 > y && x < ((bx[i]! - ax[i]!) * (y - y0)) / (y1 - y0) + ax[i]!) within = !within;
  }
  return within;
}

/** Chains of the second shape that lie by the first; kept between calls, for a new list each time costs more than the test. */
const near = new Int32Array(20_000);

/** Whether the outlines of two shapes cross, the second where it lies against the first, mm. */
export function edgesCross(a: NestShape, b: NestShape, dx: number, dy: number): boolean {
  const chains = b.chains;
  let count = 0;
  for (let j = 0, o = 0; o < chains.length && count < near.length; j++, o += 4) {
    if (chains[o]! + dx > a.maxX || chains[o + 1]! + dx < a.minX || chains[o + 2]! + dy > a.maxY || chains[o + 3]! + dy < a.minY) continue;
    near[count++] = j;
  }
  if (count === 0) return false;
  const own = a.chains;
  const all = a.ax.length;
  for (let i = 0, k = 0; k < own.length; i += CHAIN, k += 4) {
    if (own[k]! > b.maxX + dx || own[k + 1]! < b.minX + dx || own[k + 2]! > b.maxY + dy || own[k + 3]! < b.minY + dy) continue;
    for (let m = 0; m < count; m++) {
      const j = near[m]!;
      const o = j * 4;
      if (
        chains[o]! + dx > own[k + 1]! ||
        chains[o + 1]! + dx < own[k]! ||
        chains[o + 2]! + dy > own[k + 3]! ||
        chains[o + 3]! + dy < own[k + 2]!
      )
        continue;
      if (chainsCross(a, i, Math.min(all, i + CHAIN), b, j, dx, dy)) return true;
    }
  }
  return false;
}

/** The same of some edges of the first shape and one chain of the second. */
function chainsCross(a: NestShape, from: number, to: number, b: NestShape, chain: number, dx: number, dy: number): boolean {
  const { bounds: own, ax, ay, bx, by } = a;
  const { bounds, chains } = b;
  const o = chain * 4;
  const [left, right] = [chains[o]! + dx, chains[o + 1]! + dx];
  const [low, high] = [chains[o + 2]! + dy, chains[o + 3]! + dy];
  const first = chain * CHAIN;
  const end = Math.min(b.ax.length, first + CHAIN);
  for (let i = from; i < to; i++) {
    const k = i * 4;
    const minX = own[k]!;
    const maxX = own[k + 1]!;
    const minY = own[k + 2]!;
    const maxY = own[k + 3]!;
    if (left > maxX || right < minX || low > maxY || high < minY) continue;
    const px = ax[i]!;
    const py = ay[i]!;
    const ux = bx[i]! - px;
    const uy = by[i]! - py;
    for (let j = first, e = first * 4; j < end; j++, e += 4) {
      if (bounds[e]! + dx > maxX || bounds[e + 1]! + dx < minX || bounds[e + 2]! + dy > maxY || bounds[e + 3]! + dy < minY) continue;
      const rx = b.ax[j]! + dx - px;
      const ry = b.ay[j]! + dy - py;
      const sx = b.bx[j]! + dx - px;
      const sy = b.by[j]! + dy - py;
      if (ux * ry - uy * rx > 0 === ux * sy - uy * sx > 0) continue;
      const vx = sx - rx;
      const vy = sy - ry;
      if (vy * rx - vx * ry > 0 !== vx * (uy - ry) - vy * (ux - rx) > 0) return true;
    }
  }
  return false;
}

/**
 * Whether two shapes overlap.
 *
 * @param dx where the second lies against the first, mm
 */
export function overlap(a: NestShape, b: NestShape, dx: number, dy: number): boolean {
  if (a.maxX <= b.minX + dx || b.maxX + dx <= a.minX || a.maxY <= b.minY + dy || b.maxY + dy <= a.minY) return false;
  if (edgesCross(a, b, dx, dy)) return true;
  // one may lie wholly in the other, or an outline of it
  for (let i = 0; i < b.marks.length; i += 2) if (inside(a, b.marks[i]! + dx, b.marks[i + 1]! + dy)) return true;
  for (let i = 0; i < a.marks.length; i += 2) if (inside(b, a.marks[i]! - dx, a.marks[i + 1]! - dy)) return true;
  return false;
}
