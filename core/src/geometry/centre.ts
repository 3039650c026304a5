import { signedArea } from './area';
import { ringsOf, type Point, type Region } from './point';

/** The middle of a region's area (its centroid), mm; of an empty one the origin. */
export function regionCentre(region: Region): Point {
  let [x, y, total] = [0, 0, 0];
  for (const ring of ringsOf(region)) {
    total += signedArea(ring);
    ring.forEach(([ax, ay], i) => {
      const [bx, by] = ring[(i + 1) % ring.length]!;
      const cross = ax * by - bx * ay;
      x += ((ax + bx) * cross) / 6;
      y += ((ay + by) * cross) / 6;
    });
  }
  return total === 0 ? [0, 0] : [x / total, y / total];
}
