import { offset, partArea, signedArea, union, type Region } from '../../geometry';
import type { Edit } from '../../job';

/** How much an outline is thickened in all, mm per side. */
export const thickenedBy = (edits: readonly Edit[]): number =>
  edits.reduce((sum, edit) => sum + (edit.kind === 'thicken' ? edit.by : 0), 0);

/**
 * Applies the changes that depend on the real size, in their order.
 *
 * @param region the outline at its real size, mm
 * @returns the changed outline; dropping small parts also fills the counters too small to weed
 */
export function applyEdits(region: Region, edits: readonly Edit[]): Region {
  return edits.reduce<Region>((current, edit) => {
    if (edit.kind === 'thicken') return offset(current, edit.by);
    const kept = current.filter((part) => partArea(part) >= edit.below);
    const filled = kept.map((part) => ({
      outer: part.outer,
      holes: part.holes.filter((hole) => Math.abs(signedArea(hole)) >= edit.fillBelow),
    }));
    return filled.some((part, i) => part.holes.length < kept[i]!.holes.length) ? union(filled) : filled;
  }, region);
}
