import { LIMITS } from '../../facts';
import type { FitContext } from './context';

/**
 * Whether a mark may be made so wide without being lost: its strokes do not become a stop that they were not, and not all of it is dropped
 * as small. A mark that
 * is thin or dropped already has nothing to lose.
 *
 * @param width mm
 */
export function staysWhole({ fitted, thinness, inspections, mark }: FitContext, width: number): boolean {
  const share = width / fitted.width;
  if (share >= 1) return true;
  if (thinness?.ok) {
    const { strokes, limit } = thinness.value;
    const [now, then] = [strokes.least, strokes.least * share];
    if (now >= limit * LIMITS.thinStop && then < limit * LIMITS.thinStop) return false;
  }
  const dropped = Math.max(0, ...mark.edits.map((edit) => (edit.kind === 'dropSmall' ? edit.below : 0)));
  const largest = Math.max(0, ...inspections.flatMap(({ pieces }) => pieces.shapes.map((piece) => piece.area)));
  return largest * share * share >= dropped;
}
