import { scatterPlaces, type DrawnMark, type Layer } from '../artwork';
import type { Usable } from '../blanks';
import { boxAround, boxHeight, boxOf, boxWidth, type Box, type Point } from '../geometry';
import type { Edit } from '../job';
import { SAME_MM } from '../units';
import { heavyOf, largestIn, zoneFor, type MarkScale, type Scaled } from './largestIn';
import { hullShapes, outlinePoints, shapeMark } from './shapeMark';

/**
 * The changes made to the hulls of the layers only: where a mark lies in a convex zone is decided by its hull, and changes treat a hull as
 * they treat what is in it. Not for a
 * mark that is parted, whose halves move.
 */
function lightShapes(drawn: DrawnMark, mark: Scaled, usable: Usable): ((scale: number) => readonly Layer[]) | undefined {
  if (mark.optical || mark.edits.some((edit) => edit.kind === 'part') || (usable.inner && !zoneFor(usable, 0)?.convex)) return undefined;
  return hullShapes(drawn, mark);
}

/** A load of more tells little about how much smaller it has to be. */
const FAR_OFF = 20;

/**
 * The scale at which a load comes to 1, a load that is a times the scale and b more.
 *
 * @param load 1 where it just fits, above where it is too large
 */
function scaleFor(load: (scale: number) => number, guess: number): number {
  let [s0, l0] = [guess, load(guess)];
  // what adds nothing of its own is right at once
  let s1 = l0 > 0 && l0 < FAR_OFF ? s0 / l0 : s0 * 0.8;
  let l1 = load(s1);
  for (let i = 0; i < 6 && Math.abs(l1 - 1) > 2e-5; i++) {
    const slope = (l1 - l0) / (s1 - s0);
    if (!Number.isFinite(slope) || slope <= 1e-12) break;
    const next = Math.max(s1 / 20, s1 + (1 - l1) / slope);
    [s0, l0] = [s1, l1];
    s1 = next;
    l1 = load(s1);
  }
  return s1;
}

const boxOfLayers = (layers: readonly Layer[]): Box => boxAround(layers.filter((l) => l.region.length > 0).map((l) => boxOf(l.region)));

/**
 * Sizes a scattered mark: its field is given in mm, so the size is that of one copy. As large as fits is the largest at which every copy
 * finds its place.
 */
function scaleScattered(drawn: DrawnMark, mark: Scaled, usable: Usable, shapeAt: (scale: number) => readonly Layer[]): MarkScale {
  const at = mark.edits.findIndex((edit) => edit.kind === 'scatter');
  const scatter = mark.edits[at] as Extract<Edit, { kind: 'scatter' }>;
  const single = hullShapes(drawn, { edits: mark.edits.slice(0, at) });
  const one = (scale: number) => boxOfLayers(single(scale));
  const allPlaced = (scale: number) => {
    const box = one(scale);
    return scatterPlaces(scatter, Math.hypot(boxWidth(box), boxHeight(box))).length === scatter.count;
  };
  const { size } = mark;
  let scale = 0;
  // copies of a size of their own: the size of the mark does not matter
  if (scatter.copy !== undefined) scale = 1;
  else if (size.mode === 'width') scale = scaleFor((s) => boxWidth(one(s)) / size.width, 1);
  else if (size.mode === 'height') scale = scaleFor((s) => boxHeight(one(s)) / size.height, 1);
  else {
    let high = Math.min(scatter.width / drawn.width, scatter.height / drawn.height);
    for (let i = 0; i < 16; i++) {
      const mid = (scale + high) / 2;
      if (allPlaced(mid)) scale = mid;
      else high = mid;
    }
  }
  scale = Math.max(scale, 0.001);
  const box = boxOfLayers(shapeAt(scale));
  const fits = usable.inner && boxWidth(box) <= boxWidth(usable.inner) + SAME_MM && boxHeight(box) <= boxHeight(usable.inner) + SAME_MM;
  return { scale, width: boxWidth(box), height: boxHeight(box), heavy: [0, 0], largestWidth: fits ? boxWidth(box) : 0 };
}

/** Sizes a mark whose changes add mm of their own: each side of it is a times the scale and b more, found from two scales and checked at a third. */
export function scaleUneven(drawn: DrawnMark, mark: Scaled, usable: Usable, start: number): MarkScale {
  const shapes = new Map<number, readonly Layer[]>();
  const once = (make: (scale: number) => readonly Layer[]) => (scale: number) => {
    const made = shapes.get(scale) ?? make(scale);
    shapes.set(scale, made);
    return made;
  };
  const fullShapeAt = once((scale) => shapeMark(drawn, scale, mark));
  if (mark.edits.some((edit) => edit.kind === 'scatter')) return scaleScattered(drawn, mark, usable, fullShapeAt);
  const light = lightShapes(drawn, mark, usable);
  const shapeAt = light ? once(light) : fullShapeAt;
  const boxAt = (scale: number) => boxOfLayers(shapeAt(scale));
  const fitAt = (scale: number) => {
    const layers = shapeAt(scale);
    return largestIn(outlinePoints({ layers }), layers, usable, 0);
  };
  const guess = start > 0 ? start : 1;
  const load = (scale: number) => {
    const { scale: fits } = fitAt(scale);
    return fits > 0 ? 1 / fits : 1e6;
  };
  const largest = usable.inner ? scaleFor(load, guess) : 0;
  const fits = largest > 0 && load(largest) < 1.01;
  const largestWidth = fits ? boxWidth(boxAt(largest)) : 0;
  const { size } = mark;
  const scale =
    size.mode === 'width'
      ? scaleFor((s) => boxWidth(boxAt(s)) / size.width, guess)
      : size.mode === 'height'
        ? scaleFor((s) => boxHeight(boxAt(s)) / size.height, guess)
        : fits
          ? largest
          : 0.001;
  const box = boxAt(scale);
  const heavy: Point = mark.optical ? heavyOf(shapeAt(scale), 1) : [0, 0];
  const found = usable.room && size.mode === 'largest' ? fitAt(scale).at : undefined;
  return { scale, width: boxWidth(box), height: boxHeight(box), heavy, found, largestWidth };
}
