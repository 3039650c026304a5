import { Heap } from './heap';
import type { Room } from './room';

/** By how much longer a cell counts at the edge of the band than in its middle. */
const STRAY = 0.8;

const WAYS: readonly (readonly [number, number, number])[] = [
  [1, 0, 1],
  [0, 1, 1],
  [0, -1, 1],
  [-1, 0, 1],
  [1, 1, Math.SQRT2],
  [1, -1, Math.SQRT2],
  [-1, 1, Math.SQRT2],
  [-1, -1, Math.SQRT2],
];

/**
 * A way through free cells from the left side to the right, near a row; undefined where there is none (A*; Hart, Nilsson and Raphael, 1968).
 */
export function wayAcross(room: Room, row: number, band: number): number[] | undefined {
  const { columns, rows } = room;
  const [low, high] = [Math.max(0, Math.ceil(row - band)), Math.min(rows - 1, Math.floor(row + band))];
  const n = (high - low + 1) * columns;
  const cost = new Float64Array(n).fill(Infinity);
  const came = new Int32Array(n).fill(-1);
  const heap = new Heap();
  const dear = (r: number) => 1 + (STRAY * Math.abs(r - row)) / Math.max(1, band);
  for (let r = low; r <= high; r++) {
    if (!room.open(r, 0)) continue;
    const c = (Math.abs(r - row) * STRAY) / 4;
    cost[(r - low) * columns] = c;
    heap.push((r - low) * columns, c + columns - 1);
  }
  while (heap.size > 0) {
    const { cell, cost: least } = heap.pop();
    const [x, y] = [cell % columns, Math.floor(cell / columns)];
    const known = cost[cell]!;
    if (least > known + columns - 1 - x + 1e-9) continue;
    if (x === columns - 1) {
      const way: number[] = [];
      for (let at = cell; at >= 0; at = came[at]!) way.push(at + low * columns);
      return way.reverse();
    }
    for (const [dx, dy, far] of WAYS) {
      const [nx, ny] = [x + dx, y + dy];
      if (nx < 0 || nx >= columns || ny < 0 || ny > high - low) continue;
      const at = ny * columns + nx;
      if (!room.open(ny + low, nx)) continue;
      // past a corner both cells beside it have to be free too
      if (dx !== 0 && dy !== 0 && !(room.open(y + low, nx) && room.open(ny + low, x))) continue;
      const next = known + far * dear(ny + low);
      if (next < cost[at]! - 1e-12) {
        cost[at] = next;
        came[at] = cell;
        heap.push(at, next + columns - 1 - nx);
      }
    }
  }
  return undefined;
}

/** Of a way the turns that it needs: as far straight on as stays clear. */
export function pulled(room: Room, way: readonly number[]): number[] {
  const kept = [way[0]!];
  let i = 0;
  while (i < way.length - 1) {
    let far = i + 1;
    // doubling, then halving: what is clear far on is looked for first
    for (let step = 1; i + step < way.length && room.clear(way[i]!, way[i + step]!); step *= 2) far = i + step;
    for (let k = Math.min(way.length - 1, far * 2 - i); k > far; k--) {
      if (room.clear(way[i]!, way[k]!)) {
        far = k;
        break;
      }
    }
    kept.push(way[far]!);
    i = far;
  }
  return kept;
}
