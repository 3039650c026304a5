import { wallOf } from '../blanks';
import { STEP_KINDS } from '../facts';
import { formatLength } from '../units';
import type { RecipeInput } from './recipeInput';
import type { CareWait, WorkStep } from './workStep';

/** Minutes of a step: a start, and so much a piece and a square metre. */
export interface Rate {
  readonly start: number;
  readonly piece: number;
  readonly squareMetre?: number;
}

/** Minutes of a step for a set. */
export const minutesFor = (rate: Rate, count: number, squareMetres: number): number =>
  Math.max(1, Math.round(rate.start + count * (rate.piece + (rate.squareMetre ?? 0) * squareMetres)));

/** A step as it is written into a recipe. */
export type NewStep = Omit<WorkStep, 'job' | 'station' | 'mayPause'> & { readonly mayPause?: boolean };

/** A recipe while it is written: each part of it adds steps and waits. */
export interface RecipeDraft {
  readonly input: RecipeInput;
  readonly steps: WorkStep[];
  readonly care: CareWait[];
  /** All the pieces in words: "the 12 pint glasses". */
  readonly whole: string;
  /** m² of one piece. */
  readonly face: number;
  readonly id: (key: string) => string;
  /** Adds a step; where it is worked on and whether it may pause are its kind's, unless said otherwise. */
  readonly add: (step: NewStep) => void;
  readonly say: (mm: number) => string;
}

/** An empty recipe for a job. */
export function draftFor(input: RecipeInput): RecipeDraft {
  const { job } = input;
  const { shape, name } = job.piece;
  const steps: WorkStep[] = [];
  return {
    input,
    steps,
    care: [],
    whole: job.count === 1 ? `the ${name}` : `the ${job.count} ${name}`,
    face: (shape.kind === 'flat' ? shape.width * shape.height : wallOf(shape).width * shape.height) / 1e6,
    id: (key) => `${job.id}/${key}`,
    add: (step) => steps.push({ ...STEP_KINDS[step.kind], ...step, job: job.id }),
    say: (mm) => formatLength(mm, input.lengths, { digits: 0 }),
  };
}
