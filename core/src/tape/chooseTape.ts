import { TAPE_KINDS, type FilmFinish } from '../facts';
import type { Tape } from '../job';
import { tapeUses, type GripWindow, type TapeUses } from './grip';

/** A tape chosen for a mark. */
export interface TapeChoice {
  readonly tape: Tape;
  readonly uses: TapeUses;
  /** How often one piece may be used before its first good use: pressed on clean cloth or glass. */
  readonly dull: number;
  readonly why: string;
}

/**
 * Chooses among the shop's tapes that work: one whose first use lies nearest to the middle of the window, counted in times, where it may be
 * used at once; else the
 * one that needs least dulling. Substitutes come last.
 *
 * @returns nothing when no tape works
 */
export function chooseTape(tapes: readonly Tape[], window: GripWindow, finish: FilmFinish): TapeChoice | undefined {
  const working = tapes.flatMap((tape) => {
    const uses = tapeUses(tape.kind, window, finish);
    return uses.from === undefined ? [] : [{ tape, uses, first: uses.grips[uses.from - 1]!, dull: uses.from - 1 }];
  });
  const middle = Math.sqrt(window.low * window.high);
  const off = (grip: number) => Math.abs(Math.log(grip / middle));
  const substitute = ({ tape }: { tape: Tape }) => Number(TAPE_KINDS[tape.kind].substitute);
  const [chosen] = working.toSorted(
    (a, b) =>
      substitute(a) - substitute(b) ||
      a.dull - b.dull ||
      Number(a.first > window.careful) - Number(b.first > window.careful) ||
      off(a.first) - off(b.first),
  );
  if (!chosen) return undefined;
  const { tape, uses, dull, first } = chosen;
  const why =
    dull > 0
      ? 'Only a worn piece is gentle enough here.'
      : first > window.careful
        ? 'Works with little to spare: press the film down well, and peel the tape flat and slowly.'
        : 'Lifts the film easily and lets go on this surface.';
  return { tape, uses, dull, why };
}
