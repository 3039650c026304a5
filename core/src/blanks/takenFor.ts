import type { Shape } from '../job';
import { checkBulb } from './unroll/bulb';
import { diameterAt } from './unroll/taper';
import { LEAST_PIECE, MOST_PIECE } from './wall';

/** A taper narrows to this share of its width to begin with. */
const TAPER = 0.75;
/** No steeper to begin with than a wall that goes in by this share of its length on either side. */
const STEEPEST = 0.4;

/** A wall that curves less than by this radius is straight to any ruler, mm. */
const STRAIGHT = 1e8;
/** What bulges is at least so thick, mm. */
const LEAST_BULB = 8;

/** A measure that a piece can have. */
const within = (mm: number) => Math.max(LEAST_PIECE, Math.min(MOST_PIECE, mm));

/** The same piece taken for another shape, as near as can be; always a shape that can be. */
export function takenFor(shape: Shape, kind: Shape['kind']): Shape {
  if (shape.kind === kind) return shape;
  const { height } = shape;
  const round = within(Math.round(shape.kind === 'flat' ? shape.width / 2 : diameterAt(shape, height / 2)));
  if (kind === 'flat') return { kind, width: within(round * 2), height };
  if (kind === 'cylinder') return { kind, diameter: round, height };
  if (kind === 'taper')
    return { kind, rim: round, foot: within(Math.max(Math.round(round * TAPER), Math.ceil(round - 2 * STEEPEST * height))), height };
  const bulb = { kind, diameter: Math.max(LEAST_BULB, round), along: Math.round(Math.max(round / 2, height / 2)), height };
  // a tall thin piece bulges less
  while (!checkBulb(bulb).ok && bulb.along < STRAIGHT) bulb.along *= 2;
  return bulb;
}
