import { applyToRegion, boxCentre, boxOf, translation, type Point, type Region } from '../geometry';

/** Shapes whose middles are nearer than this are the same, mm: the mark was not changed since. */
const SAME_PLACE = 0.5;

/** Middles of the boxes of shapes of a part, mm from its own middle: they tell which of them were lost. */
export const shapeMiddles = (region: Region): Point[] => region.map((part) => boxCentre(boxOf([part])));

/**
 * The shapes of a part that were lost, around a middle of their own.
 *
 * @param region the part as it is cut, around its middle
 * @param lost middles of the shapes that were lost; nothing when all of it was
 * @returns the whole part when the mark was changed since, so that its shapes are not the ones that were lost
 */
export function lostShapes(region: Region, lost: readonly { readonly x: number; readonly y: number }[] | undefined): Region {
  if (!lost) return region;
  const middles = shapeMiddles(region);
  const found = lost.map(({ x, y }) => middles.findIndex(([mx, my]) => Math.hypot(mx - x, my - y) <= SAME_PLACE));
  if (found.includes(-1)) return region;
  const shapes = [...new Set(found)].toSorted((a, b) => a - b).map((i) => region[i]!);
  const [cx, cy] = boxCentre(boxOf(shapes));
  return applyToRegion(translation(-cx, -cy), shapes);
}
