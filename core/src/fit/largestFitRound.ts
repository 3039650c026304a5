import {
  applyToRegion,
  boxCentre,
  boxHeight,
  boxOf,
  boxOfPoints,
  boxWidth,
  pointInRing,
  regionInside,
  scaling,
  simplifyRing,
  then,
  translation,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import { countWork } from '../units';
import { edgesOf, firstTouch, type AnywhereFit } from './largestFitAnywhere';

/** Places a side at which a mark is looked at for a gap that something could lie in. */
const GRID = 28;
/** Ways in which a gap has to be closed in. */
const WAYS = 12;
/** Places a side, around the middle of a keep-out, to begin from. */
const STARTS = 5;
/** The outline is searched with corners no finer than this share of its size. */
const COARSE = 0.004;
const FINEST = 2e-4;
/** The distance of a place from so many edges is found in a step. */
const EDGES = 100;
/** Area that may stick out for rounding, mm². */
const SLACK = 0.02;

/** The widest place within a mark that its material closes in: a counter, or the middle of words on a circle. */
export interface Gap {
  readonly at: Point;
  readonly radius: number;
}

/** Whether a point lies in material: within an outer ring and in no counter. */
const inMaterial = (at: Point, rings: readonly Ring[]): boolean =>
  rings.reduce((within, ring) => (pointInRing(at, ring) ? !within : within), false);

function distanceTo(rings: readonly Ring[], [x, y]: Point): number {
  let least = Infinity;
  for (const ring of rings) {
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [ax, ay] = ring[j]!;
      const [dx, dy] = [ring[i]![0] - ax, ring[i]![1] - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      least = Math.min(least, (x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2);
    }
  }
  return Math.sqrt(least);
}

/** Whether every way out of a place meets material. */
function closedIn(rings: readonly Ring[], [x, y]: Point): boolean {
  return Array.from({ length: WAYS }, (_, k) => (k * 2 * Math.PI) / WAYS + 0.01).every((angle) => {
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    return rings.some((ring) =>
      ring.some(([bx, by], i) => {
        const [ax, ay] = ring[(i + ring.length - 1) % ring.length]!;
        const [sa, sb] = [(ax - x) * dy - (ay - y) * dx, (bx - x) * dy - (by - y) * dx];
        if (sa > 0 === sb > 0) return false;
        const t = sa / (sa - sb);
        return (ax + t * (bx - ax) - x) * dx + (ay + t * (by - ay) - y) * dy > 0;
      }),
    );
  });
}

/**
 * The widest gap that a mark closes in.
 *
 * @param rings its outer rings and its counters
 * @param least gaps no wider than this are of no use
 */
export function widestGap(rings: readonly Ring[], least: number): Gap | undefined {
  const points = rings.flat();
  const box = boxOfPoints(points);
  countWork((GRID * GRID * points.length) / EDGES);
  let best: Gap | undefined;
  for (let i = 0; i < GRID * GRID; i++) {
    const at: Point = [
      box.minX + (boxWidth(box) * ((i % GRID) + 0.5)) / GRID,
      box.minY + (boxHeight(box) * (Math.floor(i / GRID) + 0.5)) / GRID,
    ];
    const radius = distanceTo(rings, at);
    if (radius <= (best?.radius ?? least) || inMaterial(at, rings) || !closedIn(rings, at)) continue;
    best = { at, radius };
  }
  return best;
}

/** The true mark at what the coarse one was found to be, a little smaller where its edge wants it; undefined where it does not lie in the zone. */
function lying(
  outline: readonly Ring[],
  counters: readonly Ring[],
  zone: Region,
  place: Point,
  found: number,
  gap: Point,
): AnywhereFit | undefined {
  const parts: Region = outline.map((outer) => ({ outer, holes: counters.filter((counter) => pointInRing(counter[0]!, outer)) }));
  for (const share of [1 - 1e-6, 0.999, 0.997, 0.994]) {
    const scale = found * share;
    const at: Point = [place[0] - scale * gap[0], place[1] - scale * gap[1]];
    if (regionInside(applyToRegion(then(scaling(scale), translation(...at)), parts), zone, SLACK)) return { scale, at, turn: 0 };
  }
  return undefined;
}

/**
 * The largest scale at which a mark lies round one of the keep-outs of a zone: a ring round a knob, words on a circle round a hole, a
 * letter round a screw. The keep-out is
 * put into the mark's widest gap and the mark grows until it touches what is left of the zone; it counts only where the keep-out stays
 * clear of material.
 *
 * @param outline outer rings of the mark around its origin, mm
 * @param counters of the mark
 * @param zone with holes
 * @param over only larger scales are of use
 * @param fixed keeps the mark's origin there
 * @returns undefined where the mark goes round none
 */
export function largestFitRound(
  outline: readonly Ring[],
  counters: readonly Ring[],
  zone: Region,
  over: number,
  fixed?: Point,
): AnywhereFit | undefined {
  const holes = zone.flatMap((part) => part.holes);
  const all = boxOf(zone);
  const art = boxOfPoints(outline.flat());
  const size = Math.max(boxWidth(art), boxHeight(art));
  if (holes.length === 0 || !(size > 0)) return undefined;
  // no mark becomes larger than its zone's box
  const most = Math.min(boxWidth(all) / boxWidth(art), boxHeight(all) / boxHeight(art));
  if (most <= over) return undefined;
  const coarse = (rings: readonly Ring[]) => rings.map((ring) => simplifyRing(ring, size * COARSE)).filter((ring) => ring.length >= 3);
  const rings = [...coarse(outline), ...coarse(counters)];
  const halfOf = (hole: Ring) => Math.min(boxWidth(boxOfPoints(hole)), boxHeight(boxOfPoints(hole))) / 2;
  const gap = widestGap(rings, (Math.min(...holes.map(halfOf)) / most) * 0.7);
  if (!gap) return undefined;
  const [ox, oy] = fixed ? [0, 0] : gap.at;
  const shifted = coarse(outline).map((ring) => ring.map(([x, y]): Point => [x - ox, y - oy]));
  const edges = edgesOf(shifted);
  const radius = shifted.flat().reduce((far, [x, y]) => Math.max(far, Math.hypot(x, y)), 0);
  const simple = holes.map((hole) => simplifyRing(hole, halfOf(hole) * 0.02));
  const clear = (at: Point, scale: number) =>
    simple.every(
      (hole) =>
        !hole.some(([x, y]) => inMaterial([(x - at[0]) / scale + ox, (y - at[1]) / scale + oy], rings)) &&
        !shifted.some((ring) => ring.some(([x, y]) => pointInRing([at[0] + scale * x, at[1] + scale * y], hole))),
    );
  let best: { at: Point; scale: number } | undefined;
  const sets = holes.flatMap((_, i) =>
    (holes.length > 1 ? [[i], holes.map((__, k) => k)] : [[i]]).map((ignored) => ({ start: holes[i]!, ignored })),
  );
  for (const { start, ignored } of sets) {
    const left = edgesOf(
      [...zone.map((part) => part.outer), ...holes.filter((_, i) => !ignored.includes(i))].map((ring) => simplifyRing(ring, size * 1e-4)),
    );
    const inside = (at: Point) =>
      zone.some((part) => pointInRing(at, part.outer)) && !holes.some((hole, i) => !ignored.includes(i) && pointInRing(at, hole));
    const value = (at: Point, enough: number) => {
      const scale = inside(at) ? firstTouch(edges, radius, left, at[0], at[1], enough) : 0;
      return scale > enough && clear(at, scale * (1 - 1e-6)) ? scale : 0;
    };
    const box = boxOfPoints(start);
    const [cx, cy] = boxCentre(box);
    const reach = Math.max(boxWidth(box), boxHeight(box), gap.radius * most);
    const starts = fixed
      ? [fixed]
      : Array.from({ length: STARTS * STARTS }, (_, i): Point => [
          cx + reach * ((i % STARTS) / (STARTS - 1) - 0.5),
          cy + reach * (Math.floor(i / STARTS) / (STARTS - 1) - 0.5),
        ]);
    let here: { at: Point; scale: number } | undefined;
    for (const at of starts) {
      const scale = value(at, Math.max(over, here?.scale ?? 0));
      if (scale > 0) here = { at, scale };
    }
    for (let step = reach / STARTS; here && !fixed && step > Math.max(boxWidth(all), boxHeight(all)) * FINEST;) {
      const from: { at: Point; scale: number } = here;
      const better = Array.from({ length: 12 }, (_, d): Point => [
        from.at[0] + Math.cos((d * Math.PI) / 6) * step,
        from.at[1] + Math.sin((d * Math.PI) / 6) * step,
      ])
        .map((at) => ({ at, scale: value(at, from.scale * (1 + 1e-7)) }))
        .find(({ scale }) => scale > 0);
      if (better) here = better;
      else step /= 2;
    }
    if (here && here.scale > (best?.scale ?? 0)) best = here;
  }
  if (!best) return undefined;
  return lying(outline, counters, zone, best.at, best.scale, [ox, oy]);
}
