import { TAPE_KINDS, type FilmFinish } from '../facts';
import type { Tape } from '../job';
import { counted } from '../units';
import { tapeUses, type GripWindow, type TapeUses } from './grip';

/** A tape chosen for a mark. */
export interface TapeChoice {
  readonly tape: Tape;
  readonly uses: TapeUses;
  /** How often one piece may be used before its first good use: pressed on clean cloth or glass. */
  readonly dull: number;
  readonly why: string;
}

/** What one tape of the shop means for a mark. */
export type TapeOffer =
  | { readonly works: true; readonly choice: TapeChoice; readonly says: string }
  | { readonly works: false; readonly tape: Tape; readonly says: string };

/** Why a tape does not work in a window: in the maker's words. */
function unfit(tape: Tape, window: GripWindow, finish: FilmFinish): string {
  const { grips } = tapeUses(tape.kind, window, finish);
  const fresh = grips[0]!;
  if (!window.open) return 'No tape works here.';
  if (fresh < window.low) return 'Too weak to lift this film off its liner.';
  return window.limitedBy === 'coating'
    ? 'Too strong here: it would take the coating with it.'
    : 'Too strong here: it would take the film off again.';
}

/** A tape that works, at which of its uses, and in words. */
function offerOf(tape: Tape, window: GripWindow, finish: FilmFinish): TapeOffer {
  const uses = tapeUses(tape.kind, window, finish);
  if (uses.from === undefined) return { works: false, tape, says: unfit(tape, window, finish) };
  const dull = uses.from - 1;
  const first = uses.grips[dull]!;
  const why =
    dull > 0
      ? 'Only a worn piece is gentle enough here.'
      : first > window.careful
        ? 'Works with little to spare: press the film down well, and peel the tape flat and slowly.'
        : 'Lifts the film easily and lets go on this surface.';
  const marks = uses.to! - uses.from + 1;
  const soft = TAPE_KINDS[tape.kind].substitute ? ' It is soft and stretches: only for small marks.' : '';
  return { works: true, choice: { tape, uses, dull, why }, says: `${why} One piece does ${counted(marks, 'mark')}.${soft}` };
}

/**
 * What each tape of the shop means for a mark, the best first: one whose first use lies nearest to the middle of the window, counted in times,
 * where it may be used at once; then those that need least dulling; substitutes after them; those that do not work last.
 */
export function tapeOffers(tapes: readonly Tape[], window: GripWindow, finish: FilmFinish): TapeOffer[] {
  const middle = Math.sqrt(window.low * window.high);
  const rank = (offer: TapeOffer): number[] => {
    if (!offer.works) return [2];
    const { tape, uses, dull } = offer.choice;
    const first = uses.grips[dull]!;
    return [Number(TAPE_KINDS[tape.kind].substitute), dull, Number(first > window.careful), Math.abs(Math.log(first / middle))];
  };
  const before = (a: readonly number[], b: readonly number[]): number => {
    for (const [i, one] of a.entries()) if (one !== (b[i] ?? 0)) return one - (b[i] ?? 0);
    return 0;
  };
  return tapes
    .map((tape) => offerOf(tape, window, finish))
    .map((offer) => ({ offer, order: rank(offer) }))
    .toSorted((a, b) => before(a.order, b.order))
    .map(({ offer }) => offer);
}

/**
 * The tape for a mark: the one that the maker wants where it works, else the best of the shop's.
 *
 * @param wanted the id of the tape that was chosen for the mark
 * @returns nothing when no tape works
 */
export function chooseTape(tapes: readonly Tape[], window: GripWindow, finish: FilmFinish, wanted?: string): TapeChoice | undefined {
  const working = tapeOffers(tapes, window, finish).flatMap((offer) => (offer.works ? [offer.choice] : []));
  return working.find(({ tape }) => tape.id === wanted) ?? working[0];
}
