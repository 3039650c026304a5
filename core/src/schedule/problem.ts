import { MINUTE_MS } from '../units';
import type { CareWait, Lag, WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import type { Window } from './calendar';

/** A job with its steps, each in the list after those that it waits for. */
export interface JobToPlace {
  readonly job: JobId;
  readonly name: string;
  readonly priority: number;
  readonly deadline?: number;
  readonly createdAt: number;
  readonly steps: readonly WorkStep[];
  readonly care: readonly CareWait[];
}

/** What steps need and only one of them has at a time, with when it is there. Every step needs hands. */
export interface Resource {
  readonly id: 'hands';
  /** From now on, sorted and apart. */
  readonly calendar: readonly Window[];
}

/** What is known of steps that have begun. */
export interface StepFact {
  readonly startedAt?: number;
  readonly doneAt?: number;
}

/** What has to be placed: open jobs, who and what does their steps, and what is fixed because it happened. */
export interface Problem {
  readonly jobs: readonly JobToPlace[];
  readonly resources: readonly Resource[];
  readonly fixed: ReadonlyMap<StepId, StepFact>;
  /** UTC ms. */
  readonly now: number;
}

/** A step in time, UTC ms. A step that pauses has more than one span. */
export interface PlacedStep {
  readonly step: WorkStep;
  readonly start: number;
  readonly end: number;
  readonly spans: readonly Window[];
  readonly state: 'done' | 'running' | 'waiting';
}

/** The steps of one job in time. */
export interface Placement {
  readonly steps: readonly PlacedStep[];
  /** Greatest waits that could not be kept: because the clock has passed them, or hours leave no room. */
  readonly broken: readonly (Pick<Lag, 'why' | 'coat'> & { readonly step: StepId; readonly after: StepId })[];
}

/** A job that cannot be placed, and the step that finds no room. */
export interface Unplaced {
  readonly unplaced: StepId;
}

/** Every job of a problem in time, or what keeps it from being so. */
export type Solution = ReadonlyMap<JobId, Placement | Unplaced>;

/** A way to solve the problem. All of them answer to `checkSolution`. */
export type Solver = (problem: Problem) => Solution;

/** When hands are there. */
export const handsOf = ({ resources }: Problem): readonly Window[] => resources.find(({ id }) => id === 'hands')?.calendar ?? [];

/** When a step that is running began, and when it ends: no sooner than now. Nothing where it does not run. */
export function runningSpan(step: WorkStep, fixed: Problem['fixed'], now: number): Window | undefined {
  const fact = fixed.get(step.id);
  if (fact?.startedAt === undefined || fact.doneAt !== undefined) return undefined;
  return { start: fact.startedAt, end: Math.max(now, fact.startedAt + step.hands * MINUTE_MS) };
}
