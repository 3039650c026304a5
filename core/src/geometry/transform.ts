import type { Point, Region, Ring } from './point';
import { signedArea } from './area';

/** An affine map [a b c d e f]: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Transform = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Transform = [1, 0, 0, 1, 0, 0];
export const translation = (x: number, y: number): Transform => [1, 0, 0, 1, x, y];
export const scaling = (x: number, y = x): Transform => [x, 0, 0, y, 0, 0];
/** Mirrors left and right about the upright line at `x`. */
export const mirrorAt = (x: number): Transform => [-1, 0, 0, 1, 2 * x, 0];
/** A turn counter-clockwise about the origin, radians. */
export const rotation = (angle: number): Transform => [Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0];

/** The map that does `first` and then `second`. */
export const then = (first: Transform, second: Transform): Transform => {
  const [a, b, c, d, e, f] = first;
  const [A, B, C, D, E, F] = second;
  return [A * a + C * b, B * a + D * b, A * c + C * d, B * c + D * d, A * e + C * f + E, B * e + D * f + F];
};

export const applyToPoint = (map: Transform, p: Point): Point => [
  map[0] * p[0] + map[2] * p[1] + map[4],
  map[1] * p[0] + map[3] * p[1] + map[5],
];

const wound = (ring: Ring, counterClockwise: boolean): Ring => (signedArea(ring) > 0 === counterClockwise ? ring : ring.toReversed());

/** Maps a region and keeps its winding right, also when the map mirrors. */
export function applyToRegion(map: Transform, region: Region): Region {
  const mirrors = map[0] * map[3] - map[1] * map[2] < 0;
  const [a, b, c, d, e, f] = map;
  const ring = (points: Ring, outer: boolean): Ring => {
    // every plan maps thousands of points
    const mapped = new Array<Point>(points.length);
    for (let i = 0; i < points.length; i++) {
      const p = points[i]!;
      mapped[i] = [a * p[0] + c * p[1] + e, b * p[0] + d * p[1] + f];
    }
    return mirrors ? wound(mapped, outer) : mapped;
  };
  return region.map((part) => ({ outer: ring(part.outer, true), holes: part.holes.map((hole) => ring(hole, false)) }));
}
