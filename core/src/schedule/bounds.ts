import { MINUTE_MS } from '../units';
import type { WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import { findSpans } from './placeSteps';
import { handsOf, runningSpan, type JobToPlace, type Problem } from './problem';

/** Its minutes of hands where all is got ready for it already. */
const leastHands = ({ hands, setup }: WorkStep): number => Math.max(1, hands - (setup?.minutes ?? 0));

/**
 * A moment before which a job cannot be packed, whatever the others do: the longest way through its steps and waits in working hours, each step
 * as if all hands were free for it.
 *
 * @returns undefined where its steps find no room at all
 */
export function packedNoSooner(job: JobToPlace, problem: Problem): number | undefined {
  const { fixed, now, pinned } = problem;
  const hands = handsOf(problem);
  const ends = new Map<StepId, number>();
  for (const step of job.steps) {
    const fact = fixed.get(step.id);
    const end = fact?.doneAt ?? runningSpan(step, fixed, now)?.end;
    if (end !== undefined) {
      ends.set(step.id, end);
      continue;
    }
    const earliest = step.after.reduce(
      (time, lag) => Math.max(time, (ends.get(lag.step) ?? now) + lag.least * MINUTE_MS),
      Math.max(now, step.opens?.at ?? 0, pinned?.get(step.id) ?? 0),
    );
    const spans = findSpans(hands, earliest, leastHands(step), step.mayPause);
    if (!spans) return undefined;
    ends.set(step.id, spans.at(-1)!.end);
  }
  return ends.size > 0 ? Math.max(...ends.values()) : now;
}

/** A moment before which the work of all open jobs cannot be done: all minutes that are left, in all the hours that there are. */
function workNoSooner({ jobs, fixed, resources, now }: Problem): number {
  let left = jobs.reduce(
    (sum, job) =>
      sum +
      job.steps.reduce(
        (all, step) =>
          all + (fixed.has(step.id) ? 0 : Math.max(1, leastHands(step)) * step.needs.filter((need) => need === 'hands').length),
        0,
      ),
    0,
  );
  const edges = resources
    .filter(({ kind }) => kind === 'hands')
    .flatMap(({ calendar }) =>
      calendar.flatMap(({ start, end }) => [
        { at: start, by: 1 },
        { at: end, by: -1 },
      ]),
    )
    .toSorted((a, b) => a.at - b.at);
  let [there, at] = [0, now];
  for (const edge of edges) {
    const minutes = (Math.max(0, edge.at - at) * there) / MINUTE_MS;
    if (there > 0 && minutes >= left) return at + (left * MINUTE_MS) / there;
    left -= minutes;
    at = Math.max(at, edge.at);
    there += edge.by;
  }
  return at;
}

/** What no plan can do better than. */
export interface ScheduleBound {
  /** Minutes late in all. */
  readonly late: number;
  /** When the last step ends, UTC ms. */
  readonly last: number;
  readonly jobs: ReadonlyMap<JobId, number>;
}

/** Lower bounds of a problem: what is shown beside a plan, to say how good it is. */
export function boundOf(problem: Problem): ScheduleBound {
  const jobs = new Map<JobId, number>();
  let [late, last] = [0, workNoSooner(problem)];
  for (const job of problem.jobs) {
    const end = packedNoSooner(job, problem);
    if (end === undefined) continue;
    jobs.set(job.job, end);
    last = Math.max(last, end);
    if (job.deadline !== undefined) late += Math.max(0, end - job.deadline) / MINUTE_MS;
  }
  return { late, last, jobs };
}
