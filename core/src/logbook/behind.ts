import type { WorkStep } from '../finish';
import type { StepId } from '../job';
import type { StepFact } from '../schedule';
import { MINUTE_MS } from '../units';

/**
 * What is known of steps, with what follows from it: whoever has stained a board will not sand it any more. A step that makes the piece
 * ready, and that another waited
 * for which has begun, is behind: it counts as done when that one began. Film that was not noted stays to be cut.
 *
 * @param steps of one job, each after those that it waits for
 */
export function withBehind(facts: ReadonlyMap<StepId, StepFact>, steps: readonly WorkStep[]): ReadonlyMap<StepId, StepFact> {
  const found = new Map(facts);
  const byId = new Map(steps.map((step) => [step.id, step]));
  for (const { id, after } of steps.toReversed()) {
    const fact = found.get(id);
    const began = fact?.startedAt ?? fact?.doneAt;
    if (began === undefined) continue;
    for (const lag of after) {
      const before = byId.get(lag.step);
      if (before?.station !== 'prepare' || found.get(before.id)?.doneAt !== undefined) continue;
      const at = began - lag.least * MINUTE_MS;
      found.set(before.id, { startedAt: found.get(before.id)?.startedAt ?? at - before.hands * MINUTE_MS, doneAt: at });
    }
  }
  return found;
}
