import { applyToPoint, boxOfPoints, type Region, type Ring } from '../../geometry';
import type { FilmLayout, LaidPart } from '../layout';
import { moveLines, type PenLine } from './penLines';

/** One closed outline that the knife follows, and the part that it belongs to. */
export interface Stroke {
  /** mm from the film's lower left corner. */
  readonly ring: Ring;
  /** Which of the layout's parts. */
  readonly part: number;
}

/** How large the upright box around a ring is, mm². */
const reach = (ring: Ring): number => {
  const { minX, maxX, minY, maxY } = boxOfPoints(ring);
  return (maxX - minX) * (maxY - minY);
};

/** The rings of a part as they are cut where no order was looked for: what lies within another is smaller than it, and comes before it. */
export const ringsToCut = (region: Region): Ring[] =>
  region
    .flatMap(({ outer, holes }) => [...holes, outer])
    .map((ring) => ({ ring, size: reach(ring) }))
    .toSorted((a, b) => a.size - b.size)
    .map(({ ring }) => ring);

const begunAt = (ring: Ring, start: number): Ring => (start === 0 ? ring : [...ring.slice(start), ...ring.slice(0, start)]);

function strokesOfPart(layout: FilmLayout, { outline, place, cut }: LaidPart, index: number): Stroke[] {
  const rings = ringsToCut(layout.outlines[outline]!);
  const order = cut ?? rings.map((_, contour) => ({ contour, start: 0 }));
  return order.map(({ contour, start }) => ({
    ring: begunAt(rings[contour]!, start).map((point) => applyToPoint(place, point)),
    part: index,
  }));
}

/** Every outline of a layout in the order in which it is cut: part by part, what lies inside before what lies around it. */
export const strokesOf = (layout: FilmLayout): Stroke[] => layout.parts.flatMap((part, i) => strokesOfPart(layout, part, i));

/** Every line that a pen writes before the knife is put in, part by part. */
export const penLinesOf = (layout: FilmLayout): PenLine[] =>
  layout.parts.flatMap((part) => moveLines(layout.pens?.[part.outline] ?? [], part.place));

/** How many outlines each part of a layout has, in cutting order. */
export const strokesPerPart = (layout: FilmLayout): number[] =>
  layout.parts.map((part) => layout.outlines[part.outline]!.reduce((sum, { holes }) => sum + 1 + holes.length, 0));
