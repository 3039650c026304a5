import { good, refused, type Result } from '../../units';
import type { Point } from '../../geometry';

/** One move of the knife, in machine steps. */
export interface Move {
  readonly to: Point;
  readonly down: boolean;
  /** Made by a pen in the second holder: nothing is cut. */
  readonly pen?: true;
}

/** What a cutter understands of an HPGL job. */
export interface HpglJob {
  readonly moves: readonly Move[];
  /** cm/s and force, where the job sets them. */
  readonly speed?: number;
  readonly force?: number;
}

const IGNORED = new Set(['IN', 'SP', 'DF', 'LT', 'IP', 'SC']);
/** Longer jobs are refused, characters. */
const LONGEST = 64 * 1024 * 1024;

/**
 * Reads HPGL as a cutter does: PU, PD, PA, PR, SP, VS, FS, IN.
 *
 * @param text the job as it came in
 * @returns moves in order; a problem that names the command when one cannot be read or the numbers do not come in pairs
 */
export function readHpgl(text: string): Result<HpglJob> {
  if (text.length > LONGEST) return refused('The job is too long for the cutter.', 'up to 64 MB', 'job', 'Cut it in parts.');
  const moves: Move[] = [];
  let at: Point = [0, 0];
  let down = false;
  let relative = false;
  let pen: true | undefined;
  let speed: number | undefined;
  let force: number | undefined;
  for (const raw of text.split(';')) {
    const command = raw.trim();
    if (command === '') continue;
    const word = command.slice(0, 2).toUpperCase();
    const rest = command.slice(2).trim();
    const numbers = rest === '' ? [] : rest.split(/[\s,]+/).map((number) => (number === '' ? Number.NaN : Number(number)));
    if (word === 'SP') pen = numbers[0] === 2 ? true : undefined;
    if (IGNORED.has(word)) continue;
    if (!['PU', 'PD', 'PA', 'PR', 'VS', 'FS'].includes(word) || numbers.some((n) => !Number.isFinite(n)))
      return refused(
        `The cutter does not understand "${command.slice(0, 24)}".`,
        'PU, PD, PA, PR, SP, VS, FS',
        `command ${moves.length + 1}`,
        'Make the job again.',
      );
    if (word === 'VS') speed = numbers[0];
    else if (word === 'FS') force = numbers[0];
    else {
      if (word === 'PU') down = false;
      if (word === 'PD') down = true;
      if (word === 'PA') relative = false;
      if (word === 'PR') relative = true;
      if (numbers.length % 2 !== 0)
        return refused(
          `A position is cut short in "${command.slice(0, 24)}".`,
          'pairs of numbers',
          `command ${moves.length + 1}`,
          'Send the job again.',
        );
      for (let i = 0; i < numbers.length; i += 2) {
        at = relative ? [at[0] + numbers[i]!, at[1] + numbers[i + 1]!] : [numbers[i]!, numbers[i + 1]!];
        moves.push(pen ? { to: at, down, pen } : { to: at, down });
      }
    }
  }
  if (!moves.some((move) => move.down))
    return refused('The job has nothing to cut.', 'at least one outline', 'job', 'Give the job a mark, and send it again.');
  return good({ moves, speed, force });
}
