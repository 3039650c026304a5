import { fitReadings, type FitContext } from '../fit';
import type { Job, Reading, Shop } from '../job';
import { keyOf, type Memo } from './memo';
import type { FittingWork } from './planMark';

/** Readings of one fitted mark; a mark with nothing to cut has none. */
export function markReadings(
  work: FittingWork,
  job: Job,
  shop: Shop,
  filmLeft: (film: string) => number,
  memo: Memo,
  quick: boolean,
): Reading[] {
  const { plan, drawn, outline, shaped } = work;
  if (drawn.layers.length === 0) return [];
  const size = plan.mark.size.mode === 'largest' ? plan.usable : plan.mark.size;
  const remember = <T>(name: string, compute: () => T): T =>
    memo.get(keyOf(name, work.key, size, plan.mark.technique, shop.films), compute);
  const context: FitContext = {
    job,
    mark: plan.mark,
    zone: plan.zone,
    usable: plan.usable,
    drawn,
    outline,
    fitted: plan.fitted,
    shaped,
    inspections: plan.inspections,
    shop,
    behind: plan.behind,
    filmLeft,
    remember,
    quick,
  };
  return fitReadings(context);
}
