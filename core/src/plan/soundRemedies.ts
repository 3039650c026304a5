import { reshapes } from '../artwork';
import { TECHNIQUES } from '../facts';
import { contrastOf } from '../fit';
import { applyPatch, type Cure, type Film, type Id, type Job, type Mark, type Reading, type Shop } from '../job';
import { gripReading } from '../tape';
import type { MarkPlan } from './planMark';

/** Every film that a mark may be cut from, as far as it says so itself. */
const filmsOf = (mark: Mark): Set<Id> =>
  new Set([
    mark.film,
    ...Object.values(mark.colourFilms).flatMap((film) => film ?? []),
    ...mark.edits.flatMap((edit) => ('film' in edit && edit.film !== undefined ? [edit.film] : [])),
  ]);

/** Whether a mark that gets another film, paint or technique meets a stop of contrast or tape that it did not have. */
function meetsAnotherStop(before: Job, after: Job, plan: MarkPlan, stops: ReadonlySet<string>, shop: Shop): boolean {
  const [was, is] = [before, after].map((job) => job.marks.find((mark) => mark.id === plan.mark.id));
  if (!was || !is) return false;
  const { painted, taped } = TECHNIQUES[is.technique];
  const known = filmsOf(was);
  const fresh = [...filmsOf(is)].flatMap((id) => (known.has(id) ? [] : (shop.films.find((film) => film.id === id) ?? [])));
  const hasTape = (film: Film) => stops.has(`grip:${is.id}:${film.id}`) || gripReading(after, is, film, shop.tapes, []).verdict !== 'stop';
  if (taped && !fresh.every(hasTape)) return true;
  if (is.subtle || is.zone !== was.zone || stops.has(`contrast:${is.id}`)) return false;
  const paint =
    painted && (is.paint !== was.paint || !TECHNIQUES[was.technique].painted) ? shop.paints.find((p) => p.id === is.paint) : undefined;
  const colours = painted ? (paint ? [paint.colour] : []) : fresh.map((film) => film.colour);
  // letters on a backing are seen against the backing
  if (is.edits.some((edit) => edit.kind === 'backing')) return false;
  return colours.some((colour) => plan.behind.colours.some((ground) => contrastOf(colour, ground).verdict === 'stop'));
}

/** Kinds of readings whose remedies change a mark's size, shape or technique: whether they hold is seen only by trying them out. So it is for a mark that goes to another place. */
const TRIED: ReadonlySet<string> = new Set(['size', 'seen', 'bulb', 'snips', 'food', 'names', 'stick', 'empty']);

/** Whether a remedy has to be tried out. Of a thickening the strokes were measured when it was looked for, but for marks whose changes move their parts. */
function isTried(job: Job, reading: Reading, patch: Cure['patch']): boolean {
  const ofMarks = patch.filter(({ path }) => path[0] === 'marks');
  if (ofMarks.some(({ path }) => path.at(-1) === 'zone')) return true;
  const kind = reading.id.split(':')[0]!;
  if (kind !== 'thin') return TRIED.has(kind);
  return ofMarks.some(({ path }) => reshapes(job.marks.find((mark) => mark.id === path[1])?.edits ?? []));
}

const stopsOf = (readings: readonly Reading[]): Set<string> =>
  new Set(readings.flatMap(({ id, verdict }) => (verdict === 'stop' ? [id] : [])));

/**
 * Readings with those remedies only that hold: each clears its reading, and puts no other stop in the place of it, such as film that no tape carries over, a
 * colour that vanishes, or letters too fine for their film.
 *
 * @param marks as planned
 * @param after what the marks of the changed job tell; without it, at a first look, what has to be tried out is not offered
 */
export function soundRemedies(
  job: Job,
  readings: readonly Reading[],
  marks: readonly MarkPlan[],
  shop: Shop,
  after?: (changed: Job) => readonly Reading[],
): Reading[] {
  const stops = stopsOf(readings);
  const holds = (reading: Reading, { patch }: Cure): boolean => {
    try {
      return clears(reading, patch);
    } catch {
      // what cannot be worked out is not offered; the job itself can
      return false;
    }
  };
  const clears = (reading: Reading, patch: Cure['patch']): boolean => {
    const { document } = applyPatch(job, patch);
    if (marks.some((plan) => meetsAnotherStop(job, document, plan, stops, shop))) return false;
    if (reading.verdict === 'fine' || !isTried(job, reading, patch)) return true;
    // what was not tried out is not offered
    if (!after) return false;
    const then = after(document);
    const own = then.find(({ id }) => id === reading.id);
    return (own === undefined || own.verdict === 'fine') && [...stopsOf(then)].every((id) => stops.has(id));
  };
  return readings.map((reading) => {
    if (reading.cures.length === 0) return reading;
    const cures = reading.cures.filter((cure) => holds(reading, cure));
    if (cures.length === reading.cures.length) return reading;
    const advice =
      reading.advice ??
      (cures.length === 0
        ? 'What could be changed here by itself would meet another stop: say less, or take another place, face, film or tape.'
        : undefined);
    return { ...reading, cures, ...(advice === undefined ? {} : { advice }) };
  });
}
