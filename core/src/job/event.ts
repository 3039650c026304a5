import type { Static } from 'typebox';
import type { Id, JobId } from './ids';
import type * as shapes from './shapes/event';

/** What happened. Events are only ever added; undoing one adds its reversal. */
export type WorkEvent = Static<typeof shapes.event>;
/** What a step was about. */
export type StepOf = Static<typeof shapes.stepOf>;
export type CutFrom = Static<typeof shapes.cutFrom>;

type Amended = Extract<WorkEvent, { kind: 'amended' }>;

/** An entry with what was put right about it afterwards. */
function putRight(event: WorkEvent, amendments: readonly Amended[]): WorkEvent {
  if (event.kind !== 'done' && event.kind !== 'wrong') return event;
  return amendments.reduce(
    (now, { minutes, note }) => ({
      ...now,
      ...(minutes === undefined ? {} : { actual: minutes, timed: true }),
      ...(note === undefined ? {} : { note }),
    }),
    event,
  );
}

/**
 * Events without those that were reversed and the reversals themselves, oldest first; at one moment a start comes before an end. What was put
 * right afterwards is as it was put right.
 */
export function standing(events: readonly WorkEvent[]): WorkEvent[] {
  const reversed = new Set(events.flatMap((event) => (event.kind === 'reversed' ? [event.event] : [])));
  const stand = events.filter((event) => event.kind !== 'reversed' && !reversed.has(event.id));
  const amendments = new Map<Id, Amended[]>();
  for (const event of stand)
    if (event.kind === 'amended')
      amendments.set(
        event.event,
        [...(amendments.get(event.event) ?? []), event].toSorted((a, b) => a.at - b.at),
      );
  return stand
    .map((event) => (amendments.has(event.id) ? putRight(event, amendments.get(event.id)!) : event))
    .toSorted((a, b) => a.at - b.at || Number(b.kind === 'started') - Number(a.kind === 'started'));
}

/** Events without their pictures: nobody plans by those. */
export const withoutPhotos = (events: readonly WorkEvent[]): WorkEvent[] =>
  events.map((event) => (event.kind === 'amended' && event.photo ? { ...event, photo: undefined } : event));

/** The newest picture of each entry that has one. */
export function photosOf(events: readonly WorkEvent[]): ReadonlyMap<Id, string> {
  return new Map(
    standing(events).flatMap((event) => (event.kind === 'amended' && event.photo ? [[event.event, event.photo] as const] : [])),
  );
}

/** The two ways in which tape fails: it held the film too little, or what lies under it too much. */
export const STAYED_ON_LINER = 'Letters stayed on the liner';
export const PAINT_CAME_OFF = 'Paint came off with the tape';

/** What a person may say went wrong at a step. */
export const WRONGS: readonly string[] = [
  'A part was lost',
  STAYED_ON_LINER,
  PAINT_CAME_OFF,
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

/** What a job was cut from last, of each film; nothing before it was. */
export function cutFromLast(events: readonly WorkEvent[]): (job: JobId, film: Id) => CutFrom | undefined {
  const last = new Map<string, CutFrom>();
  for (const event of standing(events)) if (event.kind === 'cut') last.set(`${event.job} ${event.film}`, event.from ?? { kind: 'roll' });
  return (job, film) => last.get(`${job} ${film}`);
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
