import { MINUTE_MS } from '../units';
import type { StepId } from '../job';
import { takeOut, type Window } from './calendar';
import { endOf } from './cost';
import { placeSteps } from './placeSteps';
import {
  handsOf,
  runningSpan,
  type JobToPlace,
  type PlacedStep,
  type Placement,
  type Problem,
  type Solution,
  type StepFact,
  type Unplaced,
} from './problem';

/** At most so many orders of jobs are tried, and so many jobs placed anew for them: a workshop of hundreds of jobs is planned within seconds. */
const MOST_ORDERS = 60;
const MOST_PLACED = 3000;

const spansOf = (placed: Placement | Unplaced): Window[] =>
  'unplaced' in placed ? [] : placed.steps.filter((s: PlacedStep) => s.state !== 'done').flatMap((s) => [...s.spans]);

/** Jobs placed one after another. */
interface InOrder {
  readonly order: readonly JobToPlace[];
  readonly placed: readonly (Placement | Unplaced)[];
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
    const placement = placeSteps(order[i]!.steps, left, now, facts, now);
    placed.push(placement);
    free.push(takeOut(left, spansOf(placement)));
  }
  return { order, placed, free, work };
}

/** A job that cannot be placed costs more than any that is late, in ms of lateness. */
const UNPLACED_MS = 10 * 365 * 24 * 60 * MINUTE_MS;

/** Total lateness, then the end of all work. */
function costOfOrder({ order, placed }: InOrder): number {
  let late = 0;
  let last = 0;
  for (const [i, job] of order.entries()) {
    const end = endOf(placed[i]!);
    if (end === undefined) late += UNPLACED_MS * (1 + Math.max(0, job.priority));
    else if (job.deadline !== undefined) late += Math.max(0, end - job.deadline) * (1 + job.priority);
    last = Math.max(last, end ?? 0);
  }
  return late * 1e3 + last / MINUTE_MS / 1e6;
}

/**
 * Places jobs one after another, the most pressing first; neighbours in that order are exchanged as long as total lateness, then the end of all work,
 * shrinks (list scheduling with pairwise exchange; Baker, 1974). Waits between steps are used by other jobs. What runs keeps its hands.
 */
export function listSchedule(problem: Problem): Solution {
  const { jobs, fixed, now } = problem;
  const running = jobs.flatMap(({ steps }) => steps.flatMap((step) => runningSpan(step, fixed, now) ?? []));
  const windows = takeOut(handsOf(problem), running);
  const byDate = jobs.toSorted(
    (a, b) => b.priority - a.priority || (a.deadline ?? Infinity) - (b.deadline ?? Infinity) || a.createdAt - b.createdAt,
  );
  let best = placeInOrder(byDate, windows, fixed, now);
  let cost = costOfOrder(best);
  let [tries, work] = [0, 0];
  const more = () => tries < MOST_ORDERS && work < MOST_PLACED;
  for (let improved = true; improved && more();) {
    improved = false;
    for (let i = 0; i + 1 < best.order.length && more(); i++, tries++) {
      const [a, b] = [best.order[i]!, best.order[i + 1]!];
      if (a.priority !== b.priority) continue;
      const candidate = placeInOrder(best.order.with(i, b).with(i + 1, a), windows, fixed, now, best, i);
      work += candidate.work;
      const value = costOfOrder(candidate);
      if (value < cost - 1e-9) [best, cost, improved] = [candidate, value, true];
    }
  }
  return new Map(best.order.map((job, i) => [job.job, best.placed[i]!]));
}
