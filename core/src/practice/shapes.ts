import { simpleShape, type SimpleShapeId } from '../artwork';
import { applyToRegion, difference, flatten, regionOf, scaling, type Region } from '../geometry';

/** A simple shape as a region, so large across, mm, around the origin. */
export const shapeRegion = (id: SimpleShapeId, size: number): Region => regionOf(flatten(simpleShape(id), scaling(size / 100)), 'evenodd');

/** A shape with another taken out of its middle: something with an inside. */
export const withInside = (outer: SimpleShapeId, inner: SimpleShapeId, size: number): Region =>
  difference(shapeRegion(outer, size), applyToRegion(scaling(0.42), shapeRegion(inner, size)));
