import { GRIP_LIMITS } from '../facts';
import type { TapeChoice } from './chooseTape';

/** Pieces of tape for one mark of a set. */
export interface TapePieces {
  /** mm, with the margin all round. */
  readonly width: number;
  readonly height: number;
  readonly pieces: number;
  /** How often each is used, at most. */
  readonly usesEach: number;
  /** Taken from the roll, mm. */
  readonly length: number;
  /** Whether the mark is wider than the roll, so that strips are laid side by side. */
  readonly strips: number;
}

/**
 * How much tape a set needs.
 *
 * @param mark width and height of the mark, mm
 * @param count pieces in the set
 */
export function tapePieces(mark: { width: number; height: number }, count: number, { tape, uses }: TapeChoice): TapePieces {
  const [width, height] = [mark.width + 2 * GRIP_LIMITS.margin, mark.height + 2 * GRIP_LIMITS.margin];
  const usesEach = Math.min(count, uses.to! - uses.from! + 1);
  const pieces = Math.ceil(count / usesEach);
  // the side that lies across the roll: in one strip if it can be, then whichever takes less length
  const across = (side: number, along: number) => ({
    strips: Math.ceil(side / tape.width),
    length: Math.ceil(side / tape.width) * along,
  });
  const [a, b] = [across(width, height), across(height, width)];
  const best = a.strips < b.strips || (a.strips === b.strips && a.length <= b.length) ? a : b;
  return { width, height, pieces, usesEach, length: best.length * pieces, strips: best.strips };
}
