import type { CautionId } from '../facts';
import type { Making, Mark, Piece, Reading, Shop, StepId } from '../job';
import type { CareWait, Lag, RecipeDraft, RecipeLayer } from '../finish';

/** A mark whose film is being placed. */
export interface LaidMark<M extends Making = Making> {
  readonly mark: Mark;
  readonly making: M;
  /** Its place step. */
  readonly place: StepId;
  /** m² of the mark's box, and mm² of its shapes. */
  readonly size: number;
  readonly area: number;
}

/** What a technique adds to placing film. */
interface Placing {
  /** Masked beyond the film, mm. */
  readonly mask?: number;
  /** Minutes more, for the whole set. */
  readonly hands: number;
  readonly cautions: readonly CautionId[];
}

/** When a placed mark lets the work go on. */
export interface Standing {
  /** From when the next mark may be placed. */
  readonly ready: Lag;
  /** From when it stands being wrapped. */
  readonly firm: Lag;
  readonly care: readonly CareWait[];
}

/** A mark of a job with what earlier stations found out about its layers. */
export interface JobMark<M extends Making = Making> {
  readonly mark: Mark;
  readonly making: M;
  readonly layers: readonly RecipeLayer[];
  readonly count: number;
}

/**
 * One way to make a mark. Facts about it stand in its row of `TECHNIQUES`; here is what it does.
 */
export interface TechniqueFile<M extends Making = Making> {
  /** What it adds to placing its film. */
  readonly placing: (draft: RecipeDraft, laid: LaidMark<M>, piece: Piece) => Placing;
  /**
   * Adds the steps that follow on the placed film.
   *
   * @param wiped whether the piece was wiped, so that film has to follow soon
   */
  readonly after: (draft: RecipeDraft, laid: LaidMark<M>, wiped: boolean) => Standing;
  /** What it tells beside what every mark does. */
  readonly readings: (work: JobMark<M>, shop: Pick<Shop, 'paints'>) => Reading[];
}
