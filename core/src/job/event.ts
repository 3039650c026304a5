import type { StepKind } from '../facts';
import type { Id, JobId, StepId } from './ids';

/** What can be learnt from the end of a step. Entries of older files lack it. */
interface Learnable {
  /** What kind of step it was. */
  work?: StepKind;
  /** The minutes that were computed for it before anything was learnt. */
  unlearned?: number;
  /** Whether its minutes were measured or typed; where they were not, `actual` is what was planned, and says nothing. */
  timed?: boolean;
}

/** What happened. Events are only ever added; undoing one adds its reversal. */
export type WorkEvent =
  | { id: Id; at: number; kind: 'started'; job: JobId; step: StepId; title: string }
  | ({
      id: Id;
      at: number;
      kind: 'done';
      job: JobId;
      step: StepId;
      title: string;
      planned: number;
      actual: number;
      note?: string;
    } & Learnable)
  | ({
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
    } & Learnable)
  | {
      id: Id;
      at: number;
      kind: 'cut';
      job: JobId;
      step: StepId;
      film: Id;
      /** mm taken from the roll. */
      length: number;
      /** Whole marks that came off the cutter, where it told so. */
      marks?: { mark: Id; copies: number }[];
    }
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

/** Whether the minutes of an entry were measured or typed: of older entries those that are just as planned were not. */
export const isTimed = ({ timed, planned, actual }: { timed?: boolean; planned: number; actual: number }): boolean =>
  timed ?? actual !== planned;

/** Film taken from each roll since it was counted, mm. */
export function filmTaken(events: readonly WorkEvent[]): ReadonlyMap<Id, number> {
  const taken = new Map<Id, number>();
  for (const event of standing(events)) if (event.kind === 'cut') taken.set(event.film, (taken.get(event.film) ?? 0) + event.length);
  return taken;
}

/** Whole marks that the cutter has cut so far: by job and film, how many of each mark. */
export function marksCut(events: readonly WorkEvent[]): (job: JobId, film: Id) => ReadonlyMap<Id, number> {
  const cut = new Map<string, Map<Id, number>>();
  for (const event of standing(events)) {
    if (event.kind !== 'cut' || !event.marks) continue;
    const key = `${event.job} ${event.film}`;
    const own = cut.get(key) ?? new Map<Id, number>();
    cut.set(key, own);
    for (const { mark, copies } of event.marks) own.set(mark, (own.get(mark) ?? 0) + copies);
  }
  const none = new Map<Id, number>();
  return (job, film) => cut.get(`${job} ${film}`) ?? none;
}
