import { LIMITS } from '../../facts';
import { shapeMark } from '../shapeMark';
import { markLabel, ofRow, type FitContext, type FitReading } from './context';

/** How many parts “drop small parts” takes away, of how many there would be. */
function droppedOf(context: FitContext): { dropped: number; parts: number } {
  return context.remember('dropped', () => {
    const { drawn, fitted, mark, shaped } = context;
    const count = (layers: FitContext['shaped']) => layers.reduce((sum, { region }) => sum + region.length, 0);
    const parts = count(shapeMark(drawn, fitted.scale, { ...mark, edits: mark.edits.filter((edit) => edit.kind !== 'dropSmall') }));
    return { dropped: Math.max(0, parts - count(shaped)), parts };
  });
}

/** Whether dropping small parts takes more than specks: at a small size it may take a whole line of words. */
export const droppedReading: FitReading = (all) => {
  if (!all.mark.edits.some((edit) => edit.kind === 'dropSmall')) return undefined;
  const share = (one: FitContext) => droppedOf(one).dropped / Math.max(1, droppedOf(one).parts);
  const context = all.rows.reduce((most, row) => (share(row) > share(most) + 1e-9 ? row : most), all);
  const { dropped, parts } = droppedOf(context);
  if (dropped === 0) return undefined;
  const base = {
    id: `dropped:${all.mark.id}`,
    station: 'fit' as const,
    title: `Dropped parts${markLabel(all)}`,
    value: `${dropped} of ${parts}`,
    limit: `${Math.round(LIMITS.droppedShare * 100)} % of the parts`,
    cures: [],
  };
  if (share(context) <= LIMITS.droppedShare) return { ...base, verdict: 'fine', why: 'Only what would be lost anyway is left out.' };
  return {
    ...base,
    verdict: 'watch',
    why: `${ofRow(context)}so many parts are under the size at which you drop them that words may be missing.`,
    advice: 'Make the mark larger, set it on fewer lines, or take “drop small parts” away in Draw.',
  };
};
