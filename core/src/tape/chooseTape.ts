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
 * Chooses among the shop's tapes: the strongest that stays in the preferred half of the window, substitutes last; where none does, the one
 * that needs least dulling.
 *
 * @returns nothing when no tape works
 */
export function chooseTape(tapes: readonly Tape[], window: GripWindow, finish: FilmFinish): TapeChoice | undefined {
  const working = tapes.map((tape) => ({ tape, uses: tapeUses(tape.kind, window, finish) })).filter((t) => t.uses.from !== undefined);
  if (working.length === 0) return undefined;
  const grip = (t: (typeof working)[number]) => t.uses.grips[t.uses.from! - 1]!;
  const substitute = (t: (typeof working)[number]) => TAPE_KINDS[t.tape.kind].substitute;
  const preferred = working.filter((t) => grip(t) <= window.preferred && t.uses.from === 1);
  const pick = (list: typeof working) => list.toSorted((a, b) => Number(substitute(a)) - Number(substitute(b)) || grip(b) - grip(a))[0];
  const chosen =
    pick(preferred) ??
    working.toSorted((a, b) => a.uses.from! - b.uses.from! || Number(substitute(a)) - Number(substitute(b)) || grip(b) - grip(a))[0]!;
  const dull = chosen.uses.from! - 1;
  const why =
    dull > 0
      ? 'Only a worn piece is gentle enough here.'
      : preferred.includes(chosen)
        ? 'The strongest that still lets go well before the film or its ground does.'
        : 'It works, with little to spare.';
  return { ...chosen, dull, why };
}
