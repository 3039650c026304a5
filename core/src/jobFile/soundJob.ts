import { MOST_COPIES, MOST_SEGMENTS, segmentsIn } from '../artwork';
import { checkShape } from '../blanks';
import { sidesCross, type Path, type Region } from '../geometry';
import type { Artwork, Job, ShelfItem, Shop, WorkEvent } from '../job';

/** What a schema cannot see: where a thing stands, what is wrong with it, and what would be taken. */
export interface Fault {
  readonly path: string;
  readonly found: string;
  readonly expected: string;
}

/** Points that each kind of segment has. */
const POINTS: Record<Path[number][0], number> = { M: 1, L: 1, Q: 2, C: 3, Z: 0 };

type First<T> = (thing: T, i: number) => Fault | undefined;
const firstOf = <T>(things: readonly T[], look: First<T>): Fault | undefined => {
  for (const [i, thing] of things.entries()) {
    const fault = look(thing, i);
    if (fault) return fault;
  }
  return undefined;
};

/** Two things of one list under one id. */
function twice(things: readonly { readonly id: string }[], path: string): Fault | undefined {
  const seen = new Set<string>();
  return firstOf(things, ({ id }, i) => {
    if (seen.has(id)) return { path: `${path}/${i}/id`, found: `the id "${id}" stands there twice`, expected: 'an id of its own' };
    seen.add(id);
    return undefined;
  });
}

const over0 = (value: number | undefined, path: string): Fault | undefined =>
  value === undefined || value > 0 ? undefined : { path, found: 'a measure of 0', expected: 'a measure over 0' };

function pathFault(path: Path, at: string): Fault | undefined {
  return firstOf(path, ([kind, ...points], i) =>
    points.length === POINTS[kind] && points.every((point) => point.every(Number.isFinite))
      ? undefined
      : {
          path: `${at}/${i}`,
          found: `a ${kind} segment with ${points.length} points`,
          expected: `${POINTS[kind]} ${POINTS[kind] === 1 ? 'point' : 'points'}`,
        },
  );
}

function partsFault(parts: Extract<Artwork, { kind: 'drawing' }>['parts'], at: string): Fault | undefined {
  const segments = segmentsIn(parts);
  if (segments > MOST_SEGMENTS)
    return {
      path: at,
      found: `a drawing of ${segments.toLocaleString('en')} segments`,
      expected: `up to ${MOST_SEGMENTS.toLocaleString('en')}`,
    };
  return twice(parts, at) ?? firstOf(parts, (part, i) => pathFault(part.path, `${at}/${i}/path`));
}

function artworkFault(artwork: Artwork, at: string): Fault | undefined {
  return artwork.kind === 'text' ? twice(artwork.lines, `${at}/lines`) : partsFault(artwork.parts, `${at}/parts`);
}

/**
 * What keeps a job from being planned, though it has every field that it should have: things that cannot be, ids that lead nowhere or stand
 * twice, instants
 * that are none.
 *
 * @returns the first fault, with its path in the job
 */
export function jobFault(job: Job): Fault | undefined {
  const zones = new Set(job.zones.map((zone) => zone.id));
  const instant = (at: number | undefined, path: string): Fault | undefined =>
    at === undefined || Number.isFinite(at) ? undefined : { path, found: 'a moment that never was', expected: 'a real date and time' };
  const shape = checkShape(job.piece.shape);
  return (
    (job.id.startsWith('@')
      ? { path: '/id', found: `the id "${job.id}", which Kolleta keeps for itself`, expected: 'another id' }
      : undefined) ??
    instant(job.createdAt, '/createdAt') ??
    instant(job.deadline, '/deadline') ??
    instant(job.piece.painted?.at, '/piece/painted/at') ??
    (shape.ok ? undefined : { path: '/piece/shape', found: shape.problem.found.replace(/\.$/, ''), expected: shape.problem.expected }) ??
    twice(job.piece.features ?? [], '/piece/features') ??
    twice(job.zones, '/zones') ??
    firstOf(job.zones, (zone, i) => over0(zone.width, `/zones/${i}/width`) ?? over0(zone.height, `/zones/${i}/height`)) ??
    twice(job.marks, '/marks') ??
    twice([...job.zones, ...job.marks], '/marks') ??
    firstOf(job.marks, (mark, i): Fault | undefined => {
      const at = `/marks/${i}`;
      if (!zones.has(mark.zone))
        return { path: `${at}/zone`, found: 'something that it does not hold', expected: 'a zone of the same job' };
      const side = mark.size.mode === 'width' ? mark.size.width : mark.size.mode === 'height' ? mark.size.height : undefined;
      return (
        over0(side, `${at}/size`) ??
        over0(mark.size.mode === 'width' ? mark.size.height : undefined, `${at}/size/height`) ??
        twice(mark.edits, `${at}/edits`) ??
        firstOf(mark.edits, (edit, k) =>
          edit.kind === 'repeat' && edit.across * edit.up > MOST_COPIES
            ? { path: `${at}/edits/${k}`, found: `${edit.across * edit.up} copies`, expected: `up to ${MOST_COPIES}` }
            : undefined,
        ) ??
        artworkFault(mark.artwork, `${at}/artwork`)
      );
    }) ??
    twice(job.list?.rows ?? [], '/list/rows') ??
    firstOf(job.list?.rows ?? [], (row, i) => over0(row.width, `/list/rows/${i}/width`) ?? over0(row.height, `/list/rows/${i}/height`))
  );
}

/** What keeps film of an outline from being laid on: sides that cross each other. */
function outlineFault(outline: Region | undefined, path: string): Fault | undefined {
  return firstOf(outline ?? [], ({ outer, holes }, i) =>
    firstOf([outer, ...holes], (ring) =>
      sidesCross(ring) ? { path: `${path}/${i}`, found: 'film whose sides cross', expected: 'sides that meet at corners only' } : undefined,
    ),
  );
}

const shelfFault: First<ShelfItem> = (item, i) => partsFault(item.parts, `/shelf/${i}/parts`);

/** What keeps a workshop from being planned by its stock, machines and hours. */
export function shopFault(shop: Shop): Fault | undefined {
  const lists: [string, readonly { readonly id: string }[]][] = [
    ['/films', shop.films],
    ['/tapes', shop.tapes],
    ['/paints', shop.paints],
    ['/machines', shop.machines],
    ['/supplies', shop.supplies ?? []],
    ['/presses', shop.presses ?? []],
    ['/patterns', shop.patterns ?? []],
    ['/hours/extra', shop.hours.extra ?? []],
    ['/hours/off', shop.hours.off ?? []],
    ['/people', shop.people ?? []],
    ...shop.films.map(({ pieces }, i): [string, readonly { readonly id: string }[]] => [`/films/${i}/pieces`, pieces ?? []]),
    ...shop.machines.map(({ carriers }, i): [string, readonly { readonly id: string }[]] => [`/machines/${i}/carriers`, carriers ?? []]),
    ['/shelf', shop.shelf ?? []],
    ['/blanks', shop.blanks ?? []],
    ['/faces', shop.faces ?? []],
  ];
  return (
    firstOf(lists, ([path, things]) => twice(things, path)) ??
    firstOf(shop.films, (film, i) => over0(film.width, `/films/${i}/width`)) ??
    firstOf(shop.films, ({ pieces = [] }, i) =>
      firstOf(pieces, ({ outline }, k) => outlineFault(outline, `/films/${i}/pieces/${k}/outline`)),
    ) ??
    firstOf(shop.tapes, (tape, i) => over0(tape.width, `/tapes/${i}/width`)) ??
    firstOf(shop.machines, (machine, i) => over0(machine.width, `/machines/${i}/width`) ?? over0(machine.most, `/machines/${i}/most`)) ??
    firstOf(shop.hours.week, (day, i) =>
      firstOf(day, ([start, end], k) =>
        start < end
          ? undefined
          : { path: `/hours/week/${i}/${k}`, found: 'hours that end before they begin', expected: 'a start before its end' },
      ),
    ) ??
    firstOf(shop.hours.extra ?? [], ({ start, end }, i) =>
      start < end
        ? undefined
        : { path: `/hours/extra/${i}`, found: 'hours that end before they begin', expected: 'a start before its end' },
    ) ??
    firstOf(shop.hours.off ?? [], ({ start, end }, i) =>
      start < end
        ? undefined
        : { path: `/hours/off/${i}`, found: 'time off that ends before it begins', expected: 'a start before its end' },
    ) ??
    firstOf(shop.people ?? [], ({ week }, i) =>
      firstOf(week ?? [], (day, k) =>
        firstOf(day, ([start, end], n) =>
          start < end
            ? undefined
            : { path: `/people/${i}/week/${k}/${n}`, found: 'hours that end before they begin', expected: 'a start before its end' },
        ),
      ),
    ) ??
    firstOf(shop.patterns ?? [], (pattern, i) => {
      const fault = jobFault(pattern.job);
      return fault && { ...fault, path: `/patterns/${i}/job${fault.path}` };
    }) ??
    firstOf(shop.blanks ?? [], (blank, i) => {
      const shape = checkShape(blank.shape);
      return shape.ok
        ? undefined
        : { path: `/blanks/${i}/shape`, found: shape.problem.found.replace(/\.$/, ''), expected: shape.problem.expected };
    }) ??
    firstOf(shop.shelf ?? [], shelfFault)
  );
}

/** What keeps a log from being read: moments that never were, and ids that stand twice. */
export const logFault = (events: readonly WorkEvent[]): Fault | undefined =>
  twice(events, '') ??
  firstOf(events, (event, i) =>
    Number.isFinite(event.at) ? undefined : { path: `/${i}/at`, found: 'a moment that never was', expected: 'a real date and time' },
  );
