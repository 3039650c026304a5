import { TRADE, type Column } from './fact';

export const WORKDAY_COLUMN: Column = { unit: 'minutes unless named', source: TRADE };

/** How a day in a workshop goes. */
export const WORKDAY = {
  /** Steps begin and end on whole steps of so many minutes. */
  grain: 5,
  /** Hours that lie further apart than this are two days. */
  night: 4 * 60,
  /** An evening that is worked beside the week: so long after the day's last hour, so long, and no more of them than so many. */
  evening: { after: 60, long: 150, most: 5 },
  /** So long before the day ends it is said what may not stand overnight. */
  beforeNight: 150,
  /** A piece that is still tacky is left for this share of its wait, at least so many minutes; shorter waits than `least` are not for drying. */
  dryOn: { least: 15, share: 1 / 4, more: 10 },
  /** A job that is packed so much later than before is told of. */
  told: 15,
  /** A plan that moves more than it has to is taken where it is through so much sooner. */
  sooner: 7 * 24 * 60,
} as const;
