import { useQuery } from '@tanstack/react-query';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import type { Priced, WayRanking } from '@kolleta/core/plan';
import { now } from '../storage/clock';
import { useWorkshop } from '../storage/useWorkshop';
import type { Planner } from './planner.worker';
import { newPlannerWorker } from './plannerWorker';
import { WatchedWorker } from './watchedWorker';

/** Several plans are made for one price: it takes its time. */
const LIMIT_MS = 60_000;

/** Prices are worked out beside the plan, in a worker of their own. */
const worker = new WatchedWorker<Planner>('The pricing', newPlannerWorker, LIMIT_MS);

/** Nothing of a picture is needed to plan. */
const light = (events: readonly WorkEvent[]): WorkEvent[] =>
  events.map((event) => (event.kind === 'amended' && event.photo ? { ...event, photo: undefined } : event));

const numbers = new WeakMap<object, number>();
let last = 0;
/** A number for an object: the same one, the same number. */
function numberOf(object: object): number {
  const known = numbers.get(object);
  if (known !== undefined) return known;
  last += 1;
  numbers.set(object, last);
  return last;
}

/** What a job costs and what would make it cheaper; the last answer stays while a new one is worked out. */
export function usePriced(job: Job): { priced: Priced | undefined; busy: boolean; error: Error | null } {
  const { shop, events } = useWorkshop();
  const { data, error, isFetching } = useQuery({
    queryKey: ['price', job.id, numberOf(job), numberOf(shop), numberOf(events)],
    queryFn: async () => (await worker.call((planner) => planner.priced(job, shop, light(events), now()))) ?? null,
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
    staleTime: Infinity,
    retry: false,
  });
  return { priced: data ?? undefined, busy: isFetching, error };
}

/** The price of another job of the same order. */
export const askPrice = (job: Job, shop: Shop, events: readonly WorkEvent[]): Promise<Priced | undefined> =>
  worker.call((planner) => planner.priced(job, shop, light(events), now()));

/** Which technique is the best for a job. */
export const askWays = (job: Job, shop: Shop, events: readonly WorkEvent[]): Promise<WayRanking> =>
  worker.call((planner) => planner.rankWays(job, shop, light(events), now()));

/** Ends what is being worked out. */
export const stopPricing = (): void => worker.stop('Stopped.');
