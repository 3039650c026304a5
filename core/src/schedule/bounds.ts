import { MINUTE_MS } from '../units';
import type { WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import { findSpans } from './placeSteps';
import { handsOf, runningSpan, type JobToPlace, type Problem } from './problem';
import { waitOver } from './waitOver';

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
      (time, lag) => Math.max(time, waitOver(ends.get(lag.step) ?? now, lag)),
      Math.max(now, step.opens?.at ?? 0, pinned?.get(step.id) ?? 0),
    );
    const spans = findSpans(hands, earliest, leastHands(step), step.mayPause);
    if (!spans) return undefined;
    ends.set(step.id, spans.at(-1)!.end);
  }
  return ends.size > 0 ? Math.max(...ends.values()) : now;
}

const handsFor = ({ needs }: WorkStep): number => needs.filter((need) => need === 'hands').length;

/** Minutes of hands that a job still takes, those of two counted twice. */
const workOf = ({ steps }: JobToPlace, fixed: Problem['fixed']): number =>
  steps.reduce((all, step) => all + (fixed.has(step.id) ? 0 : Math.max(1, leastHands(step)) * handsFor(step)), 0);

/** Tells when so many minutes of work can be done, were everybody at it in all their hours. */
function clockOfAll({ resources, now }: Problem): (minutes: number) => number {
  const edges = resources
    .filter(({ kind }) => kind === 'hands')
    .flatMap(({ calendar }) =>
      calendar.flatMap(({ start, end }) => [
        { at: start, by: 1 },
        { at: end, by: -1 },
      ]),
    )
    .toSorted((a, b) => a.at - b.at);
  return (minutes) => {
    let [left, there, at] = [minutes, 0, now];
    for (const edge of edges) {
      const able = (Math.max(0, edge.at - at) * there) / MINUTE_MS;
      if (there > 0 && able >= left) return at + (left * MINUTE_MS) / there;
      left -= able;
      at = Math.max(at, edge.at);
      there += edge.by;
    }
    return at;
  };
}

/**
 * Minutes that jobs with a date are late in all at the least, whatever comes first: the shortest one after another, however they are cut up,
 * against the dates in their order (Chu, 1992).
 */
function handsLate({ jobs, fixed }: Problem, when: (minutes: number) => number): number {
  const dated = jobs.flatMap((job) => (job.deadline === undefined ? [] : [{ work: workOf(job, fixed), deadline: job.deadline }]));
  const dates = dated.map(({ deadline }) => deadline).toSorted((a, b) => a - b);
  let done = 0;
  return dated
    .map(({ work }) => work)
    .toSorted((a, b) => a - b)
    .reduce((late, work, i) => {
      done += work;
      return late + Math.max(0, when(done) - dates[i]!) / MINUTE_MS;
    }, 0);
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
  const when = clockOfAll(problem);
  let [late, last] = [0, when(problem.jobs.reduce((sum, job) => sum + workOf(job, problem.fixed), 0))];
  for (const job of problem.jobs) {
    const end = packedNoSooner(job, problem);
    if (end === undefined) continue;
    jobs.set(job.job, end);
    last = Math.max(last, end);
    if (job.deadline !== undefined) late += Math.max(0, end - job.deadline) / MINUTE_MS;
  }
  return { late: Math.max(late, handsLate(problem, when)), last, jobs };
}
