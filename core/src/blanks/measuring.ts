import { LIMITS } from '../facts';
import { good, refused, type Result } from '../units';
import { regionCentre, type Point, type Region } from '../geometry';

/**
 * The radius of an arc from a straight edge laid across it.
 *
 * @param chord length of the edge between the two places where it touches, mm
 * @param sagitta how far the arc stands off its middle, mm
 * @returns mm: c²/8s + s/2; a problem when the arc would be more than a half circle
 */
export function radiusFromChord(chord: number, sagitta: number): Result<number> {
  if (chord > 0 && sagitta > 0 && sagitta <= chord / 2) return good((chord * chord) / (8 * sagitta) + sagitta / 2);
  return refused(
    `An arc cannot stand ${sagitta.toFixed(1)} mm off the middle of a straight edge of ${chord.toFixed(1)} mm.`,
    `more than 0 and at most ${(chord / 2).toFixed(1)} mm`,
    'Arc',
    'Lay the edge across the curve again, and measure at its middle, square to it.',
  );
}

/**
 * The panel that is seen when cloth is folded, and where its middle lies on the cloth spread out.
 *
 * @param width, height of the cloth spread out, mm
 * @param across, up folds: 1 is not folded, 2 in half, 3 in three; what is seen is the last panel, right and upper
 * @returns mm; the middle from the cloth's lower left corner
 */
export function foldedPanel(width: number, height: number, across: number, up: number): { width: number; height: number; middle: Point } {
  const panel = { width: width / across, height: height / up };
  return { ...panel, middle: [width - panel.width / 2, height - panel.height / 2] };
}

/** What several pieces of a set measured come to: the smallest counts. */
export interface SetMeasure {
  readonly least: number;
  readonly greatest: number;
  readonly spread: number;
}

/** Several measures of one thing; a problem when there are none, or one is so far off that it is a slip. */
export function setMeasure(values: readonly number[]): Result<SetMeasure> {
  const [least, greatest] = [Math.min(...values), Math.max(...values)];
  if (values.length === 0)
    return refused('No measure was typed.', 'one or more', 'Several pieces', 'Type them with commas or spaces between.');
  if (greatest > least * (1 + LIMITS.setSlip))
    return refused(
      `${least.toFixed(1)} mm and ${greatest.toFixed(1)} mm do not belong to one set.`,
      `measures within ${Math.round(LIMITS.setSlip * 100)} % of each other`,
      'Several pieces',
      'One of them may be a slip: measure it again, or make a job of its own for the odd piece.',
    );
  return good({ least, greatest, spread: greatest - least });
}

/** The middle of an irregular piece: of its area, where it balances on a finger. */
export const balancePoint = (region: Region): Point => regionCentre(region);
