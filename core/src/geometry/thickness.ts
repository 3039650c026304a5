import { partArea } from './area';
import { gridOfEdges } from './edgeGrid';
import { edgeLength, ringLength } from './perimeter';
import { nearAny } from './nearAny';
import { forEachShape } from './sameShapes';
import { countWork } from '../units';
import { distance, type Part, type Point, type Region, type Ring } from './point';

/** A place where a stroke is thin: its middle, mm, and the width there, mm. */
export interface ThinPlace {
  readonly at: Point;
  readonly width: number;
}

/** A pointed end: a place in it, mm, the least width measured there, and over how much of it that it is thin, mm. */
export interface Tip extends ThinPlace {
  readonly length: number;
}

/** The least stroke width of a region, with its places. */
export interface Thickness {
  /** The least width found, mm; `Infinity` when nothing narrows. */
  readonly least: number;
  /** One place a thin stroke, narrowest first. */
  readonly places: readonly ThinPlace[];
  /** Ends that are thin over less than a tip's length, longest first: they are no strokes. */
  readonly tips: readonly Tip[];
}

/** Feet further apart than this (seen from the middle) stand on opposite sides; corners give less. */
const OPPOSITE_COS = Math.cos((137 / 180) * Math.PI);
/** A part that is small as a whole has no tips longer than this share of the way round it. */
const TIP_SHARE = 0.2;
/** Edges are looked at every such share of the width that is of interest: widths are exact at each look. */
const LOOKS = 5;
/** The looks at one part are at most so many. */
const MOST_LOOKS = 40_000;
/** A corner that turns outwards is looked from in directions so far apart, radians; flatter ones are seen from their edges. */
const FAN = (15 / 180) * Math.PI;
const FAN_COS = Math.cos(FAN);

/** What was found at one look. */
interface Found extends ThinPlace {
  /** Thin over so many mm up to the end, along its edge; `Infinity` between two rings. */
  readonly tail: number;
  /** A tail longer than this is a stroke's. */
  readonly most: number;
}

const NO_LOOKS: readonly Point[] = [];

/** Directions into the part at a corner that turns outwards, from the normal of the edge before to that of the edge after. */
function fan(before: Point, after: Point): readonly Point[] {
  if (before[0] * after[1] >= before[1] * after[0]) return NO_LOOKS;
  const ahead = before[0] * after[0] + before[1] * after[1];
  if (ahead >= FAN_COS) return NO_LOOKS;
  const turn = Math.atan2(before[0] * after[1] - before[1] * after[0], ahead);
  // a part lies to the left of its edges: at an outward corner they turn right
  const looks = turn < -FAN ? Math.ceil(-turn / FAN) : 0;
  const start = Math.atan2(before[1], before[0]);
  return Array.from({ length: looks }, (_, k) => {
    const angle = start + (turn * (k + 0.5)) / looks;
    return [Math.cos(angle), Math.sin(angle)] as const;
  });
}

/** Thin places of one part. */
function placesOfPart(part: Part, step: number, under: number, tip: number): Found[] {
  const rings: readonly Ring[] = [part.outer, ...part.holes];
  const lengths = rings.map(ringLength);
  countWork(Math.min(MOST_LOOKS, edgeLength([part]) / step) + rings.reduce((sum, ring) => sum + ring.length, 0));
  const grid = gridOfEdges(rings, under);
  const found: Found[] = [];
  /** Looks for the largest empty circle that touches the edge at a place, where its two feet are on opposite sides. */
  const look = (ring: number, along: number, x: number, y: number, nx: number, ny: number, own: number, beside: number) => {
    if (!grid.touch(x, y, nx, ny, under / 2, own, beside)) return;
    const { met } = grid;
    const { r } = met;
    // both feet as seen from the middle; the one that it started from lies against its direction
    const cos = -(nx * (met.x - x - r * nx) + ny * (met.y - y - r * ny)) / r;
    if (!(cos <= OPPOSITE_COS)) return;
    const round = lengths[ring]!;
    const apart = Math.abs(along - met.along);
    found.push({
      at: [x + r * nx, y + r * ny],
      width: 2 * r,
      tail: met.ring === ring ? Math.min(apart, round - apart) / 2 : Infinity,
      most: Math.min(tip, TIP_SHARE * round),
    });
  };
  let first = 0;
  rings.forEach((points, ring) => {
    let along = 0;
    const last = points.length - 1;
    let before: Point | undefined;
    for (let i = -1; i <= last; i++) {
      const a = points[i < 0 ? last : i]!;
      const b = points[i === last ? 0 : i + 1]!;
      const length = distance(a, b);
      if (length === 0) continue;
      const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
      if (i >= 0) {
        const own = first + i;
        const pieces = Math.max(1, Math.ceil(length / step));
        for (let k = 0; k < pieces; k++) {
          // in the middle of its piece: a corner has no one normal
          const t = ((k + 0.5) * length) / pieces;
          look(ring, along + t, a[0] + dx * t, a[1] + dy * t, -dy, dx, own, own);
        }
        if (before) {
          const beside = i === 0 ? first + last : own - 1;
          for (const [nx, ny] of fan(before, [-dy, dx])) look(ring, along, a[0], a[1], nx, ny, own, beside);
        }
        along += length;
      }
      before = [-dy, dx];
    }
    first += points.length;
  });
  return found;
}

/** Every thin place, in no order: a letter that comes again is not measured again. */
const everyThinPlace = (region: Region, under: number, tip: number): Found[] =>
  forEachShape(
    region,
    (part) => {
      // a part that is slim as a whole is looked at oftener: its hairs may be short
      const edge = edgeLength([part]);
      const step = Math.max(edge / MOST_LOOKS, 0.004, Math.min(under / LOOKS, partArea(part) / edge));
      return placesOfPart(part, step, under, tip);
    },
    (places, [dx, dy]) => places.map((place) => ({ ...place, at: [place.at[0] + dx, place.at[1] + dy] })),
  ).flat();

const isStroke = ({ tail, most }: Found): boolean => tail >= most;

/** Thin places for a drawing: so many that strokes show, no two nearer than a third of `under`. `tip` as for `thickness`. */
export function thinPlaces(region: Region, under: number, tip: number): ThinPlace[] {
  const cell = under / 3;
  const kept = new Map<string, ThinPlace>();
  for (const place of everyThinPlace(region, under, tip)) {
    if (!isStroke(place)) continue;
    const key = `${Math.round(place.at[0] / cell)} ${Math.round(place.at[1] / cell)}`;
    const before = kept.get(key);
    if (!before || place.width < before.width) kept.set(key, { at: place.at, width: place.width });
  }
  return [...kept.values()];
}

/** No more places than this are told apart. */
const MOST_PLACES = 24;

/** The first of a list that stand further apart than `reach`, mm, in the order of the list. */
function apart<P extends ThinPlace>(list: readonly P[], reach: number): P[] {
  const kept: P[] = [];
  for (const place of list) {
    if (kept.length >= MOST_PLACES) break;
    if (kept.every((other) => distance(other.at, place.at) > reach)) kept.push(place);
  }
  return kept;
}

/**
 * The least local stroke width: at places along the edge, the largest circle inside that touches there (the shrinking ball method of Ma, Bae and
 * Choi, 2012, with edges instead of samples, so that a width is exact where it is taken). A stroke that tapers counts down to `tip`
 * from its end; what is thin over less is a tip.
 *
 * @param region mm
 * @param under widths at or above this, mm, are not of interest
 * @param tip what is thin over less than this from its end, mm, is no stroke
 * @returns least width and its places, one a stroke, narrowest first, and tips; right within 2 %
 */
export function thickness(region: Region, under: number, tip: number): Thickness {
  const all = everyThinPlace(region, under, tip);
  const strokes = all.filter(isStroke).toSorted((a, b) => a.width - b.width);
  const places = apart(
    strokes.map(({ at, width }) => ({ at, width })),
    Math.max(under * 3, 2),
  );
  const ends = all.filter((found) => !isStroke(found)).toSorted((a, b) => b.tail - a.tail);
  // a tapering stroke's end belongs to the stroke
  const byStroke = nearAny(
    strokes.map(({ at }) => at),
    tip * 1.5,
  );
  const own = ends.filter(({ at }) => !byStroke(at));
  const tips = apart(
    own.map(({ at, width, tail }) => ({ at, width, length: tail })),
    tip * 1.5,
  );
  return { least: places[0]?.width ?? Infinity, places, tips };
}
