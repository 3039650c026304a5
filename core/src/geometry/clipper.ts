// Longer than 300 lines: everything that is asked of the polygon library, and what it is checked by.
import {
  ClipType,
  Clipper,
  ClipperOffset,
  EndType,
  FillRule,
  JoinType,
  PolyTree64,
  type Path64,
  type Paths64,
  type PolyPath64,
} from 'clipper2-ts';
import { CLIPPER_PER_MM, countWork } from '../units';
import type { Part, Point, Region, Ring } from './point';
import { ringsOf } from './point';
import { regionArea, signedArea } from './area';
import { boxesMeet, boxOf, boxOfPoints } from './box';
import { countCrossings, edgesMeet, type XY } from './crossings';
import { pointInRing } from './pointInRing';

/*
 * The only door to the polygon library. Everything crosses it as integers, a thousandth of a mm each. The library never
 * returns on some paths that run back along themselves, so repeated and spike points are removed first, always.
 */

export type Fill = 'nonzero' | 'evenodd';

const isSpike = (a: XY, b: XY, c: XY): boolean => {
  const cross = (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);
  return cross === 0 && (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) <= 0;
};

/** Removes repeated points and points where a path turns straight back, until none is left. */
export function withoutSpikes(path: readonly XY[]): XY[] {
  let points = path.filter((p, i) => i === 0 || p.x !== path[i - 1]!.x || p.y !== path[i - 1]!.y);
  for (;;) {
    const before = points.length;
    if (before < 3) return [];
    const kept: XY[] = [];
    for (const p of points) {
      kept.push(p);
      while (kept.length >= 3 && isSpike(kept[kept.length - 3]!, kept[kept.length - 2]!, kept[kept.length - 1]!)) kept.splice(-2, 1);
      while (kept.length >= 2 && kept.at(-1)!.x === kept.at(-2)!.x && kept.at(-1)!.y === kept.at(-2)!.y) kept.pop();
    }
    // the seam, where the last point meets the first
    while (kept.length >= 3 && isSpike(kept.at(-2)!, kept.at(-1)!, kept[0]!)) kept.pop();
    while (kept.length >= 3 && isSpike(kept.at(-1)!, kept[0]!, kept[1]!)) kept.shift();
    points = kept;
    if (points.length === before) return points;
  }
}

const toInteger = (ring: Ring): Path64 =>
  withoutSpikes(ring.map(([x, y]) => ({ x: Math.round(x * CLIPPER_PER_MM), y: Math.round(y * CLIPPER_PER_MM) }))) as Path64;
const toPaths = (rings: readonly Ring[]): Paths64 => rings.map(toInteger).filter((path) => path.length >= 3);
/** Of more points than this crossings are counted first: there may be as many as their square. */
const MANY_POINTS = 600;
/** The library takes about so many steps a point that goes in or comes out. */
const STEPS = 4;
const toRing = (path: Path64): Ring => path.map((p): Point => [p.x / CLIPPER_PER_MM, p.y / CLIPPER_PER_MM]);

const pointsIn = (...paths: Paths64[]): number => paths.flat().reduce((sum, path) => sum + path.length, 0);

/** The library's tree as parts. Now and then it hangs an island where a hole should be: what runs counter-clockwise is a part of its own. */
function treeToRegion(tree: PolyTree64): Region {
  const parts: Part[] = [];
  const children = (node: PolyPath64 | PolyTree64) => Array.from({ length: node.count }, (_, i) => node.child(i) as PolyPath64);
  const stack = children(tree);
  while (stack.length > 0) {
    const node = stack.pop()!;
    const outer = node.poly ? toRing(node.poly) : [];
    const holes: Ring[] = [];
    for (const child of children(node)) {
      const ring = child.poly ? toRing(child.poly) : [];
      if (signedArea(ring) > 0) stack.push(child);
      else {
        if (ring.length > 0) holes.push(ring);
        stack.push(...children(child));
      }
    }
    if (signedArea(outer) > 0) parts.push({ outer, holes });
  }
  return parts;
}

const quarterTurned = (paths: Paths64): Paths64 => paths.map((path) => path.map(({ x, y }) => ({ x: -y, y: x })) as Path64);
const turnedBack = (ring: Ring): Ring => ring.map(([x, y]): Point => [y, -x || 0]);

/** Whether paths spread further across than up and down. */
function isWide(paths: Paths64): boolean {
  let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const path of paths)
    for (const { x, y } of path) {
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
    }
  return maxX - minX > maxY - minY;
}

/**
 * What the library makes of paths, turned by a quarter while it works where they are wider than high. It sweeps from bottom to top and looks
 * at every edge on its level at each point: the letters of a line all lie on one level, and one above the other next to none of them do.
 *
 * @param work puts the library's answer into a tree
 */
function swept(paths: readonly (Paths64 | null)[], work: (paths: (Paths64 | null)[], tree: PolyTree64) => void): Region {
  const tree = new PolyTree64();
  const all = paths.flatMap((some) => some ?? []);
  const points = pointsIn(all);
  countWork(STEPS * points);
  if (points > MANY_POINTS) countCrossings(all);
  const turned = isWide(all);
  work(turned ? paths.map((some) => some && quarterTurned(some)) : [...paths], tree);
  const found = treeToRegion(tree);
  countWork(STEPS * found.reduce((sum, { outer, holes }) => holes.reduce((s, hole) => s + hole.length, sum + outer.length), 0));
  return turned ? found.map(({ outer, holes }) => ({ outer: turnedBack(outer), holes: holes.map(turnedBack) })) : found;
}

const run = (type: ClipType, subject: Paths64, clip: Paths64 | null, fill: Fill): Region =>
  swept([subject, clip], ([a, b], tree) =>
    Clipper.booleanOpWithPolyTree(type, a!, b!, tree, fill === 'nonzero' ? FillRule.NonZero : FillRule.EvenOdd),
  );

/** Operations on more points than this are not done twice: it would cost more than it is worth. */
const CHECKED_POINTS = 4000;

/** Turns of the plane that keep integers whole (they scale it too): what to do to a point, and what to do to the result to get it back. */
const TURNS: readonly { there: (p: XY) => XY; back: (p: Point) => Point }[] = [
  { there: (p) => p, back: (p) => p },
  { there: (p) => ({ x: p.x - p.y, y: p.x + p.y }), back: ([x, y]) => [(x + y) / 2, (y - x) / 2] },
  { there: (p) => ({ x: 3 * p.x - 4 * p.y, y: 4 * p.x + 3 * p.y }), back: ([x, y]) => [(3 * x + 4 * y) / 25, (3 * y - 4 * x) / 25] },
];

/** Whether two areas are the same but for rounding: each crossing moves by up to a thousandth of a mm. */
const sameArea = (a: number, b: number, points: number): boolean => Math.abs(a - b) <= 0.02 + 0.0005 * Math.sqrt(Math.abs(a) * points);

/** The operation done on the turned plane, and turned back. */
function attempt({ there, back }: (typeof TURNS)[number], type: ClipType, subject: Paths64, fill: Fill, clip?: Paths64): Region {
  const turned = (paths: Paths64): Paths64 => paths.map((path) => path.map(there) as Path64);
  const found = run(type, turned(subject), clip ? turned(clip) : null, fill);
  return found.map((part) => ({ outer: part.outer.map(back), holes: part.holes.map((hole) => hole.map(back)) }));
}

/** A ring without points along straight edges. */
const withoutStraight = (ring: readonly XY[]): Path64 =>
  ring.filter((b, i) => {
    const [a, c] = [ring[i > 0 ? i - 1 : ring.length - 1]!, ring[i + 1 < ring.length ? i + 1 : 0]!];
    return (b.x - a.x) * (c.y - b.y) !== (b.y - a.y) * (c.x - b.x);
  }) as Path64;

/** A region of rings of which none meets another: which are outlines and which are holes, only what lies around them tells. */
function nested(paths: Paths64, fill: Fill): Region {
  const rings = paths
    .map((path) => toRing(withoutStraight(path)))
    .map((ring) => ({ ring, area: signedArea(ring), box: boxOfPoints(ring) }));
  const filled = (winding: number) => (fill === 'nonzero' ? winding !== 0 : winding % 2 !== 0);
  const parts: { outer: Ring; holes: Ring[] }[] = [];
  for (const { ring, area } of rings.toSorted((a, b) => Math.abs(b.area) - Math.abs(a.area))) {
    const [x, y] = ring[0]!;
    const around = rings.filter(
      ({ ring: other, area: own, box: { minX, maxX, minY, maxY } }) =>
        Math.abs(own) > Math.abs(area) && x >= minX && x <= maxX && y >= minY && y <= maxY && pointInRing(ring[0]!, other),
    );
    const outside = around.reduce((sum, other) => sum + Math.sign(other.area), 0);
    const [within, without] = [filled(outside + Math.sign(area)), filled(outside)];
    if (within && !without) parts.push({ outer: area > 0 ? ring : ring.toReversed(), holes: [] });
    // the smallest outline around a hole is the one that it lies in: larger ones came before
    if (without && !within) parts.findLast(({ outer }) => pointInRing(ring[0]!, outer))?.holes.push(area < 0 ? ring : ring.toReversed());
  }
  return parts;
}

/**
 * Rings as drawn, untangled by a fill rule into a region. The library goes wrong on some nearly level edges, now and then by whole parts;
 * so this is done
 * on the turned plane as well, and a third turn decides where the two differ.
 *
 * @param once does it once only: half the time, for a first look
 */
export function clipperUntangle(rings: readonly Ring[], fill: Fill, once = false): Region {
  const paths = toPaths(rings);
  if (paths.length === 0) return [];
  const points = pointsIn(paths);
  if (points <= CHECKED_POINTS && !edgesMeet(paths)) return nested(paths, fill);
  const first = attempt(TURNS[0]!, ClipType.Union, paths, fill);
  if (once || points > CHECKED_POINTS) return first;
  const second = attempt(TURNS[1]!, ClipType.Union, paths, fill);
  if (sameArea(regionArea(first), regionArea(second), points)) return first;
  const third = regionArea(attempt(TURNS[2]!, ClipType.Union, paths, fill));
  return Math.abs(third - regionArea(second)) < Math.abs(third - regionArea(first)) ? second : first;
}

/** All that lies in any of the regions, by differences alone: a frame, less what is left of it when each region is taken out. */
function unionByDifferences(regions: readonly Region[]): Region {
  const points = regions.flatMap((region) => ringsOf(region)).flat();
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const least = (values: number[]) => values.reduce((a, b) => Math.min(a, b)) - 1;
  const most = (values: number[]) => values.reduce((a, b) => Math.max(a, b)) + 1;
  const [left, right, low, high] = [least(xs), most(xs), least(ys), most(ys)];
  const frame: Region = [
    {
      outer: [
        [left, low],
        [right, low],
        [right, high],
        [left, high],
      ],
      holes: [],
    },
  ];
  return clipperDifference(
    frame,
    regions.reduce<Region>((rest, region) => clipperDifference(rest, region), frame),
  );
}

/** Whether none of several regions touches another or lies in it. */
function standApart(regions: readonly Region[]): boolean {
  const own = regions.map((region) => toPaths(ringsOf(region)));
  if (
    edgesMeet(
      own.flat(),
      own.flatMap((paths, i) => paths.map(() => i)),
    )
  )
    return false;
  const within = (point: Point, region: Region) =>
    region.some(({ outer, holes }) => pointInRing(point, outer) && !holes.some((hole) => pointInRing(point, hole)));
  return regions.every((a, i) => regions.every((b, j) => i === j || a.every(({ outer }) => !within(outer[0]!, b))));
}

/**
 * All that lies in any of the regions. Its area is checked against |A| + |B \ A|, which the library gets right where its union fails; a
 * union that fails is
 * made by differences.
 *
 * @param once leaves the check out, for a first look
 */
export function clipperUnion(regions: readonly Region[], once = false): Region {
  const paths = toPaths(regions.flatMap((region) => ringsOf(region)));
  if (paths.length === 0) return [];
  const points = pointsIn(paths);
  if (regions.length > 1 && points <= CHECKED_POINTS && standApart(regions)) return regions.flat();
  const found = run(ClipType.Union, paths, null, 'nonzero');
  const [a = [], ...rest] = regions;
  const beyond = rest.flatMap((region) => ringsOf(region));
  if (once || beyond.length === 0 || points > CHECKED_POINTS) return found;
  const wanted = regionArea(a) + regionArea(run(ClipType.Difference, toPaths(beyond), toPaths(ringsOf(a)), 'nonzero'));
  return sameArea(regionArea(found), wanted, points) ? found : unionByDifferences(regions);
}

/**
 * What lies in `a`, and in `b` or not. The area is checked against |A| = |A ∩ B| + |A \ B|; where that does not hold, the turn of the plane
 * on which it does has the answer.
 */
function checkedAgainst(type: ClipType.Intersection | ClipType.Difference, a: Region, b: Region): Region {
  const [subject, clip] = [toPaths(ringsOf(a)), toPaths(ringsOf(b))];
  const found = run(type, subject, clip, 'nonzero');
  const points = pointsIn(subject, clip);
  if (points > CHECKED_POINTS || clip.length === 0) return found;
  const other = type === ClipType.Intersection ? ClipType.Difference : ClipType.Intersection;
  const whole = regionArea(a);
  const holds = (region: Region, rest: Region) => sameArea(regionArea(region) + regionArea(rest), whole, points);
  if (holds(found, run(other, subject, clip, 'nonzero'))) return found;
  for (const turn of TURNS.slice(1)) {
    const again = attempt(turn, type, subject, 'nonzero', clip);
    if (holds(again, attempt(turn, other, subject, 'nonzero', clip))) return again;
  }
  return found;
}

export const clipperIntersect = (a: Region, b: Region): Region =>
  a.length && b.length && boxesMeet(boxOf(a), boxOf(b)) ? checkedAgainst(ClipType.Intersection, a, b) : [];
export const clipperDifference = (a: Region, b: Region): Region => (a.length ? checkedAgainst(ClipType.Difference, a, b) : []);

/** Moves every edge outward by `by` mm (inward when negative) with round corners kept to 0.01 mm. */
export function clipperOffset(region: Region, by: number): Region {
  const paths = toPaths(ringsOf(region));
  if (paths.length === 0) return [];
  const delta = by * CLIPPER_PER_MM;
  // less than half a unit is nothing to the library, which then leaves its tree empty
  if (Math.abs(delta) < 0.5) return run(ClipType.Union, paths, null, 'nonzero');
  // it joins what it moved anyway: its tree needs no second union
  return swept([paths], ([turned], tree) => {
    const offset = new ClipperOffset(2, 0.01 * CLIPPER_PER_MM);
    offset.addPaths(turned!, JoinType.Round, EndType.Polygon);
    offset.execute(delta, tree);
  });
}

export type Cap = 'butt' | 'square' | 'round';
export type Join = 'miter' | 'bevel' | 'round';
const CAPS = { butt: EndType.Butt, square: EndType.Square, round: EndType.Round };
const JOINS = { miter: JoinType.Miter, bevel: JoinType.Bevel, round: JoinType.Round };

/** Points of a way as integers, repeated ones and straight turnings back taken out: they make the library hang. */
function toOpen(points: readonly Point[]): XY[][] {
  const whole = points.map(([x, y]) => ({ x: Math.round(x * CLIPPER_PER_MM), y: Math.round(y * CLIPPER_PER_MM) }));
  const distinct = whole.filter((p, i) => i === 0 || p.x !== whole[i - 1]!.x || p.y !== whole[i - 1]!.y);
  const ways: XY[][] = [];
  let way: XY[] = [];
  for (const p of distinct) {
    if (way.length >= 2 && isSpike(way.at(-2)!, way.at(-1)!, p)) {
      // straight on is one edge; straight back begins a way of its own
      const [a, b] = [way.at(-2)!, way.at(-1)!];
      const back = (b.x - a.x) * (p.x - b.x) + (b.y - a.y) * (p.y - b.y) < 0;
      if (back) {
        ways.push(way);
        way = [b];
      }
    }
    way.push(p);
  }
  ways.push(way);
  return ways;
}

/** The outline of a line drawn with a pen of a width. */
export function clipperStroke(
  lines: readonly { points: readonly Point[]; closed: boolean }[],
  width: number,
  cap: Cap,
  join: Join,
  miterLimit: number,
): Region {
  const delta = (width / 2) * CLIPPER_PER_MM;
  const open: Paths64 = [];
  const closed: Paths64 = [];
  for (const { points, closed: isClosed } of lines) {
    const ways = toOpen(isClosed ? [...points, points[0]!] : points) as Paths64;
    // a ring that turns straight back somewhere is followed as ways: as a ring it would lose what sticks out
    const ring = isClosed && ways.length === 1 ? (withoutSpikes(ways[0]!) as Path64) : [];
    if (ring.length >= 3 && ring.length >= ways[0]!.length - 1) closed.push(ring);
    else open.push(...ways);
  }
  const grow = (paths: Paths64, end: EndType) =>
    paths.length > 0 ? Clipper.inflatePaths(paths, delta, JOINS[join], end, miterLimit, 0.01 * CLIPPER_PER_MM) : [];
  // a single point is a dot where the pen is round or square, and nothing where it is cut off
  const drawn = [...grow(cap === 'butt' ? open.filter((p) => p.length > 1) : open, CAPS[cap]), ...grow(closed, EndType.Joined)];
  return run(
    ClipType.Union,
    drawn.map((p) => withoutSpikes(p) as Path64).filter((p) => p.length >= 3),
    null,
    'nonzero',
  );
}
