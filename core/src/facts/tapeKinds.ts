import { about, type Column, type Fact } from './fact';
import { TRADE } from './fact';

export type TapeKindId = 'paperLow' | 'paperMedium' | 'clearMedium' | 'clearStrong' | 'substitute';

export interface TapeKind {
  readonly name: string;
  /** Peel of a fresh piece from gloss film, N/25 mm. */
  readonly grip: Fact;
  /** The most uses that its own sheet or habit allows. */
  readonly uses: number;
  readonly substitute: boolean;
}

export const TAPE_KIND_COLUMNS: Record<'grip', Column> = { grip: { unit: 'N/25 mm', source: TRADE } };

export const TAPE_KINDS: Record<TapeKindId, TapeKind> = {
  paperLow: { name: 'low-tack paper tape', grip: about(0.8), uses: 3, substitute: false },
  paperMedium: { name: 'medium paper tape', grip: about(2.2), uses: 8, substitute: false },
  clearMedium: { name: 'medium clear tape', grip: about(3), uses: 40, substitute: false },
  clearStrong: { name: 'strong clear tape', grip: about(5), uses: 40, substitute: false },
  substitute: { name: 'self-adhesive covering film', grip: about(1.8), uses: 4, substitute: true },
};

/** What is left of a tape's grip after one more use. */
export const TAPE_WEAR: Record<'hard' | 'sealed' | 'raw' | 'substitute', Fact> = {
  hard: about(0.85, 0.06),
  sealed: about(0.8, 0.06),
  raw: about(0.65, 0.1),
  substitute: about(0.65, 0.1),
};

/** Limits of the grip window. */
export const GRIP_LIMITS = {
  /** Tape must hold film this many times as hard as the liner does. */
  overLiner: 2,
  /** And at most this share of what the piece holds. */
  underPiece: 0.7,
  /** Preferred: at most this share. */
  preferred: 0.5,
  /** The highest grip over the lowest must be at least this, or there is no window. */
  leastWindow: 1.3,
  /** Film holds this share of its 24 h bond right after it is put down, and after an hour. */
  atOnce: 0.65,
  afterHour: 0.85,
  /** Growth of the liner's hold a week after cutting. */
  linerWeek: 1.5,
  /** A coating on a bare smooth ground holds this share. */
  bareSmooth: 0.5,
  /** A clear sealer holds at least this, N/25 mm. */
  sealer: 4,
  /** A coating on the day it was put on holds this share. */
  sameDay: 0.5,
  /** Tape around the mark, mm. */
  margin: 8,
} as const;
