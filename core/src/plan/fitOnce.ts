import { drawMark, type DrawnMark, type Drawable, type Face, type Faces, type Layer } from '../artwork';
import { bendRegion, diameterAt, sectorOf, usableOf, wallRegion, type Usable, type Walled, type ZonePlace } from '../blanks';
import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxWidth,
  IDENTITY,
  intersection,
  scaling,
  type Box,
  type Point,
  type Region,
  type Transform,
} from '../geometry';
import type { Artwork, Film, Job, Mark, Shape, Shop, Zone } from '../job';
import {
  bestTurn,
  inspectMark,
  outlinePoints,
  placeMark,
  scaleMark,
  settleMark,
  shapeMark,
  spreadOver,
  turnDrawn,
  type FittedMark,
  type LayerInspection,
  type MarkScale,
  type Scaled,
  type Sized,
  type Sizing,
} from '../fit';
import type { Memo } from './memo';
import { sideBySide } from './sideBySide';

/** A height that changes add to is met after so many tries. */
const EXACT_TRIES = 6;
/** Nearer than this nobody measures, mm. */
const EXACT_MM = 0.005;

/** What is drawn larger than its zone is drawn larger by such steps: for a little more or less it is there already. */
const LARGER = 1.5;

/** What a drawing is made to fill: the zone, or more where typed sides make it larger, so that curves stay fine. */
function referenceFor(mark: Mark, usable: Usable): { width: number; height: number } {
  const box = usable.inner ?? usable.clear;
  const side =
    mark.size.mode === 'width' ? Math.max(mark.size.width, mark.size.height ?? 0) : mark.size.mode === 'height' ? mark.size.height : 0;
  const filled = (own: number) =>
    Math.max(own, 5) * LARGER ** Math.ceil(Math.log(Math.max(1, side / Math.max(own, 5))) / Math.log(LARGER) - 1e-9);
  return { width: filled(boxWidth(box)), height: filled(boxHeight(box)) };
}

/** Height along the wall at which a mark's widths are true. */
const alongOf = (usable: Usable, mark: Mark): number => boxCentre(usable.inner ?? usable.clear)[1] + mark.offset.y;

const usableStage = ({ zone, piece }: { zone: ZonePlace; piece: Walled }): Usable => usableOf(zone, piece);

/**
 * What a zone leaves, counted where the mark lies. A zone is measured at the middle height of a taper; a mark higher or lower has more or
 * less room across, by the share
 * of the diameters.
 *
 * @param along height along the wall, mm
 */
function trueStage({ shape, usable, along }: { shape: Shape; usable: Usable; along: number }): Usable {
  if (shape.kind !== 'taper' || !sectorOf(shape)) return usable;
  const share = Math.max(0.05, diameterAt(shape, along) / diameterAt(shape, shape.height / 2));
  const wider = (box: Box): Box => ({ ...box, minX: box.minX * share, maxX: box.maxX * share });
  const widened = (region: Region) => applyToRegion(scaling(share, 1), region);
  return {
    clear: wider(usable.clear),
    ...(usable.inner ? { inner: wider(usable.inner) } : {}),
    ...(usable.free ? { free: widened(usable.free) } : {}),
    ...(usable.room ? { room: widened(usable.room) } : {}),
  };
}

interface DrawInput extends Drawable {
  readonly reference: { readonly width: number; readonly height: number };
  /** Those that its lines are set in. */
  readonly faces: readonly Face[];
  readonly quick: boolean;
}
const drawStage = ({ reference, faces, quick, ...mark }: DrawInput): DrawnMark =>
  drawMark(mark, reference, new Map(faces.map((face) => [face.id, face])), quick);

const outlineStage = ({ drawn }: { drawn: DrawnMark }): Point[] => outlinePoints(drawn);

const bestTurnStage = ({ drawn, outline, usable }: { drawn: DrawnMark; outline: readonly Point[]; usable: Usable }): number =>
  bestTurn(outline, drawn, usable);

const turnStage = ({ drawn, turn }: { drawn: DrawnMark; turn: number }): DrawnMark => turnDrawn(drawn, turn);

interface ExactInput extends Pick<Mark, 'edits'> {
  readonly drawn: DrawnMark;
  readonly usable: Usable;
  readonly width: number;
  readonly height: number;
}
/** A mark stretched upward so that, made as wide as is wanted, it is just as high as is wanted too, whatever its changes add. */
function exactStage({ drawn, usable, edits, width, height }: ExactInput): DrawnMark {
  if (drawn.layers.length === 0) return drawn;
  let taller = drawn;
  for (let i = 0; i < EXACT_TRIES; i++) {
    const sized = scaleMark(taller, outlinePoints(taller), { edits, size: { mode: 'width', width } }, usable);
    const own = sized.scale * taller.height;
    const added = sized.height - own;
    const share = (height - added) / own;
    // nothing is as low as what its changes add
    if (!(share > 0.001 && share < 1000) || Math.abs(share - 1) < 1e-7) break;
    taller = {
      ...taller,
      layers: taller.layers.map(({ film, region }) => ({ film, region: applyToRegion(scaling(1, share), region) })),
      height: taller.height * share,
    };
  }
  return taller;
}

/** Layers around their middle, stretched to just this height. */
function higherStage({ shaped, high }: { shaped: readonly Layer[]; high: number }): readonly Layer[] {
  const inks = shaped.filter(({ region }) => region.length > 0).map(({ region }) => boxOf(region));
  const tall = inks.length > 0 ? boxHeight(boxAround(inks)) : 0;
  return tall > 0 ? shaped.map(({ film, region }) => ({ film, region: applyToRegion(scaling(1, high / tall), region) })) : shaped;
}

interface ScaleInput extends Scaled {
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly usable: Usable;
}
const scaleStage = ({ drawn, outline, usable, ...mark }: ScaleInput): MarkScale => scaleMark(drawn, outline, mark, usable);

interface SettleInput extends Sized {
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly usable: Usable;
  readonly scaled: MarkScale;
}
const settleStage = ({ drawn, outline, usable, scaled, ...mark }: SettleInput): Sizing => settleMark(drawn, outline, mark, usable, scaled);

interface ShapeInput extends Pick<Mark, 'edits'> {
  readonly drawn: DrawnMark;
  readonly scale: number;
}
const shapeStage = ({ drawn, scale, edits }: ShapeInput): readonly Layer[] => shapeMark(drawn, scale, { edits });

const inspectStage = ({ shaped, films }: { shaped: readonly Layer[]; films: readonly Film[] }): LayerInspection[] =>
  inspectMark(shaped, films);

const placeStage = ({ shaped, sizing }: { shaped: readonly Layer[]; sizing: Sizing }): FittedMark => placeMark(shaped, sizing);

/** Layers as they lie on the film laid flat: bent on a taper, unless the mark is left straight. */
function laidFlat(layers: readonly Layer[], at: number, shape: Shape, straight: boolean): readonly Layer[] {
  if (straight || shape.kind !== 'taper') return layers;
  return layers.map(({ film, region }) => ({ film, region: bendRegion(region, shape, at) }));
}

const moved = (layers: readonly Layer[], map: Transform): Layer[] =>
  layers.map(({ film, region }) => ({ film, region: applyToRegion(map, region) }));

/** Further copies on a piece, on the wall and laid flat. */
export type Copies = readonly { readonly layers: readonly Layer[]; readonly flat: readonly Layer[] }[];

interface FlatInput {
  readonly placed: FittedMark;
  /** From the placed mark to each of its copies, itself first. */
  readonly maps: readonly Transform[];
  readonly shape: Shape;
  readonly straight: boolean;
  /** What runs over the edge is trimmed. */
  readonly overEdge: boolean;
}

/** A mark on the wall and laid flat, with its copies. */
interface FlatMark {
  readonly fitted: FittedMark;
  readonly flat: readonly Layer[];
  readonly copies: Copies;
  /** What one cut holds: the copies side by side where some are mirrored, so that none is forgotten or taken for another; else the mark itself. */
  readonly cutFlat: readonly Layer[];
  readonly mirrored: boolean;
}

function flatStage({ placed, maps, shape, straight, overEdge }: FlatInput): FlatMark {
  const trim = (layers: readonly Layer[]): readonly Layer[] =>
    overEdge ? layers.map(({ film, region }) => ({ film, region: intersection(region, wallRegion(shape)) })) : layers;
  const fitted = overEdge ? { ...placed, layers: trim(placed.layers) } : placed;
  const flatOf = (layers: readonly Layer[]) => laidFlat(layers, placed.at[1], shape, straight);
  const [, ...others] = fitted.layers.length > 0 ? maps : [];
  const flat = flatOf(fitted.layers);
  const copies = others.map((map) => {
    const layers = trim(moved(placed.layers, map));
    return { layers, flat: flatOf(layers) };
  });
  const mirrored = others.some(([a, b, c, d]) => a * d - b * c < 0);
  const cutFlat = mirrored && flat.length > 0 ? sideBySide([flat, ...copies.map((copy) => copy.flat)]) : flat;
  return { fitted, flat, copies, cutFlat, mirrored };
}

/** One mark on one piece, with what the readings look at. */
export interface Fitting extends FlatMark {
  readonly artwork: Artwork;
  readonly turn: number;
  readonly drawn: DrawnMark;
  readonly outline: readonly Point[];
  readonly shaped: readonly Layer[];
  readonly usable: Usable;
  readonly sizing: Sizing;
  /** What it is held against, where its copies decide that. */
  readonly hold: Mark['hold'];
  readonly inspections: readonly LayerInspection[];
}

/** One mark with its words filled in: drawn, sized, shaped, inspected and placed. */
export function fitOnce(job: Job, mark: Mark, zone: Zone, shop: Shop, faces: Faces, memo: Memo, quick: boolean): Fitting {
  const { shape, features } = job.piece;
  const { artwork, flip, film, colourFilms, edits, size, offset, optical, straight, overEdge } = mark;
  const { x, y, width, height, breathing, lipBand, outline: zoneOutline } = zone;
  const place = { x, y, width, height, breathing, lipBand, outline: zoneOutline };
  const own = memo.stage('usable', { zone: place, piece: { shape, features } }, usableStage);
  const whole = memo.stage('true', { shape, usable: own, along: alongOf(own, mark) }, trueStage);
  const { usable, hold, copies: copiesAt } = spreadOver(mark, place, { shape, features }, whole, alongOf(whole, mark));
  const set = artwork.kind === 'text' ? [...new Set(artwork.lines.map((line) => line.face))].flatMap((id) => faces.get(id) ?? []) : [];
  const reference = referenceFor(mark, usable);
  const upright = memo.stage('draw', { artwork, flip, film, colourFilms, reference, faces: set, quick }, drawStage);
  const uprightOutline = memo.stage('outline', { drawn: upright }, outlineStage);
  const turn =
    mark.turn === 'best'
      ? memo.stage('best turn', { drawn: upright, outline: uprightOutline, usable }, bestTurnStage)
      : ((mark.turn ?? 0) * Math.PI) / 180;
  const turned = memo.stage('turn', { drawn: upright, turn }, turnStage);
  const drawn =
    size.mode === 'width' && size.height !== undefined
      ? memo.stage('exact', { drawn: turned, usable, edits, width: size.width, height: size.height }, exactStage)
      : turned;
  const outline = memo.stage('outline', { drawn }, outlineStage);
  const plainly = memo.stage('scale', { drawn, outline, usable, edits, size, optical }, scaleStage);
  const high = size.mode === 'width' ? size.height : undefined;
  // what its changes bring along keeps its sides, so that the whole may still not be as high as was typed
  const off = high !== undefined && plainly.height > 0 && Math.abs(plainly.height - high) > EXACT_MM;
  const scaled = off ? { ...plainly, height: high } : plainly;
  const sizing = memo.stage('settle', { drawn, outline, usable, scaled, edits, size, optical, offset, hold }, settleStage);
  const asShaped = memo.stage('shape', { drawn, scale: sizing.scale, edits }, shapeStage);
  const shaped = off ? memo.stage('higher', { shaped: asShaped, high }, higherStage) : asShaped;
  const films = shaped.flatMap((layer) => shop.films.find((f) => f.id === layer.film) ?? []);
  const inspections = memo.stage('inspect', { shaped, films }, inspectStage);
  const placed = memo.stage('place', { shaped, sizing }, placeStage);
  const maps = placed.layers.length > 0 ? copiesAt(sizing.at) : [IDENTITY];
  const laid = memo.stage('flat', { placed, maps, shape, straight: straight ?? false, overEdge: overEdge ?? false }, flatStage);
  return { artwork, turn, drawn, outline, shaped, usable, sizing, hold, inspections, ...laid };
}
