import type { Point, Region } from './point';

/** An upright rectangle, mm. */
export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The least box around points; of none, a box of no size at the origin. */
export function boxOfPoints(points: Iterable<Point>): Box {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    if (x < minX) minX = x;
    if (x > maxX) maxX = x;
    if (y < minY) minY = y;
    if (y > maxY) maxY = y;
  }
  return minX > maxX ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : { minX, minY, maxX, maxY };
}

const boxes = new WeakMap<Region, Box>();

/** The least box around a region; of an empty one, a box of no size at the origin. Regions are never changed, so each is looked at once. */
export function boxOf(region: Region): Box {
  const known = boxes.get(region);
  if (known) return known;
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { outer, holes } of region) {
    // holes lie within, unless a region is not yet sound
    for (const ring of [outer, ...holes]) {
      for (const [x, y] of ring) {
        if (x < minX) minX = x;
        if (x > maxX) maxX = x;
        if (y < minY) minY = y;
        if (y > maxY) maxY = y;
      }
    }
  }
  const box = minX > maxX ? { minX: 0, minY: 0, maxX: 0, maxY: 0 } : { minX, minY, maxX, maxY };
  boxes.set(region, box);
  return box;
}

/** Whether two boxes share some area; those that only touch do not. */
export const boxesMeet = (a: Box, b: Box): boolean => a.minX < b.maxX && b.minX < a.maxX && a.minY < b.maxY && b.minY < a.maxY;

export const boxWidth = (box: Box): number => box.maxX - box.minX;
export const boxHeight = (box: Box): number => box.maxY - box.minY;
export const boxCentre = (box: Box): Point => [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];

/** The least box around several. */
export const boxAround = (boxes: readonly Box[]): Box =>
  boxOfPoints(
    boxes.flatMap((b): Point[] => [
      [b.minX, b.minY],
      [b.maxX, b.maxY],
    ]),
  );

/** A box made larger by `by` mm on each side (smaller when negative). */
export const growBox = (box: Box, by: number): Box => ({
  minX: box.minX - by,
  minY: box.minY - by,
  maxX: box.maxX + by,
  maxY: box.maxY + by,
});

/** A box as a region of one part. */
export const boxRegion = (box: Box): Region => [
  {
    outer: [
      [box.minX, box.minY],
      [box.maxX, box.minY],
      [box.maxX, box.maxY],
      [box.minX, box.maxY],
    ],
    holes: [],
  },
];
