/** A typical value with the range it is seen in. The user can correct it, and the logbook will. */
export interface Fact {
  readonly typical: number;
  readonly range: readonly [low: number, high: number];
}

/** What a column of a table means, and where its values come from. */
export interface Column {
  readonly unit: string;
  readonly source: string;
}

/** Where no publication is claimed: experience of the trade, to be corrected by use. */
export const TRADE = 'typical of the trade; to be corrected by use';

/** A fact whose range is `spread` (a share) to either side of the typical value. */
export const about = (typical: number, spread = 0.25): Fact => ({
  typical,
  range: [typical * (1 - spread), typical * (1 + spread)],
});

/** A fact with a range of its own. */
export const between = (low: number, typical: number, high: number): Fact => ({ typical, range: [low, high] });
