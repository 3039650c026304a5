import { applyToRegion, boxAround, boxOf, growBox, offset, translation, type Box, type Point, type Region } from '../geometry';
import { RELIEF } from '../facts';
import type { FilmLayout } from './layout';
import { cellsOf } from './nest/cells';
import type { PenLine } from './toolpath/penLines';

/** Cuts through the waste, so that it comes away strip by strip. */
export interface ReliefCuts {
  /** A border around all, and the lines that part it. */
  readonly lines: readonly PenLine[];
  /** Lines that part the waste from side to side, and those that leave bridges, for want of room. */
  readonly whole: number;
  readonly bridged: number;
  /** mm */
  readonly length: number;
}

/** Cells are no smaller than this, mm, and no more than this. */
const CELL = { least: 0.25, most: 6_000_000 } as const;
/**
 * A line is looked at four times a cell: what lies on it is no further than this share of a side from the middle of a cell that was looked at (half a
 * diagonal, and an eighth of a side and up).
 */
const REACH = 0.9;
/** A line leaves its place by at most this share of a strip, and by how much longer each share of it counts. */
const BAND = 0.75;
const STRAY = 0.8;
/** Shorter pieces of a line that leaves bridges are not cut, mm. */
const LEAST_PIECE = 4;
/** A strip is nowhere narrower than this, mm. */
const LEAST_STRIP = 6;

/** The cells of a box that may be cut through. */
class Room {
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

/** The least of what is in a heap of cells by their cost. */
class Heap {
  readonly #cells: number[] = [];
  readonly #costs: number[] = [];
  get size(): number {
    return this.#cells.length;
  }
  push(cell: number, cost: number): void {
    const [cells, costs] = [this.#cells, this.#costs];
    let i = cells.length;
    cells.push(cell);
    costs.push(cost);
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (costs[up]! <= cost) break;
      cells[i] = cells[up]!;
      costs[i] = costs[up]!;
      i = up;
    }
    cells[i] = cell;
    costs[i] = cost;
  }
  pop(): { cell: number; cost: number } {
    const [cells, costs] = [this.#cells, this.#costs];
    const least = { cell: cells[0]!, cost: costs[0]! };
    const [cell, cost] = [cells.pop()!, costs.pop()!];
    const n = cells.length;
    let i = 0;
    while (n > 0) {
      let next = 2 * i + 1;
      if (next >= n) break;
      if (next + 1 < n && costs[next + 1]! < costs[next]!) next++;
      if (costs[next]! >= cost) break;
      cells[i] = cells[next]!;
      costs[i] = costs[next]!;
      i = next;
    }
    if (n > 0) {
      cells[i] = cell;
      costs[i] = cost;
    }
    return least;
  }
}

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
function wayAcross(room: Room, row: number, band: number): number[] | undefined {
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
function pulled(room: Room, way: readonly number[]): number[] {
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

/** The free pieces of the row near by that has most of them. */
function bridgedRow(room: Room, row: number, band: number): Point[][] {
  const { columns, rows, free, cell } = room;
  const piecesOf = (r: number) => {
    const pieces: [number, number][] = [];
    let from = -1;
    for (let c = 0; c <= columns; c++) {
      const open = c < columns && free[r * columns + c] === 1;
      if (open && from < 0) from = c;
      if (!open && from >= 0) {
        if ((c - from) * cell >= LEAST_PIECE) pieces.push([from, c - 1]);
        from = -1;
      }
    }
    return pieces;
  };
  let best: { r: number; pieces: [number, number][]; sum: number } = { r: row, pieces: [], sum: 0 };
  for (let r = Math.max(0, Math.ceil(row - band)); r <= Math.min(rows - 1, Math.floor(row + band)); r++) {
    const pieces = piecesOf(r);
    const sum = pieces.reduce((all, [a, b]) => all + b - a, 0) * (1 - Math.abs(r - row) / (4 * Math.max(1, band)));
    if (sum > best.sum) best = { r, pieces, sum };
  }
  return best.pieces.map(([a, b]) => [room.middle(a, best.r), room.middle(b, best.r)]);
}

/**
 * Relief cuts for what lies on film: a border around all of it, and lines from side to side that part the waste into strips, never nearer to a part
 * than the clearance. Straight where they can be, bent where they must, and where there is no way through, straight with bridges.
 *
 * @param parts as they lie, mm; what lies within a part is never cut
 * @param strip how wide a strip is at most, mm
 * @param clearance from any part, mm, which is kept exactly
 */
export function reliefCuts(parts: readonly Region[], strip: number, clearance: number = RELIEF.clearance): ReliefCuts {
  const filled = parts.filter((part) => part.length > 0).map((part): Region => part.map(({ outer }) => ({ outer, holes: [] })));
  if (filled.length === 0) return { lines: [], whole: 0, bridged: 0, length: 0 };
  const box = growBox(boxAround(filled.map((part) => boxOf(part))), RELIEF.border);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const cell = Math.max(CELL.least, Math.sqrt((width * height) / CELL.most));
  const [columns, rows] = [Math.max(1, Math.floor(width / cell)), Math.max(1, Math.floor(height / cell))];
  const room = new Room(
    box,
    cell,
    columns,
    rows,
    filled.map((part) => offset(part, clearance + REACH * cell)),
  );
  const corners: Point[] = [
    [box.minX, box.minY],
    [box.maxX, box.minY],
    [box.maxX, box.maxY],
    [box.minX, box.maxY],
  ];
  const strips = Math.max(1, Math.ceil(height / strip - 1e-9));
  const lines: PenLine[] = [{ points: corners, closed: true }];
  let [whole, bridged] = [0, 0];
  for (let k = 1; k < strips; k++) {
    const row = (k * rows) / strips - 0.5;
    const band = (BAND * rows) / strips;
    const way = wayAcross(room, row, band);
    if (way) {
      whole += 1;
      const turns = pulled(room, way);
      room.raise(turns);
      const points = turns.map((at) => room.middle(at % columns, Math.floor(at / columns)));
      // from border to border
      lines.push({ points: [[box.minX, points[0]![1]], ...points, [box.maxX, points.at(-1)![1]]], closed: false });
    } else {
      bridged += 1;
      for (const points of bridgedRow(room, row, band)) lines.push({ points, closed: false });
    }
  }
  const lengthOf = ({ points, closed }: PenLine) =>
    points.reduce((sum, [x, y], i) => {
      const next = points[i + 1] ?? (closed ? points[0] : undefined);
      return next ? sum + Math.hypot(next[0] - x, next[1] - y) : sum;
    }, 0);
  return { lines, whole, bridged, length: lines.reduce((sum, line) => sum + lengthOf(line), 0) };
}

/** Whether relief cuts are of use: on a roll, and where waste is pulled; labels come off one by one, and the edge of an offcut is not straight. */
export const takesRelief = ({ sheet, pens, parts }: FilmLayout): boolean => sheet.from.kind === 'roll' && !pens && parts.length > 0;

/** A layout with relief cuts between its parts; the minutes with them. */
export function withRelief(layout: FilmLayout, strip: number): FilmLayout {
  const parts = layout.parts.map(({ outline, place }) => applyToRegion(place, layout.outlines[outline]!));
  const { lines, length } = reliefCuts(parts, strip);
  if (lines.length === 0) return layout;
  const { machine } = layout;
  return { ...layout, relief: lines, minutes: layout.minutes + (machine ? length / machine.knife / 60 : 0) };
}
