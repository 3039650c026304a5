import { expose } from 'comlink';
import {
  bestSchedule,
  boundOf,
  costOf,
  endOf,
  eveningsFor,
  isKept,
  promiseOf,
  searchSchedule,
  solveSchedule,
  type JobToPlace,
  type OrderPromise,
  type Problem,
  type ScheduleBound,
  type ScheduleCost,
} from '@kolleta/core/schedule';
import type { JobId, StepId } from '@kolleta/core/job';

/** The best plan so far. */
export interface ScheduleFind {
  readonly order: readonly StepId[];
  readonly cost: ScheduleCost;
  /** What no plan can do better than. */
  readonly bound: ScheduleBound;
  /** When each job is packed by it, UTC ms; none where it finds no room. */
  readonly packed: ReadonlyMap<JobId, number>;
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
    const from = order ? { ...problem, order } : problem;
    const found = searchSchedule(problem, bestSchedule(from), { rounds, seed }, problem.pinned);
    const packed = [...found.solution].flatMap(([job, placed]): [JobId, number][] => {
      const end = endOf(placed);
      return end === undefined ? [] : [[job, end]];
    });
    return {
      order: found.order.map(({ id }) => id),
      cost: costOf(problem, found.solution),
      bound: boundOf(problem),
      packed: new Map(packed),
    };
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
};
export type SchedulePlanner = typeof planner;
expose(planner);
