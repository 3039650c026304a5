import { boxOf, ringsOf, type Region } from '../../geometry';

/** Cells in a row from `from` up to but not with `to`. */
interface Run {
  readonly from: number;
  readonly to: number;
}

/** A shape as the cells whose middles lie in it, row by row from the lowest; row `low + i` holds `rows[i]`. */
export interface CellShape {
  readonly low: number;
  readonly rows: readonly (readonly Run[])[];
  /** First and last column that it takes, the last not with it. */
  readonly left: number;
  readonly right: number;
}

/**
 * The cells whose middles lie in a region, by the even-odd rule.
 *
 * @param cell side of a cell, mm; cell (c, r) has its middle at ((c + ½)·cell, (r + ½)·cell)
 */
export function cellsOf(region: Region, cell: number): CellShape {
  const box = boxOf(region);
  const low = Math.floor(box.minY / cell);
  const count = Math.max(0, Math.ceil(box.maxY / cell) - low);
  const crossings: number[][] = Array.from({ length: count }, () => []);
  for (const ring of ringsOf(region)) {
    for (let i = 0; i < ring.length; i++) {
      const [ax, ay] = ring[i]!;
      const [bx, by] = ring[(i + 1) % ring.length]!;
      if (ay === by) continue;
      const [x0, y0, x1, y1] = ay < by ? [ax, ay, bx, by] : [bx, by, ax, ay];
      // rows whose middles lie from y0 up to but not with y1
      const first = Math.max(0, Math.ceil(y0 / cell - 0.5) - low);
      const last = Math.min(count - 1, Math.ceil(y1 / cell - 0.5) - 1 - low);
      for (let r = first; r <= last; r++) {
        const y = (low + r + 0.5) * cell;
        crossings[r]!.push(x0 + ((x1 - x0) * (y - y0)) / (y1 - y0));
      }
    }
  }
  let [left, right] = [Infinity, -Infinity];
  const rows = crossings.map((xs) => {
    xs.sort((a, b) => a - b);
    const runs: Run[] = [];
    for (let i = 0; i + 1 < xs.length; i += 2) {
      const from = Math.ceil(xs[i]! / cell - 0.5);
      const to = Math.ceil(xs[i + 1]! / cell - 0.5);
      if (to <= from) continue;
      left = Math.min(left, from);
      right = Math.max(right, to);
      runs.push({ from, to });
    }
    return runs;
  });
  return { low, rows, left: left === Infinity ? 0 : left, right: right === -Infinity ? 0 : right };
}

/** Room on a sheet: which cells are free, and from each how many in a row to the right are. */
export class FreeCells {
  readonly #free: Uint8Array;
  readonly #ahead: Uint16Array;

  /** @param inside the cells that may be used; they lie from column and row 0 on */
  constructor(
    readonly width: number,
    readonly height: number,
    inside: CellShape,
  ) {
    this.#free = new Uint8Array(width * height);
    this.#ahead = new Uint16Array(width * height);
    inside.rows.forEach((runs, i) => {
      const r = inside.low + i;
      if (r < 0 || r >= height) return;
      for (const { from, to } of runs) this.#free.fill(1, r * width + Math.max(0, from), r * width + Math.min(width, to));
    });
    for (let r = 0; r < height; r++) this.#measure(r);
  }

  #measure(r: number): void {
    const [free, aheads, first] = [this.#free, this.#ahead, r * this.width];
    let ahead = 0;
    for (let i = first + this.width - 1; i >= first; i--) {
      ahead = free[i] === 1 ? Math.min(65_535, ahead + 1) : 0;
      aheads[i] = ahead;
    }
  }

  /** Takes the cells of a shape that is moved so many columns and rows. */
  take(shape: CellShape, column: number, row: number): void {
    shape.rows.forEach((runs, i) => {
      const r = row + shape.low + i;
      if (r < 0 || r >= this.height || runs.length === 0) return;
      for (const { from, to } of runs) {
        const [a, b] = [Math.max(0, column + from), Math.min(this.width, column + to)];
        if (b > a) this.#free.fill(0, r * this.width + a, r * this.width + b);
      }
      this.#measure(r);
    });
  }

  /**
   * The lowest place for a shape, leftmost among equals, as columns and rows that it is moved.
   *
   * @param below no place whose row is this or more is looked for
   */
  lowest(shape: CellShape, below = Infinity): { readonly column: number; readonly row: number } | undefined {
    const { rows, low, left, right } = shape;
    const [w, h] = [this.width, this.height];
    const n = rows.length;
    if (n === 0) return undefined;
    const lastRow = Math.min(h - n - low, below - 1);
    const lastColumn = w - right;
    // rows far from each other fail soonest
    for (let row = -low; row <= lastRow; row++) {
      let column = -left;
      search: while (column <= lastColumn) {
        for (let k = 0; k < n; k++) {
          const runs = rows[this.#spread(k, n)]!;
          const base = (row + low + this.#spread(k, n)) * w + column;
          for (const { from, to } of runs) {
            const ahead = this.#ahead[base + from]!;
            if (ahead >= to - from) continue;
            // on to where that run is free: past the cell in the way, and past what is taken after it
            let next = from + ahead + 1;
            const line = (row + low + this.#spread(k, n)) * w;
            while (column + next < w && this.#ahead[line + column + next] === 0) next++;
            column += next - from;
            continue search;
          }
        }
        return { column, row };
      }
    }
    return undefined;
  }

  /** Rows of a shape in the order in which they are looked at: middle, ends, between. */
  #spread(k: number, n: number): number {
    const known = this.#orders.get(n) ?? this.#orderOf(n);
    return known[k]!;
  }

  readonly #orders = new Map<number, Int32Array>();

  #orderOf(n: number): Int32Array {
    const order = new Int32Array(n);
    // the bits of a row's number backward (van der Corput, 1935): neighbours come late
    const bits = Math.max(1, Math.ceil(Math.log2(Math.max(2, n))));
    let at = 0;
    for (let i = 0; at < n && i < 1 << bits; i++) {
      let back = 0;
      for (let b = 0; b < bits; b++) back |= ((i >> b) & 1) << (bits - 1 - b);
      if (back < n) order[at++] = back;
    }
    this.#orders.set(n, order);
    return order;
  }

  /** The largest upright box of free cells: its columns, rows, and where its lower left lies. */
  largestBox(): { readonly column: number; readonly row: number; readonly columns: number; readonly rows: number } {
    const [free, width] = [this.#free, this.width];
    const heights = new Int32Array(width + 1);
    // columns that wait for a lower one to their right, and how many
    const stack = new Int32Array(width + 2);
    let [column, row, columns, rows, most] = [0, 0, 0, 0, 0];
    for (let r = 0; r < this.height; r++) {
      let waiting = 0;
      for (let c = 0; c <= width; c++) {
        const height = c < width && free[r * width + c] === 1 ? heights[c]! + 1 : 0;
        heights[c] = height;
        while (waiting > 0 && heights[stack[waiting - 1]!]! >= height) {
          const top = heights[stack[--waiting]!]!;
          const start = waiting > 0 ? stack[waiting - 1]! + 1 : 0;
          if (top * (c - start) > most) [column, row, columns, rows, most] = [start, r - top + 1, c - start, top, top * (c - start)];
        }
        stack[waiting++] = c;
      }
    }
    return { column, row, columns, rows };
  }
}
