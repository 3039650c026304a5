import { reshapes, thickenedBy, type DrawnMark, type Layer } from '../artwork';
import type { Usable } from '../blanks';
import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxOfPoints,
  boxWidth,
  growBox,
  translation,
  type Box,
  type Point,
} from '../geometry';
import type { Mark } from '../job';
import { heavyOf, largestIn, placeOf, type Sizing } from './largestIn';
import { shapeMark } from './shapeMark';
import { sizeUneven } from './sizeUneven';

/** A mark at its size and place on the wall, mm. */
export interface FittedMark extends Sizing {
  readonly layers: readonly Layer[];
  readonly box: Box;
  readonly width: number;
  readonly height: number;
}

/**
 * How large a mark becomes, and where its middle goes.
 *
 * @param drawn the mark around its own middle
 * @param outline its outer points, from `outlinePoints`
 * @param mark the user's size, place and changes
 * @param usable what the zone leaves
 * @param shapeAt the layers with their changes at a scale; asked for only where changes alter the size unevenly
 */
export function sizeMark(
  drawn: DrawnMark,
  outline: readonly Point[],
  mark: Mark,
  usable: Usable,
  shapeAt: (scale: number) => readonly Layer[] = (scale) => shapeMark(drawn, scale, mark),
): Sizing {
  if (drawn.layers.length === 0) return { scale: 1, at: boxCentre(usable.inner ?? usable.clear), largestWidth: 0 };
  const uneven = reshapes(mark.edits);
  const thick = uneven ? 0 : thickenedBy(mark.edits);
  const plain = largestIn(outline, drawn.layers, usable, thick);
  if (uneven) return sizeUneven(drawn, mark, usable, plain.scale, shapeAt);
  const sized = (scale: number): Sizing => {
    const [width, height] = [scale * drawn.width + 2 * thick, scale * drawn.height + 2 * thick];
    const heavy: Point = mark.optical ? heavyOf(drawn.layers, scale) : [0, 0];
    return {
      scale,
      at: placeOf(mark, usable, width, height, plain.at, heavy),
      largestWidth: plain.scale > 0 ? plain.scale * drawn.width + 2 * thick : 0,
    };
  };
  const typed = (side: number, own: number) => Math.max(0.01, (side - 2 * thick) / own);
  if (mark.size.mode === 'width') return sized(typed(mark.size.width, drawn.width));
  if (mark.size.mode === 'height') return sized(typed(mark.size.height, drawn.height));
  const first = sized(Math.max(plain.scale, 0.001));
  const moved = mark.offset.x !== 0 || mark.offset.y !== 0 || mark.optical;
  if (!moved || plain.scale <= 0 || mark.hold) return first;
  const here = largestIn(outline, drawn.layers, usable, thick, first.at).scale;
  return { ...first, scale: Math.max(here, 0.001) };
}

/** Puts shaped layers at their place on the wall. */
export function placeMark(layers: readonly Layer[], sizing: Sizing): FittedMark {
  const placed = layers.map(({ film, region }) => ({ film, region: applyToRegion(translation(...sizing.at), region) }));
  const drawn = placed.filter((layer) => layer.region.length > 0);
  const box = drawn.length > 0 ? boxAround(drawn.map((layer) => boxOf(layer.region))) : growBox(boxOfPoints([sizing.at]), 0);
  return { ...sizing, layers: placed, box, width: boxWidth(box), height: boxHeight(box) };
}
