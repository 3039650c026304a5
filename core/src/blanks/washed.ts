import { GROUNDS, MATERIALS } from '../facts';
import type { Piece } from '../job';

type Ware = Pick<Piece, 'use' | 'shape' | 'ground'>;

const standsWater = ({ ground }: Ware): boolean => MATERIALS[GROUNDS[ground].material].getsWet;

/** Whether a piece is ware that gets washed: something to eat or drink from, or a vessel that stands it. No sign, wall, book or figure is. */
export const isWashed = (piece: Ware): boolean => piece.use.drink || piece.use.food || (piece.shape.kind !== 'flat' && standsWater(piece));

/** Whether water ever comes on a piece: what is washed, and what stands rain or a wet cloth. */
export const getsWet = (piece: Ware): boolean => isWashed(piece) || standsWater(piece);
