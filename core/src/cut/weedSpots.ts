import type { CutPiece, CutPieces } from '../artwork';
import { WEEDING } from '../facts';
import type { Point } from '../geometry';
import type { Kept } from './weeding';

/** A place in a mark where weeding goes wrong most easily. */
export interface WeedSpot {
  /** In the order in which one comes to it, from 1. */
  readonly number: number;
  /** A small piece that has to come out, or one that has to stay. */
  readonly comes: 'out' | 'stays';
  readonly at: Point;
  /** mm² */
  readonly area: number;
}

/** What comes out is small under so many mm², and what stays: dots come away with the waste, letters hold. */
const LEAST = { out: WEEDING.smallFrom, stays: WEEDING.smallFull } as const;
/** Places are told by number up to so many: of more, the least count most. */
const MOST = 60;
/** Places that lie so near to one height are come to from left to right, as a share of the height of all. */
const ROW = 0.12;

/** What of a layer comes out piece by piece, and what stays, beside the surround. */
export function weededPieces(
  { shapes, counters }: CutPieces,
  kept: Kept,
): { readonly out: readonly CutPiece[]; readonly stays: readonly CutPiece[] } {
  const mask = kept === 'surround' || kept === 'maskShapes';
  return mask ? { out: shapes, stays: counters } : { out: counters, stays: shapes };
}

/**
 * Where the danger is: small pieces that are forgotten or torn, and small parts that come away with the waste; numbered row by row from the top,
 * from left to right, as the waste is pulled.
 *
 * @param pieces what the outline cuts film into
 */
export function weedSpots(pieces: CutPieces, kept: Kept): WeedSpot[] {
  const { out, stays } = weededPieces(pieces, kept);
  const small = [
    ...out.map((piece) => ({ ...piece, comes: 'out' as const })),
    ...stays.map((piece) => ({ ...piece, comes: 'stays' as const })),
  ]
    .filter(({ area, comes }) => area < LEAST[comes])
    .toSorted((a, b) => a.area - b.area)
    .slice(0, MOST);
  const ys = [...pieces.shapes, ...pieces.counters].map(({ at: [, y] }) => y);
  const [top, low] = [Math.max(...ys), Math.min(...ys)];
  const row = Math.max(0.5, (top - low) * ROW);
  const rowOf = (y: number) => Math.floor((top - y) / row + 1e-9);
  return small
    .toSorted((a, b) => rowOf(a.at[1]) - rowOf(b.at[1]) || a.at[0] - b.at[0] || b.at[1] - a.at[1])
    .map(({ comes, at, area }, i) => ({ number: i + 1, comes, at, area }));
}
