import { standing, type StepId, type WorkEvent } from '../job';
import type { StepFact } from '../schedule';
import { MINUTE_MS } from '../units';

/** What events say of steps: since when one runs, and when it was done. One that has to be done again is as if it had not begun. */
export function stepFacts(events: readonly WorkEvent[]): Map<StepId, StepFact> {
  const facts = new Map<StepId, StepFact>();
  for (const event of standing(events)) {
    if (event.kind === 'started') facts.set(event.step, { ...facts.get(event.step), startedAt: event.at });
    else if (event.kind === 'done' || (event.kind === 'wrong' && !event.again))
      facts.set(event.step, {
        startedAt: facts.get(event.step)?.startedAt ?? event.at - event.actual * MINUTE_MS,
        doneAt: event.at,
      });
    else if (event.kind === 'wrong') facts.delete(event.step);
  }
  return facts;
}
