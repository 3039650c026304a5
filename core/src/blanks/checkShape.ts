import type { Shape } from '../job';
import { good, type Result } from '../units';
import { checkBulb } from './unroll/bulb';
import { checkTaper } from './unroll/taper';
import { checkMeasure } from './wall';

/** The measures of a shape, mm, by name. */
const measuresOf = (shape: Shape): [name: string, mm: number][] => {
  switch (shape.kind) {
    case 'flat':
      return [
        ['Width', shape.width],
        ['Height', shape.height],
      ];
    case 'cylinder':
      return [
        ['Diameter', shape.diameter],
        ['Height', shape.height],
      ];
    case 'taper':
      return [
        ['Diameter at the rim', shape.rim],
        ['Diameter at the foot', shape.foot],
        ['Height', shape.height],
      ];
    case 'bulb':
      return [
        ['Diameter', shape.diameter],
        ['Height', shape.height],
        ['Radius along the wall', shape.along],
      ];
  }
};

/** Whether there can be a piece of this shape: each measure by itself, and all of them together. */
export function checkShape(shape: Shape): Result<Shape> {
  for (const [name, mm] of measuresOf(shape)) {
    // how a wall curves has no greatest radius
    const measure =
      shape.kind === 'bulb' && name === 'Radius along the wall' && mm > 0 && Number.isFinite(mm) ? good(mm) : checkMeasure(mm, name);
    if (!measure.ok) return measure;
  }
  return shape.kind === 'taper' ? checkTaper(shape) : shape.kind === 'bulb' ? checkBulb(shape) : good(shape);
}
