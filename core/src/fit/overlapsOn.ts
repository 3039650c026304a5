import { addedAround, drawMark, overlapsOf, reshapes, type Faces } from '../artwork';
import { bendRegion } from '../blanks';
import { applyToRegion, boxAround, boxCentre, boxOf, boxWidth, rotation, scaling, then, translation, type Region } from '../geometry';
import type { Mark, Shape } from '../job';
import type { FittedMark } from './fitMark';

const REFERENCE = { width: 100, height: 100 };

/**
 * Where shapes of one film of a fitted mark lie over each other, as it lies on the film laid flat.
 *
 * @param mark with its words filled in
 * @param turn radians that it was turned by
 * @returns nothing for a mark whose changes leave its shapes elsewhere: what they overlap is then joined or cut anew
 */
export function overlapsOn(mark: Mark, fitted: FittedMark, turn: number, shape: Shape, faces: Faces): Region {
  if (reshapes(mark.edits) || fitted.layers.length === 0) return [];
  const found = overlapsOf(mark, REFERENCE, faces);
  if (found.length === 0) return [];
  const turned = drawMark(mark, REFERENCE, faces).layers.map(({ region }) => applyToRegion(rotation(turn), region));
  const box = boxAround(turned.map(boxOf));
  const [cx, cy] = boxCentre(box);
  const scale = (fitted.width - 2 * addedAround(mark.edits)) / boxWidth(box);
  const placed = applyToRegion(then(then(then(rotation(turn), translation(-cx, -cy)), scaling(scale)), translation(...fitted.at)), found);
  return mark.straight || shape.kind !== 'taper' ? placed : bendRegion(placed, shape, fitted.at[1]);
}
