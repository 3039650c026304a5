import { drawMark, reshapes, type DrawnMark, type Faces, type Layer } from '../artwork';
import { bendRegion, diameterAt, sectorOf, usableOf, wallRegion, type Usable } from '../blanks';
import {
  applyToRegion,
  boxCentre,
  boxHeight,
  boxWidth,
  IDENTITY,
  intersection,
  scaling,
  type Box,
  type Point,
  type Region,
  type Transform,
} from '../geometry';
import type { Artwork, Job, Mark, Shape, Shop, Zone } from '../job';
import {
  bestTurn,
  inspectMark,
  outerRings,
  outlinePoints,
  placeMark,
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

/** Further copies on a piece, on the wall and laid flat. */
export type Copies = readonly { readonly layers: readonly Layer[]; readonly flat: readonly Layer[] }[];

/** One mark on one piece, with what the readings look at. */
export interface Fitting {
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
  readonly copies: Copies;
  readonly mirrored: boolean;
}

/** One mark with its words filled in: drawn, sized, shaped, inspected and placed. */
export function fitOnce(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): Fitting {
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
  const [flat, others, mirrored] = memo.get(flatKey, (): [readonly Layer[], Copies, boolean] => {
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
export const cutTogether = ({ mirrored, flat, copies }: Fitting): readonly Layer[] =>
  mirrored && flat.length > 0 ? sideBySide([flat, ...copies.map((copy) => copy.flat)]) : flat;
