import { WORKDAY } from '../facts';
import { MINUTE_MS } from '../units';
import type { JobId } from '../job';
import { joinedWindows, workingDays, type Window } from './calendar';
import { standsOf } from './leastChange';
import type { JobToPlace, Problem, Resource } from './problem';
import { solveSchedule, type JobSchedule, type Schedule } from './solve';

/** What an order would mean, were it taken. */
export interface OrderPromise {
  /** The order in time, among all that is open. */
  readonly order: JobSchedule;
  /** When its first step begins, UTC ms. */
  readonly begins?: number;
  /** Jobs that would be packed later for it, minutes; and which of them would be late that are not. */
  readonly delays: readonly { readonly job: JobId; readonly by: number; readonly late: boolean }[];
}

/**
 * What an order would mean: when it is packed among what is open, and whom it delays.
 *
 * @param problem of the workshop as it is
 * @param now its schedule as it is
 * @param order the job that is asked for, with its date where there is one
 */
export function promiseOf(problem: Problem, now: Schedule, order: JobToPlace): OrderPromise {
  // what is planned keeps its time, where the order leaves it
  const then = solveSchedule({ ...problem, stands: standsOf(now.solution), jobs: [...problem.jobs, order] });
  const own = then.jobs.get(order.job)!;
  const begins = own.steps.reduce((first, { start }) => Math.min(first, start), Infinity);
  const delays = problem.jobs.flatMap(({ job, deadline }) => {
    const [was, is] = [now.jobs.get(job)?.packed, then.jobs.get(job)?.packed];
    if (was === undefined || is === undefined || is - was < 5 * MINUTE_MS) return [];
    return [{ job, by: Math.round((is - was) / MINUTE_MS), late: deadline !== undefined && is > deadline && was <= deadline }];
  });
  return { order: own, ...(Number.isFinite(begins) ? { begins } : {}), delays: delays.toSorted((a, b) => b.by - a.by) };
}

/** Whether an order is packed when it is wanted, and nobody else is late for it. */
export const isKept = ({ order, delays }: OrderPromise, wanted: number | undefined): boolean =>
  order.packed !== undefined &&
  (wanted === undefined || order.packed <= wanted) &&
  order.broken.length === 0 &&
  !delays.some(({ late }) => late);

/** Evenings are looked for in so many spans of hours at the beginning of a calendar. */
const LOOKED_AT = 60;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** The first evenings of somebody's calendar: after the last hour of each day that is worked. */
function eveningsOf(calendar: readonly Window[], count: number): Window[] {
  const { after, long } = WORKDAY.evening;
  return workingDays(calendar.slice(0, LOOKED_AT))
    .slice(0, count)
    .map(({ end }) => ({ start: end + after * MINUTE_MS, end: end + (after + long) * MINUTE_MS }));
}

/** A problem with evenings worked, by everybody. */
export function withEvenings(problem: Problem, count: number): Problem {
  return {
    ...problem,
    resources: problem.resources.map((resource): Resource => ({
      ...resource,
      calendar: joinedWindows([...resource.calendar, ...eveningsOf(resource.calendar, count)]),
    })),
  };
}

/**
 * How many evenings would let an order be packed when it is wanted.
 *
 * @returns undefined where as many as may be asked for do not
 */
export function eveningsFor(problem: Problem, order: JobToPlace, wanted: number): number | undefined {
  const days = Math.ceil((wanted - problem.now) / DAY_MS);
  for (let count = 1; count <= Math.min(WORKDAY.evening.most, days); count++) {
    const more = withEvenings(problem, count);
    if (isKept(promiseOf(more, solveSchedule(more), order), wanted)) return count;
  }
  return undefined;
}
