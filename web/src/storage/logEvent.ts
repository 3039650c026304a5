import { standing, type WorkEvent } from '@kolleta/core/job';
import type { WorkStep } from '@kolleta/core/finish';
import { MINUTE_MS } from '@kolleta/core/units';
import { now } from './clock';
import { db } from './db';
import { keep } from './keeping';
import { newId } from './newId';

/** When a step was begun, if it was and stands. */
async function startOf(step: string): Promise<number | undefined> {
  const own = standing(await db.events.toArray()).filter((event) => 'step' in event && event.step === step && event.kind !== 'cut');
  const last = own.at(-1);
  return last?.kind === 'started' ? last.at : undefined;
}

/** Begins a step: its timer runs from here. */
export async function startStep(step: WorkStep): Promise<void> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'started', job: step.job, step: step.id, title: step.title };
  await keep(`Start: ${step.title}`, () => db.events.put(event));
}

/** What went wrong at a step. */
export interface Wrong {
  what: string;
  again: boolean;
  note?: string;
}

/**
 * Writes a step into the log with its actual minutes: from its start to now, or as planned when no timer ran.
 *
 * @param minutes as corrected by the user, if at all
 * @returns the events written, so that they can be reversed together
 */
export async function finishStep(step: WorkStep, wrong?: Wrong, minutes?: number): Promise<WorkEvent[]> {
  const at = now();
  const begun = await startOf(step.id);
  const actual = minutes ?? (begun === undefined ? step.hands : Math.max(0.1, Math.round(((at - begun) / MINUTE_MS) * 10) / 10));
  const common = { id: newId(), at, job: step.job, step: step.id, title: step.title, planned: step.hands, actual };
  const written: WorkEvent[] = [wrong ? { ...common, kind: 'wrong', ...wrong } : { ...common, kind: 'done' }];
  // film that went under the knife is gone, also when the cut failed
  if (step.takes)
    written.push({
      id: newId(),
      at,
      kind: 'cut',
      job: step.job,
      step: step.id,
      film: step.takes.film,
      length: step.takes.length,
    });
  await keep(`${wrong ? 'Went wrong' : 'Done'}: ${step.title}`, () => db.events.bulkPut(written));
  return written;
}

/** Takes events back by adding their reversals. */
export async function reverseEvents(events: readonly WorkEvent[]): Promise<void> {
  const reversals = events.map((event) => ({ id: newId(), at: now(), kind: 'reversed' as const, event: event.id }));
  await keep('Undo', () => db.events.bulkPut(reversals));
}

/** Keeps in the log that a stop was answered for. */
export async function logOverride(job: string, reading: string, reason: string): Promise<void> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'overridden', job, reading, reason };
  await keep('Go on against a stop', () => db.events.put(event));
}
