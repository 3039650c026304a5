import { GROUNDS } from '../facts';
import type { Piece } from '../job';

/** Whether a piece is ware that gets washed: something to eat or drink from, or a vessel of glass, ceramic, metal or plastic. No sign, wall, book or figure is. */
export const isWashed = ({ use, shape, ground }: Pick<Piece, 'use' | 'shape' | 'ground'>): boolean =>
  use.drink || use.food || (shape.kind !== 'flat' && ['glass', 'ceramic', 'metal', 'plastic'].includes(GROUNDS[ground].material));

/** Whether water ever comes on a piece: what is washed, and what stands rain or a wet cloth. */
export const getsWet = (piece: Pick<Piece, 'use' | 'shape' | 'ground'>): boolean =>
  isWashed(piece) || ['glass', 'ceramic', 'metal', 'plastic'].includes(GROUNDS[piece.ground].material);
