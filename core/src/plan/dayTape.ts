import { isTaped, type Job, type JobId } from '../job';
import type { SnipsAbout } from '../finish';
import type { Lift } from '../tape';
import type { JobPlan, Plan } from './planWorkshop';

/** A lift of one layer of a mark, with how it is called. */
export interface DayLift extends Lift {
  readonly job: JobId;
  /** "prize", or "the petrol layer of prize". */
  readonly name: string;
  /** The tape is snipped so often before it is put down. */
  readonly snips?: SnipsAbout;
}

/** The id of the step that tapes a layer. */
const tapeStep = (job: JobId, mark: string, film: string): string => `${job}/tape:${mark}:${film}`;

/** Snips in the tape of a layer, as its step has them. */
function snipsOf(plan: JobPlan, step: string): { readonly snips?: SnipsAbout } {
  const about = plan.recipe.steps.find(({ id }) => id === step)?.about;
  return about?.kind === 'tape' && about.tape?.snips ? { snips: about.tape.snips } : {};
}

/** Whether the tape of a layer is still to be put on, and by when. */
const isDue = (plan: JobPlan, step: string, until: number): boolean =>
  plan.schedule.steps.some(({ step: { id }, state, start }) => id === step && state !== 'done' && start <= until);

/**
 * What has to be lifted with tape for open jobs.
 *
 * @param until steps that begin later are left out, UTC ms
 */
export function dayLifts(plan: Plan, jobs: readonly Job[], until = Infinity): DayLift[] {
  return jobs.flatMap((job) => {
    const own = plan.jobs.get(job.id);
    return (own?.layers ?? []).flatMap((layer): DayLift[] => {
      const mark = job.marks.find(({ id }) => id === layer.mark);
      if (!own || !mark || !isTaped(mark) || !isDue(own, tapeStep(job.id, mark.id, layer.film.id), until)) return [];
      const several = own.layers.filter((other) => other.mark === layer.mark).length > 1;
      return [
        {
          id: `${job.id} ${mark.id} ${layer.film.id}`,
          job: job.id,
          name: several ? `${mark.name}, ${layer.film.name}` : mark.name,
          width: layer.width,
          height: layer.height,
          times: layer.lifts,
          window: layer.window,
          finish: layer.film.finish,
          ...(mark.tape === undefined ? {} : { wanted: mark.tape }),
          ...snipsOf(own, tapeStep(job.id, mark.id, layer.film.id)),
        },
      ];
    });
  });
}
