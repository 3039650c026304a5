import { TECHNIQUES } from '../facts';
import type { Mark, Paint, Piece } from '../job';

/** A piece as it is once its masks are made: painted all around them. What else goes on it lies on that paint. */
export function paintedAround(piece: Piece, marks: readonly Pick<Mark, 'technique' | 'paint'>[], paints: readonly Paint[]): Piece {
  const around = marks.find(({ technique }) => TECHNIQUES[technique].stays === 'ground');
  const paint = around && paints.find(({ id }) => id === around.paint);
  return paint ? { ...piece, coat: paint.coat, coatPaint: paint.id } : piece;
}
