import { isTimed, standing, type JobId, type WorkEvent } from '../job';

/** What a job took, as far as the log knows. */
export interface Took {
  /** Minutes of work that were timed, and of how many steps. */
  readonly minutes: number;
  readonly timed: number;
  readonly steps: number;
  readonly wrong: number;
  /** When its last step was done, UTC ms. */
  readonly last?: number;
}

/** What each job took: one pass over the log for all of them. */
export function tookByJob(events: readonly WorkEvent[]): ReadonlyMap<JobId, Took> {
  const found = new Map<JobId, Took>();
  for (const event of standing(events)) {
    if (event.kind !== 'done' && event.kind !== 'wrong') continue;
    const own = found.get(event.job) ?? { minutes: 0, timed: 0, steps: 0, wrong: 0 };
    const timed = isTimed(event);
    found.set(event.job, {
      minutes: own.minutes + (timed ? event.actual : 0),
      timed: own.timed + (timed ? 1 : 0),
      steps: own.steps + (event.kind === 'done' ? 1 : 0),
      wrong: own.wrong + (event.kind === 'wrong' ? 1 : 0),
      last: Math.max(own.last ?? -Infinity, event.at),
    });
  }
  return found;
}
