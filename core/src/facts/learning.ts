import { TRADE, type Column } from './fact';

export const LEARNING_COLUMN: Column = { unit: 'logarithms of ratios; counts of runs', source: TRADE };

/** How the log teaches. */
export const LEARNING = {
  /** What is learnt is drawn towards what was computed as by so many runs that went as computed. */
  towards: 4,
  /** A run so many times as long or as short as computed teaches nothing: a timer was left running, or pressed afterwards. */
  most: 5,
  /** How far single runs lie apart, as the spread of the logarithm of actual by computed: until there are `enough` of them, and at least. */
  spread: 0.35,
  leastSpread: 0.12,
  enough: 6,
  /** How many spreads wide a range is drawn, so that it holds in 8 cases of 10. */
  range: 1.28,
  /** A tape that left letters behind held so much less than computed, as a logarithm; one that took paint along so much more. */
  tape: 0.7,
  /** A factor nearer to 1 than this is not spoken of. */
  worthSaying: 0.05,
} as const;
