import { boxHeight, boxOf, boxWidth } from '../../geometry';
import type { Nesting, NestPart } from './nester';

/** How far along the film a nesting reaches, mm. */
export const nestedLength = ({ nested }: Pick<Nesting, 'nested'>, parts: readonly NestPart[]): number =>
  nested.reduce((most, { part, place }) => {
    const box = boxOf(parts[part]!.region);
    const [w, h] = [boxWidth(box) / 2, boxHeight(box) / 2];
    const [, cy] = [0, place[1] * ((box.minX + box.maxX) / 2) + place[3] * ((box.minY + box.maxY) / 2) + place[5]];
    return Math.max(most, cy + Math.abs(place[1]) * w + Math.abs(place[3]) * h);
  }, 0);
