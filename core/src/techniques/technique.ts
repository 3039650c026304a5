import type { Making, Mark, Reading, Shop } from '../job';
import type { Job } from '../job';
import type { CareWait, FittedLayer, Lag, RecipeDraft, RecipeLayer } from '../finish';

/** A mark whose film is weeded, and taped where it is lifted with tape. */
export interface LaidMark<M extends Making = Making> {
  readonly mark: Mark;
  readonly making: M;
  /** Its layers, the lowest first as it is drawn. */
  readonly layers: readonly RecipeLayer[];
  /** m² of the mark's box, and mm² of its shapes. */
  readonly size: number;
  readonly area: number;
}

/** What the work on the piece has to wait for. */
export interface LaidAfter {
  /** Its film, weeded and taped. */
  readonly film: readonly Lag[];
  /** The piece made clean, or the mark before. */
  readonly piece: readonly Lag[];
  /** Whether the piece was wiped, so that film has to follow soon. */
  readonly wiped: boolean;
}

/** When a finished mark lets the work go on. */
export interface Standing {
  /** From when the next mark may be placed. */
  readonly ready: Lag;
  /** From when it stands being wrapped. */
  readonly firm: Lag;
  readonly care: readonly CareWait[];
}

/** A mark of a job with what earlier stations found out about its layers. */
export interface JobMark<M extends Making = Making> {
  readonly job: Job;
  readonly mark: Mark;
  readonly making: M;
  readonly layers: readonly FittedLayer[];
  readonly count: number;
}

/** What of the workshop the ways to make a mark look at. */
export type TechniqueShop = Pick<Shop, 'paints' | 'supplies' | 'presses' | 'films' | 'temperatures' | 'lengths'>;

/**
 * One way to make a mark. Facts about it stand in its row of `TECHNIQUES`; here is what it does.
 */
export interface TechniqueFile<M extends Making = Making> {
  /** Adds the steps that bring the mark onto the piece and finish it. */
  readonly make: (draft: RecipeDraft, laid: LaidMark<M>, after: LaidAfter) => Standing;
  /** What it tells beside what every mark does. */
  readonly readings: (work: JobMark<M>, shop: TechniqueShop) => Reading[];
}
