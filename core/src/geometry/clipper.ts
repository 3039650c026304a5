import { ClipType, Clipper, EndType, FillRule, JoinType, PolyTree64, type Path64, type Paths64, type PolyPath64 } from 'clipper2-ts';
import { CLIPPER_PER_MM } from '../units';
import type { Part, Point, Region, Ring } from './point';
import { ringsOf } from './point';

/*
 * The only door to the polygon library. Everything crosses it as integers, a thousandth of a mm each. The library never
 * returns on some paths that run back along themselves, so repeated and spike points are removed first, always.
 */

export type Fill = 'nonzero' | 'evenodd';

interface XY {
  x: number;
  y: number;
}

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
const toRing = (path: Path64): Ring => path.map((p): Point => [p.x / CLIPPER_PER_MM, p.y / CLIPPER_PER_MM]);

function treeToRegion(tree: PolyTree64): Region {
  const parts: Part[] = [];
  const stack: PolyPath64[] = [];
  const children = (node: PolyPath64 | PolyTree64) => Array.from({ length: node.count }, (_, i) => node.child(i) as PolyPath64);
  stack.push(...children(tree));
  while (stack.length) {
    const outer = stack.pop()!;
    const holes = children(outer);
    if (outer.poly) parts.push({ outer: toRing(outer.poly), holes: holes.flatMap((hole) => (hole.poly ? [toRing(hole.poly)] : [])) });
    for (const hole of holes) stack.push(...children(hole));
  }
  return parts;
}

function operate(type: ClipType, subject: Paths64, clip: Paths64 | null, fill: Fill): Region {
  if (subject.length === 0 && (!clip || clip.length === 0)) return [];
  const tree = new PolyTree64();
  Clipper.booleanOpWithPolyTree(type, subject, clip, tree, fill === 'nonzero' ? FillRule.NonZero : FillRule.EvenOdd);
  return treeToRegion(tree);
}

/** Rings as drawn, untangled by a fill rule into a region. */
export const clipperUntangle = (rings: readonly Ring[], fill: Fill): Region => operate(ClipType.Union, toPaths(rings), null, fill);
export const clipperUnion = (regions: readonly Region[]): Region =>
  operate(ClipType.Union, toPaths(regions.flatMap((region) => ringsOf(region))), null, 'nonzero');
export const clipperIntersect = (a: Region, b: Region): Region =>
  a.length && b.length ? operate(ClipType.Intersection, toPaths(ringsOf(a)), toPaths(ringsOf(b)), 'nonzero') : [];
export const clipperDifference = (a: Region, b: Region): Region =>
  a.length ? operate(ClipType.Difference, toPaths(ringsOf(a)), toPaths(ringsOf(b)), 'nonzero') : [];

/** Moves every edge outward by `by` mm (inward when negative) with round corners kept to 0.01 mm. */
export function clipperOffset(region: Region, by: number): Region {
  const paths = toPaths(ringsOf(region));
  if (paths.length === 0) return [];
  const moved = Clipper.inflatePaths(paths, by * CLIPPER_PER_MM, JoinType.Round, EndType.Polygon, 2, 0.01 * CLIPPER_PER_MM);
  return operate(ClipType.Union, moved.map((p) => withoutSpikes(p) as Path64).filter((p) => p.length >= 3), null, 'nonzero');
}
