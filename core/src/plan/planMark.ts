import { columnsIn, drawMark, fillIn, isPersonal, reshapes, type DrawnMark, type Faces, type Layer } from '../artwork';
import { bendRegion, diameterAt, sectorOf, usableOf, wallRegion, type Usable } from '../blanks';
import {
  applyToRegion,
  boxCentre,
  boxHeight,
  boxRegion,
  boxWidth,
  IDENTITY,
  intersection,
  regionArea,
  scaling,
  type Box,
  type Point,
  type Region,
  type Transform,
} from '../geometry';
import { GROUNDS } from '../facts';
import type { Artwork, Id, Job, Mark, PieceList, Shape, Shop, Zone } from '../job';
import {
  bestTurn,
  contrastOf,
  inspectMark,
  outerRings,
  outlinePoints,
  placeMark,
  scatteredCopies,
  shapeMark,
  sizeMark,
  spreadOver,
  turnDrawn,
  type FittedMark,
  type LayerInspection,
  type Sizing,
} from '../fit';
import { keyOf, type Memo } from './memo';
import { sideBySide } from './sideBySide';

/** A mark through draw and fit. */
export interface MarkPlan {
  readonly mark: Mark;
  readonly zone: Zone;
  readonly usable: Usable;
  /** What was drawn: the mark's artwork, with the words of its row where there is a list; and the radians that it was turned by. */
  readonly artwork: Artwork;
  readonly turn: number;
  /** Layers on the wall, mm. */
  readonly fitted: FittedMark;
  /** The layers as they lie on the film laid flat, mm: bent on a taper, else the same. */
  readonly flat: readonly Layer[];
  /** Further copies on the piece, on the wall and laid flat. */
  readonly copies: readonly { readonly layers: readonly Layer[]; readonly flat: readonly Layer[] }[];
  /** Of a scatter, where its copies go on the wall, in the order of their numbers on the placing map. */
  readonly places: readonly Point[];
  /** What one cut of the mark holds: its copies where some are mirrored, else the mark itself; and how often it goes on a piece. */
  readonly perPiece: number;
  readonly cutFlat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  /** Characters that its faces lack. */
  readonly missing: readonly string[];
  /** What the mark is seen against. */
  readonly behind: { colour: string; name: string };
  /** Where the words differ from piece to piece: the mark of every row; the mark itself is the tightest of them. */
  readonly variants: readonly Variant[];
}

/** A mark as it is on one of the pieces. */
export interface Variant {
  readonly row: Id;
  readonly words: string;
  /** The zone on this piece: its own size where the piece is unlike the others. */
  readonly zone: Zone;
  readonly usable: Usable;
  readonly artwork: Artwork;
  readonly turn: number;
  readonly fitted: FittedMark;
  readonly flat: readonly Layer[];
  readonly copies: MarkPlan['copies'];
  /** What one cut of it holds, as `MarkPlan.cutFlat`. */
  readonly cutFlat: readonly Layer[];
  readonly inspections: readonly LayerInspection[];
  readonly missing: readonly string[];
  /** Size of its letters, mm an em. */
  readonly em: number;
}

/** What fitting keeps for the readings, besides the plan. */
export interface FittingWork {
  readonly plan: MarkPlan;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  /** Key of the shaped mark. */
  readonly key: string;
  /** Where the words differ: the same of every row. */
  readonly rows: readonly RowWork[];
}

/** What fitting keeps of one row of a list. */
export interface RowWork {
  readonly words: string;
  /** The mark with this row's words, at the size that it has. */
  readonly mark: Mark;
  readonly usable: Usable;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  readonly key: string;
  readonly fitted: FittedMark;
  readonly inspections: readonly LayerInspection[];
}

/** Typed sides larger than the zone are drawn for their own size, so that curves stay fine. */
function referenceFor(mark: Mark, usable: Usable): { width: number; height: number } {
  const box = usable.inner ?? usable.clear;
  const side = mark.size.mode === 'width' ? mark.size.width : mark.size.mode === 'height' ? mark.size.height : 0;
  return { width: Math.max(boxWidth(box), side, 5), height: Math.max(boxHeight(box), side, 5) };
}

/** Height along the wall at which a mark's widths are true. */
const alongOf = (usable: Usable, mark: Mark): number => boxCentre(usable.inner ?? usable.clear)[1] + mark.offset.y;

/**
 * What a zone leaves, counted where the mark lies. A zone is measured at the middle height of a taper; a mark higher or lower has more or less room across, by the share
 * of the diameters.
 */
function trueAtMark(shape: Shape, usable: Usable, mark: Mark): Usable {
  if (shape.kind !== 'taper' || !sectorOf(shape)) return usable;
  const share = Math.max(0.05, diameterAt(shape, alongOf(usable, mark)) / diameterAt(shape, shape.height / 2));
  const wider = (box: Box): Box => ({ ...box, minX: box.minX * share, maxX: box.maxX * share });
  const widened = (region: Region) => applyToRegion(scaling(share, 1), region);
  return {
    clear: wider(usable.clear),
    ...(usable.inner ? { inner: wider(usable.inner) } : {}),
    ...(usable.free ? { free: widened(usable.free) } : {}),
    ...(usable.room ? { room: widened(usable.room) } : {}),
  };
}

/** Layers as they lie on the film laid flat: bent on a taper, unless the mark is left straight. */
function laidFlat(layers: readonly Layer[], at: number, shape: Shape, mark: Mark): readonly Layer[] {
  if (mark.straight || shape.kind !== 'taper') return layers;
  return layers.map(({ film, region }) => ({ film, region: bendRegion(region, shape, at) }));
}

const moved = (layers: readonly Layer[], map: Transform): Layer[] =>
  layers.map(({ film, region }) => ({ film, region: applyToRegion(map, region) }));

interface Fitting {
  readonly artwork: Artwork;
  readonly turn: number;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  readonly key: string;
  readonly usable: Usable;
  readonly sizing: Sizing;
  readonly inspections: readonly LayerInspection[];
  readonly fitted: FittedMark;
  readonly flat: readonly Layer[];
  readonly copies: MarkPlan['copies'];
  readonly mirrored: boolean;
}

/** One mark with its words filled in: drawn, sized, shaped, inspected and placed. */
function fitOnce(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): Fitting {
  const { piece } = job;
  const { shape } = piece;
  const whole = trueAtMark(shape, usableOf(zone, piece), mark);
  const { usable, hold, copies } = spreadOver(mark, zone, piece, whole, alongOf(whole, mark));
  const reference = referenceFor(mark, usable);
  const drawKey = keyOf('draw', mark.artwork, mark.flip, mark.film, mark.colourFilms, reference, quick);
  const upright = memo.get(drawKey, () => drawMark(mark, reference, faces, quick));
  const uprightOutline = memo.get(`outline ${drawKey}`, () => outlinePoints(upright));
  const turn =
    mark.turn === 'best'
      ? memo.get(keyOf('turn', drawKey, usable), () => bestTurn(uprightOutline, outerRings(upright.layers), usable))
      : ((mark.turn ?? 0) * Math.PI) / 180;
  const turnKey = turn === 0 ? drawKey : `${drawKey} turned ${turn.toFixed(6)}`;
  const drawn = turn === 0 ? upright : memo.get(turnKey, () => turnDrawn(upright, turn));
  const outline = turn === 0 ? uprightOutline : memo.get(`outline ${turnKey}`, () => outlinePoints(drawn));
  const held = hold === mark.hold ? mark : { ...mark, hold };
  const shapeKey = (scale: number) => keyOf('shape', turnKey, scale.toPrecision(9), mark.edits);
  const shapeAt = (scale: number) => memo.get(shapeKey(scale), () => shapeMark(drawn, scale, mark));
  const size = () => sizeMark(drawn, outline, held, usable, shapeAt);
  const slow = usable.room !== undefined || reshapes(mark.edits) || mark.optical;
  const sizing = slow
    ? memo.get(keyOf('size', turnKey, mark.edits, held.hold, mark.size, mark.offset, mark.optical, usable), size)
    : size();
  const key = shapeKey(sizing.scale);
  const shaped = shapeAt(sizing.scale);
  const kinds = shaped.map((layer) => shop.films.find((f) => f.id === layer.film));
  const inspections = memo.get(keyOf('inspect', key, kinds), () => inspectMark(shaped, shop.films));
  const placed = memo.get(keyOf('place', key, sizing.at, sizing.largestWidth), () => placeMark(shaped, sizing));
  const trim = (layers: readonly Layer[]): readonly Layer[] =>
    mark.overEdge ? layers.map(({ film, region }) => ({ film, region: intersection(region, wallRegion(shape)) })) : layers;
  const fitted = mark.overEdge ? { ...placed, layers: trim(placed.layers) } : placed;
  const flatKey = keyOf('flat', key, sizing.at, shape, mark.straight, mark.overEdge, mark.spread, zone, piece.features);
  const [flat, others, mirrored] = memo.get(flatKey, (): [readonly Layer[], MarkPlan['copies'], boolean] => {
    const maps = fitted.layers.length > 0 ? copies(sizing.at) : [IDENTITY];
    const all = maps.map((map) => {
      const layers = map === IDENTITY ? fitted.layers : trim(moved(placed.layers, map));
      return { layers, flat: laidFlat(layers, sizing.at[1], shape, mark) };
    });
    return [all[0]!.flat, all.slice(1), maps.some(([a, b, c, d]) => a * d - b * c < 0)];
  });
  return { artwork: mark.artwork, turn, drawn, outline, shaped, key, usable, sizing, inspections, fitted, flat, copies: others, mirrored };
}

/** What one cut holds: the copies side by side where some are mirrored, so that none is forgotten or taken for another; else the mark itself. */
const cutTogether = ({ mirrored, flat, copies }: Fitting): readonly Layer[] =>
  mirrored && flat.length > 0 ? sideBySide([flat, ...copies.map((copy) => copy.flat)]) : flat;

/** A mark at the size that another of its variants needs. */
const sizedAs = (mark: Mark, fitting: Fitting, scale: number): Mark => ({
  ...mark,
  size: { mode: 'width', width: Math.max(0.05, (fitting.fitted.width * scale) / fitting.sizing.scale) },
});

/** One row's mark: its words and, where the piece is not like the others, its zone. */
function variantOf(mark: Mark, zone: Zone, list: PieceList, row: PieceList['rows'][number]): { mark: Mark; zone: Zone } {
  const own = row.width !== undefined || row.height !== undefined;
  const width = row.width ?? zone.width;
  const height = row.height ?? zone.height;
  const share = Math.min(width / zone.width, height / zone.height, 1);
  return {
    mark: { ...mark, artwork: fillIn(mark.artwork, list, row) },
    zone: own ? { ...zone, width, height, breathing: zone.breathing * share } : zone,
  };
}

/**
 * Draws, sizes, shapes, inspects and places one mark; where its words differ from piece to piece, every one of them.
 *
 * @param memo keeps what a nudge does not change
 * @param quick a first look, without the checks of ADR 7
 */
export function fitOne(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): FittingWork {
  const { list } = job;
  let main: Fitting;
  let variants: Variant[] = [];
  let works: RowWork[] = [];
  if (list && isPersonal(mark, list)) {
    const personal = columnsIn(mark.artwork, list).length > 0;
    const rows = list.rows.map((row) => ({ row, ...variantOf(mark, zone, list, row) }));
    const fit = (one: (typeof rows)[number], as: Mark = one.mark) => fitOnce(job, as, one.zone, shop, faces, memo, quick);
    const as = rows.map((one) => one.mark);
    let fittings = rows.map((one) => fit(one));
    // an em is as large on every piece: the tightest sets it
    const em = ({ drawn, sizing }: Fitting) => drawn.perUnit * sizing.scale;
    const drawn = fittings.filter((f) => f.drawn.layers.length > 0);
    if (mark.sizes !== 'each' && mark.size.mode === 'largest' && drawn.length > 0) {
      const least = Math.min(...drawn.map(em));
      fittings = fittings.map((f, i) => {
        if (f.drawn.layers.length === 0 || em(f) <= least * (1 + 1e-6)) return f;
        as[i] = sizedAs(rows[i]!.mark, f, least / f.drawn.perUnit);
        return fit(rows[i]!, as[i]);
      });
    }
    // the smallest letters decide, among equals the longest words
    const tighter = (a: Fitting, b: Fitting) =>
      a.drawn.layers.length === 0 ||
      (b.drawn.layers.length > 0 && (em(b) < em(a) * (1 - 1e-6) || (em(b) < em(a) * (1 + 1e-6) && b.fitted.width > a.fitted.width)));
    const tightest = fittings.reduce((a, b) => (tighter(a, b) ? b : a));
    main = tightest;
    variants = fittings.map((f, i) => ({
      row: rows[i]!.row.id,
      // where the words are the same on all, the piece tells which it is
      words: personal ? wordsOf(rows[i]!.mark.artwork) : rows[i]!.row.cells.join(' '),
      zone: rows[i]!.zone,
      usable: f.usable,
      artwork: f.artwork,
      turn: f.turn,
      fitted: f.fitted,
      flat: f.flat,
      copies: f.copies,
      cutFlat: cutTogether(f),
      inspections: f.inspections,
      missing: [...new Set(f.drawn.missing.map((m) => m.character))],
      em: em(f),
    }));
    works = fittings.map(({ usable, drawn: drawnMark, outline, shaped, key, fitted, inspections }, i) => ({
      ...{ words: variants[i]!.words, mark: as[i]!, usable, drawn: drawnMark, outline, shaped, key, fitted, inspections },
    }));
  } else main = fitOnce(job, mark, zone, shop, faces, memo, quick);
  const behind = GROUNDS[job.piece.ground].clear
    ? { colour: job.piece.behind, name: 'what stands behind it' }
    : {
        colour: worstGround(mark, zone, job, shop),
        name: zone.colours?.length ? `the ${zone.name.toLowerCase()} of the ${job.piece.name}` : `the ${job.piece.name}`,
      };
  return {
    plan: {
      mark,
      zone,
      usable: main.usable,
      artwork: main.artwork,
      turn: main.turn,
      fitted: main.fitted,
      flat: main.flat,
      copies: main.copies,
      places: placesOf(main, mark, memo),
      perPiece: main.mirrored ? 1 : main.copies.length + 1,
      cutFlat: cutTogether(main),
      inspections: main.inspections,
      missing: [...new Set([...main.drawn.missing.map((m) => m.character), ...variants.flatMap((v) => v.missing)])],
      behind,
      variants,
    },
    drawn: main.drawn,
    outline: main.outline,
    shaped: main.shaped,
    key: main.key,
    rows: works,
  };
}

/** Where the copies of a scatter go on the wall. */
function placesOf({ drawn, key, sizing, fitted }: Fitting, mark: Mark, memo: Memo): Point[] {
  const copies = mark.edits.some((edit) => edit.kind === 'scatter')
    ? memo.get(`scattered ${key}`, () => scatteredCopies(drawn, mark, sizing.scale))
    : undefined;
  return copies?.stay && fitted.layers.length > 0 ? copies.places.map(([x, y]): Point => [x + fitted.at[0], y + fitted.at[1]]) : [];
}

/** The colour of a zone that a mark stands out from least: of a patterned place the worst counts. */
function worstGround(mark: Mark, zone: Zone, job: Job, shop: Shop): string {
  const colours = zone.colours?.length ? zone.colours : [job.piece.colour];
  const seen =
    mark.technique === 'stencil'
      ? shop.paints.find((p) => p.id === mark.paint)?.colour
      : shop.films.find((f) => f.id === mark.film)?.colour;
  return seen ? colours.reduce((a, b) => (contrastOf(seen, b).ratio < contrastOf(seen, a).ratio ? b : a)) : colours[0]!;
}

const wordsOf = (artwork: Mark['artwork']): string =>
  artwork.kind === 'text' ? artwork.lines.map((line) => line.text.trim()).filter(Boolean).join(' · ') : artwork.name; // prettier-ignore

/** Marks seen in front of others are judged against those. */
export function seenAgainst(works: readonly FittingWork[], shop: Shop): FittingWork[] {
  return works.map((work, i) => {
    const { mark, fitted } = work.plan;
    if (fitted.layers.length === 0) return work;
    const cover = works.filter((other, j) => j !== i && other.plan.mark.technique === 'decal' && (mark.seenThrough ? j > i : j < i));
    for (const other of mark.seenThrough ? cover : cover.toReversed()) {
      for (const layer of other.plan.fitted.layers) {
        const film = shop.films.find((f) => f.id === layer.film);
        const box = boxRegion(fitted.box);
        if (film && layer.film !== mark.film && regionArea(intersection(box, layer.region)) > 0.6 * regionArea(box)) {
          return { ...work, plan: { ...work.plan, behind: { colour: film.colour, name: film.name } } };
        }
      }
    }
    return work;
  });
}
