import { useMemo } from 'react';
import { gatherList, type GatherItem } from '@kolleta/core/gather';
import { asCounted, type Job } from '@kolleta/core/job';
import { useWorkshop } from '../storage/useWorkshop';
import { usePlan } from '../workers/usePlan';

/**
 * What jobs still need, with what is there of each.
 *
 * @param until steps that begin later than this are not for now, UTC ms; all of them where it is not said
 * @returns nothing while it is being worked out
 */
export function useGather(jobs: readonly Job[], until = Infinity): readonly GatherItem[] | undefined {
  const { shop, events } = useWorkshop();
  const plan = usePlan();
  return useMemo(() => {
    if (!plan) return undefined;
    const works = jobs.map((job) => ({
      job,
      steps: (plan.jobs.get(job.id)?.schedule.steps ?? [])
        .filter(({ state, start }) => state !== 'done' && start <= until)
        .map(({ step }) => step),
    }));
    return gatherList(
      works.filter(({ steps }) => steps.length > 0),
      asCounted(shop, events),
      (film) => plan.filmLeft.get(film) ?? 0,
    );
  }, [jobs, plan, shop, events, until]);
}
