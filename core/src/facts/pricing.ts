import { TRADE, type Column } from './fact';

export const PRICING_COLUMN: Column = { unit: 'per cent; thousandths of a minor unit a metre; runs', source: TRADE };

/** How prices are made until the maker says otherwise. */
export const PRICING = {
  /** Rent, light, tools and the time between jobs, on top of what the job takes. */
  overhead: 12,
  margin: 20,
  tax: 0,
  /** A blade for 1500 that cuts 800 m, and as much again for the machine. */
  knifeMetre: 3750,
  /** Until the log knows better, so many steps in a hundred are done again, weighed like so many runs. */
  again: 0.03,
  againRuns: 20,
  /** A mark is tried so much smaller; what saves less than this share of the price is not worth a word. */
  smaller: 0.1,
  worth: 0.01,
  /** Pieces of a run that a price is compared with, until another number is asked for. */
  run: 24,
  /** Days for which a quote holds. */
  holds: 30,
} as const;
