import { MINUTE_MS } from '../units';
import { WORKDAY } from '../facts';
import type { JobId } from '../job';
import { compareCosts, costOf, endOf, wantsBetter } from './cost';
import { leastChange } from './leastChange';
import { listSchedule } from './listSchedule';
import { orderOf, placeInOrder } from './placeInOrder';
import { readyFor, type Ready } from './readyProblem';
import { peopleOf, type Problem, type Solution } from './problem';
import { mayShare, sameTogether, savedIn } from './sameSetup';
import { bestOfAll, searchSchedule } from './searchSchedule';

/** Where something would be late, so many steps are placed in all while a better plan is looked for: no edit waits longer for it. */
const PLACED = 6000;
const MOST_ROUNDS = 150;
/** The same plan for the same workshop. */
const SEED = 1;

/** Jobs one after another, the most pressing first. */
function inTurn({ problem: { jobs }, waiting }: Ready) {
  const turn = jobs.toSorted(
    (a, b) => b.priority - a.priority || (a.deadline ?? Infinity) - (b.deadline ?? Infinity) || a.createdAt - b.createdAt,
  );
  return turn.flatMap(({ job }) => waiting.filter((step) => step.job === job));
}

/**
 * A first plan: jobs one after another, for one pair of hands with neighbours exchanged. Steps that were put at a moment go there, and the others
 * keep the order that they have without; an order that was kept is gone by where it is better.
 */
function firstOf(problem: Problem): Solution {
  const { pinned, order } = problem;
  const moved = pinned !== undefined && pinned.size > 0;
  const alone = peopleOf(problem).length === 1;
  if (alone && !moved && !order?.length && problem.room === undefined) return listSchedule(problem);
  const ready = readyFor(problem);
  const free = alone ? listSchedule(problem) : placeInOrder(ready, inTurn(ready))!;
  // the list knows nothing of the room on the rack
  const placed = moved || (alone && problem.room !== undefined) ? placeInOrder(ready, orderOf(ready, free), { pinned })! : free;
  if (!order?.length) return placed;
  const at = new Map(order.map((id, i) => [id, i]));
  // steps that came since go by their job's turn, behind those of their job that were there
  let last = 0;
  const kept = inTurn(ready)
    .map((step) => ({ step, key: (last = at.get(step.id) ?? last + 1e-6) }))
    .toSorted((a, b) => a.key - b.key)
    .map(({ step }) => step);
  const asKept = placeInOrder(ready, kept, { pinned })!;
  return compareCosts(costOf(problem, asKept), costOf(problem, placed)) < 0 ? asKept : placed;
}

/**
 * A plan that is there at once: the list, and where by it something would be late, break a wait or find no room, a short search for a better
 * one. Few steps are placed in every order. What stood in the plan before stays there, where nothing is later for it.
 */
export function bestSchedule(problem: Problem): Solution {
  const anew = bestAnew(problem);
  if (!problem.stands || problem.stands.size === 0) return anew;
  const ready = readyFor(problem);
  return leastChange(ready, inTurn(ready), anew);
}

/** With more steps than these that wait, none are drawn together. */
const MOST_SHARED = 1500;

/** A plan with what the same is got ready for drawn together, where no job is packed later for it, no wait breaks and all is done as soon. */
function sharing(problem: Problem, plan: Solution): Solution {
  const ready = readyFor(problem);
  if (ready.waiting.length > MOST_SHARED || !mayShare(ready.waiting)) return plan;
  const together = placeInOrder(ready, sameTogether(orderOf(ready, plan)), { pinned: problem.pinned })!;
  if (savedIn(together) <= savedIn(plan)) return plan;
  const ends = (job: JobId, solution: Solution) => endOf(solution.get(job)!) ?? Infinity;
  const later = problem.jobs.some(({ job }) => ends(job, together) >= ends(job, plan) + WORKDAY.told * MINUTE_MS);
  if (later) return plan;
  const [a, b] = [costOf(problem, together), costOf(problem, plan)];
  return compareCosts({ ...a, changes: 0 }, { ...b, changes: 0 }) <= 0 ? together : plan;
}

/** The same without regard to what stood before. */
function bestAnew(problem: Problem): Solution {
  const first = sharing(problem, firstOf(problem));
  if (!wantsBetter(problem, first)) return first;
  const exact = bestOfAll(problem, problem.pinned);
  const waiting = readyFor(problem).waiting.length;
  const rounds = Math.min(MOST_ROUNDS, Math.floor(PLACED / Math.max(1, waiting)) - 40);
  const found = exact ?? (rounds > 0 ? searchSchedule(problem, first, { rounds, seed: SEED }, problem.pinned) : undefined);
  if (!found) return first;
  // only for what matters: nothing is moved for a tidier day
  const level = { last: 0, changes: 0 };
  return compareCosts({ ...found.cost, ...level }, { ...costOf(problem, first), ...level }) < 0 ? found.solution : first;
}
