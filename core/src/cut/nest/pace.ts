/** How hard a search looks, which depends on how many parts there are and on how simple their outlines are. */
export interface Pace {
  /** Grids have so many cells along the mean side of the parts. */
  readonly cells: number;
  /** Between the last number of a grid that overlaps and the first that does not the outlines are taken to touch, about here; thirds of a cell. */
  readonly rim: number;
  /** How many places of a part are looked at anywhere and near by, and from how many of them it goes downhill. */
  readonly random: number;
  readonly near: number;
  readonly kept: number;
  /** How often a strip is tried before it is given up. */
  readonly tries: number;
  /** Rounds of separating without progress after which a try is over. */
  readonly stuck: number;
  /** Weights of pairs that go on overlapping grow so much at least and at most. */
  readonly more: number;
  readonly most: number;
}

/** Marks as workshops cut them: words, hearts, rings. Many of them are given up sooner, for each try takes longer. */
const MANY: Pace = { cells: 30, rim: 1.2, random: 30, near: 20, kept: 2, tries: 2, stuck: 80, more: 1.2, most: 1.5 };
const FEW: Pace = { ...MANY, cells: 50, tries: 10 };
/**
 * Plates with straight sides, which can be pushed together until they touch: grids may take a little too much for free, and a place that is
 * nearly right is found sooner.
 */
const PLATES: Pace = { ...MANY, cells: 60, rim: 2, random: 40, near: 10, tries: 10, stuck: 100, most: 2 };
const FEW_PLATES: Pace = { ...PLATES, tries: 100, stuck: 50, more: 1.1, most: 1.5 };

/** So many parts are few. */
const FEW_PARTS = 15;

/** How hard a search of so many parts looks. */
export const paceFor = (parts: number, plates: boolean): Pace =>
  parts <= FEW_PARTS ? (plates ? FEW_PLATES : FEW) : plates ? PLATES : MANY;
