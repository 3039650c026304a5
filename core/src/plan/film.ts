import type { Layer } from '../artwork';
import { applyToRegion, boxAround, boxCentre, boxHeight, boxOf, boxWidth, translation, type Point, type Region } from '../geometry';
import { LAYOUT, TECHNIQUES } from '../facts';
import type { LayerInspection } from '../fit';
import {
  asKept,
  keptFor,
  cutOutline,
  layoutFilm,
  lostShapes,
  outlineLines,
  partsKey,
  skyline,
  strokeLines,
  type CutMark,
  type CutPart,
  type FilmLayout,
  type PenLine,
} from '../cut';
import { writesStrokes, type Film, type Id, type Job, type JobId, type KeptLayout, type Machine, type Mark } from '../job';
import type { Loss, LostOf } from '../logbook';
import { connectedStage } from './connected';
import type { Memo } from './memo';
import type { MarkPlan } from './planMark';

/** What was cut and lost of a job's films so far. */
export interface FilmSoFar {
  /** Whole marks of a film that are cut already; nothing where the job was cut from it whole. */
  readonly cut: (film: Id) => ReadonlyMap<Id, number>;
  /** Whole parts of a film that are cut already, what was lost and is cut again too. */
  readonly ever: (film: Id) => ReadonlyMap<Id, number>;
  readonly lost: LostOf;
}

const lostStage = ({ region, shapes }: { region: Region; shapes: NonNullable<Loss['shapes']> }): Region => lostShapes(region, shapes);

/** Parts that were lost, as they are cut again; `of` is the part as it was in the first layout. */
export const lostParts = (all: readonly FilmPart[], losses: readonly Loss[], memo: Memo): (FilmPart & { readonly of: Id })[] =>
  losses.flatMap(({ id, film, mark, copies, shapes }) => {
    const whole = all.find((one) => one.film.id === film && one.part.mark === mark);
    if (!whole) return [];
    const { part } = whole;
    // a label is written and cut out whole
    if (part.pen || !shapes) return [{ of: mark, film: whole.film, part: { ...part, mark: againId(mark, id), copies } }];
    const region = memo.stage('lost', { region: part.region, shapes }, lostStage);
    return [{ of: mark, film: whole.film, part: { ...part, mark: againId(mark, id), copies, region } }];
  });

/** How lost parts of a mark are told from the mark in layouts. */
const againId = (mark: Id, loss: Id): Id => `${mark}+${loss}`.slice(0, 100);

/**
 * What the cutter still gets of each layer of a job: what is not cut yet, and what was lost.
 * Where nothing would be left of a film, the whole job is shown.
 */
function stillToCut(all: readonly FilmPart[], { cut, ever, lost }: FilmSoFar, memo: Memo): FilmPart[] {
  const open = lost.again.filter(({ done }) => !done);
  const recut = new Set(open.map(({ film }) => film));
  const gone = (film: Id, mark: Id) =>
    lost.along.reduce((sum, loss) => sum + (loss.film === film && loss.mark === mark && !loss.shapes ? loss.copies : 0), 0);
  const rest = all.map(({ film, part }) => {
    const left = part.copies - Math.max(0, (cut(film.id).get(part.mark) ?? 0) - gone(film.id, part.mark));
    return { film, part: { ...part, copies: Math.max(0, left) } };
  });
  const begun = new Set(rest.filter(({ part }) => part.copies > 0).map(({ film }) => film.id));
  const unlost = all.flatMap((whole, i) => {
    if (recut.has(whole.film.id)) return [];
    return begun.has(whole.film.id) ? (rest[i]!.part.copies > 0 ? [rest[i]!] : []) : [whole];
  });
  const losses = [...lost.along.filter(({ shapes }) => shapes), ...open.flatMap((one) => one.losses)];
  if (losses.length === 0) return unlost;
  const again = lostParts(all, losses, memo).flatMap((one) => {
    const copies = one.part.copies - (ever(one.film.id).get(one.part.mark) ?? 0);
    return copies > 0 ? [{ ...one, part: { ...one.part, copies } }] : [];
  });
  return [...unlost, ...again];
}

/** What the knife follows of a layer, around a middle. */
const outlineStage = ({ region, middle: [cx, cy], mark }: { region: Region; middle: Point; mark: CutMark }): Region =>
  cutOutline(applyToRegion(translation(-cx, -cy), region), mark);

/** What a pen writes of a layer, around a middle: each letter in single strokes, or around its outline. */
const penStage = ({ region, middle: [cx, cy], single }: { region: Region; middle: Point; single: boolean }): PenLine[] => {
  const centred = applyToRegion(translation(-cx, -cy), region);
  return single ? strokeLines(centred) : outlineLines(centred);
};

/** One part of a mark as it is cut, around its own middle. */
function partOf(
  job: JobId,
  mark: CutMark & Pick<Mark, 'artwork'>,
  named: Named,
  copies: number,
  region: Region,
  middle: Point,
  memo: Memo,
): CutPart {
  const { technique, seenThrough, plate } = mark;
  const outline = memo.stage('cut outline', { region, middle, mark: { technique, seenThrough, plate } }, outlineStage);
  const pen = TECHNIQUES[technique].penned ? { pen: memo.stage('pen', { region, middle, single: writesStrokes(mark) }, penStage) } : {};
  return { job, mark: named.id, name: named.name, copies, region: outline, ...pen };
}

/** How a part is told from others in layouts and the log, and for a person. */
interface Named {
  readonly id: Id;
  readonly name: string;
}

const layerOf = (flat: readonly Layer[], film: Film): Region => flat.find((layer) => layer.film === film.id)!.region;

/** The middle of all layers of a mark: they are lifted together. */
const middleOf = (flat: readonly Layer[]): Point => boxCentre(boxAround(flat.map((layer) => boxOf(layer.region))));

/** A part with the film that it is cut from. */
export interface FilmPart {
  readonly film: Film;
  readonly part: CutPart;
}

/** What is cut of a mark, so many times. */
export interface CutOf {
  readonly job: JobId;
  readonly mark: Mark;
  readonly flat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  readonly copies: number;
  /** The size that the plates of all written labels of a list have, mm. */
  readonly plate?: CutMark['plate'];
}

/** A mark's layers each as one part, that keep their places. */
export function togetherParts({ job, mark, flat, inspections, copies, plate }: CutOf, memo: Memo, named: Named = mark): FilmPart[] {
  const middle = middleOf(flat);
  return inspections.map(({ film }) => ({
    film,
    part: partOf(job, plate ? { ...mark, plate } : mark, named, copies, layerOf(flat, film), middle, memo),
  }));
}

/** The parts of a mark that is laid out where it wastes least film: each connected part by itself, what lies within it along with it. */
export const apartParts = ({ job, mark, flat, inspections, copies }: CutOf, memo: Memo): FilmPart[] =>
  inspections.flatMap(({ film }) => {
    const groups = memo.stage('apart', { region: layerOf(flat, film) }, connectedStage);
    return groups.map((group, i): FilmPart => {
      const named = { id: groups.length === 1 ? mark.id : variantId(mark.id, `${i + 1}`), name: mark.name };
      return { film, part: partOf(job, mark, named, copies, group, boxCentre(boxOf(group)), memo) };
    });
  });

/** The parts of each film of a mark that is laid out apart; undefined for one that is lifted as one. */
export function partsApart(job: JobId, { mark, cutFlat: flat, inspections, variants }: MarkPlan, memo: Memo): FilmPart[] | undefined {
  const apart = mark.lift === 'apart' && variants.length === 0 && TECHNIQUES[mark.technique].mayLieApart;
  return apart ? apartParts({ job, mark, flat, inspections, copies: 1 }, memo) : undefined;
}

/** How one piece's own mark is told from the others in layouts and the log. */
const variantId = (mark: Id, row: Id): Id => `${mark}~${row}`.slice(0, 100);

function everyPart({ id: job, count }: Job, marks: readonly MarkPlan[], memo: Memo): FilmPart[] {
  return marks.flatMap(({ mark, cutFlat: flat, inspections, perPiece, variants }) => {
    const whole: CutOf = { job, mark, flat, inspections, copies: count * perPiece };
    if (variants.length === 0)
      return mark.lift === 'apart' && TECHNIQUES[mark.technique].mayLieApart ? apartParts(whole, memo) : togetherParts(whole, memo);
    const rows = variants.slice(0, count);
    const boxes = rows.flatMap((v) => (v.cutFlat.length > 0 ? [boxAround(v.cutFlat.map(({ region }) => boxOf(region)))] : []));
    const plate =
      TECHNIQUES[mark.technique].penned && mark.plates !== 'own' && boxes.length > 0
        ? { plate: { width: Math.max(...boxes.map(boxWidth)), height: Math.max(...boxes.map(boxHeight)) } }
        : {};
    return rows.flatMap((v) => {
      const named = { id: variantId(mark.id, v.row), name: `${mark.name} · ${v.words}`.slice(0, 190) };
      return togetherParts({ ...whole, ...plate, flat: v.cutFlat, inspections: v.inspections, copies: perPiece }, memo, named);
    });
  });
}

/** What film is laid out with: the machines, and layouts that were kept. */
export interface LaidWith {
  readonly machines: readonly Machine[];
  readonly kept?: readonly KeptLayout[] | undefined;
  /** Between any two parts, mm; the usual gap where the workshop has no other. */
  readonly gap?: number | undefined;
}

interface LayoutInput {
  readonly film: Film;
  readonly parts: readonly CutPart[];
  readonly machines: readonly Machine[];
  readonly kept?: KeptLayout | undefined;
  readonly gap?: number | undefined;
}
/** Parts laid out on a film: as was kept for just these parts, else by their boxes. */
export const layoutStage = ({ film, parts, machines, kept, gap }: LayoutInput): FilmLayout =>
  layoutFilm(film, parts, machines, kept ? asKept(kept, skyline) : skyline, gap);

/** Parts of one job, so many at most, are laid out without saying whose they are. */
const MOST_NAMELESS = 64;
const NO_JOB = '' as JobId;
const nameless = (part: CutPart): CutPart => ({ ...part, job: NO_JOB });

/** A layout of parts that did not say whose they are, as that of a job. */
const layoutOf = ({ layout, job }: { layout: FilmLayout; job: JobId }): FilmLayout => ({
  ...layout,
  parts: layout.parts.map((part) => ({ ...part, job })),
  ...(layout.noRoom ? { noRoom: layout.noRoom.map((part) => ({ ...part, job })) } : {}),
  ...(layout.unfinished ? { unfinished: layout.unfinished.map(() => job) } : {}),
});

/** What a job asks of film. */
export interface FilmWork {
  /** Everything that is cut for it. */
  readonly every: readonly FilmPart[];
  /** What the cutter still gets. */
  readonly parts: readonly FilmPart[];
  /** Layouts of that by itself, one a film. */
  readonly own: readonly FilmLayout[];
  /** Layouts of the films as they are cut for the first time: another where something lost is cut again. */
  readonly first: readonly FilmLayout[];
}

/** Parts laid out, one layout a film. */
export function layouts(parts: readonly FilmPart[], { machines, kept = [], gap }: LaidWith, memo: Memo): FilmLayout[] {
  const films = [...new Map(parts.map(({ film }) => [film.id, film])).values()];
  return films.map((film) => {
    const own = parts.filter((p) => p.film.id === film.id).map((p) => p.part);
    const here = kept.filter((one) => one.film === film.id);
    const key = here.length > 0 ? memo.stage('parts key', own, partsKey) : '';
    const found = keptFor(here, film.id, key, gap ?? LAYOUT.gap);
    if (found) return memo.stage('layout', { film, parts: own, machines, gap, kept: found }, layoutStage);
    const job = own[0]!.job;
    // copies of a job are laid out as it is
    return own.length <= MOST_NAMELESS && own.every((part) => part.job === job)
      ? memo.stage(
          'layout of',
          { layout: memo.stage('layout', { film, parts: own.map(nameless), machines, gap }, layoutStage), job },
          layoutOf,
        )
      : memo.stage('layout', { film, parts: own, machines, gap }, layoutStage);
  });
}

/** What a job still gets cut, and how it would be laid out by itself. */
export function filmOf(job: Job, marks: readonly MarkPlan[], soFar: FilmSoFar, laid: LaidWith, memo: Memo): FilmWork {
  const every = everyPart(job, marks, memo);
  const parts = stillToCut(every, soFar, memo);
  const own = layouts(parts, laid, memo);
  const again = new Set(soFar.lost.again.flatMap(({ film, done }) => (done ? [] : [film])));
  if (again.size === 0) return { every, parts, own, first: own };
  const films = every.filter(({ film }) => again.has(film.id));
  const whole = new Map(layouts(films, laid, memo).map((layout) => [layout.film.id, layout]));
  // what was lost of a part that there is no more leaves a film without a layout: it is shown whole
  const named = new Set(own.map(({ film }) => film.id));
  const bare = [...whole.values()].filter(({ film }) => !named.has(film.id));
  return { every, parts, own: [...own, ...bare], first: [...own, ...bare].map((layout) => whole.get(layout.film.id) ?? layout) };
}

/** One layout a film, of all jobs that still have to be cut. */
export const sharedLayouts = (
  works: readonly (FilmWork & { readonly id: JobId })[],
  isCut: (job: JobId, film: Id) => boolean,
  laid: LaidWith,
  memo: Memo,
): FilmLayout[] =>
  layouts(
    works.flatMap(({ id, parts }) => parts.filter(({ film }) => !isCut(id, film.id))),
    laid,
    memo,
  );
