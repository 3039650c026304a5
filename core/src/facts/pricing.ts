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
} as const;
