import type { CautionId } from './cautions';
import type { CoatId } from './drying';
import type { GroundId } from './grounds';
import type { HANDS_ON, WAITS } from './handsOn';
import type { StepKind } from './stepKinds';

/** How a piece is cleaned: the words for each are in `words/`. */
export type CleaningId = 'wipe' | 'wipeGently' | 'wipePeeled' | 'dust';

/** What has to be true of a piece for a row of a recipe to be used; what is not named does not matter. */
export interface RecipeCondition {
  /** The coat that it gets in this job is one of these. */
  readonly coat?: readonly CoatId[];
  /** It gets a coat at all. */
  readonly coated?: boolean;
  /** It is sealed before film. */
  readonly sealed?: boolean;
  readonly ground?: readonly GroundId[];
  /** Its ground drinks, or is wood. */
  readonly drinks?: boolean;
}

/** One step of a row. */
export interface RecipeStep {
  /** Its id within the job: it stays the same for as long as it is the same work. */
  readonly key: string;
  readonly kind: StepKind;
  /** Minutes: a rate, over so much of the piece (all of it where nothing is said). */
  readonly rate: { [R in keyof typeof HANDS_ON]: (typeof HANDS_ON)[R] extends number ? never : R }[keyof typeof HANDS_ON];
  readonly share?: number;
  /** What is put on, and dries: the coat of the job, or another. */
  readonly puts?: 'coat' | CoatId;
  /** Which of how many coats. */
  readonly nth?: readonly [number, number];
  readonly cleaning?: CleaningId;
  readonly cautions?: readonly CautionId[];
  /** What comes on a wiped piece has to come within this. */
  readonly within?: keyof typeof WAITS;
}

/** Steps for a condition. Of the rows of one part the first that fits is used, those of the workshop before these. */
export interface RecipeRow {
  readonly id: string;
  readonly part: 'coat' | 'seal' | 'clean';
  readonly when: RecipeCondition;
  readonly steps: readonly RecipeStep[];
  /** Stands in where nothing better is written, which is said. */
  readonly general?: boolean;
}

const wipe = (cleaning: CleaningId): RecipeStep => ({
  ...{ key: 'clean', kind: 'clean', rate: 'wipe', share: 1 / 3, cleaning, puts: 'alcohol' },
  ...{ cautions: ['vapour'], within: 'placeAfterWipe' },
});
const DUST: RecipeStep = { key: 'clean', kind: 'clean', rate: 'dustOff', share: 1 / 3, cleaning: 'dust' };

/** How pieces are made ready for film. */
export const RECIPES: readonly RecipeRow[] = [
  {
    ...{ id: 'stain', part: 'coat', when: { coat: ['waterStain', 'oilStain'] } },
    steps: [{ key: 'coat1', kind: 'stain', rate: 'stain', puts: 'coat' }],
  },
  {
    ...{ id: 'paint', part: 'coat', when: { coated: true } },
    steps: [
      { key: 'coat0', kind: 'coat', rate: 'coat', puts: 'coat', nth: [1, 2] },
      { key: 'coat1', kind: 'coat', rate: 'coat', puts: 'coat', nth: [2, 2] },
    ],
  },
  {
    ...{ id: 'seal', part: 'seal', when: { sealed: true } },
    steps: [{ key: 'seal', kind: 'seal', rate: 'seal', puts: 'sealer' }],
  },
  { id: 'wipe', part: 'clean', when: { ground: ['glass', 'glazedCeramic', 'bareMetal'] }, steps: [wipe('wipe')] },
  { id: 'wipe-gently', part: 'clean', when: { ground: ['powderCoat'] }, steps: [wipe('wipeGently')] },
  { id: 'wipe-peeled', part: 'clean', when: { ground: ['acrylic'] }, steps: [wipe('wipePeeled')] },
  { id: 'dust', part: 'clean', when: { ground: ['sealedWood', 'stainedWood'] }, steps: [DUST] },
  { id: 'dust-any', part: 'clean', when: { drinks: true }, steps: [DUST], general: true },
  { id: 'wipe-any', part: 'clean', when: {}, steps: [wipe('wipe')], general: true },
];
