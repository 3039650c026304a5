import type { Layer } from '../artwork';
import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxWidth,
  pointInRing,
  regionArea,
  translation,
  type Part,
  type Point,
  type Region,
} from '../geometry';
import type { LayerInspection } from '../fit';
import { cutOutline, layoutFilm, weedingOf, type CutPart, type FilmLayout, type Weeding } from '../cut';
import {
  chooseTape,
  gripReading,
  gripWindow,
  tapePieces,
  tapeUses,
  transferOf,
  type GripWindow,
  type TapeChoice,
  type TapePieces,
  type TapeUses,
} from '../tape';
import { TECHNIQUES } from '../facts';
import { formatLength } from '../units';
import { guarded, type Film, type Id, type Job, type Mark, type Reading, type Shop } from '../job';
import { recipeFor, type Recipe, type RecipeLayer } from '../finish';
import type { MarkPlan } from './planMark';
import { identityOf, keyOf, type Memo } from './memo';

/** One layer through weeding and tape. */
export interface LayerPlan {
  readonly mark: Id;
  readonly markName: string;
  readonly film: Film;
  readonly weeding: Weeding;
  readonly window: GripWindow;
  readonly tapes: readonly { readonly tape: Id; readonly uses: TapeUses }[];
  readonly choice?: TapeChoice;
  readonly pieces?: TapePieces;
  readonly width: number;
  readonly height: number;
}

/**
 * What the cutter still gets of each layer of a job.
 *
 * @param cut whole marks of a film that the cutter has cut already; where nothing would be left, the whole job is shown
 */
export function cutParts(job: Job, marks: readonly MarkPlan[], cut: CutSoFar): { film: Film; part: CutPart }[] {
  const all = everyPart(job, marks);
  const rest = all.map(({ film, part }) => ({
    film,
    part: { ...part, copies: Math.max(0, part.copies - (cut(film.id).get(part.mark) ?? 0)) },
  }));
  const begun = new Set(rest.filter(({ part }) => part.copies > 0).map(({ film }) => film.id));
  return all.flatMap((whole, i) => (begun.has(whole.film.id) ? (rest[i]!.part.copies > 0 ? [rest[i]!] : []) : [whole]));
}

/** One part of a mark as it is cut, around its own middle. */
const partOf = (job: Job, mark: Mark, id: Id, name: string, copies: number, region: Region, middle: Point): CutPart => ({
  job: job.id,
  mark: id,
  name,
  copies,
  region: outlineToCut(region, middle, mark),
});

const layerOf = (flat: readonly Layer[], film: Film): Region => flat.find((layer) => layer.film === film.id)!.region;

/** The middle of all layers of a mark: they are lifted together. */
const middleOf = (flat: readonly Layer[]): Point => boxCentre(boxAround(flat.map((layer) => boxOf(layer.region))));

interface FilmPart {
  readonly film: Film;
  readonly part: CutPart;
}

/** A mark's layers each as one part, that keep their places. */
export function togetherParts(
  job: Job,
  mark: Mark,
  flat: readonly Layer[],
  inspections: readonly LayerInspection[],
  copies: number,
  named = { id: mark.id, name: mark.name },
): FilmPart[] {
  const middle = middleOf(flat);
  return inspections.map(({ film }) => ({ film, part: partOf(job, mark, named.id, named.name, copies, layerOf(flat, film), middle) }));
}

/** No mark is laid out in more parts than this: nobody would place them one by one. */
const MOST_APART = 60;

const apartKept = new WeakMap<Region, readonly Region[]>();

/** The connected parts of a region, each with what lies within its counters. */
function connectedParts(region: Region): readonly Region[] {
  const known = apartKept.get(region);
  if (known) return known;
  const within = (part: Part, other: Part) => other.holes.some((hole) => pointInRing(part.outer[0]!, hole));
  const outer = region.filter((part) => !region.some((other) => other !== part && within(part, other)));
  const groups = outer.length > MOST_APART ? [region] : outer.map((part) => region.filter((p) => p === part || within(p, part)));
  apartKept.set(region, groups);
  return groups;
}

/** The parts of a mark that is laid out where it wastes least film: each connected part by itself, what lies within it along with it. */
export const apartParts = (
  job: Job,
  mark: Mark,
  flat: readonly Layer[],
  inspections: readonly LayerInspection[],
  perPiece: number,
): FilmPart[] =>
  inspections.flatMap(({ film }) => {
    const groups = connectedParts(layerOf(flat, film));
    return groups.map((group, i): FilmPart => {
      const id = groups.length === 1 ? mark.id : variantId(mark.id, `${i + 1}`);
      return { film, part: partOf(job, mark, id, mark.name, job.count * perPiece, group, boxCentre(boxOf(group))) };
    });
  });

/** How one piece's own mark is told from the others in layouts and the log. */
export const variantId = (mark: Id, row: Id): Id => `${mark}~${row}`.slice(0, 100);

/** Whole marks of a film that are cut already, by mark. */
export type CutSoFar = (film: Id) => ReadonlyMap<Id, number>;

const outlines = new WeakMap<Region, Map<string, Region>>();

/** What the knife follows of a layer, around a middle; the same object for the same layer, so that layouts know it again. */
function outlineToCut(region: Region, [cx, cy]: Point, mark: Mark): Region {
  const key = `${cx} ${cy} ${mark.seenThrough} ${mark.technique}`;
  const own = outlines.get(region) ?? new Map<string, Region>();
  outlines.set(region, own);
  const known = own.get(key);
  if (known) return known;
  const made = cutOutline(applyToRegion(translation(-cx, -cy), region), mark);
  own.set(key, made);
  return made;
}

/** The key of a film's layout. */
export const layoutKey = (film: Film, parts: readonly CutPart[], machines: Shop['machines']): string =>
  keyOf(
    'layout',
    film,
    parts.map((part) => ({ ...part, region: identityOf(part.region) })),
    machines,
  );

function everyPart(job: Job, marks: readonly MarkPlan[]): { film: Film; part: CutPart }[] {
  return marks.flatMap(({ mark, cutFlat, inspections, perPiece, variants }) => {
    const cuts =
      variants.length === 0
        ? [{ id: mark.id, name: mark.name, flat: cutFlat, inspections, copies: job.count * perPiece }]
        : variants.slice(0, job.count).map((v) => ({
            id: variantId(mark.id, v.row),
            name: `${mark.name} · ${v.words}`.slice(0, 190),
            flat: v.cutFlat,
            inspections: v.inspections,
            copies: perPiece,
          }));
    if (mark.lift === 'apart' && variants.length === 0 && mark.technique === 'decal')
      return apartParts(job, mark, cutFlat, inspections, perPiece);
    return cuts.flatMap(({ id, name, flat, inspections: inspected, copies }) =>
      togetherParts(job, mark, flat, inspected, copies, { id, name }),
    );
  });
}

/** Layouts of one job by itself, one a film. */
export function ownLayouts(job: Job, marks: readonly MarkPlan[], cut: CutSoFar, shop: Shop, memo: Memo): FilmLayout[] {
  const parts = cutParts(job, marks, cut);
  const films = [...new Map(parts.map(({ film }) => [film.id, film])).values()];
  return films.map((film) => {
    const own = parts.filter((p) => p.film.id === film.id).map((p) => p.part);
    return memo.get(layoutKey(film, own, shop.machines), () => layoutFilm(film, own, shop.machines));
  });
}

/** Weeding and tape of every layer. */
export function planLayers(job: Job, marks: readonly MarkPlan[], shop: Shop): { layers: LayerPlan[]; readings: Reading[] } {
  const readings: Reading[] = [];
  const layers = marks.flatMap(({ mark, flat, copies, cutFlat, inspections, perPiece, variants }) => {
    // tape lies on the film as it is cut, bent on a taper; one piece serves the widest of different words
    const all = variants.length === 0 ? cutFlat : variants.flatMap((v) => [...v.flat]);
    const box = boxAround(all.map((layer) => boxOf(layer.region)));
    const size =
      variants.length === 0
        ? { width: boxWidth(box), height: boxHeight(box) }
        : { width: Math.max(...variants.map((v) => v.fitted.width)), height: Math.max(...variants.map((v) => v.fitted.height)) };
    const lifts = job.count * perPiece;
    return inspections.map((inspection): LayerPlan => {
      const { film } = inspection;
      const window = gripWindow(transferOf(job, film));
      const choice = chooseTape(shop.tapes, window, film.finish);
      readings.push(
        ...guarded('tape', 'grip', `${mark.id}:${film.id}`, 'Tape', () => [gripReading(job, mark, film, shop.tapes, shop.films)]),
      );
      return {
        mark: mark.id,
        markName: mark.name,
        film,
        weeding: timesPiece(
          weedingOf(inspection.pieces, inspection.edge, film.kind, mark.technique),
          cutFlat === flat ? perPiece : copies.length + 1,
        ),
        window,
        tapes: shop.tapes.map((tape) => ({ tape: tape.id, uses: tapeUses(tape.kind, window, film.finish) })),
        choice,
        pieces: choice ? tapePieces(size, lifts, choice) : undefined,
        ...size,
      };
    });
  });
  return { layers, readings };
}

/** What is weeded on one piece when the mark goes on it several times. */
const timesPiece = (weeding: Weeding, times: number): Weeding => ({
  ...weeding,
  minutes: weeding.minutes * times,
  wastePieces: weeding.wastePieces * times,
  smallPieces: weeding.smallPieces * times,
});

const weedWords = (mark: Mark, weeding: Weeding): string =>
  `${TECHNIQUES[mark.technique].says} ${weeding.wastePieces} pieces come off a piece${weeding.smallPieces > 0 ? `, ${weeding.smallPieces} of them small` : ''}. ${weeding.onCarrier ? 'Leave the liner on the carrier while you weed.' : 'Count the counters when you are done.'}`;

function tapeWords(layer: LayerPlan, shop: Shop): string {
  const { choice, pieces } = layer;
  if (!choice || !pieces) return 'No tape in stock works here; see the Tape station.';
  const say = (mm: number) => formatLength(Math.ceil(mm), shop.lengths);
  const dull = choice.dull > 0 ? ` Press it on clean cloth ${choice.dull === 1 ? 'once' : `${choice.dull} times`} first.` : '';
  return `${choice.tape.name}: ${pieces.pieces === 1 ? 'one piece' : `${pieces.pieces} pieces`} of ${say(pieces.width)} × ${say(pieces.height)}, used ${pieces.usesEach === 1 ? 'once' : `up to ${pieces.usesEach} times`} each.${dull} Burnish both sides; peel the liner away flat.`;
}

/** The steps of a job from what its earlier stations found. */
export function planRecipe(
  job: Job,
  marks: readonly MarkPlan[],
  layers: readonly LayerPlan[],
  layouts: readonly FilmLayout[],
  shop: Shop,
): { recipe: Recipe; inputs: RecipeLayer[] } {
  const perFilm = (film: Id) => layers.filter((layer) => layer.film.id === film).length;
  const inputs = layers.map((layer): RecipeLayer => {
    const plan = marks.find((m) => m.mark.id === layer.mark)!;
    const layout = layouts.find((l) => l.film.id === layer.film.id)!;
    const region = plan.fitted.layers.find((l) => l.film === layer.film.id)!.region;
    return {
      mark: plan.mark,
      film: layer.film,
      width: layer.width,
      height: layer.height,
      area: regionArea(region) * (plan.copies.length + 1),
      foot: plan.fitted.box.minY,
      cutMinutes: layout.minutes / perFilm(layer.film.id),
      taken: layout.taken / perFilm(layer.film.id),
      weedMinutes: layer.weeding.minutes,
      weedText: weedWords(plan.mark, layer.weeding),
      tapeText: tapeWords(layer, shop),
      tapePieces: layer.pieces?.pieces ?? 0,
      perPiece: plan.copies.length + 1,
    };
  });
  return {
    recipe: recipeFor({ job, layers: inputs, climate: shop.climate, paints: shop.paints, lengths: shop.lengths }),
    inputs,
  };
}
