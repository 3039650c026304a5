import type { Static } from 'typebox';
import type { Id, JobId } from './ids';
import type * as shapes from './shapes/event';

/** What happened. Events are only ever added; undoing one adds its reversal. */
export type WorkEvent = Static<typeof shapes.event>;
export type CutFrom = Static<typeof shapes.cutFrom>;

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

/** Film taken from each roll since its length was typed, mm, corrected by counts; what was cut from a sheet or an offcut leaves the roll alone. */
export function filmTaken(events: readonly WorkEvent[]): ReadonlyMap<Id, number> {
  const taken = new Map<Id, number>();
  const take = (film: Id, length: number) => void taken.set(film, (taken.get(film) ?? 0) + length);
  for (const event of standing(events)) {
    if (event.kind === 'cut' && (event.from?.kind ?? 'roll') === 'roll') take(event.film, event.length);
    if (event.kind === 'counted' && event.stock === 'film') take(event.item, event.was - event.is);
  }
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
