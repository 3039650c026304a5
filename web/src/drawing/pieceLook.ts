import { GROUNDS } from '@kolleta/core/facts';
import type { Piece, Shape } from '@kolleta/core/job';
import { formatLength, type LengthSystem } from '@kolleta/core/units';

/** How a piece is filled in a drawing: clear pieces let the sheet show. */
export const pieceFill = (piece: Piece): { fill: string; opacity: number } => ({
  fill: piece.colour,
  opacity: GROUNDS[piece.ground].clear ? 0.45 : 1,
});

/** The wood's grain, and whether to draw it. */
export const isWood = (piece: Piece): boolean => GROUNDS[piece.ground].material === 'wood';

/** A round piece's diameters before its height, in words. */
export function shapeWords(shape: Shape, system: LengthSystem): string {
  if (shape.kind === 'flat') return '';
  const say = (mm: number) => formatLength(mm, system);
  if (shape.kind === 'bulb') return `${say(shape.diameter)} at the belly · `;
  return shape.kind === 'cylinder' ? `${say(shape.diameter)} across · ` : `${say(shape.rim)} rim · ${say(shape.foot)} foot · `;
}
