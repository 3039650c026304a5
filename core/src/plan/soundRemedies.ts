import { reshapes } from '../artwork';
import { surfaceOf } from '../blanks';
import { LAYOUT, LIMITS, TECHNIQUES } from '../facts';
import { contrastOf } from '../fit';
import { boxHeight, boxOf, boxWidth } from '../geometry';
import { applyPatch, isTaped, kindOf, type Film, type Remedy, type Id, type Job, type Mark, type Reading, type Shop } from '../job';
import { gripReading } from '../tape';
import { withinWork, workLeft } from '../units';
import type { MarkPlan } from './planMark';
import type { LayerPlan } from './steps';

/** Every film that a mark may be cut from, as far as it says so itself. */
const filmsOf = (mark: Mark): Set<Id> =>
  new Set([
    mark.film,
    ...Object.values(mark.colourFilms).flatMap((film) => film ?? []),
    ...mark.edits.flatMap((edit) => ('film' in edit && edit.film !== undefined ? [edit.film] : [])),
  ]);

/** The workshop, and what is left of each film, mm. */
export type StockedShop = Shop & { readonly left: (film: Id) => number };

/** About how much of a film a mark takes, mm, what is cut at once side by side; each by itself where they differ. */
function lengthFor({ count }: Pick<Job, 'count'>, { cutFlat, perPiece, mark, variants }: MarkPlan, { width: across }: Film): number {
  const { border } = TECHNIQUES[mark.technique];
  const taken = (flat: MarkPlan['cutFlat'], copies: number) => {
    const all = flat.flatMap(({ region }) => region);
    if (all.length === 0) return 0;
    const box = boxOf(all);
    const [w, h] = [boxWidth(box), boxHeight(box)].map((side) => side + 2 * border + LAYOUT.gap) as [number, number];
    const along = (side: number, other: number) => {
      const beside = Math.floor((across - 2 * LAYOUT.holdDown) / side);
      return beside < 1 ? Infinity : Math.ceil(copies / beside) * other;
    };
    return Math.min(along(w, h), along(h, w));
  };
  const rows = variants.slice(0, count);
  const length = rows.length === 0 ? taken(cutFlat, count * perPiece) : rows.reduce((sum, row) => sum + taken(row.cutFlat, perPiece), 0);
  return 2 * LAYOUT.holdDown + length;
}

/** The stop of contrast or tape that a mark meets with another film, paint or technique and did not have, by name. */
function stopOfFilm(
  before: Job,
  after: Job,
  plan: MarkPlan,
  layers: readonly LayerPlan[],
  stops: ReadonlySet<string>,
  shop: StockedShop,
): string | undefined {
  const [was, is] = [before, after].map((job) => job.marks.find((mark) => mark.id === plan.mark.id));
  if (!was || !is) return undefined;
  const { painted } = TECHNIQUES[is.technique];
  const taped = isTaped(is);
  const known = filmsOf(was);
  const fresh = [...filmsOf(is)].flatMap((id) => (known.has(id) ? [] : (shop.films.find((film) => film.id === id) ?? [])));
  // where a mark has several layers it is not known which of them it takes: on the piece and on film it has to hold
  const under = [surfaceOf(after.piece, shop.paints), ...layers.filter(({ mark }) => mark === plan.mark.id).map(({ surface }) => surface)];
  const surfaces = plan.inspections.length > 1 ? [...new Set(under)] : under.slice(0, 1);
  const grips = fresh
    .filter((film) => taped && !stops.has(`grip:${is.id}:${film.id}`))
    .flatMap((film) => surfaces.map((surface) => gripReading(after, is, film, surface, { ...shop, films: [] })));
  const short = fresh.find((film) => shop.left(film.id) < lengthFor(after, plan, film));
  if (short && !stops.has(`film:${short.id}`)) return short.name;
  const noTape = grips.find(({ verdict }) => verdict === 'stop');
  if (noTape) return noTape.title;
  // letters on a backing are seen against the backing
  const judged = !is.subtle && is.zone === was.zone && !stops.has(`contrast:${is.id}`) && !is.edits.some((edit) => edit.kind === 'backing');
  if (!judged) return undefined;
  const anew = is.paint !== was.paint || !TECHNIQUES[was.technique].painted;
  const seen = painted ? shop.paints.filter((paint) => anew && paint.id === is.paint) : fresh;
  const vanishes = seen.some(({ colour }) => plan.behind.colours.some((ground) => contrastOf(colour, ground).verdict === 'stop'));
  return vanishes ? 'Contrast' : undefined;
}

/**
 * Kinds of readings whose remedies change a mark's size, shape or technique: whether they hold is seen only by trying them out. So it is
 * for a mark that goes to another place.
 */
const TRIED: ReadonlySet<string> = new Set([
  'size',
  'contrast',
  'scatter',
  'spread',
  'wide',
  'seen',
  'bulb',
  'snips',
  'food',
  'names',
  'stick',
  'empty',
  'kind',
  'flip',
  'bite',
  'scorch',
  'stretch',
  'pull',
]);

/** Fields of a mark that say what colour it has: others may be seen against it. */
const COLOURS: ReadonlySet<string> = new Set(['film', 'colourFilms', 'paint']);

/**
 * Whether a remedy has to be tried out. Of a thickening the strokes were measured when it was looked for, but for marks whose changes move
 * their parts, and those stretched to a width and a height.
 */
function isTried(job: Job, reading: Reading, patch: Remedy['patch']): boolean {
  const ofMarks = patch.filter(({ path }) => path[0] === 'marks');
  if (ofMarks.some(({ path }) => path.at(-1) === 'zone')) return true;
  // what is put on the piece is what all of its marks lie on, and marks lie on each other and beside the paint around a mask
  if (patch.some(({ path }) => path[0] === 'piece')) return true;
  if (job.marks.length > 1 && ofMarks.some(({ path }) => COLOURS.has(path[2]!))) return true;
  const kind = kindOf(reading);
  if (kind !== 'thin') return TRIED.has(kind);
  return ofMarks.some(({ path }) => {
    const mark = job.marks.find(({ id }) => id === path[1]);
    return mark !== undefined && (reshapes(mark.edits) || (mark.size.mode === 'width' && mark.size.height !== undefined));
  });
}

/** Kinds of readings that say that a mark is larger than its place: it has to be smaller, however much. */
const FITS_ITS_PLACE: ReadonlySet<string> = new Set(['size', 'names', 'food', 'scatter', 'spread', 'wide']);

/** Whether a change makes a mark that has a typed size much smaller. */
const shrinksBadly = (marks: readonly MarkPlan[], patch: Remedy['patch']): boolean =>
  patch.some(({ op, path, ...rest }) => {
    const size =
      op === 'set' && path[0] === 'marks' && path[2] === 'size' && path.length === 3 ? (rest as { value: Mark['size'] }).value : undefined;
    const plan = marks.find(({ mark }) => mark.id === path[1]);
    if (!size || !plan || size.mode === 'height') return false;
    const width = size.mode === 'width' ? size.width : plan.fitted.largestWidth;
    return width < plan.fitted.width * LIMITS.leastOfSize;
  });

/** How much a remedy changes of what the maker wants: another way of making it, or another place, more than a colour or a size. */
const changes = ({ patch, takesAway }: Remedy): number =>
  takesAway
    ? 3
    : patch.reduce((most, { path }) => {
        const field = path[0] === 'marks' ? path[2] : undefined;
        return Math.max(most, field === 'technique' ? 2 : field === 'zone' ? 1 : 0);
      }, 0);

/** Remedies in the order of how little they change, else as they were offered. */
const leastFirst = (remedies: readonly Remedy[]): Remedy[] => remedies.toSorted((a, b) => changes(a) - changes(b));

/** In the place of a name: it was not tried out. */
const UNTRIED = '';

const stopsOf = (readings: readonly Reading[]): Set<string> =>
  new Set(readings.flatMap(({ id, verdict }) => (verdict === 'stop' ? [id] : [])));

/**
 * Readings with those remedies only that hold: each clears its reading, and puts no other stop in the place of it, such as film that no
 * tape carries over, a
 * colour that vanishes, or letters too fine for their film.
 *
 * @param marks as planned
 * @param after what the marks of the changed job tell; without it, at a first look, what has to be tried out is not offered
 */
export function soundRemedies(
  job: Job,
  readings: readonly Reading[],
  marks: readonly MarkPlan[],
  layers: readonly LayerPlan[],
  shop: StockedShop,
  after?: (changed: Job) => readonly Reading[],
): Reading[] {
  const stops = stopsOf(readings);
  /** What keeps a remedy from holding, by name; one that was not or could not be tried out is not offered either. */
  const against = (reading: Reading, { patch }: Remedy): string | undefined => {
    try {
      const { document } = applyPatch(job, patch);
      const ofFilm = marks.flatMap((plan) => stopOfFilm(job, document, plan, layers, stops, shop) ?? [])[0];
      if (ofFilm !== undefined || reading.verdict === 'fine' || !isTried(job, reading, patch)) return ofFilm;
      if (!after) return UNTRIED;
      // one that is much work to try is not offered, and leaves enough for the job
      const then = withinWork(workLeft() / 2, () => after(document));
      const own = then.find(({ id }) => id === reading.id);
      const fresh = then.find(({ id, verdict }) => verdict === 'stop' && !stops.has(id));
      return fresh?.title ?? (own !== undefined && own.verdict !== 'fine' ? own.title : undefined);
    } catch {
      // the job itself can be worked out
      return UNTRIED;
    }
  };
  return readings.map((reading) => {
    if (reading.remedies.length === 0) return reading;
    const some = reading.remedies.filter(({ patch }) => patch.length > 0);
    const sane = some.filter(({ patch }) => FITS_ITS_PLACE.has(kindOf(reading)) || !shrinksBadly(marks, patch));
    if (sane.length === 0) return { ...reading, remedies: [] };
    const judged = leastFirst(sane).map((remedy) => ({ remedy, against: against(reading, remedy) }));
    const remedies = judged.flatMap((one) => (one.against === undefined ? [one.remedy] : []));
    const [first] = judged;
    if (!first) return reading;
    if (remedies.length === judged.length) return { ...reading, remedies };
    const instead =
      first.against === reading.title
        ? `“${first.remedy.label}” alone does not help.`
        : `“${first.remedy.label}” alone does not help: it would be stopped by “${first.against}”.`;
    const advice =
      reading.advice ??
      (remedies.length === 0 && first.against !== UNTRIED ? `${instead} Say less, or take another place, face, film or tape.` : undefined);
    return { ...reading, remedies, ...(advice === undefined ? {} : { advice }) };
  });
}
