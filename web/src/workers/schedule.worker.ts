import { expose } from 'comlink';
import {
  bestSchedule,
  eveningsFor,
  freed,
  isKept,
  promiseOf,
  searchSchedule,
  solveSchedule,
  type JobToPlace,
  type OrderPromise,
  type Problem,
  type ScheduleCost,
} from '@kolleta/core/schedule';
import type { StepId } from '@kolleta/core/job';

/** The best plan so far. */
export interface ScheduleFind {
  readonly order: readonly StepId[];
  readonly cost: ScheduleCost;
}

/** What an order would mean. */
export interface OrderAnswer {
  readonly promise: OrderPromise;
  /** It is packed when it is wanted, and nobody else is late for it. */
  readonly kept: boolean;
  /** So many evenings would do it. */
  readonly evenings?: number;
  /** When half of it is packed, where that is in time. */
  readonly half?: number;
}

const planner = {
  /**
   * Looks on from the best so far for a better plan.
   *
   * @param order of steps, where one was found before
   */
  look(problem: Problem, order: readonly StepId[] | undefined, rounds: number, seed: number): ScheduleFind {
    // a better plan may move whatever it likes
    const free = freed(problem);
    const found = searchSchedule(free, bestSchedule(order ? { ...free, order } : free), { rounds, seed }, problem.pinned);
    return { order: found.order.map(({ id }) => id), cost: found.cost };
  },
  /** What an order would mean, and what would let it be in time where it is not. */
  promise(problem: Problem, order: JobToPlace, half: JobToPlace | undefined): OrderAnswer {
    const wanted = order.deadline;
    const now = solveSchedule(problem);
    const promise = promiseOf(problem, now, order);
    const kept = isKept(promise, wanted);
    if (kept || wanted === undefined) return { promise, kept };
    const less = half && promiseOf(problem, now, half);
    return {
      promise,
      kept,
      evenings: eveningsFor(problem, order, wanted),
      ...(less && isKept(less, wanted) ? { half: less.order.packed } : {}),
    };
  },
  /** The first of several ways to make an order in which it is packed when it is wanted; nothing where none is. */
  firstKept(problem: Problem, ways: readonly JobToPlace[]): { which: number; packed: number } | undefined {
    const now = solveSchedule(problem);
    for (const [which, way] of ways.entries()) {
      const promise = promiseOf(problem, now, way);
      if (isKept(promise, way.deadline) && promise.order.packed !== undefined) return { which, packed: promise.order.packed };
    }
    return undefined;
  },
};
export type SchedulePlanner = typeof planner;
expose(planner);
