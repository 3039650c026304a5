import type { NestPart } from '../src/cut';
import { applyToRegion, boxRegion, intersection, numbersFrom, regionArea, rotation, type Point, type Region } from '../src/geometry';

/** A rectangle cut by straight lines through its largest part, over and over; each part turned by quarters: how they fill it again is known. */
export function cutUp(width: number, height: number, count: number, seed: number): NestPart[] {
  const random = numbersFrom(seed);
  let parts: Region[] = [boxRegion({ minX: 0, minY: 0, maxX: width, maxY: height })];
  while (parts.length < count) {
    const [largest, ...others] = parts.toSorted((a, b) => regionArea(b) - regionArea(a)) as [Region, ...Region[]];
    const points = largest[0]!.outer;
    const middle = [0, 1].map((k) => points.reduce((sum, p) => sum + p[k]!, 0) / points.length) as [number, number];
    const angle = random() * Math.PI;
    const [dx, dy] = [1000 * Math.cos(angle), 1000 * Math.sin(angle)];
    const side = (way: number): Region => {
      const ring = [
        [-dx, -dy] as const,
        [dx, dy] as const,
        [dx - way * dy, dy + way * dx] as const,
        [-dx - way * dy, -dy + way * dx] as const,
      ];
      const outer = ring.map(([x, y]): Point => [x + middle[0], y + middle[1]]);
      return [{ outer: way > 0 ? outer : outer.toReversed(), holes: [] }];
    };
    parts = [...others, intersection(largest, side(1)), intersection(largest, side(-1))];
  }
  return parts.map((region) => ({ region: applyToRegion(rotation((Math.floor(random() * 4) * Math.PI) / 2), region), copies: 1 }));
}
