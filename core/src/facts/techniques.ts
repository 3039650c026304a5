export type TechniqueId = 'decal' | 'stencil';

/** How a mark is made, and what that means for cutting and weeding. */
export interface Technique {
  readonly name: string;
  /** What is pulled off the liner. */
  readonly weeded: 'surround' | 'mark';
  /** What the film must be for it. */
  readonly filmStays: boolean;
  readonly says: string;
}

export const TECHNIQUES: Record<TechniqueId, Technique> = {
  decal: {
    name: 'decal',
    weeded: 'surround',
    filmStays: true,
    says: 'Pull the surround and the counters away; the letters stay.',
  },
  stencil: {
    name: 'painted stencil',
    weeded: 'mark',
    filmStays: false,
    says: 'Pull the letters out; the surround and the counters stay as the mask.',
  },
};
