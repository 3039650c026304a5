import type { NestShape } from './nestShape';

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

/** Sums of lengths are exact to far less than this, mm. */
const ROUNDING = 1e-6;

/** Edges of the second shape that lie in the common box; kept between calls, for a new list each time costs more than the test. */
const near = new Int32Array(20_000);

/** Whether the outlines of two shapes cross, the second where it lies against the first, mm. */
export function edgesCross(a: NestShape, b: NestShape, dx: number, dy: number): boolean {
  // the common box, in the place of the first; wider by more than rounding, or a side that is the box's own may fall out of it
  const minX = Math.max(a.minX, b.minX + dx) - ROUNDING;
  const maxX = Math.min(a.maxX, b.maxX + dx) + ROUNDING;
  const minY = Math.max(a.minY, b.minY + dy) - ROUNDING;
  const maxY = Math.min(a.maxY, b.maxY + dy) + ROUNDING;
  const bounds = b.bounds;
  let count = 0;
  for (let j = 0, k = 0; k < bounds.length && count < near.length; j++, k += 4) {
    if (bounds[k]! > maxX - dx || bounds[k + 1]! < minX - dx || bounds[k + 2]! > maxY - dy || bounds[k + 3]! < minY - dy) continue;
    near[count++] = j;
  }
  if (count === 0) return false;
  const own = a.bounds;
  for (let i = 0, k = 0; k < own.length; i++, k += 4) {
    const left = own[k]!;
    const right = own[k + 1]!;
    const low = own[k + 2]!;
    const high = own[k + 3]!;
    if (left > maxX || right < minX || low > maxY || high < minY) continue;
    const px = a.ax[i]!;
    const py = a.ay[i]!;
    const ux = a.bx[i]! - px;
    const uy = a.by[i]! - py;
    for (let m = 0; m < count; m++) {
      const j = near[m]!;
      const o = j * 4;
      if (bounds[o]! + dx > right || bounds[o + 1]! + dx < left || bounds[o + 2]! + dy > high || bounds[o + 3]! + dy < low) continue;
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
