import { applyEdits, thickenedBy, type DrawnMark, type Layer } from '../artwork';
import {
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  convexHull,
  growBox,
  ringsOf,
  scaling,
  translation,
  type Box,
  type Point,
} from '../geometry';
import type { Usable } from '../blanks';
import type { Mark } from '../job';
import { largestFit } from './largestFit';

/** How large a mark is to be made, before it is placed. */
export interface Sizing {
  /** Against the drawn mark. */
  readonly scale: number;
  /** Where its middle goes on the wall, mm. */
  readonly at: Point;
  /** Widest that the true outline allows with the breathing room, mm; 0 when nothing fits. */
  readonly largestWidth: number;
}

/** A mark at its size and place on the wall, mm. */
export interface FittedMark extends Sizing {
  readonly layers: readonly Layer[];
  readonly box: Box;
  readonly width: number;
  readonly height: number;
}

/** The drawn mark's outer points: all that its fit depends on. */
export const outlinePoints = (drawn: DrawnMark): Point[] => [...convexHull(drawn.layers.flatMap((layer) => ringsOf(layer.region).flat()))];

/**
 * How large a mark becomes, and where its middle goes.
 *
 * @param drawn the mark around its own middle
 * @param outline its outer points, from `outlinePoints`
 * @param mark the user's size, place and thickening
 * @param usable what the zone leaves
 */
export function sizeMark(drawn: DrawnMark, outline: readonly Point[], mark: Mark, usable: Usable): Sizing {
  const thick = thickenedBy(mark.edits);
  const middle = boxCentre(usable.inner ?? usable.clear);
  const at: Point = [middle[0] + mark.offset.x, middle[1] + mark.offset.y];
  const zone = usable.inner ? boxRegion(usable.inner)[0]!.outer : undefined;
  const largest = zone && outline.length >= 3 ? largestFit(outline, zone, thick).scale : 0;
  const largestWidth = largest > 0 ? largest * drawn.width + 2 * thick : 0;
  const typed = (side: number, own: number) => Math.max(0.01, (side - 2 * thick) / own);
  if (mark.size.mode === 'width') return { scale: typed(mark.size.width, drawn.width), at, largestWidth };
  if (mark.size.mode === 'height') return { scale: typed(mark.size.height, drawn.height), at, largestWidth };
  const moved = mark.offset.x !== 0 || mark.offset.y !== 0;
  const here = zone && moved && outline.length >= 3 ? largestFit(outline, zone, thick, at).scale : largest;
  return { scale: Math.max(here, 0.001), at, largestWidth };
}

/** The layers of a mark at their real size around its own middle, with the changes that depend on it. */
export function shapeMark(drawn: DrawnMark, scale: number, mark: Mark): Layer[] {
  return drawn.layers.map(({ film, region }) => ({
    film,
    region: applyEdits(applyToRegion(scaling(scale), region), mark.edits),
  }));
}

/** Puts shaped layers at their place on the wall. */
export function placeMark(layers: readonly Layer[], sizing: Sizing): FittedMark {
  const placed = layers.map(({ film, region }) => ({ film, region: applyToRegion(translation(...sizing.at), region) }));
  const drawn = placed.filter((layer) => layer.region.length > 0);
  const box =
    drawn.length > 0
      ? boxAround(drawn.map((layer) => boxOf(layer.region)))
      : growBox({ minX: sizing.at[0], maxX: sizing.at[0], minY: sizing.at[1], maxY: sizing.at[1] }, 0);
  return { ...sizing, layers: placed, box, width: boxWidth(box), height: boxHeight(box) };
}
