import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { createContext, useContext, useEffect, useState } from 'react';
import type { Job } from '@kolleta/core/job';
import type { JobPlan, Plan } from '@kolleta/core/plan';
import { benchOfState, keepBench } from '../storage/benchCache';
import { now } from '../storage/clock';
import { keepStanding, standsFor } from '../storage/standing';
import { useWorkshop, type WorkshopState } from '../storage/useWorkshop';
import { numberOf } from './numberOf';
import { plannerWorker, requestPlan } from './plannerClient';

/** Timers longer than this are set again when they ring: browsers take no more. */
const LONGEST_TIMER_MS = 6 * 3_600_000;

/** The next moment at which the plan says something else: a wait is over, a step is due. */
function nextTurn(plan: Plan, at: number): number | undefined {
  const moments = [...plan.bench.rack.map((item) => item.until), ...(plan.bench.now ? [plan.bench.now.start] : [])].filter(
    (moment) => moment > at,
  );
  return moments.length > 0 ? Math.min(...moments) : undefined;
}

/** Whether hands can begin already: the Bench is what is looked at, and it is known from before. A quick first plan would then only cost time. */
const benchShown = (state: WorkshopState): boolean => /^(#\/?)?$/.test(location.hash) && benchOfState(state) !== undefined;

/** The query for the plan of a state of the workshop; `turn` counts the waits that ended since. */
export const planQuery = (state: WorkshopState, turn: number) => ({
  queryKey: ['plan', numberOf(state), turn],
  queryFn: () =>
    requestPlan('workshop', {
      ...{ jobs: state.jobs, shop: state.shop, events: state.events, now: now() },
      whole: benchShown(state),
      stands: standsFor(state),
    }),
  staleTime: Infinity,
  gcTime: 10_000,
  retry: false,
});

/** A plan that is not there after this long is said to take long, ms: nothing else hangs on it. */
const LONG_MS = 20_000;

/** The plan of a workshop: again on every edit and event and when a wait ends, not on ticks. */
export function usePlanOf(state: WorkshopState): {
  plan: Plan | undefined;
  error: Error | null;
  fresh: boolean;
  /** It takes longer than usual. */
  long: boolean;
  /** Begins it again, with another worker. */
  again: () => void;
} {
  const [turn, setTurn] = useState(0);
  const { data, error, isPlaceholderData, isFetching, refetch } = useQuery({
    ...planQuery(state, turn),
    placeholderData: keepPreviousData,
  });
  useEffect(() => {
    if (data && !data.complete) {
      setTurn((n) => n + 1);
      return undefined;
    }
    const next = data && nextTurn(data, now());
    if (next === undefined) return undefined;
    const timer = setTimeout(() => setTurn((n) => n + 1), Math.min(LONGEST_TIMER_MS, Math.max(250, next - now() + 200)));
    return () => clearTimeout(timer);
  }, [data]);
  useEffect(() => {
    if (!data?.complete || isPlaceholderData) return;
    keepBench(state, data);
    keepStanding(state, data);
  }, [data, isPlaceholderData, state]);
  const fresh = data?.complete === true && !isPlaceholderData && !isFetching;
  const waiting = !fresh && !error;
  const [long, setLong] = useState(false);
  useEffect(() => {
    setLong(false);
    if (!waiting) return undefined;
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, [waiting]);
  const again = async () => {
    plannerWorker.stop('The plan was begun again.');
    // the one that was stopped is the one that this waits for
    const stopped = await refetch();
    if (stopped.error) await refetch();
  };
  return { plan: data, error, fresh, long, again: () => void again() };
}

export const PlanContext = createContext<Plan | undefined>(undefined);
export const usePlan = (): Plan | undefined => useContext(PlanContext);
export const useJobPlan = (id: string): JobPlan | undefined => useContext(PlanContext)?.jobs.get(id);

/** The plan of a job that is not kept: a quick mark. */
export function useDraftPlan(job: Job | undefined): {
  plan: JobPlan | undefined;
  error: Error | null;
  /** The plan is that of an earlier draft. */
  working: boolean;
} {
  // what was cut so far is off the rolls for a quick mark too
  const { shop, events } = useWorkshop();
  const { data, error, isFetching, isPlaceholderData } = useQuery({
    queryKey: ['draft', JSON.stringify(job), shop, events],
    queryFn: () => requestPlan('draft', { jobs: [job!], shop, events, now: now() }),
    enabled: job !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 5_000,
    retry: false,
  });
  return { plan: job ? data?.jobs.get(job.id) : undefined, error, working: isFetching || isPlaceholderData };
}
