import { ETCHING, isStrokeFace, TECHNIQUES, type EdgeSealId, type PaintToolId, type TechniqueId } from '../facts';
import type { Id } from './ids';
import type { Mark, PullAt } from './job';

/** How paint is put on through a stencil or around a mask; no paint where none was chosen yet, no tool where its area decides. */
export interface Painted {
  readonly paint: Id | undefined;
  readonly coats: number;
  readonly pullAt: PullAt;
  readonly edge: EdgeSealId;
  readonly tool: PaintToolId | undefined;
}

/**
 * How a mark is made, with just what belongs to that: derived from the flat fields of the file, in which what one technique needs outlives
 * a change to another
 * and back.
 */
export type Making =
  | { readonly technique: 'decal' }
  | ({ readonly technique: 'stencil' } & Painted)
  | ({ readonly technique: 'mask' } & Painted)
  /** Minutes that the cream stays on. */
  | { readonly technique: 'etched'; readonly dwell: number }
  | { readonly technique: 'heat' }
  | { readonly technique: 'written' };

/** What of a mark says how it is made. */
export type Made = Pick<Mark, 'technique' | 'paint' | 'coats' | 'pullAt' | 'edge' | 'tool' | 'dwell'>;

const painted = ({ paint, coats, pullAt, edge = 'clear', tool }: Made): Painted => ({ paint, coats, pullAt, edge, tool });

/** Whether a mark is lifted with tape: as its technique is, but for one that the maker puts down by hand. */
export const isTaped = ({ technique, placing }: Pick<Mark, 'technique' | 'placing'>): boolean =>
  TECHNIQUES[technique].taped && placing !== 'hand';

/** What of the flat fields belongs to each. */
const MAKINGS: { readonly [T in TechniqueId]: (mark: Made) => Extract<Making, { technique: T }> } = {
  decal: () => ({ technique: 'decal' }),
  stencil: (mark) => ({ technique: 'stencil', ...painted(mark) }),
  mask: (mark) => ({ technique: 'mask', ...painted(mark) }),
  etched: ({ dwell = ETCHING.usual }) => ({ technique: 'etched', dwell }),
  heat: () => ({ technique: 'heat' }),
  written: () => ({ technique: 'written' }),
};

/** How a mark is made. */
export const makingOf = (mark: Made): Making => MAKINGS[mark.technique](mark);

/** Whether the words of a mark are in single strokes, for a pen: every line that says something is. */
export const writesStrokes = ({ artwork }: Pick<Mark, 'artwork'>): boolean =>
  artwork.kind === 'text' && artwork.lines.every(({ text, face }) => text.trim() === '' || isStrokeFace(face));
