import { FINISH_GRIP, GRIP_LIMITS, TAPE_KINDS, TAPE_WEAR, type FilmFinish } from '../facts';
import type { Id, Tape } from '../job';
import type { GripWindow } from './grip';

/** One layer of a mark that has to be lifted so many times. */
export interface Lift {
  /** Tells it from others. */
  readonly id: string;
  /** Of the film, mm; the tape reaches beyond it all round. */
  readonly width: number;
  readonly height: number;
  readonly times: number;
  readonly window: GripWindow;
  readonly finish: FilmFinish;
  /** The tape that the maker chose for it, where it works. */
  readonly wanted?: Id;
}

/** One piece of tape, cut once and used for one lift after the other. */
export interface TapePiece {
  readonly tape: Id;
  /** mm, with the margin all round the largest of its lifts. */
  readonly width: number;
  readonly height: number;
  /** Taken from the roll, mm. */
  readonly length: number;
  /** What it lifts, in this order; how often it is pressed on clean cloth before each. */
  readonly uses: readonly { readonly lift: string; readonly dull: number }[];
}

/** A piece counts as so much more tape, mm: between plans of one length the one with fewer pieces is better. */
export const PIECE_COSTS = 5;
/** A piece is pressed on cloth at most so often before a lift. */
export const MOST_DULL = 12;

/** In which state of wear a tape works for a lift: wear is what is left of its first grip, from 1 down. */
export interface Band {
  readonly low: number;
  readonly high: number;
  /** What is left after the lift. */
  readonly wear: number;
}

export function bandOf(lift: Lift, tape: Tape): Band | undefined {
  const { window, finish } = lift;
  if (!window.open) return undefined;
  const kind = TAPE_KINDS[tape.kind];
  const fresh = kind.grip.typical;
  const grip = fresh * FINISH_GRIP[finish].typical;
  const onCoat =
    window.coating === Infinity ? Infinity : (GRIP_LIMITS.underPiece * window.coating) / Math.max(1e-9, fresh * window.groundShare);
  const [low, high] = [window.low / grip, Math.min(window.high / grip, onCoat)];
  const wear = kind.substitute ? Math.min(window.wear, TAPE_WEAR.substitute.typical) : window.wear;
  return low <= Math.min(1, high) ? { low, high, wear } : undefined;
}

/** What a piece takes from a roll, mm: laid either way, in strips side by side where it is wider than the roll. */
export function lengthOf(width: number, height: number, roll: number): number {
  const strips = (side: number) => Math.ceil(side / roll - 1e-9);
  const [a, b] = [strips(width) * height, strips(height) * width];
  return strips(width) < strips(height) ? a : strips(height) < strips(width) ? b : Math.min(a, b);
}

/** A lift with what each tape can do for it. */
export interface Task {
  readonly lift: Lift;
  readonly w: number;
  readonly h: number;
  readonly bands: ReadonlyMap<Id, Band>;
}

/** What pieces cost: their tape, and so much for each of them, mm. */
export const costOf = (pieces: readonly TapePiece[]): number => pieces.reduce((sum, { length }) => sum + length + PIECE_COSTS, 0);

/** The least box that holds each of some, turned where that helps. */
export function tightest(boxes: readonly { readonly w: number; readonly h: number }[]): [number, number] {
  const sides = boxes.map(({ w, h }) => [Math.max(w, h), Math.min(w, h)] as const);
  return [Math.max(...sides.map(([long]) => long)), Math.max(...sides.map(([, short]) => short))];
}
