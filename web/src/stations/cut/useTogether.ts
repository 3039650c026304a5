import { useRef } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { FilmLayout } from '@kolleta/core/cut';
import type { Shop } from '@kolleta/core/job';
import { plannerWorker } from '../../workers/plannerClient';

/** Several jobs' layouts of one film laid out as one. */
export const layTogether = (
  layouts: readonly FilmLayout[],
  { machines, layouts: kept = [] }: Pick<Shop, 'machines' | 'layouts'>,
): Promise<FilmLayout> =>
  layouts.length === 1
    ? Promise.resolve(layouts[0]!)
    : plannerWorker.call((planner) => planner.layTogether([...layouts], [...machines], [...kept]));

/** The number of the last list of layouts: no two lists of this page have one. */
let lastNumber = 0;

/** Lists of the same layouts are told from others by a number: layouts are too large for a key. */
export function useNumberOf(layouts: readonly FilmLayout[]): number {
  const known = useRef<{ layouts: readonly FilmLayout[]; number: number }>({ layouts: [], number: 0 });
  const { layouts: before } = known.current;
  const same = before.length === layouts.length && before.every((one, i) => one === layouts[i]);
  if (!same) known.current = { layouts, number: (lastNumber += 1) };
  return known.current.number;
}

/** The same for a page: undefined while it is worked out, and where it cannot be. */
export function useTogether(layouts: readonly FilmLayout[], shop: Pick<Shop, 'machines' | 'layouts'>): FilmLayout | undefined {
  const number = useNumberOf(layouts);
  const { data } = useQuery({
    // what was kept since counts too
    queryKey: ['together', number, (shop.layouts ?? []).map(({ id }) => id)],
    queryFn: () => layTogether(layouts, shop),
    enabled: layouts.length > 1,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return layouts.length === 1 ? layouts[0] : data;
}
