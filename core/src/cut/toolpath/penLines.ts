import { applyToPoint, edgeLength, partArea, type Point, type Region, type Ring, type Transform } from '../../geometry';

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
    return Array.from({ length: n }, (_, k) => ({ a: at(k / n), b: at((k + 1) / n), middle: at((k + 0.5) / n), ux, uy }));
  });
}

/** Pieces that are drawn already, found by where they are. */
class Drawn {
  readonly #cells = new Map<string, Piece[]>();
  constructor(readonly size: number) {}

  #near({ middle: [x, y] }: Piece): Piece[] {
    const [cx, cy] = [Math.floor(x / this.size), Math.floor(y / this.size)];
    return [-1, 0, 1].flatMap((dx) => [-1, 0, 1].flatMap((dy) => this.#cells.get(`${cx + dx} ${cy + dy}`) ?? []));
  }

  add(piece: Piece): void {
    const key = piece.middle.map((v) => Math.floor(v / this.size)).join(' ');
    this.#cells.set(key, [...(this.#cells.get(key) ?? []), piece]);
  }

  /** Whether the other side of the stroke that a piece belongs to is drawn. */
  hasOther(piece: Piece, near: number): boolean {
    return this.#near(piece).some((other) => {
      if (piece.ux * other.ux + piece.uy * other.uy > SIDES.against) return false;
      const [dx, dy] = [piece.middle[0] - other.middle[0], piece.middle[1] - other.middle[1]];
      const [along, across] = [Math.abs(dx * other.ux + dy * other.uy), Math.abs(dx * other.uy - dy * other.ux)];
      return across <= near && along <= Math.hypot(other.b[0] - other.a[0], other.b[1] - other.a[1]) * 0.75 + near;
    });
  }
}

/**
 * Letters of a face of single strokes as lines that are written once: the face has each stroke as a thin bar, whose outline goes there and
 * back; what goes back is left out.
 *
 * @param region thin bars, mm
 * @returns lines along one side of each bar: off its middle by half its thickness, which no pen shows
 */
export function strokeLines(region: Region): PenLine[] {
  return region.flatMap((part) => {
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
