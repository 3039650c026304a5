import { numbersFrom } from '../geometry';
import type { WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import { compareCosts, costOf, endOf, type ScheduleCost } from './cost';
import { placeInOrder, orderOf } from './placeInOrder';
import { readyFor, type Ready } from './readyProblem';
import type { Problem, Solution } from './problem';

/** A solution with its order and what it costs. */
export interface Tried {
  readonly order: readonly WorkStep[];
  readonly solution: Solution;
  readonly cost: ScheduleCost;
}

/** What a search may use up, and what it tells. */
export interface SearchBudget {
  /** Orders that are tried. */
  readonly rounds: number;
  readonly seed: number;
  readonly onBetter?: (best: Tried, round: number) => void;
  /** Asked now and then; the best so far is kept. */
  readonly stopped?: () => boolean;
}

/** So many steps may be put off in a plan that is tried. */
const REPAIRS = { least: 40, each: 0.1 };

/** With so few steps every order is looked at. */
export const EXACT_STEPS = 7;

/** The steps that each step comes after, and those that come after it, within an order. */
function neighbours(waiting: readonly WorkStep[]): {
  before: ReadonlyMap<StepId, readonly StepId[]>;
  after: ReadonlyMap<StepId, readonly StepId[]>;
} {
  const there = new Set(waiting.map(({ id }) => id));
  const before = new Map(waiting.map((step) => [step.id, step.after.map((lag) => lag.step).filter((id) => there.has(id))]));
  const after = new Map<StepId, StepId[]>(waiting.map(({ id }) => [id, []]));
  for (const [id, ids] of before) for (const other of ids) after.get(other)!.push(id);
  return { before, after };
}

/** A solution of a problem in an order; undefined where it breaks more waits than it may. */
function tryOrder(
  ready: Ready,
  order: readonly WorkStep[],
  pinned?: ReadonlyMap<StepId, number>,
  limits?: { broken: number; repairs: number },
): Tried | undefined {
  const solution = placeInOrder(ready, order, { pinned, ...limits });
  return solution && { order, solution, cost: costOf(ready.problem, solution) };
}

/** Every order in which each step comes after those that it waits for. */
function* everyOrder(waiting: readonly WorkStep[]): Generator<WorkStep[]> {
  const { before } = neighbours(waiting);
  const taken: WorkStep[] = [];
  const done = new Set<StepId>();
  function* next(): Generator<WorkStep[]> {
    if (taken.length === waiting.length) {
      yield [...taken];
      return;
    }
    for (const step of waiting) {
      if (done.has(step.id) || !before.get(step.id)!.every((id) => done.has(id))) continue;
      taken.push(step);
      done.add(step.id);
      yield* next();
      taken.pop();
      done.delete(step.id);
    }
  }
  yield* next();
}

/** The best of all orders; undefined where there are too many to look at. */
export function bestOfAll(problem: Problem, pinned?: ReadonlyMap<StepId, number>): Tried | undefined {
  const ready = readyFor(problem);
  if (ready.waiting.length > EXACT_STEPS) return undefined;
  let best: Tried | undefined;
  for (const order of everyOrder(ready.waiting)) {
    const one = tryOrder(ready, order, pinned, best && { broken: best.cost.broken, repairs: Infinity });
    if (one && (!best || compareCosts(one.cost, best.cost) < 0)) best = one;
  }
  return best;
}

/** Moves all steps of a job earlier or later among the others, their own order kept. */
function moveJob(order: readonly WorkStep[], job: JobId, by: number): WorkStep[] {
  return order
    .map((step, i) => ({ step, key: i + (step.job === job ? by + 0.5 : 0) }))
    .toSorted((a, b) => a.key - b.key)
    .map(({ step }) => step);
}

/**
 * Looks for a better plan by changing the order in which steps are placed: a job sooner or later as a whole, one step within what it waits for
 * and what waits for it, a few neighbours among themselves (iterated local search). Worse orders are never kept.
 *
 * @param start any solution; what is found is never worse
 * @returns the best that was found
 */
export function searchSchedule(problem: Problem, start: Solution, budget: SearchBudget, pinned?: ReadonlyMap<StepId, number>): Tried {
  const ready = readyFor(problem);
  const { waiting } = ready;
  const given: Tried = { order: orderOf(ready, start), solution: start, cost: costOf(problem, start) };
  const placed = tryOrder(ready, given.order, pinned, { broken: given.cost.broken, repairs: Infinity });
  let best = placed && compareCosts(placed.cost, given.cost) <= 0 ? placed : given;
  if (waiting.length < 2) return best;
  const random = numbersFrom(budget.seed);
  const below = (n: number) => Math.min(n - 1, Math.floor(random() * n));
  const { before, after } = neighbours(waiting);
  const jobs = [...new Set(waiting.map(({ job }) => job))];
  const deadlines = new Map(problem.jobs.map(({ job, deadline }) => [job, deadline]));

  /** A job that is late or cannot keep its waits, more often than another. */
  const someJob = (solution: Solution): JobId => {
    const troubled = jobs.filter((job) => {
      const one = solution.get(job)!;
      return 'unplaced' in one || one.broken.length > 0 || (endOf(one) ?? 0) > (deadlines.get(job) ?? Infinity);
    });
    return troubled.length > 0 && random() < 0.6 ? troubled[below(troubled.length)]! : jobs[below(jobs.length)]!;
  };
  const moveStep = (order: readonly WorkStep[]): WorkStep[] => {
    const job = someJob(best.solution);
    const own = order.flatMap((step, i) => (step.job === job ? [i] : []));
    const at = random() < 0.7 && own.length > 0 ? own[below(own.length)]! : below(order.length);
    const step = order[at]!;
    const [earlier, later] = [new Set(before.get(step.id)), new Set(after.get(step.id))];
    let [low, high] = [0, order.length - 1];
    order.forEach(({ id }, i) => {
      if (earlier.has(id)) low = Math.max(low, i + 1);
      if (later.has(id)) high = Math.min(high, i - 1);
    });
    const rest = order.toSpliced(at, 1);
    return rest.toSpliced(low + below(Math.max(1, high - low + 1)), 0, step);
  };
  const shuffleSome = (order: readonly WorkStep[]): WorkStep[] => {
    const size = Math.min(order.length, 3 + below(4));
    const from = below(order.length - size + 1);
    const some = order.slice(from, from + size);
    const shuffled: WorkStep[] = [];
    const left = new Set(some);
    while (left.size > 0) {
      const able = [...left].filter((step) => !before.get(step.id)!.some((id) => [...left].some((other) => other.id === id)));
      const next = able[below(able.length)]!;
      shuffled.push(next);
      left.delete(next);
    }
    return order.toSpliced(from, size, ...shuffled);
  };

  // an order that puts off very many steps is no good one, and takes long to find out
  const repairs = REPAIRS.least + waiting.length * REPAIRS.each;
  let current = best;
  for (let round = 0; round < budget.rounds; round++) {
    if (round % 8 === 0 && budget.stopped?.()) break;
    const kind = random();
    const order =
      kind < 0.3
        ? moveJob(current.order, someJob(current.solution), (random() < 0.65 ? -1 : 1) * (1 + below(current.order.length)))
        : kind < 0.75
          ? moveStep(current.order)
          : shuffleSome(current.order);
    const one = tryOrder(ready, order, pinned, { broken: current.cost.broken, repairs });
    if (!one) continue;
    const difference = compareCosts(one.cost, current.cost);
    // orders that are as good are gone along with: the way out of a corner is often level at first
    if (difference <= 0) current = one;
    if (compareCosts(one.cost, best.cost) < 0) {
      best = one;
      budget.onBetter?.(best, round);
    }
  }
  return best;
}
