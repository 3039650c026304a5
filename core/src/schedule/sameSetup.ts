import type { WorkStep } from '../finish';
import type { StepId } from '../job';
import type { Solution } from './problem';

/**
 * An order in which what the same is got ready for comes together: one cut, one wipe, one paint session for all jobs that share it. A step is
 * drawn forward only where all that it waits for is before it already.
 */
export function sameTogether(order: readonly WorkStep[]): WorkStep[] {
  const open = new Set(order.map(({ id }) => id));
  const byKey = new Map<string, WorkStep[]>();
  for (const step of order) if (step.setup) byKey.set(step.setup.key, [...(byKey.get(step.setup.key) ?? []), step]);
  const taken: WorkStep[] = [];
  const take = (step: WorkStep) => {
    taken.push(step);
    open.delete(step.id);
  };
  for (const step of order) {
    if (!open.has(step.id)) continue;
    take(step);
    for (const other of (step.setup && byKey.get(step.setup.key)) ?? [])
      if (open.has(other.id) && other.after.every((lag) => !open.has(lag.step))) take(other);
  }
  return taken;
}

/** Minutes of getting ready that steps are spared by going straight on from another. */
export const savedIn = (solution: Solution): number =>
  [...solution.values()].reduce(
    (sum, placed) => sum + ('unplaced' in placed ? 0 : placed.steps.reduce((all, { follows }) => all + (follows?.saved ?? 0), 0)),
    0,
  );

/** Whether any two steps that wait could share what is got ready for them. */
export function mayShare(steps: readonly WorkStep[]): boolean {
  const seen = new Map<string, StepId>();
  return steps.some(({ id, setup }) => {
    if (!setup) return false;
    const other = seen.get(setup.key);
    seen.set(setup.key, id);
    return other !== undefined;
  });
}
