import { boxAround, boxHeight, boxOf, boxWidth, regionArea } from '../geometry';
import { weedingOf, type FilmLayout, type Weeding } from '../cut';
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
import { guarded, type Film, type Id, type Job, type Reading, type Shop } from '../job';
import type { Recipe, RecipeLayer, TapeAbout } from '../finish';
import { recipeFor } from '../techniques';
import type { MarkPlan } from './planMark';

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

/** Weeding and tape of every layer. */
export function planLayers(job: Job, marks: readonly MarkPlan[], shop: Shop): LayerPlan[] {
  return marks.flatMap(({ mark, flat, copies, cutFlat, inspections, perPiece, variants }) => {
    // tape lies on the film as it is cut, bent on a taper; one piece serves the widest of different words
    const all = variants.length === 0 ? cutFlat : variants.flatMap((v) => [...v.flat]);
    const box = boxAround(all.map((layer) => boxOf(layer.region)));
    const size =
      variants.length === 0
        ? { width: boxWidth(box), height: boxHeight(box) }
        : { width: Math.max(...variants.map((v) => v.fitted.width)), height: Math.max(...variants.map((v) => v.fitted.height)) };
    const lifts = job.count * perPiece;
    return inspections.map(({ film, pieces, edge }): LayerPlan => {
      const window = gripWindow(transferOf(job, film));
      const choice = chooseTape(shop.tapes, window, film.finish);
      return {
        mark: mark.id,
        markName: mark.name,
        film,
        weeding: timesPiece(weedingOf(pieces, edge, film.kind, mark.technique), cutFlat === flat ? perPiece : copies.length + 1),
        window,
        tapes: shop.tapes.map((tape) => ({ tape: tape.id, uses: tapeUses(tape.kind, window, film.finish) })),
        choice,
        pieces: choice ? tapePieces(size, lifts, choice) : undefined,
        ...size,
      };
    });
  });
}

/** What the tape of every layer tells. */
export const tapeReadings = (job: Job, marks: readonly MarkPlan[], shop: Shop): Reading[] =>
  marks.flatMap(({ mark, inspections }) =>
    inspections.flatMap(({ film }) =>
      guarded('tape', 'grip', `${mark.id}:${film.id}`, 'Tape', () => [gripReading(job, mark, film, shop.tapes, shop.films)]),
    ),
  );

/** What is weeded on one piece when the mark goes on it several times. */
const timesPiece = (weeding: Weeding, times: number): Weeding => ({
  ...weeding,
  minutes: weeding.minutes * times,
  wastePieces: weeding.wastePieces * times,
  smallPieces: weeding.smallPieces * times,
});

/** The tape of a layer, as its step is about it. */
const tapeOf = ({ choice, pieces }: LayerPlan): TapeAbout | undefined =>
  choice &&
  pieces && {
    name: choice.tape.name,
    pieces: pieces.pieces,
    width: pieces.width,
    height: pieces.height,
    usesEach: pieces.usesEach,
    dull: choice.dull,
  };

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
      filmWidth: layout.width,
      from: layout.sheet.from,
      weedMinutes: layer.weeding.minutes,
      weeding: {
        ...{ technique: plan.mark.technique, waste: layer.weeding.wastePieces, small: layer.weeding.smallPieces },
        onCarrier: layer.weeding.onCarrier,
      },
      tape: tapeOf(layer),
      perPiece: plan.copies.length + 1,
    };
  });
  return {
    recipe: recipeFor({ job, layers: inputs, climate: shop.climate, paints: shop.paints }),
    inputs,
  };
}
