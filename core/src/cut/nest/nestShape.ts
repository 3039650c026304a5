import {
  applyToPoint,
  applyToRegion,
  boxCentre,
  boxOf,
  convexHull,
  offset,
  partArea,
  ringsOf,
  signedArea,
  simplifyRing,
  translation,
  type Region,
} from '../../geometry';
import type { NestPart } from './nester';
import { QUARTERS, turnBy } from './turns';

/**
 * The outline of a part as it is moved about: grown by half the gap and made simpler, around its own middle, in one of its turns. Edges lie
 * in arrays of numbers, for they are looked at some hundred thousand times a second.
 */
export interface NestShape {
  /** Quarter turns counter-clockwise; whole ones without rounding. */
  readonly turn: number;
  /** Edges from (ax, ay) to (bx, by), mm. */
  readonly ax: Float64Array;
  readonly ay: Float64Array;
  readonly bx: Float64Array;
  readonly by: Float64Array;
  /** Least and greatest x, least and greatest y of each edge. */
  readonly bounds: Float64Array;
  /** The same of every `CHAIN` edges that follow each other. */
  readonly chains: Float64Array;
  /** One point on each outline. */
  readonly marks: Float64Array;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  /** The fourth root of the area of its hull, mm^½: how much it weighs against others. */
  readonly weight: number;
}

/** So many edges that follow each other are passed over together, where they are far from others. */
export const CHAIN = 8;

/** A part with its shape in each turn that it may lie in. */
export interface NestBody {
  /** mm², without holes that take nothing. */
  readonly area: number;
  readonly shapes: readonly NestShape[];
}

/** Gaps between the letters of a part that are narrower than this are closed, mm: nothing else is laid between them. */
const CLOSED = 2;
/** Holes smaller than this take no other part, mm². */
const LEAST_HOLE = 150;
/** How closely an outline is followed: closely enough to be looked at often, or as closely as two that touch want it. */
export type Detail = 'light' | 'fine';
/** An outline is made simpler by so much, mm, and grown by so much more that it still lies outside the true one. */
const SIMPLER = {
  light: { first: 0.03, by: 0.07, grown: 0.075 },
  fine: { first: 0.01, by: 0.03, grown: 0.032 },
} as const satisfies Readonly<Record<Detail, unknown>>;
/** An outline of no more points is kept as it is, and grown by a little less than half the gap: what touches does not overlap. */
const FEW_POINTS = 40;
const WITHIN = 0.004;

/** The same outlines with fewer points. */
const simpler = (region: Region, by: number): Region =>
  region.map(({ outer, holes }) => ({ outer: simplifyRing(outer, by), holes: holes.map((hole) => simplifyRing(hole, by)) }));

/** Without holes that take no other part. */
const openOnly = (region: Region): Region =>
  region.map(({ outer, holes }) => ({ outer, holes: holes.filter((hole) => Math.abs(signedArea(hole)) >= LEAST_HOLE) }));

/**
 * A part grown by half the gap, letters that belong together closed into one outline, and simpler: it lies outside the true outline grown by
 * just half the gap.
 */
export function grownOutline(region: Region, gap: number, detail: Detail = 'light'): Region {
  const by = SIMPLER[detail];
  const points = ringsOf(region).reduce((sum, ring) => sum + ring.length, 0);
  if (region.length === 1 && points <= FEW_POINTS) return simpler(openOnly(offset(region, gap / 2 - WITHIN)), WITHIN / 2);
  // the library's cost grows fast with the number of points: what does not matter at half a gap goes first
  const light = simpler(openOnly(region), by.first);
  const wider = gap / 2 + by.first + by.grown;
  const grown = light.length > 1 ? offset(simpler(offset(light, CLOSED), by.first), wider + by.first - CLOSED) : offset(light, wider);
  return simpler(openOnly(grown), by.by);
}

/** One turn of an outline. */
export function shapeOf(region: Region, turn: number): NestShape {
  const turned = turnBy(turn);
  const rings = ringsOf(region).map((ring) => ring.map((p) => applyToPoint(turned, p)));
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  const [ax, ay, bx, by] = [0, 1, 2, 3].map(() => new Float64Array(count)) as [Float64Array, Float64Array, Float64Array, Float64Array];
  let at = 0;
  for (const ring of rings)
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
      [ax[at], ay[at], bx[at], by[at]] = [a[0], a[1], b[0], b[1]];
      at += 1;
    }
  const all = rings.flat();
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const bounds = Float64Array.from(
    Array.from(ax, (x, i) => [Math.min(x, bx[i]!), Math.max(x, bx[i]!), Math.min(ay[i]!, by[i]!), Math.max(ay[i]!, by[i]!)]).flat(),
  );
  const chains = new Float64Array(Math.ceil(count / CHAIN) * 4);
  for (let c = 0; c * CHAIN < count; c++) {
    const own = bounds.subarray(c * CHAIN * 4, (c + 1) * CHAIN * 4);
    const of = (at: number) => own.filter((_, i) => i % 4 === at);
    chains.set([Math.min(...of(0)), Math.max(...of(1)), Math.min(...of(2)), Math.max(...of(3))], c * 4);
  }
  return {
    ...{ turn, ax, ay, bx, by, bounds, chains },
    ...{ minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) },
    marks: Float64Array.from(rings.flatMap(([first]) => [...first!])),
    weight: Math.abs(signedArea(convexHull(all))) ** 0.25,
  };
}

/**
 * A part as it is moved about.
 *
 * @param gap between any two parts, mm
 * @param turns that it may lie in, in quarters; a part that may not be turned has only the first
 * @returns its shape in each of them, around the middle of the box of the true outline
 */
export function nestBody(
  { region, fixed }: Pick<NestPart, 'region' | 'fixed'>,
  gap: number,
  turns: readonly number[] = QUARTERS,
  detail: Detail = 'light',
): NestBody {
  const [cx, cy] = boxCentre(boxOf(region));
  const outline = grownOutline(applyToRegion(translation(-cx, -cy), region), gap, detail);
  return {
    area: outline.reduce((sum, part) => sum + partArea(part), 0),
    shapes: (fixed ? [0] : turns).map((turn) => shapeOf(outline, turn)),
  };
}
