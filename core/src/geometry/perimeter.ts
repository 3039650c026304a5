import { distance, ringsOf, type Region, type Ring } from './point';

/** The length of a closed ring, mm. */
export const ringLength = (ring: Ring): number => ring.reduce((sum, p, i) => sum + distance(p, ring[(i + 1) % ring.length]!), 0);

/** The length of all edges of a region, mm: what a knife would cut. */
export const edgeLength = (region: Region): number => ringsOf(region).reduce((sum, ring) => sum + ringLength(ring), 0);
