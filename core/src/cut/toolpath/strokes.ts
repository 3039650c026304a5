import { applyToPoint, type Ring } from '../../geometry';
import type { FilmLayout, LaidPart } from '../layout';
import { moveLines, type PenLine } from './penLines';

/** One closed outline that the knife follows, and the part that it belongs to. */
export interface Stroke {
  /** mm from the film's lower left corner. */
  readonly ring: Ring;
  /** Which of the layout's parts. */
  readonly part: number;
}

const strokesOfPart = (layout: FilmLayout, part: LaidPart, index: number): Stroke[] =>
  layout.outlines[part.outline]!.flatMap(({ outer, holes }) =>
    [...holes, outer].map((ring) => ({ ring: ring.map((point) => applyToPoint(part.place, point)), part: index })),
  );

/** Every outline of a layout in the order in which it is cut: part by part, what lies inside before what lies around it. */
export const strokesOf = (layout: FilmLayout): Stroke[] => layout.parts.flatMap((part, i) => strokesOfPart(layout, part, i));

/** Every line that a pen writes before the knife is put in, part by part. */
export const penLinesOf = (layout: FilmLayout): PenLine[] =>
  layout.parts.flatMap((part) => moveLines(layout.pens?.[part.outline] ?? [], part.place));

/** How many outlines each part of a layout has, in cutting order. */
export const strokesPerPart = (layout: FilmLayout): number[] =>
  layout.parts.map((part) => layout.outlines[part.outline]!.reduce((sum, { holes }) => sum + 1 + holes.length, 0));
