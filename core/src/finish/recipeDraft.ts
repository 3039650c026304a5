import { wallOf } from '../blanks';
import { GROUNDS, STEP_KINDS } from '../facts';
import { stepIdOf, type Piece } from '../job';
import type { RecipeInput } from './recipeInput';
import type { CareWait, Pieces, WorkStep } from './workStep';

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
type NewStep = Omit<WorkStep, 'job' | 'kind' | 'station' | 'mayPause' | 'needs'> & { readonly mayPause?: boolean };

/** A recipe while it is written: each part of it adds steps and waits. */
export interface RecipeDraft {
  readonly input: RecipeInput;
  readonly steps: WorkStep[];
  readonly care: CareWait[];
  readonly pieces: Pieces;
  /** m² of one piece. */
  readonly face: number;
  readonly id: (key: string) => string;
  /** Adds a step; where it is worked on, what it needs and whether it may pause are its kind's, unless said otherwise. */
  readonly add: (step: NewStep) => void;
}

/** m² of one piece's face. */
export const faceOf = ({ shape }: Pick<Piece, 'shape'>): number =>
  (shape.kind === 'flat' ? shape.width * shape.height : wallOf(shape).width * shape.height) / 1e6;

/** An empty recipe for a job. */
export function draftFor(input: RecipeInput): RecipeDraft {
  const { job } = input;
  const { name, build, ground } = job.piece;
  const steps: WorkStep[] = [];
  return {
    input,
    steps,
    care: [],
    pieces: { count: job.count, name, ...(build ? { build } : {}), ...(GROUNDS[ground].fixed ? { fixed: true } : {}) },
    face: faceOf(job.piece),
    id: (key) => stepIdOf(job.id, key),
    add: (step) => steps.push({ ...STEP_KINDS[step.about.kind], ...step, kind: step.about.kind, job: job.id }),
  };
}
