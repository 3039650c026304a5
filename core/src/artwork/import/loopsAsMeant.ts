import { boxOfPoints, flatten, pointInRing, signedArea, type Box, type Ring, type Segment } from '../../geometry';
import { reversed, type Way } from './dxfWays';

interface Loop {
  readonly way: Way;
  readonly ring: Ring;
  readonly box: Box;
  readonly area: number;
}

/** No more loops than this are looked at against each other; beyond, what lies in another is a hole and that is all. */
const MOST_LOOPS = 3000;

const near = (a: Box, b: Box, by: number): boolean =>
  (['minX', 'minY', 'maxX', 'maxY'] as const).every((side) => Math.abs(a[side] - b[side]) <= by);

/** Whether every point of one loop lies in another. */
const liesIn = (inner: Loop, outer: Loop): boolean =>
  outer.area > inner.area &&
  inner.box.minX >= outer.box.minX &&
  inner.box.maxX <= outer.box.maxX &&
  inner.box.minY >= outer.box.minY &&
  inner.box.maxY <= outer.box.maxY &&
  inner.ring.every((p) => pointInRing(p, outer.ring));

/**
 * Closed ways of one colour as makers mean them: drawn twice they count once; what lies wholly in another is a hole, and in that one an island;
 * what overlaps is joined.
 *
 * @param same what is nearer than this is in one place, units of the drawing
 * @returns a path to be filled by the nonzero rule, and how many were there twice
 */
export function loopsAsMeant(ways: readonly Way[], same: number): { path: Segment[]; twice: number; fill: 'nonzero' | 'evenodd' } {
  const pathOf = (way: Way): Segment[] => [['M', way.from], ...way.segments, ['Z']];
  if (ways.length > MOST_LOOPS) return { path: ways.flatMap(pathOf), twice: 0, fill: 'evenodd' };
  const loops: Loop[] = [];
  let twice = 0;
  for (const way of ways) {
    const path = pathOf(way);
    const rough = boxOfPoints(path.flatMap((segment) => segment.slice(1) as [number, number][]));
    const size = Math.max(rough.maxX - rough.minX, rough.maxY - rough.minY);
    const ring = flatten(path, [1, 0, 0, 1, 0, 0], Math.max(1e-9, size / 2000))[0] ?? [];
    if (ring.length < 3) continue;
    const box = boxOfPoints(ring);
    const area = Math.abs(signedArea(ring));
    const again = loops.some((one) => near(one.box, box, same) && Math.abs(one.area - area) <= same * (size + same) * 2);
    if (again) twice += 1;
    else loops.push({ way, ring, box, area });
  }
  const path = loops.flatMap((loop) => {
    const depth = loops.reduce((sum, other) => sum + (other !== loop && liesIn(loop, other) ? 1 : 0), 0);
    const left = signedArea(loop.ring) > 0;
    return pathOf(left === (depth % 2 === 0) ? loop.way : reversed(loop.way));
  });
  return { path, twice, fill: 'nonzero' };
}
