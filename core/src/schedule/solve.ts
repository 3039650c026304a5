import { MINUTE_MS } from '../units';
import type { CareWait, WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import { takeOut, type Window } from './calendar';
import { GRAIN_MS, placeSteps, type PlacedStep, type Placement, type StepFact } from './placeSteps';

export interface JobToPlace {
  readonly job: JobId;
  readonly name: string;
  readonly priority: number;
  readonly deadline?: number;
  readonly createdAt: number;
  readonly steps: readonly WorkStep[];
  readonly care: readonly CareWait[];
}

/** A job in time. */
export interface JobSchedule {
  readonly job: JobId;
  readonly steps: readonly PlacedStep[];
  /** When the last step ends, UTC ms. */
  readonly packed: number;
  /** The latest moment at which its next step may begin, were it the only job; undefined without a date or when it is too late. */
  readonly latestStart?: number;
  /** Minutes between the planned and the latest start; negative when late. */
  readonly slack?: number;
  readonly care: readonly {
    readonly what: string;
    readonly then: string;
    readonly from: number;
    readonly until: number;
    readonly packed: boolean;
  }[];
  readonly broken: Placement['broken'];
  /** Packed if this job alone were in the workshop. */
  readonly packedAlone: number;
  /** What makes the date impossible or late, in words. */
  readonly holdup?: Holdup;
}

export interface Holdup {
  readonly kind: 'waits' | 'hours' | 'others';
  readonly why: string;
}

export interface Schedule {
  readonly jobs: ReadonlyMap<JobId, JobSchedule>;
  /** Every step of every job by its start. */
  readonly steps: readonly PlacedStep[];
  readonly windows: readonly Window[];
}

/** How far ahead the calendar looks, days. */
export const HORIZON_DAYS = 200;
/** At most so many orders of jobs are tried, and so many jobs placed anew for them: a workshop of hundreds of jobs is planned within seconds. */
const MOST_ORDERS = 60;
const MOST_PLACED = 3000;

const spansOf = (steps: readonly PlacedStep[]): Window[] => steps.filter((s) => s.state !== 'done').flatMap((s) => [...s.spans]);

/** Jobs placed one after another. */
interface InOrder {
  readonly order: readonly JobToPlace[];
  readonly placed: readonly Placement[];
  /** Time that is free before each job is placed, and at the end. */
  readonly free: readonly (readonly Window[])[];
  /** How many jobs were placed for it. */
  readonly work: number;
}

const sameWindows = (a: readonly Window[], b: readonly Window[]): boolean =>
  a === b || (a.length === b.length && a.every(({ start, end }, i) => start === b[i]!.start && end === b[i]!.end));

/**
 * Places jobs one after another.
 *
 * @param like the same jobs placed in an order that is the same up to a place, and from two places later on: what it found is not looked for again
 * @param differs that place
 */
function placeInOrder(
  order: readonly JobToPlace[],
  windows: readonly Window[],
  facts: ReadonlyMap<StepId, StepFact>,
  now: number,
  like?: InOrder,
  differs = 0,
): InOrder {
  let work = 0;
  const placed = like ? like.placed.slice(0, differs) : [];
  const free: (readonly Window[])[] = like ? like.free.slice(0, differs + 1) : [windows];
  for (let i = differs; i < order.length; i++) {
    const left = free[i]!;
    if (like && i >= differs + 2 && sameWindows(left, like.free[i]!)) {
      placed.push(...like.placed.slice(i));
      free.push(...like.free.slice(i + 1));
      break;
    }
    work += 1;
    const placement = placeSteps(order[i]!.steps, left, now, facts, now) ?? { steps: [], broken: [] };
    placed.push(placement);
    // what runs already keeps its hands
    free.push(takeOut(left, spansOf(placement.steps)));
  }
  return { order, placed, free, work };
}

const endOf = (placement: Placement | undefined): number => placement?.steps.reduce((last, s) => Math.max(last, s.end), 0) ?? 0;

/** Total lateness, then the end of all work. */
function costOf({ order, placed }: InOrder): number {
  let late = 0;
  let last = 0;
  for (const [i, job] of order.entries()) {
    const end = endOf(placed[i]);
    if (job.deadline !== undefined) late += Math.max(0, end - job.deadline) * (1 + job.priority);
    last = Math.max(last, end);
  }
  return late * 1e3 + last / MINUTE_MS / 1e6;
}

function latestStart(job: JobToPlace, windows: readonly Window[], facts: ReadonlyMap<StepId, StepFact>, now: number): number | undefined {
  const { deadline } = job;
  if (deadline === undefined || deadline <= now) return undefined;
  const startsAt = (from: number): number | undefined => {
    const placed = placeSteps(job.steps, windows, from, facts, now);
    if (!placed || placed.broken.length > 0 || endOf(placed) > deadline) return undefined;
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
  let wait = { minutes: 0, why: '' };
  let idle = 0;
  while (current && current.state === 'waiting') {
    const { step, start } = current;
    const tight: { lag: WorkStep['after'][number]; ready: number } | undefined = step.after
      .map((lag) => ({ lag, ready: (at.get(lag.step)?.end ?? 0) + lag.least * MINUTE_MS }))
      .toSorted((a, b) => b.ready - a.ready)[0];
    if (!tight) {
      idle += Math.max(0, start - now);
      break;
    }
    if (tight.lag.least > wait.minutes) wait = { minutes: tight.lag.least, why: tight.lag.why };
    idle += Math.max(0, start - tight.ready);
    current = at.get(tight.lag.step);
  }
  const closed = idle / MINUTE_MS > wait.minutes;
  return closed
    ? { kind: 'hours', why: `Working hours: ${Math.round(idle / MINUTE_MS / 60)} h pass while the workshop is closed.` }
    : {
        kind: 'waits',
        why: wait.why
          ? `The longest wait is ${(wait.minutes / 60).toFixed(1)} h until ${wait.why}.`
          : 'Its hands-on work alone takes longer than is left.',
      };
}

/**
 * Places all open jobs in the workshop's hours with one pair of hands.
 *
 * Jobs go one after another, the most pressing first; neighbours in that order are exchanged as long as total lateness, then the end of all work,
 * shrinks (list scheduling with pairwise exchange; Baker, 1974). Waits between steps are used by other jobs.
 *
 * @param jobs open jobs with their steps
 * @param calendar working windows, from now or earlier on
 * @param facts what has begun or is done
 * @param now UTC ms
 */
export function solveSchedule(
  jobs: readonly JobToPlace[],
  calendar: readonly Window[],
  facts: ReadonlyMap<StepId, StepFact>,
  now: number,
): Schedule {
  const windows = calendar.flatMap((window) =>
    window.end - now >= MINUTE_MS ? [{ start: Math.max(now, window.start), end: window.end }] : [],
  );
  const byDate = jobs.toSorted(
    (a, b) => b.priority - a.priority || (a.deadline ?? Infinity) - (b.deadline ?? Infinity) || a.createdAt - b.createdAt,
  );
  let best = placeInOrder(byDate, windows, facts, now);
  let cost = costOf(best);
  let [tries, work] = [0, 0];
  const more = () => tries < MOST_ORDERS && work < MOST_PLACED;
  for (let improved = true; improved && more();) {
    improved = false;
    for (let i = 0; i + 1 < best.order.length && more(); i++, tries++) {
      const [a, b] = [best.order[i]!, best.order[i + 1]!];
      if (a.priority !== b.priority) continue;
      const candidate = placeInOrder(best.order.with(i, b).with(i + 1, a), windows, facts, now, best, i);
      work += candidate.work;
      const value = costOf(candidate);
      if (value < cost - 1e-9) [best, cost, improved] = [candidate, value, true];
    }
  }
  const placed = new Map(best.order.map((job, i) => [job.job, best.placed[i]!]));
  const schedules = new Map<JobId, JobSchedule>();
  for (const job of jobs) {
    const placement = placed.get(job.job)!;
    const packed = endOf(placement);
    const alone = placeSteps(job.steps, windows, now, facts, now) ?? placement;
    const packedAlone = endOf(alone);
    const latest = latestStart(job, windows, facts, now);
    const next = placement.steps.filter((s) => s.state === 'waiting').reduce((first, s) => Math.min(first, s.start), Infinity);
    const at = new Map(placement.steps.map((s) => [s.step.id, s]));
    const care = job.care.flatMap((wait) => {
      const from = at.get(wait.after)?.end;
      return from === undefined
        ? []
        : [{ what: wait.what, then: wait.then, from, until: from + wait.minutes * MINUTE_MS, packed: wait.packed }];
    });
    const late = job.deadline !== undefined && packed > job.deadline;
    const holdup: Holdup | undefined = !late
      ? undefined
      : packedAlone > job.deadline!
        ? holdupOf(alone, now)
        : { kind: 'others', why: 'Alone it would be packed in time; other jobs have the hands before it.' };
    schedules.set(job.job, {
      job: job.job,
      steps: placement.steps,
      packed,
      latestStart: latest,
      slack: latest !== undefined && Number.isFinite(next) ? (latest - next) / MINUTE_MS : undefined,
      care,
      broken: placement.broken,
      packedAlone,
      holdup,
    });
  }
  const steps = [...schedules.values()].flatMap((s) => s.steps).toSorted((a, b) => a.start - b.start || a.end - b.end);
  return { jobs: schedules, steps, windows };
}
