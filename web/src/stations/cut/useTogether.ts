import { useEffect, useState } from 'react';
import type { FilmLayout } from '@kolleta/core/cut';
import type { Machine } from '@kolleta/core/job';
import { plannerWorker } from '../../workers/plannerClient';

/** Several jobs' layouts of one film laid out as one. */
export const layTogether = (layouts: readonly FilmLayout[], machines: readonly Machine[]): Promise<FilmLayout> =>
  layouts.length === 1 ? Promise.resolve(layouts[0]!) : plannerWorker.call((planner) => planner.layTogether([...layouts], [...machines]));

/** The same for a page: undefined while it is worked out. */
export function useTogether(layouts: readonly FilmLayout[], machines: readonly Machine[]): FilmLayout | undefined {
  const [found, setFound] = useState<{ of: readonly FilmLayout[]; layout: FilmLayout }>();
  const same = found !== undefined && found.of.length === layouts.length && found.of.every((one, i) => one === layouts[i]);
  useEffect(() => {
    if (same || layouts.length < 2) return undefined;
    let over = false;
    layTogether(layouts, machines).then(
      (layout) => {
        if (!over) setFound({ of: layouts, layout });
      },
      // the job by itself is cut then
      () => undefined,
    );
    return () => {
      over = true;
    };
  });
  return layouts.length === 1 ? layouts[0] : same ? found.layout : undefined;
}
