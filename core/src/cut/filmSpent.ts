import { applyToRegion, boxRegion, difference, offset } from '../geometry';
import { LAYOUT } from '../facts';
import { largestBoxIn } from './onPiece';
import { nestedLength } from './nest/nestedLength';
import type { Nested, NestOptions, NestPart } from './nest/nester';
import { sheetWidth, type Sheet } from './nest/sheet';

/**
 * What a layout on a roll spends, mm²: the film that it takes, less a share of the largest upright box that is left free in it, where that is large
 * enough to be kept. Of two layouts the one that spends less is better: a little more length may leave an offcut that is worth it.
 *
 * @param nested every copy in its place
 */
export function filmSpent(nested: readonly Nested[], parts: readonly NestPart[], sheet: Sheet, { gap, holdDown }: NestOptions): number {
  const taken = nestedLength({ nested }, parts) + holdDown;
  const width = sheetWidth(sheet);
  const out = nested.flatMap(({ part, place }) => applyToRegion(place, offset(parts[part]!.region, gap)));
  const free = difference(boxRegion({ minX: 0, minY: 0, maxX: width, maxY: taken }), out);
  const boxes = free.map((region) => largestBoxIn([region])).filter((box) => Math.min(box.width, box.length) >= LAYOUT.leastOffcut);
  const most = boxes.reduce((sum, box) => Math.max(sum, box.width * box.length), 0);
  return taken * width - LAYOUT.offcutWorth * most;
}
