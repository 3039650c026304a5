import { MINUTE_MS } from '../units';
import type { CareWait, Lag, Pace, WorkStep } from '../finish';
import { WORKDAY, type Need } from '../facts';
import type { Id, JobId, StepId } from '../job';
import { joinedWindows, type Window } from './calendar';

/** Starts fall on whole steps of so many ms. */
export const GRAIN_MS = WORKDAY.grain * MINUTE_MS;

/** A job with its steps, each in the list after those that it waits for. */
export interface JobToPlace {
  readonly job: JobId;
  readonly name: string;
  readonly priority: number;
  /** When it has to be packed, UTC ms. */
  readonly deadline?: number;
  /** What it is wanted as takes so many minutes more than being packed. */
  readonly readyAfter?: number;
  readonly createdAt: number;
  /** So many pieces dry side by side; none of what stays where it is. */
  readonly pieces?: number;
  readonly steps: readonly WorkStep[];
  readonly care: readonly CareWait[];
}

/** Somebody or something that steps need, and that only one of them has at a time, with when it is there. Every step needs hands. */
export interface Resource {
  readonly id: Id;
  readonly kind: Need;
  /** From now on, sorted and apart. */
  readonly calendar: readonly Window[];
}

/** What is known of steps that have begun. */
export interface StepFact {
  readonly startedAt?: number;
  readonly doneAt?: number;
}

/** When steps that wait were to begin by the plan that people know, UTC ms, their spans where they pause, and who and what was to do them. */
export type Stands = ReadonlyMap<
  StepId,
  { readonly at: number; readonly spans?: readonly Window[]; readonly by?: readonly Id[]; readonly follows?: Follows }
>;

/** What has to be placed: open jobs, who and what does their steps, and what is fixed because it happened. */
export interface Problem {
  readonly jobs: readonly JobToPlace[];
  readonly resources: readonly Resource[];
  readonly fixed: ReadonlyMap<StepId, StepFact>;
  /** Steps that somebody put at a moment: they do not begin before, UTC ms. */
  readonly pinned?: ReadonlyMap<StepId, number>;
  /** So many pieces dry at a time; as many as there are where it is not said. */
  readonly room?: number | undefined;
  /** Days on which the room cures coats slower or faster than it usually does. */
  readonly cures?: readonly Pace[];
  /** Who was given a step by hand: nobody else does it. */
  readonly given?: ReadonlyMap<StepId, Id>;
  /** Where steps stood in the plan before: what need not move stays there. */
  readonly stands?: Stands | undefined;
  /** An order of steps that was found to be good and kept. */
  readonly order?: readonly StepId[];
  /** UTC ms. */
  readonly now: number;
}

/** Another step that the same was got ready for. */
export interface Follows {
  readonly step: StepId;
  readonly saved: number;
}

/** A step in time, UTC ms. A step that pauses has more than one span. */
export interface PlacedStep {
  readonly step: WorkStep;
  readonly start: number;
  readonly end: number;
  readonly spans: readonly Window[];
  /** Who and what does it, by the ids of resources; not said where there is only one pair of hands. */
  readonly by?: readonly Id[];
  /** The step that it goes straight on from, and the minutes of getting ready that it is spared. */
  readonly follows?: Follows;
  readonly state: 'done' | 'running' | 'waiting';
}

/** Minutes of hands of a step where it stands: without what it is spared by going straight on from another. */
export const handsIn = ({ step, follows }: Pick<PlacedStep, 'step' | 'follows'>): number => Math.max(1, step.hands - (follows?.saved ?? 0));

/** A step as it is done where it stands: a cut that goes straight on needs no test cut. */
export const stepIn = ({ step, follows }: Pick<PlacedStep, 'step' | 'follows'>): WorkStep =>
  follows && step.about.kind === 'cut' ? { ...step, about: { ...step.about, tested: true } } : step;

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

/** Everybody whose hands there are. */
export const peopleOf = ({ resources }: Problem): readonly Resource[] => resources.filter(({ kind }) => kind === 'hands');

/** When any hands are there. */
export function handsOf(problem: Problem): readonly Window[] {
  const people = peopleOf(problem);
  return people.length === 1 ? people[0]!.calendar : joinedWindows(people.flatMap(({ calendar }) => calendar));
}

/** When a step that is running began, and when it ends: no sooner than now. Nothing where it does not run. */
export function runningSpan(step: WorkStep, fixed: Problem['fixed'], now: number): Window | undefined {
  const fact = fixed.get(step.id);
  if (fact?.startedAt === undefined || fact.doneAt !== undefined) return undefined;
  return { start: fact.startedAt, end: Math.max(now, fact.startedAt + step.hands * MINUTE_MS) };
}
