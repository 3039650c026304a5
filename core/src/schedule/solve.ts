import { MINUTE_MS } from '../units';
import type { CareWait, Lag, WorkStep } from '../finish';
import type { JobId } from '../job';
import type { Window } from './calendar';
import { endOf } from './cost';
import { bestSchedule } from './bestSchedule';
import { placeSteps } from './placeSteps';
import { GRAIN_MS, handsOf, type JobToPlace, type PlacedStep, type Placement, type Problem, type Solution, type Solver } from './problem';
import { minutesAfter, waitOver } from './waitOver';

/** A job in time. */
export interface JobSchedule {
  readonly job: JobId;
  /** None where it cannot be placed. */
  readonly steps: readonly PlacedStep[];
  /** When the last step ends, UTC ms; undefined where it cannot be placed. */
  readonly packed?: number;
  /** When it is what it is wanted as: packed, or fit to be washed. */
  readonly ready?: number;
  /** It has a date and is not ready by then. */
  readonly late: boolean;
  /** The step that finds no room in the hours, where it cannot be placed. */
  readonly unplaced?: WorkStep;
  /** The latest moment at which its next step may begin, were it the only job; undefined without a date or when it is too late. */
  readonly latestStart?: number;
  /** Minutes between the planned and the latest start; negative when late. */
  readonly slack?: number;
  readonly care: readonly (Pick<CareWait, 'coat' | 'then' | 'packed'> & { readonly from: number; readonly until: number })[];
  readonly broken: Placement['broken'];
  /** Packed if this job alone were in the workshop. */
  readonly packedAlone?: number;
  /** What makes the date impossible or late. */
  readonly holdup?: Holdup;
}

/** What holds a job up: the longest wait on its way, its work alone, hours in which nobody works, or other jobs. */
export type Holdup =
  | { readonly kind: 'waits'; readonly minutes: number; readonly until: Pick<Lag, 'why' | 'coat'> }
  | { readonly kind: 'work' }
  | { readonly kind: 'hours'; readonly minutes: number }
  | { readonly kind: 'others' };

export interface Schedule {
  /** As it was solved. */
  readonly solution: Solution;
  readonly jobs: ReadonlyMap<JobId, JobSchedule>;
  /** Every step of every job by its start. */
  readonly steps: readonly PlacedStep[];
  readonly windows: readonly Window[];
}

/** How far ahead the calendar looks, days. */
export const HORIZON_DAYS = 200;

function latestStart(job: JobToPlace, windows: readonly Window[], facts: Problem['fixed'], now: number): number | undefined {
  const { deadline } = job;
  if (deadline === undefined || deadline <= now) return undefined;
  const startsAt = (from: number): number | undefined => {
    const placed = placeSteps(job.steps, windows, from, facts, now);
    if ('unplaced' in placed || placed.broken.length > 0 || endOf(placed)! > deadline) return undefined;
    return placed.steps.filter((s) => s.state === 'waiting').reduce((first, s) => Math.min(first, s.start), Infinity);
  };
  let low = Math.ceil(now / GRAIN_MS);
  if (startsAt(low * GRAIN_MS) === undefined) return undefined;
  let high = Math.floor(deadline / GRAIN_MS);
  while (high - low > 1) {
    const mid = Math.floor((low + high) / 2);
    if (startsAt(mid * GRAIN_MS) === undefined) high = mid;
    else low = mid;
  }
  const start = startsAt(low * GRAIN_MS);
  return start === undefined || !Number.isFinite(start) ? undefined : start;
}

/** What holds a job up: follows the steps back from the last along what each waited for. */
function holdupOf(alone: Placement, now: number): Holdup {
  const at = new Map(alone.steps.map((s) => [s.step.id, s]));
  let current = alone.steps.toSorted((a, b) => b.end - a.end)[0];
  let wait: { minutes: number; lag?: Lag } = { minutes: 0 };
  let idle = 0;
  while (current && current.state === 'waiting') {
    const { step, start } = current;
    const tight: { lag: WorkStep['after'][number]; ready: number } | undefined = step.after
      .map((lag) => ({ lag, ready: waitOver(at.get(lag.step)?.end ?? 0, lag) }))
      .toSorted((a, b) => b.ready - a.ready)[0];
    const { opens } = step;
    if (opens && opens.at >= (tight?.ready ?? 0)) {
      const minutes = (opens.at - now) / MINUTE_MS;
      if (minutes > wait.minutes) wait = { minutes, lag: { ...opens, step: step.id, least: minutes } };
      idle += Math.max(0, start - opens.at);
      break;
    }
    if (!tight) {
      idle += Math.max(0, start - now);
      break;
    }
    if (tight.lag.least > wait.minutes) wait = { minutes: tight.lag.least, lag: tight.lag };
    idle += Math.max(0, start - tight.ready);
    current = at.get(tight.lag.step);
  }
  if (idle / MINUTE_MS > wait.minutes) return { kind: 'hours', minutes: idle / MINUTE_MS };
  return wait.lag ? { kind: 'waits', minutes: wait.minutes, until: wait.lag } : { kind: 'work' };
}

/** A placed job, described: when it is packed, how much of its time is spare, what holds it up, and what goes on afterwards. */
function describe(job: JobToPlace, placement: Placement, windows: readonly Window[], { fixed, now, cures }: Problem): JobSchedule {
  const packed = endOf(placement)!;
  const found = placeSteps(job.steps, windows, now, fixed, now);
  const alone = 'unplaced' in found ? placement : found;
  const packedAlone = endOf(alone)!;
  const latest = latestStart(job, windows, fixed, now);
  const next = placement.steps.filter((s) => s.state === 'waiting').reduce((first, s) => Math.min(first, s.start), Infinity);
  const at = new Map(placement.steps.map((s) => [s.step.id, s]));
  const care = job.care.flatMap((wait) => {
    const from = at.get(wait.after)?.end;
    return from === undefined
      ? []
      : [{ coat: wait.coat, then: wait.then, packed: wait.packed, from, until: minutesAfter(from, wait.minutes, cures) }];
  });
  const late = job.deadline !== undefined && packed > job.deadline;
  return {
    job: job.job,
    steps: placement.steps,
    packed,
    ready: minutesAfter(packed, job.readyAfter ?? 0, cures),
    late,
    latestStart: latest,
    slack: latest !== undefined && Number.isFinite(next) ? (latest - next) / MINUTE_MS : undefined,
    care,
    broken: placement.broken,
    packedAlone,
    holdup: !late ? undefined : packedAlone > job.deadline! ? holdupOf(alone, now) : { kind: 'others' },
  };
}

/**
 * Places all open jobs in the hours of those who work, and says of each when it is packed.
 *
 * @param problem its calendar may begin earlier than now
 * @param solve how it is solved
 */
export function solveSchedule(problem: Problem, solve: Solver = bestSchedule): Schedule {
  const { jobs, now } = problem;
  const fromNow: Problem = {
    ...problem,
    resources: problem.resources.map((resource) => ({
      ...resource,
      calendar: resource.calendar.flatMap((window) =>
        window.end - now >= MINUTE_MS ? [{ start: Math.max(now, window.start), end: window.end }] : [],
      ),
    })),
  };
  const windows = handsOf(fromNow);
  const solution = solve(fromNow);
  const schedules = new Map<JobId, JobSchedule>();
  for (const job of jobs) {
    const placed = solution.get(job.job)!;
    schedules.set(
      job.job,
      'unplaced' in placed
        ? {
            job: job.job,
            steps: [],
            unplaced: job.steps.find(({ id }) => id === placed.unplaced),
            care: [],
            broken: [],
            late: job.deadline !== undefined,
          }
        : describe(job, placed, windows, fromNow),
    );
  }
  const steps = [...schedules.values()].flatMap((s) => s.steps).toSorted((a, b) => a.start - b.start || a.end - b.end);
  return { solution, jobs: schedules, steps, windows };
}
