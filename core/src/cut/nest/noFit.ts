import { setBits, type ShapeCells } from './shapeCells';

/**
 * Where a second shape may not lie against a first, and how deep it lies in there: a number for every place of its middle on a grid
 * (no-fit raster; Umetani and Murakami, 2022).
 */
export interface NoFit {
  /** The place of the first number, in cells. */
  readonly column: number;
  readonly row: number;
  readonly columns: number;
  readonly rows: number;
  /** 0 where they are apart, 1 where they may just touch, else the way out in thirds of a cell. */
  readonly depth: Uint8Array;
}

/** Rows and columns around the places where cells meet. */
const AROUND = 2;
/** One cell straight and aslant, in thirds (chamfer distance 3-4; Borgefors, 1986). */
const STRAIGHT = 3;
const ASLANT = 4;
const MOST = 255;
const BESIDE = 1;

/** Sets the bits of places where cells of the first meet the rim of the second, or where one lies wholly in the other. */
function meeting(a: ShapeCells, b: ShapeCells, words: number, rows: number): Uint32Array {
  const out = new Uint32Array(words * rows + 1);
  const [lastColumn, lastRow] = [b.columns - 1 + AROUND, b.rows - 1 + AROUND];
  for (let k = 0; k < b.rim.length; k += 2) {
    const shift = lastColumn - b.rim[k]!;
    const first = (lastRow - b.rim[k + 1]!) * words + (shift >> 5);
    const by = shift & 31;
    for (let r = 0; r < a.rows; r++) {
      const to = first + r * words;
      const from = r * a.words;
      for (let w = 0; w < a.words; w++) {
        const word = a.bits[from + w]!;
        if (word === 0) continue;
        out[to + w]! |= word << by;
        if (by > 0) out[to + w + 1]! |= word >>> (32 - by);
      }
    }
  }
  // the first within the second, no rim in the way
  for (let k = 0; k < a.inner.length; k += 2) {
    const [column, row] = [a.inner[k]!, a.inner[k + 1]!];
    for (let m = 0; m < b.runs.length; m += 3) {
      const at = (row + lastRow - b.runs[m]!) * words;
      setBits(out, at, column + lastColumn - b.runs[m + 2]! + 1, column + lastColumn - b.runs[m + 1]! + 1);
    }
  }
  return out;
}

/** The way out of a set of cells, in thirds of a cell; 1 beside it. */
function depths(bits: Uint32Array, words: number, columns: number, rows: number): Uint8Array {
  const depth = new Uint8Array(columns * rows);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) if ((bits[r * words + (c >> 5)]! >>> (c & 31)) & 1) depth[r * columns + c] = MOST;
  for (let r = 1; r < rows - 1; r++) {
    let before = depth[r * columns]!;
    for (let i = r * columns + 1, end = (r + 1) * columns - 1; i < end; i++) {
      if (depth[i] === 0) {
        before = 0;
        continue;
      }
      const below = i - columns;
      const near = Math.min(before, depth[below]!) + STRAIGHT;
      const far = Math.min(depth[below - 1]!, depth[below + 1]!) + ASLANT;
      before = Math.min(MOST, near, far);
      depth[i] = before;
    }
  }
  for (let r = rows - 2; r > 0; r--) {
    let after = depth[(r + 1) * columns - 1]!;
    for (let i = (r + 1) * columns - 2, end = r * columns; i > end; i--) {
      const own = depth[i]!;
      if (own === 0) {
        after = 0;
        continue;
      }
      const above = i + columns;
      const near = Math.min(after, depth[above]!) + STRAIGHT;
      const far = Math.min(depth[above - 1]!, depth[above + 1]!) + ASLANT;
      after = Math.min(own, near, far);
      depth[i] = after;
    }
  }
  // cells see their middles only: beside them the outlines may still meet
  for (let r = 1; r < rows - 1; r++)
    for (let i = r * columns + 1, end = (r + 1) * columns - 1; i < end; i++) {
      if (depth[i] !== STRAIGHT) continue;
      for (let up = -columns; up <= columns; up += columns)
        for (let side = -1; side <= 1; side++) if (depth[i + up + side] === 0) depth[i + up + side] = BESIDE;
    }
  return depth;
}

/** Where the second shape may not lie against the first. */
export function noFit(a: ShapeCells, b: ShapeCells): NoFit {
  const columns = a.columns + b.columns - 1 + 2 * AROUND;
  const rows = a.rows + b.rows - 1 + 2 * AROUND;
  const words = (columns + 31) >> 5;
  return {
    column: a.column - (b.column + b.columns - 1) - AROUND,
    row: a.row - (b.row + b.rows - 1) - AROUND,
    ...{ columns, rows },
    depth: depths(meeting(a, b, words, rows), words, columns, rows),
  };
}
