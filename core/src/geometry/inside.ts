import { difference } from './boolean';
import { regionArea } from './area';
import type { Point, Region, Ring } from './point';
import { ringsOf } from './point';

/** Whether a point lies within a ring, by counting crossings to the right; on the edge either answer may come. */
export function pointInRing([x, y]: Point, ring: Ring): boolean {
  let within = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[i]!;
    const [bx, by] = ring[j]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) within = !within;
  }
  return within;
}

/** Whether a point lies in a region. */
export const pointInside = (point: Point, region: Region): boolean =>
  ringsOf(region).reduce((within, ring) => (pointInRing(point, ring) ? !within : within), false);

/**
 * Whether a region lies within another.
 *
 * @param slack how much area may stick out, mm² (edges are rounded to a thousandth of a mm)
 */
export const regionInside = (inner: Region, outer: Region, slack = 0.01): boolean => regionArea(difference(inner, outer)) <= slack;
