import { aboutMark } from '../../job';
import { LIMITS } from '../../facts';
import { needed, ofRow, type FitContext, type FitReading } from './context';
import type { DroppedParts } from './droppedParts';

const NONE: DroppedParts = { dropped: 0, parts: 0 };

const droppedOf = ({ dropped }: FitContext): DroppedParts => (dropped ? needed(dropped) : NONE);

/** Whether dropping small parts takes more than specks: at a small size it may take a whole line of words. */
export const droppedReading: FitReading = (all) => {
  const share = (one: FitContext) => droppedOf(one).dropped / Math.max(1, droppedOf(one).parts);
  const context = all.rows.reduce((most, row) => (share(row) > share(most) + 1e-9 ? row : most), all);
  const { dropped, parts } = droppedOf(context);
  if (dropped === 0) return undefined;
  const base = {
    id: `dropped:${all.mark.id}` as const,
    station: 'fit' as const,
    title: 'Dropped parts',
    ...aboutMark(all.mark, all.several),
    value: `${dropped} of ${parts}`,
    limit: `${Math.round(LIMITS.droppedShare * 100)} % of the parts`,
    remedies: [],
  };
  if (share(context) <= LIMITS.droppedShare) return { ...base, verdict: 'fine', why: 'Only what would be lost anyway is left out.' };
  return {
    ...base,
    verdict: 'watch',
    why: `${ofRow(context)}so many parts are under the size at which you drop them that words may be missing.`,
    advice: 'Make the mark larger, set it on fewer lines, or take “drop small parts” away in Draw.',
  };
};
