import { scatterPlaces, type DrawnMark } from '../artwork';
import { boxAround, boxHeight, boxOf, boxWidth, type Point } from '../geometry';
import type { Edit, Mark } from '../job';
import { hullShapes } from './shapeMark';

/** Where the copies of a scatter go. */
export interface ScatteredCopies {
  readonly edit: Extract<Edit, { kind: 'scatter' }>;
  /** Width of one copy, mm. */
  readonly width: number;
  /** Around the mark's own middle, mm, in the order in which they were found: those that come first lie far apart. */
  readonly places: readonly Point[];
  /** Whether they are still there after the changes that follow. */
  readonly stay: boolean;
}

/** Changes that leave a copy where it is. */
const STAYING: readonly Edit['kind'][] = ['thicken', 'dropSmall', 'oneOutline', 'backing', 'silhouette', 'bridges'];

/**
 * The copies of a mark that is scattered.
 *
 * @param scale mm a unit of the drawn mark
 * @returns undefined for a mark that is not, or has nothing to scatter
 */
export function scatteredCopies(drawn: DrawnMark, mark: Pick<Mark, 'edits'>, scale: number): ScatteredCopies | undefined {
  const at = mark.edits.findIndex((edit) => edit.kind === 'scatter');
  const edit = mark.edits[at];
  if (edit?.kind !== 'scatter' || drawn.layers.length === 0) return undefined;
  const one = hullShapes(drawn, { edits: mark.edits.slice(0, at) })(scale).filter((layer) => layer.region.length > 0);
  if (one.length === 0) return undefined;
  const box = boxAround(one.map((layer) => boxOf(layer.region)));
  const larger = Math.max(boxWidth(box), boxHeight(box));
  const share = edit.copy === undefined || !(larger > 0) ? 1 : edit.copy / larger;
  return {
    edit,
    width: boxWidth(box) * share,
    places: scatterPlaces(edit, Math.hypot(boxWidth(box), boxHeight(box)) * share).map((place) => place.at),
    stay: mark.edits.slice(at + 1).every((later) => STAYING.includes(later.kind)),
  };
}
