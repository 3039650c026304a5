import type { Id, JobId } from './ids';
import type { Job, Mark, Zone } from './job';
import type { Patch } from './patch';

/** A name for a copy that none of the others has: "Prizes, second", "Prizes, third". */
export function nameOfCopy(name: string, others: readonly string[]): string {
  const ordinals = ['second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
  const bare = name.replace(new RegExp(`, (?:${ordinals.join('|')}|no\\. \\d+)$`), '');
  const taken = new Set(others);
  for (let i = 0; ; i++) {
    const copy = `${bare.slice(0, 180)}, ${ordinals[i] ?? `no. ${i + 2}`}`;
    if (!taken.has(copy)) return copy;
  }
}

/**
 * A job like another one, to be made from the beginning: its pieces, zones, marks and list, without its date, without what was answered for, put at
 * a moment or given to somebody.
 *
 * @param at when it is made, UTC ms
 */
export function copyJob(job: Job, id: JobId, name: string, at: number): Job {
  const { deadline: _, pins: __, given: ___, ...rest } = job;
  return { ...rest, id, name, overrides: [], createdAt: at, closed: false };
}

/** A job for pieces of another one that were spoiled: the same, so many of them, wanted when that is. */
export const makeAgain = (job: Job, pieces: number, id: JobId, name: string, at: number): Job => ({
  ...copyJob(job, id, name, at),
  count: pieces,
  ...(job.deadline === undefined ? {} : { deadline: job.deadline }),
});

/** Columns of a list that a mark takes words from, as in "{name}". */
const columnsOf = (mark: Mark): string[] =>
  mark.artwork.kind === 'text'
    ? mark.artwork.lines.flatMap(({ text }) => [...text.matchAll(/\{([^{}]+)\}/g)].map((found) => found[1]!.trim()))
    : [];

/**
 * The change that puts a copy of a mark into a job.
 *
 * @param to the job, this one or another
 * @param zone where in it
 */
export function copyMark(mark: Mark, to: Job, zone: Id, id: Id): Patch {
  const name = nameOfCopy(
    mark.name,
    to.marks.map((one) => one.name),
  );
  const free = to.marks.some((one) => one.name === mark.name) ? name : mark.name;
  return [{ op: 'set', path: ['marks', id], value: { ...mark, id, name: free, zone } }];
}

/** What a copied mark will miss in another job: columns that its list has not. */
export const missingColumns = (mark: Mark, to: Job): string[] =>
  columnsOf(mark).filter((column) => !to.list?.columns.some((one) => one.trim().toLowerCase() === column.toLowerCase()));

/** Between a zone and its copy, mm. */
const BESIDE = 5;

/**
 * The change that copies a zone: beside it to the right, else to the left, else over it where the piece has no room.
 *
 * @param width of the piece's face or wall, mm
 * @param withMarks its marks are copied too
 * @param id gives a new id each time
 */
export function copyZone(job: Job, zone: Zone, width: number, withMarks: boolean, id: () => Id): { zone: Id; patch: Patch } {
  const fresh = id();
  const by = zone.width + BESIDE;
  const fits = (x: number) => Math.abs(x) + zone.width / 2 <= width / 2;
  const x = fits(zone.x + by) ? zone.x + by : fits(zone.x - by) ? zone.x - by : zone.x;
  const name = nameOfCopy(
    zone.name,
    job.zones.map((one) => one.name),
  );
  const marks = withMarks ? job.marks.filter((mark) => mark.zone === zone.id) : [];
  return {
    zone: fresh,
    patch: [
      { op: 'set', path: ['zones', fresh], value: { ...zone, id: fresh, name, x } },
      ...marks.flatMap((mark) => copyMark(mark, job, fresh, id())),
    ],
  };
}
