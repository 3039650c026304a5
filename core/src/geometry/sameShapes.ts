import { boxOfPoints } from './box';
import type { Part, Point, Region, Ring } from './point';

/** Points no further from another's than this, mm, are the same: outlines are kept in thousandths of a mm. */
const SAME_MM = 0.003;

/** Whether two rings are the same shape, one moved against the other. */
const sameRing = (a: Ring, b: Ring, dx: number, dy: number): boolean =>
  a.length === b.length && a.every((p, i) => Math.abs(b[i]![0] - p[0] - dx) <= SAME_MM && Math.abs(b[i]![1] - p[1] - dy) <= SAME_MM);

/** How far a part is moved against one of the same shape; undefined where they differ, mirrored ones too. */
function movedBy(known: Part, part: Part): Point | undefined {
  if (known.holes.length !== part.holes.length || known.outer.length !== part.outer.length) return undefined;
  const [dx, dy] = [part.outer[0]![0] - known.outer[0]![0], part.outer[0]![1] - known.outer[0]![1]];
  const same = sameRing(known.outer, part.outer, dx, dy) && known.holes.every((hole, i) => sameRing(hole, part.holes[i]!, dx, dy));
  return same ? [dx, dy] : undefined;
}

/** Parts of one number of points and one size may be one shape. */
function sizeKey(part: Part): string {
  const box = boxOfPoints(part.outer);
  return `${part.outer.length} ${part.holes.length} ${(box.maxX - box.minX).toFixed(1)}`;
}

/**
 * Works something out for every part of a region, once for parts that are the same but for their place, as letters are that come again.
 *
 * @param find for one part
 * @param move what was found for a part, for the same shape `by` mm from it
 */
export function forEachShape<R>(region: Region, find: (part: Part) => R, move: (found: R, by: Point) => R): R[] {
  if (region.length === 1) return [find(region[0]!)];
  const known = new Map<string, { part: Part; found: R }[]>();
  return region.map((part) => {
    const key = sizeKey(part);
    const alike = known.get(key) ?? [];
    for (const one of alike) {
      const by = movedBy(one.part, part);
      if (by) return move(one.found, by);
    }
    const found = find(part);
    known.set(key, [...alike, { part, found }]);
    return found;
  });
}
