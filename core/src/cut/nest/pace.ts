/** How hard a search looks, which depends on how many parts there are. */
export interface Pace {
  /** How many places of a part are looked at anywhere and near by, and from how many of them it goes downhill. */
  readonly random: number;
  readonly near: number;
  readonly kept: number;
  /** How much shorter the strip is made to begin with, a share; and how often a strip is tried before it is given up. */
  readonly shrink: number;
  readonly tries: number;
  /** Rounds of separating without progress after which a try is over. */
  readonly stuck: number;
  /** Smaller overlaps are smoothed over, as a share of the mean side of the parts. */
  readonly fine: number;
  /** Weights of pairs that go on overlapping grow so much at least and at most. */
  readonly more: number;
  readonly most: number;
  /** The last step downhill, mm. */
  readonly least: number;
  /** How often two large parts change places when a try is over. */
  readonly swapped: number;
}
/** Few parts fit in few ways, which are looked for far and wide; with many there is time for little more than the next place. */
const FEW: Pace = {
  random: 40,
  near: 10,
  kept: 2,
  shrink: 0.01,
  tries: 100,
  stuck: 50,
  fine: 0.2,
  more: 1.1,
  most: 1.5,
  least: 0.2,
  swapped: 1,
};
const MANY: Pace = {
  random: 6,
  near: 12,
  kept: 2,
  shrink: 0.03,
  tries: 0,
  stuck: 30,
  fine: 0.01,
  more: 1.2,
  most: 2,
  least: 0.04,
  swapped: 0.1,
};
/** So many are few. */
const FEW_PARTS = 25;

/** How hard a search of so many parts looks. */
export const paceFor = (parts: number): Pace => (parts <= FEW_PARTS ? FEW : MANY);
