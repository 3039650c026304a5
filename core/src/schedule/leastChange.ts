import { MINUTE_MS } from '../units';
import { WORKDAY } from '../facts';
import type { WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import type { Window } from './calendar';
import { compareCosts, costOf, endOf, missed } from './cost';
import { placeInOrder } from './placeInOrder';
import type { Ready } from './readyProblem';
import { GRAIN_MS, peopleOf, type Follows, type Problem, type Solution, type Stands } from './problem';
import { waitOver } from './waitOver';

/** With more steps than these that wait, all is planned anew: to keep each in its place takes longer than that. */
const MOST_KEPT = 1500;

/** So many of the next steps are looked at for one that idle hands can take up. */
const MOST_PULLED = 3;

/** So often is a better place looked for what has to move. */
const MOST_FITS = 4;

/** So often are jobs let go for the sake of dates and waits. */
const MOST_FREED = 4;

/** The plan that people know of a solution: where the steps stand that wait or run. */
export function standsOf(solution: Solution): Stands {
  const stands = new Map<StepId, { at: number; spans?: readonly Window[]; by?: readonly string[]; follows?: Follows }>();
  for (const placed of solution.values())
    if (!('unplaced' in placed))
      for (const { step, state, start, spans, by, follows } of placed.steps)
        if (state !== 'done')
          stands.set(step.id, {
            at: start,
            ...(spans.length > 1 ? { spans } : {}),
            ...(by ? { by } : {}),
            ...(follows ? { follows } : {}),
          });
  return stands;
}

/** A problem in which nothing has to stay where it stood: of its stands only those of what runs are left, which say who does it. */
export const freed = (problem: Problem): Problem => ({
  ...problem,
  stands: new Map([...(problem.stands ?? [])].filter(([id]) => problem.fixed.has(id))),
});

/**
 * The order in which steps stand, each after those that it waits for. Steps that came since, and those whose time is long over, go where a plan
 * made anew has them.
 *
 * @param still where steps stand whose time is to come or has just come
 */
function orderAsStood(turn: readonly WorkStep[], still: ReadonlyMap<StepId, number>, anew: Solution): WorkStep[] {
  const begins = standsOf(anew);
  const keys = new Map<StepId, number>();
  for (const step of turn) {
    const behind = step.after.reduce((most, lag) => Math.max(most, (keys.get(lag.step) ?? -1) + 1e-3), 0);
    keys.set(step.id, Math.max(behind, still.get(step.id) ?? begins.get(step.id)?.at ?? Infinity));
  }
  return turn.toSorted((a, b) => keys.get(a.id)! - keys.get(b.id)! || 0);
}

const handsFor = ({ needs }: WorkStep): number => needs.filter((need) => need === 'hands').length;

/** What comes next by the plan, where hands are idle until then though it is ready: nobody stands idle beside it. */
function readyNow({ problem, waiting, begun }: Ready, order: readonly WorkStep[], stands: Stands): WorkStep[] {
  const { now } = problem;
  const there = peopleOf(problem).filter(({ calendar: [first] }) => first !== undefined && first.start <= now).length;
  const due = order.filter(({ id }) => (stands.get(id)?.at ?? Infinity) < now + GRAIN_MS);
  const running = begun.filter(({ state }) => state === 'running').map(({ step }) => step);
  const idle = there - [...due, ...running].reduce((sum, step) => sum + handsFor(step), 0);
  const ends = new Map(begun.map(({ step, end, state }) => [step.id, state === 'done' ? end : Infinity]));
  const open = new Set(waiting.map(({ id }) => id));
  const ready = order.filter(
    (step) =>
      handsFor(step) <= idle &&
      (stands.get(step.id)?.at ?? Infinity) >= now + GRAIN_MS &&
      (step.opens?.at ?? 0) <= now &&
      step.after.every((lag) => !open.has(lag.step) && waitOver(ends.get(lag.step) ?? 0, lag) <= now),
  );
  return ready.slice(0, MOST_PULLED);
}

/** How much a plan moves what stood: steps that move by more than is told of, then minutes in all. */
function change(solution: Solution, stands: Stands): readonly [number, number] {
  let [moved, minutes] = [0, 0];
  for (const placed of solution.values())
    if (!('unplaced' in placed))
      for (const { step, start } of placed.steps) {
        const by = Math.abs(start - (stands.get(step.id)?.at ?? start)) / MINUTE_MS;
        minutes += by;
        if (by >= WORKDAY.told) moved += 1;
      }
  return [moved, minutes];
}

/** What a person minds of a plan before it minds what moves. */
const weighed = (problem: Problem, solution: Solution) => ({ ...costOf(problem, solution), last: 0, changes: 0 });

/**
 * A plan that differs as little as can be from the one before: what stood keeps its time and whoever does it, and what is new or late finds its
 * place between, or what comes after it is put off (the two ways of repair; Abumaizar and Svestka, 1997, and Smith, 1995). Of both the one that is
 * less late, then the one that moves less. A plan made anew is taken where it is less late still, or through much sooner.
 *
 * @param turn all steps that wait, in the turn of their jobs
 * @param anew a plan that knows nothing of the one before
 */
export function leastChange(ready: Ready, turn: readonly WorkStep[], anew: Solution): Solution {
  const { problem } = ready;
  const { stands, now } = problem;
  if (!stands || turn.length > MOST_KEPT || !turn.some(({ id }) => stands.has(id))) return anew;
  const pinned = problem.pinned ?? new Map<StepId, number>();
  const still = new Map([...stands].flatMap(([id, { at }]) => (at >= now ? [[id, at] as const] : [])));
  const due = now - WORKDAY.told * MINUTE_MS;
  const order = orderAsStood(turn, new Map([...stands].flatMap(([id, { at }]) => (at >= due ? [[id, at] as const] : []))), anew);
  const placed = (held: ReadonlyMap<StepId, number>, notBefore?: ReadonlyMap<StepId, number>) =>
    placeInOrder(ready, order, { pinned: new Map([...held, ...pinned]), ...(notBefore ? { notBefore } : {}) })!;
  /**
   * Everything held keeps its time, and what has to move finds its place between: what moves of one job in the order in which it stood. What was
   * held in vain leaves its time to the others, so that it is looked for again.
   */
  const fitIn = (held: ReadonlyMap<StepId, number>): Solution => {
    const notBefore = new Map<StepId, number>();
    let found = placed(held);
    for (let tries = 0; tries < MOST_FITS; tries++) {
      const at = standsOf(found);
      const stayed = new Map([...held].filter(([id, stood]) => at.get(id)?.at === stood));
      const early = outOfOrder(found, order, held);
      if (early.size === 0 && tries > 0 && stayed.size === held.size) break;
      for (const [id, moment] of early) notBefore.set(id, moment);
      const next = placed(stayed, notBefore);
      if (compare(next, found) > 0 || (early.size === 0 && less(next, found) >= 0)) break;
      found = next;
      held = stayed;
    }
    return found;
  };
  const compare = (a: Solution, b: Solution): number => compareCosts(weighed(problem, a), weighed(problem, b));
  const less = (a: Solution, b: Solution): number => {
    const [one, other] = [change(a, stands), change(b, stands)];
    return compare(a, b) || one[0] - other[0] || one[1] - other[1];
  };
  let fit = fitIn(still);
  const shifted = placeInOrder(ready, order, { pinned, notBefore: still })!;
  // jobs that would be better off in another plan are let go, the others stay
  const goal = compare(anew, shifted) < 0 ? anew : shifted;
  let letGo = new Set<JobId>();
  for (let tries = 0; tries < MOST_FREED && compare(goal, fit) < 0; tries++) {
    const worse = [...missed(fit, pinned).keys(), ...worseOff(problem, fit, goal)].filter((job) => !letGo.has(job));
    // where they find no room yet, whoever stands in their way goes too
    const more = worse.length > 0 ? worse : order.flatMap(({ id, job }) => (still.has(id) && !letGo.has(job) ? [job] : [])).slice(0, 1);
    if (more.length === 0) break;
    letGo = new Set([...letGo, ...more]);
    const theirs = new Set(turn.flatMap(({ id, job }) => (letGo.has(job) ? [id] : [])));
    const looser = fitIn(new Map([...still].filter(([id]) => !theirs.has(id))));
    if (compare(looser, fit) <= 0) fit = looser;
  }
  let kept = less(shifted, fit) < 0 ? shifted : fit;
  for (const next of readyNow(ready, order, stands)) {
    if (pinned.has(next.id)) continue;
    const pulled = placed(new Map([...still].filter(([id]) => id !== next.id)));
    const own = pulled.get(next.job)!;
    const begins = 'unplaced' in own ? undefined : own.steps.find(({ step }) => step.id === next.id)!.start;
    if (begins === undefined || begins >= now + GRAIN_MS || compare(pulled, kept) > 0) continue;
    // nothing but the step itself moves for it
    if (change(pulled, stands)[0] > change(kept, stands)[0] + 1) continue;
    kept = pulled;
    break;
  }
  const sooner = costOf(problem, anew).last < costOf(problem, kept).last - WORKDAY.sooner * MINUTE_MS;
  const better = compare(anew, kept);
  return better < 0 || (better === 0 && (sooner || less(anew, kept) < 0)) ? anew : kept;
}

/** Steps that moved and begin before one of their job that stood before them and moved too, and when that ends: hands would do them the wrong way round. */
function outOfOrder(solution: Solution, order: readonly WorkStep[], held: ReadonlyMap<StepId, number>): Map<StepId, number> {
  const placed = new Map([...solution.values()].flatMap((one) => ('unplaced' in one ? [] : one.steps)).map((one) => [one.step.id, one]));
  const last = new Map<JobId, number>();
  const early = new Map<StepId, number>();
  for (const { id, job } of order) {
    const one = placed.get(id);
    if (!one || held.get(id) === one.start) continue;
    const before = last.get(job) ?? 0;
    if (one.start < before) early.set(id, before);
    last.set(job, Math.max(before, one.end));
  }
  return early;
}

/** Jobs that are later, break more waits or find no room in one plan but not in another. */
function worseOff({ jobs }: Problem, plan: Solution, other: Solution): JobId[] {
  const bad = (solution: Solution, job: JobId, deadline: number): number => {
    const placed = solution.get(job)!;
    return 'unplaced' in placed ? Infinity : Math.max(0, endOf(placed)! - deadline) + placed.broken.length;
  };
  return jobs.flatMap(({ job, deadline = Infinity }) => (bad(plan, job, deadline) > bad(other, job, deadline) ? [job] : []));
}
