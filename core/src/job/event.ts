import type { Id, JobId, StepId } from './ids';

/** What happened. Events are only ever added; undoing one adds its reversal. */
export type WorkEvent =
  | { id: Id; at: number; kind: 'started'; job: JobId; step: StepId; title: string }
  | {
      id: Id;
      at: number;
      kind: 'done';
      job: JobId;
      step: StepId;
      title: string;
      planned: number;
      actual: number;
      note?: string;
    }
  | {
      id: Id;
      at: number;
      kind: 'wrong';
      job: JobId;
      step: StepId;
      title: string;
      planned: number;
      actual: number;
      what: string;
      again: boolean;
      note?: string;
    }
  | { id: Id; at: number; kind: 'cut'; job: JobId; step: StepId; film: Id; length: number }
  | { id: Id; at: number; kind: 'overridden'; job: JobId; reading: string; reason: string }
  | { id: Id; at: number; kind: 'reversed'; event: Id };

/** Events without those that were reversed and the reversals themselves, oldest first; at one moment a start comes before an end. */
export function standing(events: readonly WorkEvent[]): WorkEvent[] {
  const reversed = new Set(events.flatMap((event) => (event.kind === 'reversed' ? [event.event] : [])));
  return events
    .filter((event) => event.kind !== 'reversed' && !reversed.has(event.id))
    .toSorted((a, b) => a.at - b.at || Number(b.kind === 'started') - Number(a.kind === 'started'));
}

/** What a person may say went wrong at a step. */
export const WRONGS: readonly string[] = [
  'A part was lost',
  'Letters stayed on the liner',
  'Paint came off with the tape',
  'It sits crooked',
  'A bubble or crease stayed',
  'Paint bled under the edge',
  'The cut did not go through',
  'Something else',
];

/** Film taken from a roll since it was counted, mm. */
export const filmTaken = (events: readonly WorkEvent[], film: Id): number =>
  standing(events).reduce((sum, event) => sum + (event.kind === 'cut' && event.film === film ? event.length : 0), 0);
