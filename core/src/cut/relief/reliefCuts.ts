import { applyToRegion, boxAround, boxOf, growBox, offset, type Point, type Region } from '../../geometry';
import { RELIEF } from '../../facts';
import type { FilmLayout } from '../layout';
import { Room } from './room';
import { pulled, wayAcross } from './wayAcross';
import type { PenLine } from '../toolpath/penLines';

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
/** A line leaves its place by at most this share of a strip. */
const BAND = 0.75;
/** Shorter pieces of a line that leaves bridges are not cut, mm. */
const LEAST_PIECE = 4;

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
  const { lines, length } = reliefCuts([...parts, ...(layout.spares ?? [])], strip);
  if (lines.length === 0) return layout;
  const { machine } = layout;
  return { ...layout, relief: lines, minutes: layout.minutes + (machine ? length / machine.knife / 60 : 0) };
}
