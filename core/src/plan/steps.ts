import { bulbSnips, filmSurface, type Surface } from '../blanks';
import { FILM_KINDS, GRIP_LIMITS, LIMITS, TECHNIQUES } from '../facts';
import { boxAround, boxHeight, boxOf, boxWidth, intersection, partArea, regionArea } from '../geometry';
import type { LayerInspection } from '../fit';
import { keptOf, onMat, placedBox, weedingOf, type FilmLayout, type Weeding } from '../cut';
import {
  chooseTape,
  tapeOffers,
  gripReading,
  gripWindow,
  tapePieces,
  tapeUses,
  transferOf,
  type GripWindow,
  type TapeChoice,
  type TapeOffer,
  type TapePieces,
  type TapeUses,
} from '../tape';
import { gripFactor, type Learnt } from '../learning';
import { guarded, isTaped, type CutFrom, type Film, type Id, type Job, type Mark, type Reading, type Shop } from '../job';
import { pressOf, tapingOf, type FittedLayer, type Recipe, type RecipeLayer, type SnipsAbout, type TapeAbout } from '../finish';
import { recipeFor } from '../techniques';
import type { Memo } from './memo';
import { cutsFrom } from './cutsFrom';
import { partsApart } from './film';
import type { MarkPlan } from './planMark';

/** One layer through weeding and tape. */
export interface LayerPlan {
  readonly mark: Id;
  readonly markName: string;
  readonly film: Film;
  /** Days since it was cut; 0 before. */
  readonly daysCut: number;
  /** What it comes on. */
  readonly surface: Surface;
  readonly weeding: Weeding;
  readonly window: GripWindow;
  readonly tapes: readonly { readonly tape: Id; readonly uses: TapeUses }[];
  /** What each tape of the shop means here, the best first. */
  readonly offers: readonly TapeOffer[];
  readonly choice?: TapeChoice;
  readonly pieces?: TapePieces;
  /** What is lifted at once; and in how many parts the layer is lifted, more than one where they are laid out apart. */
  readonly width: number;
  readonly height: number;
  readonly parts: number;
  /** How often it is lifted for the whole set. */
  readonly lifts: number;
}

/** How the log has taught that tapes hold a film on a piece. */
function tapesLearnt(learnt: Learnt, { tapes }: Shop, { finish }: Film, { piece }: Job): Pick<GripWindow, 'learnt'> {
  const factors = [...new Set(tapes.map(({ kind }) => kind))].flatMap((kind) => {
    const factor = gripFactor(learnt, kind, finish, piece.ground);
    return factor === 1 ? [] : [[kind, factor] as const];
  });
  return factors.length > 0 ? { learnt: Object.fromEntries(factors) } : {};
}

/** A label is cut out whole. */
const NOTHING_TO_WEED: Weeding = { kept: 'shapes', wastePieces: 0, smallPieces: 0, minutes: 0, onCarrier: false };

type Layers = MarkPlan['fitted']['layers'];

/** The film of the layer that lies under another of the same mark, if any does. */
function underStage({ layers, film, seenThrough }: { layers: Layers; film: Id; seenThrough: boolean }): { film?: Id } {
  const at = layers.findIndex((layer) => layer.film === film);
  const own = layers[at];
  if (!own || own.region.length === 0) return {};
  // what is seen through the piece is put on its back: the first to be seen goes down first
  const lower = seenThrough ? layers.slice(at + 1) : layers.slice(0, at).toReversed();
  const under = lower.find((layer) => regionArea(intersection(layer.region, own.region)) > LIMITS.onFilm * regionArea(own.region));
  return under ? { film: under.film } : {};
}

/** Whether another layer of the mark lies on part of this one. */
function coveredStage({ layers, film, seenThrough }: { layers: Layers; film: Id; seenThrough: boolean }): { covered: boolean } {
  const at = layers.findIndex((layer) => layer.film === film);
  const own = layers[at]?.region ?? [];
  const upper = seenThrough ? layers.slice(0, Math.max(0, at)) : layers.slice(at + 1);
  return { covered: upper.some(({ region }) => region.length > 0 && regionArea(intersection(region, own)) > LIMITS.touches) };
}

/** What a layer of a mark comes on: the piece, or the layer of the same mark that lies under it. */
function surfaceUnder({ fitted, inspections, surface, mark }: MarkPlan, film: Id, memo: Memo): Surface {
  if (fitted.layers.length < 2) return surface;
  const under = memo.stage('under', { layers: fitted.layers, film, seenThrough: mark.seenThrough }, underStage);
  const below = inspections.find((i) => i.film.id === under.film)?.film;
  return below ? filmSurface(surface, below) : surface;
}

/**
 * Weeding and tape of every layer.
 *
 * @param daysSince days since the film of a mark was cut
 * @param learnt what the log has taught of tapes
 */
export function planLayers(
  job: Job,
  marks: readonly MarkPlan[],
  shop: Shop,
  memo: Memo,
  daysSince: (mark: Id, film: Id) => number = () => 0,
  learnt: Learnt = new Map(),
): LayerPlan[] {
  return marks.flatMap((plan) => {
    const { mark, flat, copies, cutFlat, inspections, perPiece, variants } = plan;
    // tape lies on the film as it is cut, bent on a taper; one piece serves the widest of different words
    const sizes = (variants.length === 0 ? [cutFlat] : variants.map((v) => v.cutFlat))
      .filter((layers) => layers.some(({ region }) => region.length > 0))
      .map((layers) => boxAround(layers.filter(({ region }) => region.length > 0).map(({ region }) => boxOf(region))));
    // a stencil is lifted with the film around it
    const around = sizes.length > 0 ? 2 * TECHNIQUES[mark.technique].border : 0;
    const size = { width: Math.max(0, ...sizes.map(boxWidth)) + around, height: Math.max(0, ...sizes.map(boxHeight)) + around };
    const rows = variants.slice(0, job.count);
    const apart = partsApart(job.id, plan, memo);
    return inspections.map(({ film, pieces, edge }): LayerPlan => {
      const surface = surfaceUnder(plan, film.id, memo);
      // laid out apart, each part has tape of its own: a piece as large as the largest serves them all
      const parts = apart?.filter((one) => one.film.id === film.id).map(({ part }) => boxOf(part.region)) ?? [];
      const lifted = parts.length > 0 ? { width: Math.max(...parts.map(boxWidth)), height: Math.max(...parts.map(boxHeight)) } : size;
      const lifts = job.count * perPiece * Math.max(1, parts.length);
      const daysCut = daysSince(mark.id, film.id);
      const window = { ...gripWindow(transferOf(mark, film, surface, daysCut)), ...tapesLearnt(learnt, shop, film, job) };
      const taped = isTaped(mark);
      const choice = taped ? chooseTape(shop.tapes, window, film.finish, mark.tape) : undefined;
      return {
        mark: mark.id,
        markName: mark.name,
        daysCut,
        film,
        surface,
        weeding: timesPiece(
          TECHNIQUES[mark.technique].penned
            ? NOTHING_TO_WEED
            : rows.length === 0
              ? weedingOf(pieces, edge, film.kind, keptOf(mark, film.id), daysCut)
              : weedingOfRows(
                  rows.flatMap((row) => row.inspections.filter((one) => one.film.id === film.id)),
                  job.count,
                  keptOf(mark, film.id),
                  daysCut,
                ),
          cutFlat === flat ? perPiece : copies.length + 1,
        ),
        window,
        tapes: shop.tapes.map((tape) => ({ tape: tape.id, uses: tapeUses(tape.kind, window, film.finish) })),
        offers: taped ? tapeOffers(shop.tapes, window, film.finish) : [],
        choice,
        pieces: choice ? tapePieces(lifted, lifts, choice) : undefined,
        parts: Math.max(1, parts.length),
        lifts,
        ...lifted,
      };
    });
  });
}

/** What the tape of every layer tells. */
export const tapeReadings = (job: Job, layers: readonly LayerPlan[], shop: Shop): Reading[] =>
  layers.flatMap(({ mark: id, film, surface, daysCut }) => {
    const mark = job.marks.find((one) => one.id === id);
    return mark && isTaped(mark)
      ? guarded('tape', 'grip', `${id}:${film.id}`, 'Tape', () => [gripReading(job, mark, film, surface, shop, daysCut)])
      : [];
  });

/** What is weeded on one piece of a set whose words differ: each row takes its own time, and pieces without a row none. */
function weedingOfRows(rows: readonly LayerInspection[], count: number, kept: Weeding['kept'], daysCut: number): Weeding {
  const each = rows.map(({ film, pieces, edge }) => weedingOf(pieces, edge, film.kind, kept, daysCut));
  const mean = (of: (one: Weeding) => number) => each.reduce((sum, one) => sum + of(one), 0) / count;
  return {
    kept,
    minutes: mean((one) => one.minutes),
    wastePieces: Math.round(mean((one) => one.wastePieces)),
    smallPieces: Math.round(mean((one) => one.smallPieces)),
    onCarrier: each.some((one) => one.onCarrier),
  };
}

/** What is weeded on one piece when the mark goes on it several times. */
const timesPiece = (weeding: Weeding, times: number): Weeding => ({
  ...weeding,
  minutes: weeding.minutes * times,
  wastePieces: weeding.wastePieces * times,
  smallPieces: weeding.smallPieces * times,
});

/** How the tape of a mark has to be snipped on a belly. */
function snipsOf({ piece }: Job, { width, height }: Pick<LayerPlan, 'width' | 'height'>): SnipsAbout | undefined {
  const snips = piece.shape.kind === 'bulb' ? bulbSnips(piece.shape, Math.hypot(width, height) / 2 + GRIP_LIMITS.margin) : undefined;
  return snips && { count: snips.count, length: snips.length };
}

/** The tape of a layer, as its step is about it. */
const tapeOf = ({ choice, pieces, film, width, height }: LayerPlan, mark: Mark, snips: SnipsAbout | undefined): TapeAbout | undefined =>
  choice &&
  pieces && {
    ...(snips ? { snips } : {}),
    name: choice.tape.name,
    pieces: pieces.pieces,
    width: pieces.width,
    height: pieces.height,
    usesEach: pieces.usesEach,
    length: pieces.length,
    dull: choice.dull,
    taping: tapingOf(mark, film.kind, width, height),
  };

/** One layer of a mark as it is drawn and fitted. */
function fittedLayer(plan: MarkPlan, film: Film, memo: Memo): FittedLayer {
  const { fitted, copies, mark } = plan;
  const region = fitted.layers.find((l) => l.film === film.id)?.region ?? [];
  const press = pressOf(film);
  return {
    ...{ mark, film, width: fitted.width, height: fitted.height, perPiece: copies.length + 1 },
    area: regionArea(region) * (copies.length + 1),
    shapes: { count: region.length, least: region.reduce((least, part) => Math.min(least, partArea(part)), Infinity) },
    ...(press
      ? { press, ...memo.stage('covered film', { layers: fitted.layers, film: film.id, seenThrough: mark.seenThrough }, coveredStage) }
      : {}),
  };
}

/** The layers of marks as they are fitted, for what their techniques tell. */
export const fittedLayers = (marks: readonly MarkPlan[], memo: Memo): FittedLayer[] =>
  marks.flatMap((plan) => plan.inspections.map(({ film }) => fittedLayer(plan, film, memo)));

/** What became of a job's films so far. */
export interface FilmState {
  /** mm left of the roll. */
  readonly left: (film: Id) => number;
  /** Whether the job was cut from it. */
  readonly isCut: (film: Id) => boolean;
  /** What it was cut from last; nothing before. */
  readonly cutFrom: (film: Id) => CutFrom | undefined;
}

/** The steps of a job from what its earlier stations found. */
export function planRecipe(
  job: Job,
  marks: readonly MarkPlan[],
  layers: readonly LayerPlan[],
  layouts: readonly FilmLayout[],
  shop: Shop,
  state: FilmState,
  memo: Memo,
): { recipe: Recipe; inputs: RecipeLayer[] } {
  const perFilm = (film: Id) => layers.filter((layer) => layer.film.id === film).length;
  const inputs = layers.map((layer): RecipeLayer => {
    const plan = marks.find((m) => m.mark.id === layer.mark)!;
    const layout = layouts.find((l) => l.film.id === layer.film.id)!;
    const { id } = layer.film;
    const beyond = !state.isCut(id) && (layout.noRoom !== undefined || layout.taken > state.left(id));
    const { machines, layouts: kept } = shop;
    const cut = memo.stage('cuts from', { layout, machines, ...(beyond ? { kept, left: state.left(id) } : {}) }, cutsFrom);
    const cutFrom = state.cutFrom(id);
    const mat = cutFrom && cutFrom.kind !== 'roll' ? machines.some((one) => one.carriers?.length) : onMat(cut.before);
    const snips = snipsOf(job, layer);
    return {
      ...fittedLayer(plan, layer.film, memo),
      width: layer.width,
      height: layer.height,
      foot: placedBox(plan.mark, plan.fitted.box).minY,
      inkDries: FILM_KINDS[layer.film.kind].ink?.dries,
      cutMinutes: cut.minutes / perFilm(layer.film.id),
      taken: cut.taken / perFilm(layer.film.id),
      filmArea: cut.area,
      from: cut.from,
      ...(cut.before ? { before: cut.before } : {}),
      ...(cut.piece ? { piece: cut.piece, pieces: cut.pieces } : {}),
      weedMinutes: layer.weeding.minutes,
      weeding: {
        ...{ kept: layer.weeding.kept, letters: plan.mark.artwork.kind === 'text', onCarrier: layer.weeding.onCarrier },
        ...(mat ? { mat: true as const } : {}),
        ...{ waste: layer.weeding.wastePieces, small: layer.weeding.smallPieces },
      },
      tape: tapeOf(layer, plan.mark, snips),
      snips,
      parts: layer.parts,
    };
  });
  return {
    recipe: recipeFor({ job, layers: inputs, climate: shop.climate, paints: shop.paints, presses: shop.presses }),
    inputs,
  };
}
