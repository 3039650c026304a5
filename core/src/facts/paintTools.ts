import { TRADE, type Column } from './fact';

export type PaintToolId = 'sponge' | 'foam' | 'roller' | 'spray';
export type EdgeSealId = 'ground' | 'clear' | 'none';

export const PAINT_TOOLS_COLUMN: Column = { unit: 'mm, m², min', source: TRADE };

/** What paint is put on with, through a stencil or around a mask. */
export const PAINT_TOOLS: Record<
  PaintToolId,
  {
    readonly name: string;
    /** Masked beyond the film of a stencil, mm; with paper over all else. */
    readonly mask: number;
    readonly paper: boolean;
    /** The largest open area that it is the usual tool for, m²; none where it is never taken by itself. */
    readonly upTo?: number;
    /** How it is moved, after the name of the paint. */
    readonly how: string;
  }
> = {
  sponge: {
    name: 'a sponge',
    mask: 25,
    paper: false,
    upTo: 0.01,
    how: 'with a sponge that is nearly dry, straight down. Brushing pushes paint under the edge.',
  },
  foam: {
    name: 'a foam pad',
    mask: 25,
    paper: false,
    upTo: 0.05,
    how: 'with a foam pad that is nearly dry, straight down and lifted straight up.',
  },
  roller: {
    name: 'a foam roller',
    mask: 40,
    paper: false,
    upTo: Infinity,
    how: 'with a foam roller, rolled off on paper first until it hardly marks, and no pressure at the edges.',
  },
  spray: {
    name: 'a spray',
    mask: 60,
    paper: true,
    how: 'sprayed from straight above in thin passes; never at a slant, which blows it under the edge.',
  },
};

/** What stops paint from creeping under the edge of a stencil or mask: three schools. */
export const EDGE_SEALS: Record<EdgeSealId, { readonly name: string }> = {
  ground: { name: "the ground's own colour" },
  clear: { name: 'clear sealer' },
  none: { name: 'nothing' },
};
