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
  const rememberOf =
    (key: string) =>
    <T>(name: string, compute: () => T): T =>
      memo.get(keyOf(name, key, size, plan.mark.technique, shop.films), compute);
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
    remember: rememberOf(work.key),
    quick,
    rows: [],
  };
  const rows = work.rows
    .filter((row) => row.drawn.layers.length > 0)
    .map(({ key, ...row }): FitContext => ({ ...context, ...row, remember: rememberOf(key) }));
  const own = work.rows.find((row) => row.key === work.key);
  return fitReadings({ ...context, rows, ...(own ? { words: own.words } : {}) });
}
