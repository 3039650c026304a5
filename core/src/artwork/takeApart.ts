import { boxOfPaths, flatten, pointInRing, signedArea, type Box, type Path, type Point, type Ring, type Segment } from '../geometry';
import type { DrawnPart } from '../job';

/** No more parts than this: nobody picks among more. */
const MOST_PARTS = 2000;

/** The subpaths of a path. */
function subpaths(path: Path): Segment[][] {
  const all: Segment[][] = [];
  for (const segment of path) {
    if (segment[0] === 'M' || all.length === 0) all.push([]);
    all.at(-1)!.push(segment);
  }
  return all.filter((sub) => sub.length > 1);
}

/**
 * Parts a drawing into the things that can be picked: every outline with its own holes. A dot becomes a part of its own.
 *
 * @param newId gives an id for each new part
 * @returns parts in the old order, with their colours; a part that cannot be parted keeps its id
 */
export function takeApart(parts: readonly DrawnPart[], newId: () => string): DrawnPart[] {
  let left = MOST_PARTS;
  return parts.flatMap((part): DrawnPart[] => {
    const subs = subpaths(part.path);
    if (subs.length < 2 || subs.length > left) return [part];
    const boxes = subs.map((sub) => boxOfPaths([sub]));
    const size = (box: Box) => Math.max(box.maxX - box.minX, box.maxY - box.minY);
    const rings = subs.map((sub, i): Ring => flatten(sub, [1, 0, 0, 1, 0, 0], Math.max(1e-9, size(boxes[i]!) / 400))[0] ?? []);
    const areas = rings.map((ring) => Math.abs(signedArea(ring)));
    const within = (i: number, j: number) => {
      const [a, b] = [boxes[i]!, boxes[j]!];
      const p: Point | undefined = rings[i]![0];
      return (
        p !== undefined &&
        areas[j]! > areas[i]! &&
        a.minX >= b.minX &&
        a.maxX <= b.maxX &&
        a.minY >= b.minY &&
        a.maxY <= b.maxY &&
        pointInRing(p, rings[j]!)
      );
    };
    const around = subs.map((_, i) => subs.flatMap((__, j) => (j !== i && within(i, j) ? [j] : [])));
    const groups = new Map<number, number[]>();
    subs.forEach((_, i) => {
      // an odd number of outlines around it: a hole of the nearest of them
      const owner = around[i]!.length % 2 === 1 ? around[i]!.reduce((a, b) => (areas[b]! < areas[a]! ? b : a)) : i;
      groups.set(owner, [...(groups.get(owner) ?? []), i]);
    });
    if (groups.size < 2) return [part];
    left -= groups.size;
    return [...groups.values()].map((members) => ({ ...part, id: newId(), path: members.flatMap((i) => subs[i]!) }));
  });
}

/** Parts kept together as one, in the colour of the first. */
export function keepTogether(parts: readonly DrawnPart[], ids: ReadonlySet<string>): DrawnPart[] {
  const chosen = parts.filter((part) => ids.has(part.id));
  const [first] = chosen;
  if (!first || chosen.length < 2) return [...parts];
  const fill = chosen.every((part) => part.fill === first.fill) ? first.fill : 'evenodd';
  const one: DrawnPart = { ...first, path: chosen.flatMap((part) => part.path), fill };
  return parts.flatMap((part) => (part === first ? [one] : ids.has(part.id) ? [] : [part]));
}
