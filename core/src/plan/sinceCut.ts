import { cutStepId, stepIdOf, type Id, type JobId, type StepId } from '../job';
import type { StepFact } from '../schedule';

const HOUR_MS = 3_600_000;

/** Days between two moments, by the whole hour; none backward. */
export const daysBetween = (from: number, until: number): number => Math.max(0, Math.floor((until - from) / HOUR_MS)) / 24;

/**
 * Days that film of a mark has lain since it was cut, until it was weeded or until now: adhesive flows back into the cuts, and the liner holds
 * harder. By the hour, so that a plan does not change with every minute.
 *
 * @param facts what has begun or is done
 * @param now UTC ms
 */
export function daysSinceCut(job: JobId, mark: Id, film: Id, facts: ReadonlyMap<StepId, StepFact>, now: number): number {
  const cut = facts.get(cutStepId(job, film))?.doneAt;
  if (cut === undefined) return 0;
  const until = facts.get(stepIdOf(job, `weed:${mark}:${film}`))?.doneAt ?? now;
  return daysBetween(cut, until);
}
