import {
  applyToPoint,
  edgeLength,
  forEachShape,
  partArea,
  translation,
  type Part,
  type Point,
  type Region,
  type Ring,
  type Transform,
} from '../../geometry';

/** A line that a pen writes: closed where it comes back to where it began. */
export interface PenLine {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Every outline of a region as a line of its own: letters that a pen draws around. */
export const outlineLines = (region: Region): PenLine[] =>
  region.flatMap(({ outer, holes }) => [outer, ...holes].map((points) => ({ points, closed: true })));

/** Outlines are walked in steps of this share of a letter's larger side, and never longer than so many mm. */
const STEP = { share: 0.02, most: 0.8 };
/** Two edges are the two sides of one stroke where they lie nearer than so many times its thickness and run against each other. */
const SIDES = { near: 1.8, against: -0.5 };

interface Piece {
  readonly a: Point;
  readonly b: Point;
  readonly middle: Point;
  /** Direction, of length 1. */
  readonly ux: number;
  readonly uy: number;
  /** mm. */
  readonly length: number;
}

/** A ring in pieces no longer than a step. */
function piecesOf(ring: Ring, step: number): Piece[] {
  return ring.flatMap((a, i): Piece[] => {
    const b = ring[(i + 1) % ring.length]!;
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length === 0) return [];
    const n = Math.max(1, Math.ceil(length / step));
    const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    const at = (t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
    return Array.from({ length: n }, (_, k) => ({
      a: at(k / n),
      b: at((k + 1) / n),
      middle: at((k + 0.5) / n),
      ux,
      uy,
      length: length / n,
    }));
  });
}

/** Cells along a row of the grid below: more than any film is long. */
const ROW = 1 << 20;

/** Pieces that are drawn already, found by where they are. */
class Drawn {
  readonly #cells = new Map<number, Piece[]>();
  constructor(readonly size: number) {}

  #cell(value: number): number {
    return Math.floor(value / this.size) + ROW / 2;
  }

  add(piece: Piece): void {
    const key = this.#cell(piece.middle[0]) * ROW + this.#cell(piece.middle[1]);
    const there = this.#cells.get(key);
    if (there) there.push(piece);
    else this.#cells.set(key, [piece]);
  }

  /** Whether the other side of the stroke that a piece belongs to is drawn. */
  hasOther(piece: Piece, near: number): boolean {
    const [x, y] = piece.middle;
    const [cx, cy] = [this.#cell(x), this.#cell(y)];
    for (let u = cx - 1; u <= cx + 1; u++)
      for (let v = cy - 1; v <= cy + 1; v++)
        for (const other of this.#cells.get(u * ROW + v) ?? []) {
          if (piece.ux * other.ux + piece.uy * other.uy > SIDES.against) continue;
          const dx = x - other.middle[0];
          const dy = y - other.middle[1];
          if (Math.abs(dx * other.uy - dy * other.ux) > near) continue;
          if (Math.abs(dx * other.ux + dy * other.uy) <= other.length * 0.75 + near) return true;
        }
    return false;
  }
}

/**
 * Letters of a face of single strokes as lines that are written once: the face has each stroke as a thin bar, whose outline goes there and
 * back; what goes back is left out.
 *
 * @param region thin bars, mm
 * @returns lines along one side of each bar: off its middle by half its thickness, which no pen shows
 */
export const strokeLines = (region: Region): PenLine[] =>
  forEachShape(region, linesOfPart, (lines, by) => moveLines(lines, translation(...by))).flat();

function linesOfPart(part: Part): PenLine[] {
  const around = edgeLength([part]);
  if (around <= 0) return [];
  const thick = (2 * partArea(part)) / around;
  const step = Math.min(STEP.most, Math.max(thick * 1.5, around * STEP.share * 0.5));
  const drawn = new Drawn(Math.max(step * 2, thick * SIDES.near * 2));
  return [part.outer, ...part.holes].flatMap((ring): PenLine[] => {
    const lines: Point[][] = [];
    let open = false;
    for (const piece of piecesOf(ring, step)) {
      // the ends of a bar are as short as it is thick
      const skip = drawn.hasOther(piece, thick * SIDES.near);
      if (skip) {
        open = false;
        continue;
      }
      if (open) lines.at(-1)!.push(piece.b);
      else lines.push([piece.a, piece.b]);
      open = true;
      drawn.add(piece);
    }
    const [first] = lines;
    const last = lines.at(-1);
    const meets = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]) <= thick;
    if (first && last && first !== last && meets(last.at(-1)!, first[0]!)) {
      first.unshift(...last);
      lines.pop();
    }
    return lines.filter((points) => lengthOf(points) > thick * 2).map((points) => ({ points: straightened(points), closed: false }));
  });
}

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);

/** The same line without points that lie on the way between their neighbours. */
function straightened(points: readonly Point[]): Point[] {
  return points.filter((p, i) => {
    const [a, b] = [points[i - 1], points[i + 1]];
    if (!a || !b) return true;
    const cross = (p[0] - a[0]) * (b[1] - a[1]) - (p[1] - a[1]) * (b[0] - a[0]);
    return Math.abs(cross) > 1e-4 * Math.max(1e-6, Math.hypot(b[0] - a[0], b[1] - a[1]));
  });
}

/** How far a pen writes along lines, mm. */
export const writtenLength = (lines: readonly PenLine[]): number =>
  lines.reduce((sum, { points, closed }) => sum + lengthOf(closed && points.length > 0 ? [...points, points[0]!] : points), 0);

/** Lines at another place. */
export const moveLines = (lines: readonly PenLine[], place: Transform): PenLine[] =>
  lines.map(({ points, closed }) => ({ points: points.map((point) => applyToPoint(place, point)), closed }));
