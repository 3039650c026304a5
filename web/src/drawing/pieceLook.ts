import { GROUNDS } from '@kolleta/core/facts';
import type { Piece } from '@kolleta/core/job';

/** How a piece is filled in a drawing: clear pieces let the sheet show. */
export const pieceFill = (piece: Piece): { fill: string; opacity: number } => ({
  fill: piece.colour,
  opacity: GROUNDS[piece.ground].clear ? 0.45 : 1,
});

/** The wood's grain, and whether to draw it. */
export const isWood = (piece: Piece): boolean => GROUNDS[piece.ground].material === 'wood';
