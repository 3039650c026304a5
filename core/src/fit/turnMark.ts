import type { DrawnMark } from '../artwork';
import type { Usable } from '../blanks';
import {
  applyToPoint,
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxWidth,
  rotation,
  translation,
  type Point,
} from '../geometry';
import { largestFit } from './largestFit';
import { largestFitAnywhere } from './largestFitAnywhere';
import { largestIn, zoneFor } from './largestIn';
import { outerRings, outlinePoints } from './shapeMark';

/** A drawn mark turned counter-clockwise, radians, around its own middle again. */
export function turnDrawn(drawn: DrawnMark, angle: number): DrawnMark {
  if (Math.abs(angle) < 1e-9 || drawn.layers.length === 0) return drawn;
  const turned = drawn.layers.map(({ film, region }) => ({ film, region: applyToRegion(rotation(angle), region) }));
  const box = boxAround(turned.map((layer) => boxOf(layer.region)));
  const [cx, cy] = boxCentre(box);
  return {
    ...drawn,
    layers: turned.map(({ film, region }) => ({ film, region: applyToRegion(translation(-cx, -cy), region) })),
    width: boxWidth(box),
    height: boxHeight(box),
  };
}

/** Places from which a mark that may be turned is tried in a zone that is not convex. */
const STARTS = 160;
/** Turns looked at when any is allowed. */
const TURNS = 90;

/**
 * The turn at which a mark becomes largest, radians; upright where that is as good.
 *
 * @param outline from `outlinePoints` of the drawn mark
 */
export function bestTurn(outline: readonly Point[], drawn: DrawnMark, usable: Usable): number {
  const zone = usable.inner && zoneFor(usable, 0);
  if (!zone || outline.length < 3) return 0;
  if (!zone.convex) {
    const found = largestFitAnywhere(outerRings(drawn.layers), zone.region, { turn: true, starts: STARTS }).turn;
    // the search may end beside the best: upright, a quarter round and what it found are sized as the mark will be
    const sized = [0, Math.PI / 2, found].map((turn) => {
      const turned = turnDrawn(drawn, turn);
      return { turn, scale: largestIn(outlinePoints(turned), turned.layers, usable, 0).scale };
    });
    return sized.reduce((best, one) => (one.scale > best.scale * (1 + 1e-6) ? one : best)).turn;
  }
  const scaleAt = (turn: number) =>
    largestFit(
      outline.map((p) => applyToPoint(rotation(turn), p)),
      zone.convex!,
      0,
    ).scale;
  let [best, most] = [0, scaleAt(0) * (1 + 1e-6)];
  for (let i = 1; i < TURNS; i++) {
    const scale = scaleAt((i * 2 * Math.PI) / TURNS);
    if (scale > most) [best, most] = [(i * 2 * Math.PI) / TURNS, scale];
  }
  for (let step = Math.PI / TURNS; step > 1e-5; step /= 2) {
    for (const turn of [best + step, best - step]) {
      const scale = scaleAt(turn);
      if (scale > most) [best, most] = [turn, scale];
    }
  }
  return best;
}
