import { distance, ringsOf, type Region, type Ring } from './point';

/** The length of a closed ring, mm. */
export function ringLength(ring: Ring): number {
  let sum = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) sum += distance(ring[j]!, ring[i]!);
  return sum;
}

/** The length of all edges of a region, mm: what a knife would cut. */
export const edgeLength = (region: Region): number => ringsOf(region).reduce((sum, ring) => sum + ringLength(ring), 0);
