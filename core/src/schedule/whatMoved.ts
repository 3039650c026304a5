import { MINUTE_MS } from '../units';
import type { JobId, StepId } from '../job';
import { GRAIN_MS } from './problem';
import type { Schedule } from './solve';

/** What is other in a plan than it was. */
export interface Moved {
  /** Steps that begin later by five minutes or more, and that begin sooner, the one that was put elsewhere not among them. */
  readonly later: readonly StepId[];
  readonly sooner: readonly StepId[];
  /** Jobs that are packed later (or, below 0, earlier), minutes. */
  readonly packed: readonly { readonly job: JobId; readonly by: number }[];
}

/**
 * What moved from one plan to another: steps that wait in both, and when jobs are packed.
 *
 * @param but a step that was moved by hand
 */
export function whatMoved(before: Schedule, after: Schedule, but?: StepId): Moved {
  const was = new Map(before.steps.filter(({ state }) => state === 'waiting').map(({ step, start }) => [step.id, start]));
  const moved = (by: (was: number, is: number) => boolean) =>
    after.steps
      .filter(({ step, state, start }) => state === 'waiting' && step.id !== but && by(was.get(step.id) ?? start, start))
      .map(({ step }) => step.id);
  const packed = [...after.jobs.values()].flatMap(({ job, packed: now }) => {
    const then = before.jobs.get(job)?.packed;
    const by = then === undefined || now === undefined ? 0 : Math.round((now - then) / MINUTE_MS);
    return by === 0 ? [] : [{ job, by }];
  });
  return {
    later: moved((then, now) => now >= then + GRAIN_MS),
    sooner: moved((then, now) => now <= then - GRAIN_MS),
    packed: packed.toSorted((a, b) => Math.abs(b.by) - Math.abs(a.by)),
  };
}
