import {
  applyToPoint,
  boxHeight,
  boxOf,
  boxOfPoints,
  boxWidth,
  numbersFrom,
  pointInside,
  ringsOf,
  rotation,
  simplifyRing,
  type Box,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import { countWork } from '../units';

/** The largest copy of an outline in a zone of any shape. */
export interface AnywhereFit {
  /** Against the outline as given; 0 when there is no place. */
  readonly scale: number;
  readonly at: Point;
  /** Turn counter-clockwise, radians. */
  readonly turn: number;
}

/** Edges of rings, as arrays that are fast to go through. */
export interface Edges {
  readonly ax: Float64Array;
  readonly ay: Float64Array;
  readonly dx: Float64Array;
  readonly dy: Float64Array;
}

export function edgesOf(rings: readonly Ring[]): Edges {
  const n = rings.reduce((sum, ring) => sum + ring.length, 0);
  const [ax, ay, dx, dy] = [new Float64Array(n), new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  let i = 0;
  for (const ring of rings) {
    ring.forEach(([x, y], k) => {
      const [bx, by] = ring[(k + 1) % ring.length]!;
      ax[i] = x;
      ay[i] = y;
      dx[i] = bx - x;
      dy[i] = by - y;
      i++;
    });
  }
  return { ax, ay, dx, dy };
}

/** Corners that meet corners are not missed by rounding: an edge counts as so much longer at its ends, as a share. */
const ENDS = 1e-9;

/** So many pairs of an edge and a corner are looked at in a step. */
const LOOKS = 100;

/** How far a place is from an edge, squared. */
function squaredDistance(zone: Edges, j: number, x: number, y: number): number {
  const [dx, dy] = [zone.dx[j]!, zone.dy[j]!];
  const [px, py] = [x - zone.ax[j]!, y - zone.ay[j]!];
  const length = dx * dx + dy * dy;
  const t = length > 0 ? Math.max(0, Math.min(1, (px * dx + py * dy) / length)) : 0;
  return (px - t * dx) ** 2 + (py - t * dy) ** 2;
}

/**
 * The scale at which an outline that grows out of a place first touches a zone's edge: where a corner of the outline meets an edge of the
 * zone, or a corner of the zone
 * an edge of the outline. Edges that are further off than the outline reaches at the least scale so far are passed over.
 *
 * @param art edges of the outline around its origin, already turned
 * @param radius of the outline about its origin
 * @param enough answers early when the scale is sure to be under this
 */
export function firstTouch(art: Edges, radius: number, zone: Edges, x: number, y: number, enough: number): number {
  let least = Infinity;
  const zn = zone.ax.length;
  const an = art.ax.length;
  countWork(zn / LOOKS);
  let [nearest, near] = [0, Infinity];
  const away = new Float64Array(zn);
  for (let j = 0; j < zn; j++) {
    away[j] = squaredDistance(zone, j, x, y);
    if (away[j]! < near) [nearest, near] = [j, away[j]!];
  }
  // on the edge itself there is no room, and no ray to tell so
  if (near < 1e-12) return 0;
  const reach = () => (least * radius) ** 2;
  for (let k = 0; k < zn; k++) {
    // the nearest edge first: it rules out most of the others
    const j = k === 0 ? nearest : k === nearest ? 0 : k;
    if (away[j]! >= reach()) continue;
    const dx = zone.dx[j]!;
    const dy = zone.dy[j]!;
    const px = zone.ax[j]! - x;
    const py = zone.ay[j]! - y;
    const pd = px * dy - py * dx;
    countWork(an / LOOKS);
    for (let i = 0; i < an; i++) {
      const vx = art.ax[i]!;
      const vy = art.ay[i]!;
      const cross = vx * dy - vy * dx;
      if (cross === 0) continue;
      const s = pd / cross;
      if (s <= 0 || s >= least) continue;
      const u = (px * vy - py * vx) / cross;
      if (u >= -ENDS && u <= 1 + ENDS) {
        least = s;
        if (least <= enough) return least;
      }
    }
  }
  // the furthest edge of the outline on the ray to a corner of the zone meets it first
  for (let j = 0; j < zn; j++) {
    const wx = zone.ax[j]! - x;
    const wy = zone.ay[j]! - y;
    if (wx * wx + wy * wy >= reach()) continue;
    let most = 1 / least;
    countWork(an / LOOKS);
    for (let i = 0; i < an; i++) {
      const dx = art.dx[i]!;
      const dy = art.dy[i]!;
      const cross = wx * dy - wy * dx;
      if (cross === 0) continue;
      const k = (art.ax[i]! * dy - art.ay[i]! * dx) / cross;
      if (k <= most) continue;
      const u = (art.ax[i]! * wy - art.ay[i]! * wx) / cross;
      if (u >= -ENDS && u <= 1 + ENDS) {
        most = k;
        if (1 / most <= enough) return 1 / most;
      }
    }
    if (most > 0) least = Math.min(least, 1 / most);
  }
  return least;
}

const turned = (rings: readonly Ring[], angle: number): Ring[] =>
  angle === 0 ? [...rings] : rings.map((ring) => ring.map((p) => applyToPoint(rotation(angle), p)));

/** The scale at which the box of an outline that grows out of a place leaves the box of its zone. */
const boxScale = (art: Box, zone: Box, x: number, y: number): number =>
  Math.min(
    art.maxX > 0 ? (zone.maxX - x) / art.maxX : Infinity,
    art.minX < 0 ? (zone.minX - x) / art.minX : Infinity,
    art.maxY > 0 ? (zone.maxY - y) / art.maxY : Infinity,
    art.minY < 0 ? (zone.minY - y) / art.minY : Infinity,
  );

export interface AnywhereOptions {
  /** Keeps the origin there. */
  readonly at?: Point;
  /** Looks for the best turn as well. */
  readonly turn?: boolean;
  /** Places to begin from; more is surer and slower. */
  readonly starts?: number;
}

/** The same places are tried every time. */
const SEED = 20261;
/** Places kept for a closer look. */
const KEPT = 6;
/** Turns that are looked at first when any is allowed. */
const TURNS = 24;
/** The outline is searched with corners no finer than this share of its size. */
const COARSE = 0.008;

/**
 * The largest scale at which the true outline lies in a zone of any shape, with holes or in several parts. From many places the outline
 * grows until it first touches
 * (exact for that place and turn); the best are followed by a pattern search (Hooke and Jeeves, 1961). The answer always fits; that there
 * is none larger is likely, not
 * proven: on cases whose optimum is known it comes within 0.5 %.
 *
 * @param outline rings of the mark around its origin, mm
 * @param zone what may be covered, breathing room taken off already
 * @returns scale 0 at the middle when the zone is empty or the outline has no extent
 */
export function largestFitAnywhere(outline: readonly Ring[], zone: Region, options: AnywhereOptions = {}): AnywhereFit {
  const box = boxOf(zone);
  const art = boxOfPoints(outline.flat());
  const size = Math.max(boxWidth(art), boxHeight(art));
  const middle: Point = options.at ?? [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  if (zone.length === 0 || !(size > 0)) return { scale: 0, at: middle, turn: 0 };
  const zoneEdges = edgesOf(ringsOf(zone).map((ring) => simplifyRing(ring, Math.max(boxWidth(box), boxHeight(box)) * 2e-4)));
  const exactZone = edgesOf(ringsOf(zone));
  const coarse = outline.map((ring) => simplifyRing(ring, size * COARSE)).filter((ring) => ring.length >= 3);
  const cache = new Map<number, { edges: Edges; box: Box }>();
  const radius = outline.flat().reduce((most, [x, y]) => Math.max(most, Math.hypot(x, y)), 0);
  const artAt = (turn: number): { edges: Edges; box: Box } => {
    let known = cache.get(turn);
    if (!known) {
      const rings = turned(coarse.length > 0 ? coarse : outline, turn);
      known = { edges: edgesOf(rings), box: boxOfPoints(rings.flat()) };
      if (cache.size < 400) cache.set(turn, known);
    }
    return known;
  };
  /** The scale at a place of the zone; 0 where its box alone says that it is not over `enough`. */
  const value = (x: number, y: number, turn: number, enough: number): number => {
    const { edges, box: sides } = artAt(turn);
    if (boxScale(sides, box, x, y) <= enough || !pointInside([x, y], zone)) return 0;
    return firstTouch(edges, radius, zoneEdges, x, y, enough);
  };
  const exact = (at: Point, turn: number): AnywhereFit => {
    const scale = pointInside(at, zone) ? firstTouch(edgesOf(turned(outline, turn)), radius, exactZone, at[0], at[1], 0) : 0;
    return { scale: Number.isFinite(scale) ? scale * (1 - 1e-6) : 0, at, turn };
  };
  const angles = options.turn ? Array.from({ length: TURNS }, (_, i) => (i * Math.PI * 2) / TURNS) : [0];
  if (options.at) {
    const best = angles
      .map((turn) => ({ turn, scale: value(middle[0], middle[1], turn, 0) }))
      .reduce((a, b) => (b.scale > a.scale ? b : a));
    return exact(middle, best.turn);
  }
  const random = numbersFrom(SEED);
  const starts = options.starts ?? 400;
  const found: { x: number; y: number; turn: number; scale: number }[] = [];
  const side = Math.ceil(Math.sqrt(starts / 2));
  for (let i = 0; i < starts; i++) {
    // half on a grid, half at random
    const grid = i < side * side;
    const x = box.minX + boxWidth(box) * (grid ? ((i % side) + 0.5) / side : random());
    const y = box.minY + boxHeight(box) * (grid ? (Math.floor(i / side) + 0.5) / side : random());
    for (const turn of angles) {
      const enough = found.length >= KEPT ? found[KEPT - 1]!.scale * (angles.length > 1 ? 1 : 0.8) : 0;
      const scale = value(x, y, turn, enough);
      if (scale <= enough) continue;
      found.push({ x, y, turn, scale });
      found.sort((a, b) => b.scale - a.scale);
      if (found.length > KEPT * 2) found.length = KEPT * 2;
    }
  }
  if (found.length === 0) return { scale: 0, at: middle, turn: 0 };
  let best = found[0]!;
  for (const start of found.slice(0, KEPT)) {
    let here = start;
    let step = Math.max(boxWidth(box), boxHeight(box)) / side;
    let spin = options.turn ? Math.PI / TURNS : 0;
    while (step > Math.max(boxWidth(box), boxHeight(box)) * 2e-5) {
      let moved = false;
      const moves: [number, number, number][] = [];
      for (let d = 0; d < 12; d++) moves.push([Math.cos((d * Math.PI) / 6) * step, Math.sin((d * Math.PI) / 6) * step, 0]);
      if (spin > 0) {
        for (const way of [spin, -spin]) {
          moves.push([0, 0, way]);
          for (let d = 0; d < 6; d++) moves.push([Math.cos((d * Math.PI) / 3) * step, Math.sin((d * Math.PI) / 3) * step, way]);
        }
      }
      for (const [dx, dy, dt] of moves) {
        const scale = value(here.x + dx, here.y + dy, here.turn + dt, here.scale);
        if (scale > here.scale * (1 + 1e-7)) {
          here = { x: here.x + dx, y: here.y + dy, turn: here.turn + dt, scale };
          moved = true;
          break;
        }
      }
      if (!moved) {
        step /= 2;
        spin /= 2;
      }
    }
    if (here.scale > best.scale) best = here;
  }
  return exact([best.x, best.y], best.turn);
}
