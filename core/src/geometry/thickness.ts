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

function sample(rings: readonly Ring[], step: number): Samples {
  const counts = rings.map((ring) =>
    ring.reduce((sum, a, i) => sum + Math.max(1, Math.ceil(distance(a, ring[(i + 1) % ring.length]!) / step)), 0),
  );
  const n = counts.reduce((sum, count) => sum + count, 0);
  const s: Samples = {
    n,
    x: new Float64Array(n),
    y: new Float64Array(n),
    nx: new Float64Array(n),
    ny: new Float64Array(n),
    ring: new Int32Array(n),
    along: new Float64Array(n),
  };
  let at = 0;
  rings.forEach((ring, r) => {
    let along = 0;
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const length = distance(a, b);
      const pieces = Math.max(1, Math.ceil(length / step));
      // outer rings run counter-clockwise and holes clockwise: the part lies to the left of both
      const [nx, ny] = length > 0 ? [-(b[1] - a[1]) / length, (b[0] - a[0]) / length] : [0, 0];
      for (let k = 0; k < pieces; k++, at++) {
        // in the middle of its piece: a corner has no one normal
        const t = (k + 0.5) / pieces;
        s.x[at] = a[0] + (b[0] - a[0]) * t;
        s.y[at] = a[1] + (b[1] - a[1]) * t;
        s.nx[at] = nx;
        s.ny[at] = ny;
        s.ring[at] = r;
        s.along[at] = along + length * t;
      }
      along += length;
    });
  });
  return s;
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

/** Thin places of one part: at each sample, the largest circle that touches the edge there and holds no other sample. */
function thinPlacesOfPart(part: Part, step: number, under: number): ThinPlace[] {
  const rings = [part.outer, ...part.holes];
  const s = sample(rings, step);
  const lengths = rings.map(ringLength);
  const largest = under / 2;
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
