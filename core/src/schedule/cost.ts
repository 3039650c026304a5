import { MINUTE_MS } from '../units';
import type { JobId, StepId } from '../job';
import { boundOf } from './bounds';
import type { PlacedStep, Placement, Problem, Solution, Unplaced } from './problem';

/** How good a plan is: what comes first counts first. */
export interface ScheduleCost {
  /** Jobs that find no room. */
  readonly unplaced: number;
  /** Greatest waits that are not kept. */
  readonly broken: number;
  /** So far are steps from where somebody put them, ms in all. */
  readonly off: number;
  /** Minutes by which jobs are late in all, those of the highest priority first. */
  readonly late: readonly number[];
  /** When the last step ends, UTC ms. */
  readonly last: number;
  /** How often hands turn to another kind of step or to another job. */
  readonly changes: number;
}

/** When a placed job is packed, UTC ms; undefined for one that cannot be placed. */
export const endOf = (placed: Placement | Unplaced): number | undefined =>
  'unplaced' in placed ? undefined : placed.steps.reduce((last, s) => Math.max(last, s.end), 0);

/** How often hands turn to something else: each person's steps, one after another. */
function changesIn(steps: readonly PlacedStep[]): number {
  const before = new Map<string, PlacedStep>();
  let changes = 0;
  for (const placed of steps.filter(({ state }) => state !== 'done').toSorted((a, b) => a.start - b.start)) {
    const who = placed.by?.[0] ?? '';
    const last = before.get(who);
    if (last && (last.step.kind !== placed.step.kind || last.step.job !== placed.step.job)) changes += 1;
    before.set(who, placed);
  }
  return changes;
}

/** Jobs of steps that begin at another time than somebody put them, and by how much, ms. */
export function missed(solution: Solution, pinned: ReadonlyMap<StepId, number> | undefined): Map<JobId, number> {
  const by = new Map<JobId, number>();
  if (!pinned?.size) return by;
  for (const [job, placed] of solution)
    if (!('unplaced' in placed))
      for (const { step, state, start } of placed.steps) {
        const off = state === 'waiting' ? Math.abs((pinned.get(step.id) ?? start) - start) : 0;
        if (off > 0) by.set(job, (by.get(job) ?? 0) + off);
      }
  return by;
}

/** What a solution costs. */
export function costOf({ jobs, pinned }: Pick<Problem, 'jobs' | 'pinned'>, solution: Solution): ScheduleCost {
  const late = new Map<number, number>();
  let [unplaced, broken, last] = [0, 0, 0];
  for (const { job, priority, deadline } of jobs) {
    const placed = solution.get(job);
    const before = late.get(priority) ?? 0;
    late.set(priority, before);
    if (!placed || 'unplaced' in placed) {
      unplaced += 1;
      continue;
    }
    const end = endOf(placed)!;
    broken += placed.broken.length;
    last = Math.max(last, end);
    if (deadline !== undefined) late.set(priority, before + Math.max(0, end - deadline) / MINUTE_MS);
  }
  const steps = [...solution.values()].flatMap((placed) => ('unplaced' in placed ? [] : placed.steps));
  const off = [...missed(solution, pinned).values()].reduce((sum, by) => sum + by, 0);
  const byPriority = [...late].toSorted(([a], [b]) => b - a).map(([, minutes]) => minutes);
  return { unplaced, broken, off, late: byPriority, last, changes: changesIn(steps) };
}

/** Below 0 where the first is better, above where the second is, 0 where they are as good. */
export function compareCosts(a: ScheduleCost, b: ScheduleCost): number {
  const of = ({ unplaced, broken, off, late, last, changes }: ScheduleCost) => [unplaced, broken, off, ...late, last, changes];
  const [x, y] = [of(a), of(b)];
  for (const [i, value] of x.entries()) if (Math.abs(value - y[i]!) > 1e-6) return value - y[i]!;
  return 0;
}

/** Minutes late in all, whatever the priorities. */
export const lateInAll = ({ late }: ScheduleCost): number => late.reduce((sum, minutes) => sum + minutes, 0);

/** Greatest waits that another plan could keep: those after a step that has begun are lost already. */
export const mendable = (solution: Solution): number =>
  [...solution.values()].reduce((sum, placed) => {
    if ('unplaced' in placed) return sum;
    const waiting = new Set(placed.steps.filter(({ state }) => state === 'waiting').map(({ step }) => step.id));
    return sum + placed.broken.filter(({ after }) => waiting.has(after)).length;
  }, 0);

/** Whether a better plan would matter: something finds no room, breaks a wait, or is later than it has to be. */
export function wantsBetter(problem: Problem, solution: Solution): boolean {
  const cost = costOf(problem, solution);
  if (cost.unplaced > 0 || mendable(solution) > 0) return true;
  const late = lateInAll(cost);
  return late > 0 && late > boundOf(problem).late + 1e-6;
}
