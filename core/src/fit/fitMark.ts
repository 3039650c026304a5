import { addedAround, reshapes, type DrawnMark, type Layer } from '../artwork';
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
import { heavyOf, largestIn, placeOf, type MarkScale, type Placed, type Scaled, type Sizing } from './largestIn';
import { scaleUneven } from './scaleUneven';

/** What of a mark decides its size and place. */
export type Sized = Scaled & Placed;

/** A mark at its size and place on the wall, mm. */
export interface FittedMark extends Sizing {
  readonly layers: readonly Layer[];
  readonly box: Box;
  readonly width: number;
  readonly height: number;
}

/**
 * How large a mark becomes in its zone, before it is placed.
 *
 * @param drawn the mark around its own middle
 * @param outline its outer points, from `outlinePoints`
 * @param usable what the zone leaves
 */
export function scaleMark(drawn: DrawnMark, outline: readonly Point[], mark: Scaled, usable: Usable): MarkScale {
  if (drawn.layers.length === 0) return { scale: 1, width: 0, height: 0, heavy: [0, 0], largestWidth: 0 };
  const uneven = reshapes(mark.edits);
  const thick = uneven ? 0 : addedAround(mark.edits);
  const plain = largestIn(outline, drawn.layers, usable, thick);
  if (uneven) return scaleUneven(drawn, mark, usable, plain.scale);
  const typed = (side: number, own: number) => Math.max(0.01, (side - 2 * thick) / own);
  const { size } = mark;
  const scale =
    size.mode === 'width'
      ? typed(size.width, drawn.width)
      : size.mode === 'height'
        ? typed(size.height, drawn.height)
        : Math.max(plain.scale, 0.001);
  return {
    scale,
    width: scale * drawn.width + 2 * thick,
    height: scale * drawn.height + 2 * thick,
    heavy: mark.optical ? heavyOf(drawn.layers, scale) : [0, 0],
    found: plain.at,
    largestWidth: plain.scale > 0 ? plain.scale * drawn.width + 2 * thick : 0,
  };
}

/**
 * Where a mark's middle goes. Off the middle of its zone a mark that is as large as fits may have to be smaller.
 *
 * @param scaled from `scaleMark`
 */
export function settleMark(drawn: DrawnMark, outline: readonly Point[], mark: Sized, usable: Usable, scaled: MarkScale): Sizing {
  const { scale, width, height, heavy, found, largestWidth } = scaled;
  if (drawn.layers.length === 0) return { scale, at: boxCentre(usable.inner ?? usable.clear), largestWidth };
  const at = placeOf(mark, usable, width, height, found, heavy);
  const moved = mark.offset.x !== 0 || mark.offset.y !== 0 || mark.optical;
  if (mark.size.mode !== 'largest' || !moved || largestWidth <= 0 || mark.hold || reshapes(mark.edits)) return { scale, at, largestWidth };
  const here = largestIn(outline, drawn.layers, usable, addedAround(mark.edits), at).scale;
  return { scale: Math.max(here, 0.001), at, largestWidth };
}

/** How large a mark becomes, and where its middle goes: both steps at once. */
export const sizeMark = (drawn: DrawnMark, outline: readonly Point[], mark: Sized, usable: Usable): Sizing =>
  settleMark(drawn, outline, mark, usable, scaleMark(drawn, outline, mark, usable));

/** Puts shaped layers at their place on the wall. */
export function placeMark(layers: readonly Layer[], sizing: Sizing): FittedMark {
  const placed = layers.map(({ film, region }) => ({ film, region: applyToRegion(translation(...sizing.at), region) }));
  const drawn = placed.filter((layer) => layer.region.length > 0);
  const box = drawn.length > 0 ? boxAround(drawn.map((layer) => boxOf(layer.region))) : growBox(boxOfPoints([sizing.at]), 0);
  return { ...sizing, layers: placed, box, width: boxWidth(box), height: boxHeight(box) };
}
