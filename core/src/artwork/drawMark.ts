import {
  applyToPoint,
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxWidth,
  boxOfPaths,
  difference,
  flatten,
  mirrorAt,
  regionArea,
  regionOf,
  boxOf,
  scaling,
  then,
  translation,
  union,
  unionOnce,
  type Path,
  type Point,
  type Ring,
  type Region,
  type Transform,
} from '../geometry';
import { FLATTEN_LOOK_MM, FLATTEN_MM } from '../units';
import type { Id, Mark } from '../job';
import { partsShown } from './partsShown';
import { layoutText, type ClosedUp, type MissingGlyph } from './text/layoutText';
import type { Faces } from './text/face';

/** What of a mark decides how it is drawn. */
export type Drawable = Pick<Mark, 'artwork' | 'flip' | 'film' | 'colourFilms'>;

/** The outline of a mark in one film. */
export interface Layer {
  readonly film: Id;
  readonly region: Region;
}

/** A mark as outlines, centred on the origin, drawn at the size at which its box just fills the reference. */
export interface DrawnMark {
  /** One layer a film, in the order in which they are put down; each is one outline with its counters, none overlapping another. */
  readonly layers: readonly Layer[];
  /** Width and height of all layers, mm at this size. */
  readonly width: number;
  readonly height: number;
  readonly missing: readonly MissingGlyph[];
  /** Letters of joined lines that were moved together, or could not be. */
  readonly closedUp: readonly ClosedUp[];
  /** mm that a unit of the artwork came to: an em of text. */
  readonly perUnit: number;
}

/** Everything that paints, in painting order. */
function shapesOf(
  mark: Drawable,
  faces: Faces,
): { shapes: { film: Id | null; path: Path; fill: 'nonzero' | 'evenodd' }[]; missing: MissingGlyph[]; closedUp: ClosedUp[] } {
  const { artwork } = mark;
  if (artwork.kind === 'text') {
    const text = layoutText(artwork, faces);
    return {
      shapes: text.glyphs.map((path) => ({ film: mark.film, path, fill: 'nonzero' as const })),
      missing: text.missing,
      closedUp: text.closedUp,
    };
  }
  const filmOf = (colour: string) => (colour in mark.colourFilms ? mark.colourFilms[colour]! : mark.film);
  return {
    shapes: partsShown(artwork).map(({ colour, path, fill }) => ({ film: filmOf(colour), path, fill })),
    missing: [],
    closedUp: [],
  };
}

/** Points of letters no further apart than this, units of the drawing, are the same. */
const SAME = 1e-7;

/** Whether two paths are the same, one moved against the other. */
function samePath(a: Path, b: Path): boolean {
  const [from, to] = [a[0]?.[1], b[0]?.[1]];
  if (!from || !to || a.length !== b.length) return false;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  return a.every((segment, i) => {
    const other = b[i]!;
    if (segment[0] !== other[0]) return false;
    for (let k = 1; k < segment.length; k++) {
      const [p, q] = [segment[k] as Point, other[k] as Point];
      if (Math.abs(q[0] - p[0] - dx) > SAME || Math.abs(q[1] - p[1] - dy) > SAME) return false;
    }
    return true;
  });
}

/** Regions of paths; one that comes again elsewhere, as letters do, is untangled once. */
function regionsOfLetters(map: Transform, tolerance: number, once: boolean): (path: Path, fill: 'nonzero' | 'evenodd') => Region {
  const known = new Map<string, { path: Path; region: Region; at: Point }[]>();
  return (path, fill) => {
    const first = path[0]?.[1];
    if (!first) return [];
    const at = applyToPoint(map, first);
    const key = `${fill}${path.length}`;
    const alike = known.get(key) ?? [];
    const same = alike.find((one) => samePath(one.path, path));
    if (same) return applyToRegion(translation(at[0] - same.at[0], at[1] - same.at[1]), same.region);
    const region = regionOf(flatten(path, map, tolerance), fill, once);
    known.set(key, [...alike, { path, region, at }]);
    return region;
  };
}

/** How a drawing is brought to its reference; undefined when it has no size. */
function toReference(
  shapes: readonly { path: Path }[],
  reference: { width: number; height: number },
): { map: Transform; scale: number } | undefined {
  const rough = boxOfPaths(shapes.map(({ path }) => path));
  const scale = Math.min(reference.width / boxWidth(rough), reference.height / boxHeight(rough));
  if (!Number.isFinite(scale) || scale <= 0) return undefined;
  const [cx, cy] = boxCentre(rough);
  return { map: then(translation(-cx, -cy), scaling(scale)), scale };
}

/**
 * Every shape of a mark by itself, in painting order, not yet joined.
 *
 * @param reference as for `drawMark`
 */
export function shapeRegions(
  mark: Drawable,
  reference: { width: number; height: number },
  faces: Faces,
): { film: Id | null; region: Region }[] {
  const { shapes } = shapesOf(mark, faces);
  const placed = toReference(shapes, reference);
  if (!placed) return [];
  const letters = regionsOfLetters(placed.map, FLATTEN_MM, false);
  return shapes.map(({ film, path, fill }) => ({ film, region: letters(path, fill) }));
}

/**
 * Draws a mark as outlines.
 *
 * Letters and shapes of one film that touch become one outline. Where a later film covers an earlier one, the earlier is cut away
 * there: what is seen is what is cut.
 *
 * @param mark what the user decided
 * @param reference width and height in mm that the drawing is made to fill, so that curves are fine enough at any size up to it
 * @param faces the faces that ship
 * @param once a first look: coarser curves, and the polygon library's answers are not checked
 * @returns outlines centred on the origin; no layers when there is nothing to cut
 */
export function drawMark(mark: Drawable, reference: { width: number; height: number }, faces: Faces, once = false): DrawnMark {
  const joined = once ? unionOnce : union;
  const { shapes, missing, closedUp } = shapesOf(mark, faces);
  const placed = toReference(shapes, reference);
  if (!placed) return { layers: [], width: 0, height: 0, missing, closedUp, perUnit: 0 };
  const { map, scale } = placed;
  // runs of shapes of one film are joined at once, runs of different films cut each other
  const runs: { film: Id | null; region: Region }[] = [];
  let group: { film: Id | null; rings: Ring[]; regions: Region[] } | undefined;
  const flush = () => {
    if (!group) return;
    const regions = group.rings.length > 0 ? [...group.regions, regionOf(group.rings, 'nonzero', true)] : group.regions;
    runs.push({ film: group.film, region: regions.length === 1 ? regions[0]! : joined(...regions) });
  };
  const letters = regionsOfLetters(map, once ? FLATTEN_LOOK_MM : FLATTEN_MM, once);
  for (const { film, path, fill } of shapes) {
    if (!group || group.film !== film) {
      flush();
      group = { film, rings: [], regions: [] };
    }
    // a first look untangles all letters together: a counter that another letter covers may then stay open
    if (once && fill === 'nonzero') group.rings.push(...flatten(path, map, FLATTEN_LOOK_MM));
    else group.regions.push(letters(path, fill));
  }
  flush();
  const seen = new Map<Id, Region>();
  for (const { film, region } of runs) {
    for (const [other, earlier] of seen) if (other !== film) seen.set(other, difference(earlier, region));
    if (film !== null) seen.set(film, seen.has(film) ? joined(seen.get(film)!, region) : region);
  }
  const layers = [...seen].filter(([, region]) => regionArea(region) > 0).map(([film, region]) => ({ film, region }));
  const box = boxAround(layers.map((layer) => boxOf(layer.region)));
  if (layers.length === 0 || !(boxWidth(box) > 0)) return { layers: [], width: 0, height: 0, missing, closedUp, perUnit: 0 };
  // control points reach further than ink: centre on the ink itself
  const centred: Transform = then(translation(-boxCentre(box)[0], -boxCentre(box)[1]), mark.flip ? mirrorAt(0) : [1, 0, 0, 1, 0, 0]);
  return {
    layers: layers.map(({ film, region }) => ({ film, region: applyToRegion(centred, region) })),
    width: boxWidth(box),
    height: boxHeight(box),
    missing,
    closedUp,
    perUnit: scale,
  };
}
