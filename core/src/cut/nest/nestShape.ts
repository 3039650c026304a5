import {
  applyToRegion,
  boxCentre,
  boxOf,
  convexHull,
  difference,
  offset,
  partArea,
  regionArea,
  ringsOf,
  signedArea,
  simplifyRing,
  translation,
  type Region,
  type Ring,
} from '../../geometry';
import type { NestPart } from './nester';

/**
 * The outline of a part as it is moved about: grown by half the gap and made simpler, around its own middle, in one of its turns. Edges lie
 * in arrays of numbers, for they are looked at some hundred thousand times a second.
 */
export interface NestShape {
  /** Quarter turns counter-clockwise. */
  readonly turn: number;
  /** Edges from (ax, ay) to (bx, by), mm. */
  readonly ax: Float64Array;
  readonly ay: Float64Array;
  readonly bx: Float64Array;
  readonly by: Float64Array;
  /** Least and greatest x, least and greatest y of each edge. */
  readonly bounds: Float64Array;
  /** One point on each outline. */
  readonly marks: Float64Array;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  /** Circles inside it: x, y and radius of each, the largest first. */
  readonly poles: Float64Array;
  /** The fourth root of the area of its hull, mm^½: how much it weighs against others. */
  readonly weight: number;
}

/** A part with its shape in each turn that it may lie in. */
export interface NestBody {
  /** mm², without holes that take nothing. */
  readonly area: number;
  readonly shapes: readonly NestShape[];
}

/** Gaps between the letters of a part that are narrower than this are closed, mm: nothing else is laid between them. */
const CLOSED = 3;
/** Holes smaller than this take no other part, mm². */
const LEAST_HOLE = 150;
/** An outline is made simpler by so much, mm, and grown by so much more that it still lies outside the true one. */
const SIMPLER = { first: 0.05, by: [0.2, 0.4, 0.6], grown: 1.05 } as const;
/** An outline of no more points than this is simple enough. */
const MOST_POINTS = 64;
const MOST_POLES = 10;
/** Poles stop where they add nothing: a share of the largest one's radius. */
const LEAST_POLE = 0.12;
/** Where poles are looked for: so many points along the longer side. */
const POLE_GRID = 30;

/** The same outlines with fewer points. */
const simpler = (region: Region, by: number): Region =>
  region.map(({ outer, holes }) => ({ outer: simplifyRing(outer, by), holes: holes.map((hole) => simplifyRing(hole, by)) }));

/** Without holes that take no other part. */
const openOnly = (region: Region): Region =>
  region.map(({ outer, holes }) => ({ outer, holes: holes.filter((hole) => Math.abs(signedArea(hole)) >= LEAST_HOLE) }));

/**
 * A part grown by half the gap, letters that belong together closed into one outline, and simpler: it lies outside the true outline grown by
 * just half the gap, to a hundredth of a mm².
 */
export function grownOutline(region: Region, gap: number): Region {
  // the library's cost grows fast with the number of points: what does not matter at half a gap goes first
  const light = simpler(region, SIMPLER.first);
  const closed = light.length > 1 ? offset(offset(light, CLOSED), -CLOSED) : light;
  const least = offset(light, gap / 2 + SIMPLER.first);
  for (const by of SIMPLER.by) {
    const grown = openOnly(offset(closed, gap / 2 + SIMPLER.first + by * SIMPLER.grown));
    const simple = simpler(grown, by);
    const points = simple.reduce((sum, { outer, holes }) => sum + outer.length + holes.reduce((n, hole) => n + hole.length, 0), 0);
    const last = by === SIMPLER.by.at(-1);
    if ((points <= MOST_POINTS || last) && regionArea(difference(least, simple)) <= 0.02) return simple;
    if (last) return grown;
  }
  return least;
}

const quarter = ([x, y]: readonly [number, number], turn: number): [number, number] => {
  const turns: readonly [number, number][] = [
    [x, y],
    [-y, x],
    [-x, -y],
    [y, -x],
  ];
  return turns[turn]!;
};

/** Distance from a point to the nearest edge, and whether the point lies inside; mm. */
function depthAt(rings: readonly Ring[], x: number, y: number): number {
  let [inside, nearest] = [false, Infinity];
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [[ax, ay], [bx, by]] = [ring[j]!, ring[i]!];
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-12, dx * dx + dy * dy)));
      nearest = Math.min(nearest, (x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2);
    }
  return inside ? Math.sqrt(nearest) : -1;
}

/** Circles inside a region, each as large as what the others leave. */
function polesOf(region: Region): [x: number, y: number, radius: number][] {
  const rings = ringsOf(region);
  const box = boxOf(region);
  const step = Math.max(box.maxX - box.minX, box.maxY - box.minY) / POLE_GRID;
  const points: { x: number; y: number; depth: number }[] = [];
  for (let x = box.minX + step / 2; x < box.maxX; x += step)
    for (let y = box.minY + step / 2; y < box.maxY; y += step) {
      const depth = depthAt(rings, x, y);
      if (depth > 0) points.push({ x, y, depth });
    }
  const poles: [number, number, number][] = [];
  while (poles.length < MOST_POLES) {
    let best: { x: number; y: number; depth: number } | undefined;
    let most = 0;
    for (const point of points) {
      const free = poles.reduce((least, [px, py, r]) => Math.min(least, Math.hypot(point.x - px, point.y - py) - r), Infinity);
      // a new circle may reach into others, but not lie in them
      const use = free <= 0 ? 0 : Math.min(point.depth, free * 1.5);
      if (use > most) [most, best] = [use, point];
    }
    if (!best || (poles.length > 0 && best.depth < poles[0]![2] * LEAST_POLE)) break;
    poles.push([best.x, best.y, best.depth]);
  }
  return poles;
}

/** One turn of an outline. */
function shapeOf(region: Region, poles: readonly (readonly [number, number, number])[], turn: number): NestShape {
  const rings = ringsOf(region).map((ring) => ring.map((p) => quarter(p, turn)));
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
  return {
    ...{ turn, ax, ay, bx, by },
    bounds: Float64Array.from(
      Array.from(ax, (x, i) => [Math.min(x, bx[i]!), Math.max(x, bx[i]!), Math.min(ay[i]!, by[i]!), Math.max(ay[i]!, by[i]!)]).flat(),
    ),
    ...{ minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) },
    marks: Float64Array.from(rings.flatMap(([first]) => [...first!])),
    poles: Float64Array.from(poles.flatMap(([x, y, r]) => [...quarter([x, y], turn), r])),
    weight: Math.abs(signedArea(convexHull(all))) ** 0.25,
  };
}

/**
 * A part as it is moved about.
 *
 * @param gap between any two parts, mm
 * @returns its shape in each quarter turn that it may lie in, around the middle of the box of the true outline
 */
export function nestBody({ region, fixed }: Pick<NestPart, 'region' | 'fixed'>, gap: number): NestBody {
  const [cx, cy] = boxCentre(boxOf(region));
  const outline = grownOutline(applyToRegion(translation(-cx, -cy), region), gap);
  const poles = polesOf(outline);
  return {
    area: outline.reduce((sum, part) => sum + partArea(part), 0),
    shapes: (fixed ? [0] : [0, 1, 2, 3]).map((turn) => shapeOf(outline, poles, turn)),
  };
}
