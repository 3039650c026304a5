import type { Lag, WorkStep } from '@kolleta/core/finish';
import { stepTitle } from '@kolleta/core/words';
import type { Carrier, Film, Machine, WorkEvent } from '@kolleta/core/job';
import { noteDried, noteFinish, noteStart, type Ending } from '@kolleta/core/logbook';
import { now } from './clock';
import { db } from './db';
import { keep } from './keeping';
import { newId } from './newId';
import { write } from './write';

export type { Wrong } from '@kolleta/core/logbook';

/** Adds to the log what follows from it as it is saved at that moment; what was added. */
export async function addEvents(
  label: string,
  eventsOf: (saved: readonly WorkEvent[]) => readonly WorkEvent[],
): Promise<readonly WorkEvent[]> {
  const run = () =>
    write([db.events], async () => {
      const fresh = eventsOf(await db.events.toArray());
      await db.events.bulkPut([...fresh]);
      return fresh;
    });
  const { result } = await keep(label, run, (workshop) => ({
    ...workshop,
    events: [...workshop.events, ...eventsOf(workshop.events)],
  }));
  return result;
}

/** Begins a step: its timer runs from here. A step that runs or is done is left as it is. */
export async function startStep(step: WorkStep, press = newId(), at = now()): Promise<void> {
  await addEvents(`Start: ${stepTitle(step)}`, (saved) => noteStart(saved, step, press, at));
}

/**
 * Writes a step into the log with its actual minutes: from its start to now, or as planned when no timer ran. It counts once, however often
 * it is pressed.
 *
 * @param ending how it ended
 * @param press names the press
 * @returns the events written, so that they can be reversed together; none when it was in the log already
 */
export async function finishStep(step: WorkStep, ending: Ending = {}, press = newId(), at = now()): Promise<readonly WorkEvent[]> {
  const label = `${ending.wrong ? 'Went wrong' : 'Done'}: ${stepTitle(step)}`;
  return addEvents(label, (saved) => noteFinish(saved, step, press, at, ending));
}

/** Writes into the log that a coat was dry before its wait was over, or tacky still after it. */
export async function logDried(step: WorkStep, lag: Lag, minutes: number, tacky: boolean): Promise<readonly WorkEvent[]> {
  const events = noteDried(step, lag, minutes, tacky, newId(), now());
  return events.length > 0 ? addEvents(tacky ? 'Still tacky' : 'Dry already', () => events) : [];
}

/** Puts an entry right: its minutes, its note, its picture. */
export async function amendEvent(
  event: string,
  put: Pick<Extract<WorkEvent, { kind: 'amended' }>, 'minutes' | 'note' | 'photo'>,
): Promise<readonly WorkEvent[]> {
  const amended: WorkEvent = { id: newId(), at: now(), kind: 'amended', event, ...put };
  return addEvents('Put an entry right', () => [amended]);
}

/** Forgets what the log has taught under a key. */
export async function logForgotten(key: string): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'forgotten', key };
  return addEvents('Forget what was learnt', () => [event]);
}

/** Takes events back by adding their reversals. */
export async function reverseEvents(events: readonly WorkEvent[]): Promise<void> {
  const at = now();
  const ids = new Map(events.map((event) => [event.id, newId()]));
  await addEvents('Undo', (saved) => {
    const reversed = new Set(saved.flatMap((event) => (event.kind === 'reversed' ? [event.event] : [])));
    return events.filter(({ id }) => !reversed.has(id)).map(({ id }) => ({ id: ids.get(id)!, at, kind: 'reversed' as const, event: id }));
  });
}

/** Writes into the log that film was lost after it was cut. */
export async function logLost(
  job: string,
  lost: Omit<Extract<WorkEvent, { kind: 'lost' }>, 'id' | 'at' | 'kind' | 'job' | 'what' | 'note'>,
  what: string,
  note?: string,
): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'lost', job, ...lost, what, ...(note ? { note } : {}) };
  return addEvents(`Lost: ${lost.name}`, () => [event]);
}

/** Writes a test cut into the log. */
export async function logTestCut(made: Omit<Extract<WorkEvent, { kind: 'testCut' }>, 'id' | 'at' | 'kind'>): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'testCut', ...made };
  return addEvents(`Test cut: ${made.name}`, () => [event]);
}

/** Writes into the log that a machine has a new blade. */
export async function logBlade({ id: machine, name }: Pick<Machine, 'id' | 'name'>): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'bladeChanged', machine, name };
  return addEvents('New blade', () => [event]);
}

/** Writes into the log that a carrier sheet was washed or given new tack. */
export async function logCarrier({ id: machine, name }: Pick<Machine, 'id' | 'name'>, carrier: Carrier): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'carrierRenewed', machine, carrier: carrier.id, name };
  return addEvents('Renew a carrier sheet', () => [event]);
}

/** Writes into the log that an offcut is there no more. */
export async function logPieceGone({ id: film, name }: Pick<Film, 'id' | 'name'>, piece: string): Promise<readonly WorkEvent[]> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'pieceGone', film, piece, name };
  return addEvents('Take an offcut away', () => [event]);
}

/** Writes into the log that a stop was answered for. */
export async function logOverride(job: string, reading: string, reason: string): Promise<void> {
  const event: WorkEvent = { id: newId(), at: now(), kind: 'overridden', job, reading, reason };
  await addEvents('Go ahead anyway', () => [event]);
}
