import { difference } from './boolean';
import { regionArea } from './area';
import { pointInRing } from './pointInRing';
import type { Point, Region } from './point';
import { ringsOf } from './point';

/** Whether a point lies in a region. */
export const pointInside = (point: Point, region: Region): boolean =>
  ringsOf(region).reduce((within, ring) => (pointInRing(point, ring) ? !within : within), false);

/**
 * Whether a region lies within another.
 *
 * @param slack how much area may stick out, mm² (edges are rounded to a thousandth of a mm)
 */
export const regionInside = (inner: Region, outer: Region, slack = 0.01): boolean => regionArea(difference(inner, outer)) <= slack;
