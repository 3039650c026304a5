import type { TechniqueId } from '../facts';
import type { Id } from './ids';
import type { Mark, PullAt } from './job';

/**
 * How a mark is made, with just what belongs to that: derived from the flat fields of the file, in which what one technique needs outlives
 * a change to another
 * and back.
 */
export type Making =
  | { readonly technique: 'decal' }
  /** No paint where none was chosen yet. */
  | { readonly technique: 'stencil'; readonly paint: Id | undefined; readonly coats: number; readonly pullAt: PullAt };

/** What of a mark says how it is made. */
export type Made = Pick<Mark, 'technique' | 'paint' | 'coats' | 'pullAt'>;

/** What of the flat fields belongs to each. */
const MAKINGS: { readonly [T in TechniqueId]: (mark: Made) => Extract<Making, { technique: T }> } = {
  decal: () => ({ technique: 'decal' }),
  stencil: ({ paint, coats, pullAt }) => ({ technique: 'stencil', paint, coats, pullAt }),
};

/** How a mark is made. */
export const makingOf = (mark: Made): Making => MAKINGS[mark.technique](mark);
