import { applyToPoint } from '../../geometry';
import type { Nesting, NestPart } from './nester';

/** How far along the film a nesting reaches, mm. */
export const nestedLength = ({ nested }: Pick<Nesting, 'nested'>, parts: readonly NestPart[]): number => {
  let most = 0;
  for (const { part, place } of nested)
    for (const { outer } of parts[part]!.region) for (const point of outer) most = Math.max(most, applyToPoint(place, point)[1]);
  return most;
};
