import type { Machine } from '../job';

/** What goes into a machine in one go, mm. */
export interface Load {
  readonly width: number;
  readonly length: number;
}

/** The largest piece of film that a machine takes in one go: straight from the roll, or what the largest of its carrier sheets holds. */
export function oneLoad({ rollFed, width, most, carriers = [] }: Pick<Machine, 'rollFed' | 'width' | 'most' | 'carriers'>): Load {
  if (rollFed || carriers.length === 0) return { width, length: most };
  const beds = carriers.map((one): Load => ({ width: Math.min(width, one.width), length: Math.min(most, one.length) }));
  return beds.reduce((best, one) => (one.width * one.length > best.width * best.length ? one : best));
}
