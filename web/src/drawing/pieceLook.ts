import { GROUNDS } from '@kolleta/core/facts';
import { surfaceOf } from '@kolleta/core/blanks';
import type { Paint, Piece, Shape } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';

/** How a piece is filled in a drawing, with what is put on it before film: clear pieces let the sheet show. */
export function pieceFill(piece: Piece, paints: readonly Paint[]): { fill: string; opacity: number } {
  const { colour, clear } = surfaceOf(piece, paints);
  return { fill: colour, opacity: clear ? 0.45 : 1 };
}

/** The wood's grain, and whether to draw it. */
export const isWood = (piece: Piece): boolean => GROUNDS[piece.ground].material === 'wood';

/** A round piece's diameters before its height, in words. */
export function shapeWords(shape: Shape, system: LengthSystem): string {
  if (shape.kind === 'flat') return '';
  const say = (mm: number) => formatLength(mm, system);
  if (shape.kind === 'bulb') return `${say(shape.diameter)} at the belly · `;
  return shape.kind === 'cylinder' ? `${say(shape.diameter)} across · ` : `${say(shape.rim)} rim · ${say(shape.foot)} foot · `;
}
