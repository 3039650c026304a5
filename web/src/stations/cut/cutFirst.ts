import { holdsAll, type FilmLayout, type OnPiece, type Spread } from '@kolleta/core/cut';
import type { FilmPiece } from '@kolleta/core/job';

/** A sheet or an offcut with what finds room on it. */
export interface PieceOffer extends OnPiece {
  readonly piece: FilmPiece;
}

/** The piece that is cut from: the chosen one, or before anything is chosen the first that holds everything. */
export const pieceFrom = (offers: readonly PieceOffer[], from: string | undefined): PieceOffer | undefined =>
  from === undefined
    ? offers.find(({ rest }) => rest === 0)
    : offers.find(({ piece, layout }) => piece.id === from && layout.parts.length > 0);

/** What is said of where a film is cut from: all of its sheets and offcuts first, one after the other. */
export const PIECES_FIRST = 'pieces';

/**
 * Whether all pieces come first: said so, or nothing was said, no piece holds all of it, and the roll has not enough by itself or is too narrow.
 *
 * @param left mm of the roll
 */
export function piecesFirst(
  from: string | undefined,
  { offers, roll, spread, left }: { offers: readonly PieceOffer[]; roll: FilmLayout; spread: Spread | undefined; left: number },
): boolean {
  if (!spread || spread.sheets.length === 0) return false;
  if (from !== undefined) return from === PIECES_FIRST;
  const short = roll.taken > left || roll.tooWide.length > 0;
  return short && !pieceFrom(offers, undefined) && holdsAll(spread, left);
}
