import { boxOfPoints } from './box';
import { partArea } from './area';
import { edgeLength, ringLength } from './perimeter';
import { distance, type Part, type Point, type Region, type Ring } from './point';

/** A place where a stroke is thin: its middle, mm, and the width there, mm. */
export interface ThinPlace {
  readonly at: Point;
  readonly width: number;
}

/** The least stroke width of a region, with its places. */
export interface Thickness {
  /** The least width found, mm; `Infinity` when nothing narrows. */
  readonly least: number;
  /** One place a thin stroke, narrowest first. */
  readonly places: readonly ThinPlace[];
}

/** Feet further apart than this (seen from the middle) stand on opposite sides; corners give less. */
const OPPOSITE_COS = Math.cos((137 / 180) * Math.PI);
/** The way along the edge from one foot to the other is longer than this many radii in a stroke, two and a half times as long as wide. */
const WAY_ROUND_TIP = 12;
/** The samples of one part are at most so many. */
const MOST_SAMPLES = 40_000;

/** Points along every edge of a part, with the direction into it. */
interface Samples {
  readonly n: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** Unit normal into the part. */
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly ring: Int32Array;
  /** How far along its ring, mm. */
  readonly along: Float64Array;
}

/** @param wanted the places along a ring that are of interest; all when left out */
function sample(rings: readonly Ring[], step: number, wanted: (ring: number, along: number) => boolean = () => true): Samples {
  const [x, y, nx, ny, ring, along]: number[][] = [[], [], [], [], [], []];
  rings.forEach((points, r) => {
    let from = 0;
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length]!;
      const length = distance(a, b);
      const pieces = Math.max(1, Math.ceil(length / step));
      // outer rings run counter-clockwise and holes clockwise: the part lies to the left of both
      const [ux, uy] = length > 0 ? [-(b[1] - a[1]) / length, (b[0] - a[0]) / length] : [0, 0];
      for (let k = 0; k < pieces; k++) {
        // in the middle of its piece: a corner has no one normal
        const t = (k + 0.5) / pieces;
        if (!wanted(r, from + length * t)) continue;
        x!.push(a[0] + (b[0] - a[0]) * t);
        y!.push(a[1] + (b[1] - a[1]) * t);
        nx!.push(ux);
        ny!.push(uy);
        ring!.push(r);
        along!.push(from + length * t);
      }
      from += length;
    });
  });
  return {
    n: x!.length,
    x: Float64Array.from(x!),
    y: Float64Array.from(y!),
    nx: Float64Array.from(nx!),
    ny: Float64Array.from(ny!),
    ring: Int32Array.from(ring!),
    along: Float64Array.from(along!),
  };
}

/** The most cells of the grid that samples are sorted into. */
const MOST_CELLS = 1_000_000;

/** Samples sorted into square cells, for finding neighbours no further than `reach` away. */
function sortIntoCells(s: Samples, reach: number) {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i < s.n; i++) {
    minX = Math.min(minX, s.x[i]!);
    maxX = Math.max(maxX, s.x[i]!);
    minY = Math.min(minY, s.y[i]!);
    maxY = Math.max(maxY, s.y[i]!);
  }
  const cell = Math.max(reach, Math.sqrt(((maxX - minX) * (maxY - minY)) / MOST_CELLS), (maxX - minX + maxY - minY) / MOST_CELLS);
  const [columns, rows] = [Math.floor((maxX - minX) / cell) + 1, Math.floor((maxY - minY) / cell) + 1];
  const cellOf = (x: number, y: number) => Math.floor((y - minY) / cell) * columns + Math.floor((x - minX) / cell);
  const starts = new Int32Array(columns * rows + 1);
  for (let i = 0; i < s.n; i++) starts[cellOf(s.x[i]!, s.y[i]!) + 1]!++;
  for (let i = 0; i < columns * rows; i++) starts[i + 1]! += starts[i]!;
  const sorted = new Int32Array(s.n);
  const next = starts.slice();
  for (let i = 0; i < s.n; i++) sorted[next[cellOf(s.x[i]!, s.y[i]!)]!++] = i;
  /** The sample nearest to a place and closer than `within`, other than `not`; -1 when there is none. */
  return (x: number, y: number, within: number, not: number): number => {
    let best = -1;
    let least = within * within;
    const [cx, cy] = [Math.floor((x - minX) / cell), Math.floor((y - minY) / cell)];
    const [left, right] = [Math.max(0, cx - 1), Math.min(columns - 1, cx + 1)];
    for (let j = Math.max(0, cy - 1); j <= Math.min(rows - 1, cy + 1); j++) {
      for (let at = starts[j * columns + left]!; at < starts[j * columns + right + 1]!; at++) {
        const k = sorted[at]!;
        const d = (s.x[k]! - x) ** 2 + (s.y[k]! - y) ** 2;
        if (d < least && k !== not) {
          best = k;
          least = d;
        }
      }
    }
    return best;
  };
}

/** A first look is taken at steps of this share of the width that is of interest, and a little beyond that width. */
const COARSER = 4;
const BEYOND = 1.12;

/**
 * Where an edge may be one side of something thin: where the circle that touches it there, a little larger than is of interest, holds
 * another sample of a coarse look. Most of a
 * stout letter is ruled out so, and only the rest is sampled finely.
 */
function suspicious(rings: readonly Ring[], lengths: readonly number[], under: number): (ring: number, along: number) => boolean {
  const step = under / COARSER;
  const r = (under / 2) * BEYOND;
  const s = sample(rings, step);
  const nearest = sortIntoCells(s, r);
  const flags = lengths.map((length) => new Uint8Array(Math.max(1, Math.ceil(length / step))));
  for (let i = 0; i < s.n; i++) {
    if (nearest(s.x[i]! + r * s.nx[i]!, s.y[i]! + r * s.ny[i]!, r * (1 - 1e-6), i) === -1) continue;
    const own = flags[s.ring[i]!]!;
    const at = Math.min(own.length - 1, Math.floor(s.along[i]! / step));
    for (let d = -2; d <= 2; d++) own[(at + d + own.length) % own.length] = 1;
  }
  return (ring, along) => flags[ring]![Math.min(flags[ring]!.length - 1, Math.floor(along / step))] === 1;
}

/** Thin places of one part: at each sample, the largest circle that touches the edge there and holds no other sample. */
function thinPlacesOfPart(part: Part, step: number, under: number): ThinPlace[] {
  const rings = [part.outer, ...part.holes];
  const lengths = rings.map(ringLength);
  const largest = under / 2;
  const wanted = step < under / COARSER ? suspicious(rings, lengths, under) : () => true;
  const s = sample(rings, step, wanted);
  if (s.n === 0) return [];
  const nearest = sortIntoCells(s, largest);
  const found: ThinPlace[] = [];
  for (let i = 0; i < s.n; i++) {
    const [px, py, nx, ny] = [s.x[i]!, s.y[i]!, s.nx[i]!, s.ny[i]!];
    let r = largest;
    let foot = -1;
    for (let turn = 0; turn < 12; turn++) {
      const q = nearest(px + r * nx, py + r * ny, r * (1 - 1e-6), i);
      if (q === -1) break;
      const [dx, dy] = [px - s.x[q]!, py - s.y[q]!];
      const towards = -(nx * dx + ny * dy);
      if (towards <= 1e-12) break;
      r = (dx * dx + dy * dy) / (2 * towards);
      foot = q;
    }
    if (foot === -1 || r <= step) continue;
    const [cx, cy] = [px + r * nx, py + r * ny];
    const cos = ((px - cx) * (s.x[foot]! - cx) + (py - cy) * (s.y[foot]! - cy)) / (r * r);
    if (cos > OPPOSITE_COS) continue;
    if (s.ring[i] === s.ring[foot]) {
      // the two sides of a tip are opposite too, but close along the edge: the way round the tip is no stroke
      const apart = Math.abs(s.along[i]! - s.along[foot]!);
      if (Math.min(apart, lengths[s.ring[i]!]! - apart) <= WAY_ROUND_TIP * r) continue;
    }
    found.push({ at: [cx, cy], width: 2 * r });
  }
  return found;
}

/** Parts of one number of points, area, edge and box are one shape: a letter that comes again is not measured again. */
function shapeOf(part: Part, edge: number): { key: string; at: Point } {
  const box = boxOfPoints(part.outer);
  const points = part.holes.reduce((sum, hole) => sum + hole.length, part.outer.length);
  const sizes = [partArea(part), edge, box.maxX - box.minX, box.maxY - box.minY].map((n) => n.toPrecision(4));
  return { key: `${points} ${part.holes.length} ${sizes.join(' ')}`, at: [box.minX, box.minY] };
}

/** Every thin place, in no order. */
function everyThinPlace(region: Region, under: number): ThinPlace[] {
  const known = new Map<string, { at: Point; places: ThinPlace[] }>();
  return region.flatMap((part) => {
    const edge = edgeLength([part]);
    const { key, at } = shapeOf(part, edge);
    const same = known.get(key);
    if (same) {
      const [dx, dy] = [at[0] - same.at[0], at[1] - same.at[1]];
      return same.places.map((place) => ({ ...place, at: [place.at[0] + dx, place.at[1] + dy] as const }));
    }
    // a part that is slim as a whole is sampled finer, or nothing of it would be measured
    const own = Math.max(edge / MOST_SAMPLES, 0.004, Math.min(under / 12, partArea(part) / edge / 3));
    const places = thinPlacesOfPart(part, own, under);
    known.set(key, { at, places });
    return places;
  });
}

/** Thin places for a drawing: so many that strokes show, no two nearer than a third of `under`. */
export function thinPlaces(region: Region, under: number): ThinPlace[] {
  const cell = under / 3;
  const kept = new Map<string, ThinPlace>();
  for (const place of everyThinPlace(region, under)) {
    const key = `${Math.round(place.at[0] / cell)} ${Math.round(place.at[1] / cell)}`;
    const before = kept.get(key);
    if (!before || place.width < before.width) kept.set(key, place);
  }
  return [...kept.values()];
}

/**
 * The least local stroke width: at points along the edge, the largest circle inside that touches there (the shrinking ball method; Ma, Bae and
 * Choi, 2012). Corners, and tips of more than about 20°, do not count as strokes.
 *
 * @param region mm
 * @param under widths at or above this, mm, are not of interest
 * @returns least width and its places, one a stroke, narrowest first; right within 2 %. A part is sampled by its own mean
 *   width, so a part that is all hair is measured; a hair narrower than an eighth of `under` within a stout part may be passed over
 *   between its thicker ends.
 */
export function thickness(region: Region, under: number): Thickness {
  const all = everyThinPlace(region, under);
  all.sort((a, b) => a.width - b.width);
  const places: ThinPlace[] = [];
  for (const place of all) {
    if (places.length >= 24) break;
    if (places.every((other) => distance(other.at, place.at) > Math.max(under * 3, 2))) places.push(place);
  }
  return { least: places[0]?.width ?? Infinity, places };
}
