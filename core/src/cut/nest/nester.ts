import type { Region, Transform } from '../../geometry';
import type { Sheet } from './sheet';

/** A part to be laid on film, so many times. */
export interface NestPart {
  /** As the knife follows it, around any middle, mm. */
  readonly region: Region;
  readonly copies: number;
  /** May not be turned: its film has a direction. */
  readonly fixed?: boolean;
}

export interface NestOptions {
  /** Between any two parts, mm. */
  readonly gap: number;
  /** Kept free along the edges of a sheet, where it is held down, mm. */
  readonly holdDown: number;
}

/** How hard to look: the same seed and number of rounds give the same layout. */
export interface NestBudget {
  readonly rounds: number;
  readonly seed: number;
}

/** One copy of a part in its place. */
export interface Nested {
  /** Which part, and which of its copies. */
  readonly part: number;
  readonly copy: number;
  readonly sheet: number;
  /** Takes the part's region to its place on the sheet. */
  readonly place: Transform;
}

export interface Nesting {
  readonly nested: readonly Nested[];
  /** Parts that go on none of the sheets, however they are turned. */
  readonly tooLarge: readonly number[];
}

/** A way of laying parts on sheets, the first sheet first. */
export type Nester = (parts: readonly NestPart[], sheets: readonly Sheet[], options: NestOptions, budget: NestBudget) => Nesting;
