import { turnBy } from './turns';
import type { NestShape } from './nestShape';

/** A shape as the cells of a grid whose middles lie in it: a bit each, 32 in a word, row by row from the lowest. */
export interface ShapeCells {
  /** Column and row of the first cell; cell (c, r) has its middle at ((c + ½)·cell, (r + ½)·cell) from the shape's own middle. */
  readonly column: number;
  readonly row: number;
  readonly columns: number;
  readonly rows: number;
  /** Words in a row. */
  readonly words: number;
  readonly bits: Uint32Array;
  /** Runs of cells: row, first column and the column after the last, counted from the first cell. */
  readonly runs: Int32Array;
  /** Cells of the rim, column and row of each, counted from the first cell. */
  readonly rim: Int32Array;
  /** At least one cell of every connected part, column and row of each. */
  readonly inner: Int32Array;
}

/** Sets the bits from `from` up to but not with `to` of a row that begins at a word. */
export function setBits(bits: Uint32Array, base: number, from: number, to: number): void {
  const [first, last] = [from >> 5, (to - 1) >> 5];
  const low = (0xffffffff << (from & 31)) >>> 0;
  const high = 0xffffffff >>> (31 - ((to - 1) & 31));
  if (first === last) bits[base + first]! |= low & high;
  else {
    bits[base + first]! |= low;
    for (let word = first + 1; word < last; word++) bits[base + word] = 0xffffffff;
    bits[base + last]! |= high;
  }
}

/**
 * The cells of a shape, turned about its middle.
 *
 * @param quarters that it is turned by, counter-clockwise
 * @param cell side of a cell, mm
 */
export function shapeCells({ ax, ay, bx, by }: NestShape, quarters: number, cell: number): ShapeCells {
  const [cos, sin] = turnBy(quarters);
  const n = ax.length;
  const ends = [ax, ay, bx, by].map(() => new Float64Array(n)) as [Float64Array, Float64Array, Float64Array, Float64Array];
  const [px, py, qx, qy] = ends;
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i < n; i++) {
    px[i] = (ax[i]! * cos - ay[i]! * sin) / cell - 0.5;
    py[i] = (ax[i]! * sin + ay[i]! * cos) / cell - 0.5;
    qx[i] = (bx[i]! * cos - by[i]! * sin) / cell - 0.5;
    qy[i] = (bx[i]! * sin + by[i]! * cos) / cell - 0.5;
    minX = Math.min(minX, px[i]!);
    maxX = Math.max(maxX, px[i]!);
    minY = Math.min(minY, py[i]!);
    maxY = Math.max(maxY, py[i]!);
  }
  const [column, row] = [Math.floor(minX), Math.floor(minY)];
  const columns = Math.ceil(maxX) - column + 1;
  const rows = Math.ceil(maxY) - row + 1;
  const words = (columns + 31) >> 5;
  const crossings: number[][] = Array.from({ length: rows }, () => []);
  for (let i = 0; i < n; i++) {
    const up = py[i]! < qy[i]!;
    const [x0, y0, x1, y1] = up ? [px[i]!, py[i]!, qx[i]!, qy[i]!] : [qx[i]!, qy[i]!, px[i]!, py[i]!];
    if (y0 === y1) continue;
    for (let r = Math.ceil(y0); r < y1; r++) crossings[r - row]!.push(x0 + ((x1 - x0) * (r - y0)) / (y1 - y0));
  }
  const bits = new Uint32Array(words * rows);
  const runs: number[] = [];
  const inner: number[] = [];
  let below: number[] = [];
  crossings.forEach((xs, r) => {
    xs.sort((a, b) => a - b);
    const here: number[] = [];
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const [from, to] = [Math.ceil(xs[k]!) - column, Math.ceil(xs[k + 1]!) - column];
      if (to <= from) continue;
      setBits(bits, r * words, from, to);
      runs.push(r, from, to);
      here.push(from, to);
      // what stands on nothing of the row below begins a part of its own
      let stands = false;
      for (let m = 0; m < below.length; m += 2) stands ||= below[m]! < to && below[m + 1]! > from;
      if (!stands) inner.push(from, r);
    }
    below = here;
  });
  const has = (c: number, r: number) =>
    c >= 0 && c < columns && r >= 0 && r < rows && ((bits[r * words + (c >> 5)]! >>> (c & 31)) & 1) === 1;
  const rim: number[] = [];
  for (let k = 0; k < runs.length; k += 3) {
    const [r, from, to] = [runs[k]!, runs[k + 1]!, runs[k + 2]!];
    for (let c = from; c < to; c++) if (c === from || c === to - 1 || !has(c, r - 1) || !has(c, r + 1)) rim.push(c, r);
  }
  return {
    ...{ column, row, columns, rows, words, bits },
    ...{ runs: Int32Array.from(runs), rim: Int32Array.from(rim), inner: Int32Array.from(inner) },
  };
}
