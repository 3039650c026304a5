import { useQuery } from '@tanstack/react-query';
import { withoutPhotos, type Job, type Shop, type WorkEvent } from '@kolleta/core/job';
import type { CheaperWay, Priced, WayRanking } from '@kolleta/core/plan';
import { now } from '../storage/clock';
import { useWorkshop } from '../storage/useWorkshop';
import { numberOf } from './numberOf';
import type { Planner } from './planner.worker';
import { newPlannerWorker } from './plannerWorker';
import { WatchedWorker } from './watchedWorker';

/** Prices are worked out beside the plan, in a worker of their own. */
const worker = new WatchedWorker<Planner>('The pricing', newPlannerWorker);

/** What a job costs; the last answer stays while a new one is worked out. */
export function usePriced(job: Job, run?: number): { priced: Priced | undefined; busy: boolean; error: Error | null } {
  const { shop, events } = useWorkshop();
  const { data, error, isFetching } = useQuery({
    queryKey: ['price', job.id, numberOf(job), numberOf(shop), numberOf(events), run],
    queryFn: async () => (await worker.call((planner) => planner.priced(job, shop, withoutPhotos(events), now(), run))) ?? null,
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
    staleTime: Infinity,
    retry: false,
  });
  return { priced: data ?? undefined, busy: isFetching, error };
}

/** What would make a job cheaper, after its price: nothing while it is worked out. */
export function useCheaper(job: Job): { ways: readonly CheaperWay[] | undefined; error: Error | null } {
  const { shop, events } = useWorkshop();
  const { data, error } = useQuery({
    queryKey: ['cheaper', job.id, numberOf(job), numberOf(shop), numberOf(events)],
    queryFn: () => worker.call((planner) => planner.cheaperWays(job, shop, withoutPhotos(events), now())),
    staleTime: Infinity,
    retry: false,
  });
  return { ways: data, error };
}

/** The price of another job of the same order. */
export const askPrice = (job: Job, shop: Shop, events: readonly WorkEvent[]): Promise<Priced | undefined> =>
  worker.call((planner) => planner.priced(job, shop, withoutPhotos(events), now()));

/** Which technique is the best for a job. */
export const askWays = (job: Job, shop: Shop, events: readonly WorkEvent[]): Promise<WayRanking> =>
  worker.call((planner) => planner.rankWays(job, shop, withoutPhotos(events), now()));

/** Ends what is being worked out. */
export const stopPricing = (): void => worker.stop('Stopped.');
