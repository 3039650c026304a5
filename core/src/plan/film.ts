import type { Layer } from '../artwork';
import { applyToRegion, boxAround, boxCentre, boxHeight, boxOf, boxWidth, translation, type Point, type Region } from '../geometry';
import { TECHNIQUES } from '../facts';
import type { LayerInspection } from '../fit';
import {
  asKept,
  cutOutline,
  layoutFilm,
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
import { connectedStage } from './connected';
import type { Memo } from './memo';
import type { MarkPlan } from './planMark';

/**
 * What the cutter still gets of each layer of a job.
 *
 * @param cut whole marks of a film that the cutter has cut already; where nothing would be left, the whole job is shown
 */
function cutParts(job: Job, marks: readonly MarkPlan[], cut: CutSoFar, memo: Memo): FilmPart[] {
  const all = everyPart(job, marks, memo);
  const rest = all.map(({ film, part }) => ({
    film,
    part: { ...part, copies: Math.max(0, part.copies - (cut(film.id).get(part.mark) ?? 0)) },
  }));
  const begun = new Set(rest.filter(({ part }) => part.copies > 0).map(({ film }) => film.id));
  return all.flatMap((whole, i) => (begun.has(whole.film.id) ? (rest[i]!.part.copies > 0 ? [rest[i]!] : []) : [whole]));
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

/** Whole marks of a film that are cut already, by mark. */
export type CutSoFar = (film: Id) => ReadonlyMap<Id, number>;

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
}

interface LayoutInput {
  readonly film: Film;
  readonly parts: readonly CutPart[];
  readonly machines: readonly Machine[];
  readonly kept?: KeptLayout | undefined;
}
/** Parts laid out on a film: as was kept for just these parts, else by their boxes. */
export const layoutStage = ({ film, parts, machines, kept }: LayoutInput): FilmLayout =>
  layoutFilm(film, parts, machines, kept ? asKept(kept, skyline) : skyline);

/** What a job asks of film. */
export interface FilmWork {
  /** What the cutter still gets. */
  readonly parts: readonly FilmPart[];
  /** Layouts of the job by itself, one a film. */
  readonly own: readonly FilmLayout[];
}

/** Parts laid out, one layout a film. */
function layouts(parts: readonly FilmPart[], { machines, kept = [] }: LaidWith, memo: Memo): FilmLayout[] {
  const films = [...new Map(parts.map(({ film }) => [film.id, film])).values()];
  return films.map((film) => {
    const own = parts.filter((p) => p.film.id === film.id).map((p) => p.part);
    const here = kept.filter((one) => one.film === film.id);
    const key = here.length > 0 ? memo.stage('parts key', own, partsKey) : '';
    const found = here.findLast((one) => one.parts === key);
    return memo.stage('layout', { film, parts: own, machines, ...(found ? { kept: found } : {}) }, layoutStage);
  });
}

/** What a job still gets cut, and how it would be laid out by itself. */
export function filmOf(job: Job, marks: readonly MarkPlan[], cut: CutSoFar, laid: LaidWith, memo: Memo): FilmWork {
  const parts = cutParts(job, marks, cut, memo);
  return { parts, own: layouts(parts, laid, memo) };
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
