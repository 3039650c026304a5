import type { CautionId, StepKind } from '../facts';
import type { CutFrom, Id, JobId, StationId, StepId } from '../job';

/** How long after another step a step may begin, minutes. */
export interface Lag {
  readonly step: StepId;
  readonly least: number;
  readonly most?: number;
  /** What is waited for, as a noun: "stain dries". */
  readonly why: string;
}

/** One thing to do, for the whole set at once. */
export interface WorkStep {
  readonly id: StepId;
  readonly job: JobId;
  readonly kind: StepKind;
  readonly station: StationId;
  /** What to do, as an order: "Wipe the 12 glasses with alcohol". */
  readonly title: string;
  /** One word for the ribbon. */
  readonly short: string;
  readonly text: string;
  /** Minutes of hands. */
  readonly hands: number;
  readonly after: readonly Lag[];
  readonly cautions: readonly CautionId[];
  /** May go on after a break; other steps are done in one go. */
  readonly mayPause: boolean;
  /** Cutting: the film and how much of it is taken. */
  readonly takes?: { readonly film: Id; readonly length: number; readonly area: number; readonly from: CutFrom };
}

/** A wait after the last step of which the maker only has to know: first wash, full cure. */
export interface CareWait {
  readonly after: StepId;
  readonly minutes: number;
  readonly what: string;
  /** What is allowed from then on. */
  readonly then: string;
  /** Whether the piece may be packed meanwhile. */
  readonly packed: boolean;
}

/** The steps of a job, each after those it waits for. */
export interface Recipe {
  readonly steps: readonly WorkStep[];
  readonly care: readonly CareWait[];
  /** Grounds for which no preparation is written yet. */
  readonly unknownGround: boolean;
}
