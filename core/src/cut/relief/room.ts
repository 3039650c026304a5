import { applyToRegion, translation, type Box, type Point, type Region } from '../../geometry';
import { cellsOf } from '../nest/cells';

/** A strip is nowhere narrower than this, mm. */
const LEAST_STRIP = 6;

/** The cells of a box that may be cut through. */
export class Room {
  readonly free: Uint8Array;
  /** The first row of each column that lies above the lines so far. */
  readonly floor: Int32Array;
  constructor(
    readonly box: Box,
    readonly cell: number,
    readonly columns: number,
    readonly rows: number,
    blocked: readonly Region[],
  ) {
    this.free = new Uint8Array(columns * rows).fill(1);
    this.floor = new Int32Array(columns);
    for (const region of blocked) {
      const { low, rows: runs } = cellsOf(applyToRegion(translation(-box.minX, -box.minY), region), cell);
      runs.forEach((row, i) => {
        const r = low + i;
        if (r < 0 || r >= rows) return;
        for (const { from, to } of row) {
          const [a, b] = [Math.max(0, from), Math.min(columns, to)];
          if (b > a) this.free.fill(0, r * columns + a, r * columns + b);
        }
      });
    }
  }

  open(row: number, column: number): boolean {
    return row >= this.floor[column]! && this.free[row * this.columns + column] === 1;
  }

  /** What follows lies above a line by the least width of a strip. */
  raise(turns: readonly number[]): void {
    const { columns, floor } = this;
    const wide = Math.ceil(LEAST_STRIP / this.cell);
    for (const [i, b] of turns.entries()) {
      const a = turns[i - 1] ?? b;
      const [ax, ay, bx, by] = [a % columns, Math.floor(a / columns), b % columns, Math.floor(b / columns)];
      const [left, right] = [Math.min(ax, bx), Math.max(ax, bx)];
      for (let c = left; c <= right; c++) {
        const row = ax === bx ? Math.max(ay, by) : ay + ((by - ay) * (c - ax)) / (bx - ax);
        floor[c] = Math.max(floor[c]!, Math.ceil(row) + wide);
      }
    }
  }

  middle(column: number, row: number): Point {
    return [this.box.minX + (column + 0.5) * this.cell, this.box.minY + (row + 0.5) * this.cell];
  }

  /** Whether the straight way between the middles of two cells keeps to free cells: then it is clear by as much as they are. */
  clear(a: number, b: number): boolean {
    const { columns } = this;
    const [ax, ay, bx, by] = [a % columns, Math.floor(a / columns), b % columns, Math.floor(b / columns)];
    const n = 4 * Math.max(Math.abs(bx - ax), Math.abs(by - ay), 1);
    for (let i = 0; i <= n; i++) {
      const [x, y] = [Math.floor(ax + ((bx - ax) * i) / n + 0.5), Math.floor(ay + ((by - ay) * i) / n + 0.5)];
      if (!this.open(y, x)) return false;
    }
    return true;
  }
}
