import type { FilmLayout } from '@kolleta/core/cut';
import { holdsCut, type Id, type JobId, type Reading } from '@kolleta/core/job';
import type { JobPlan, Plan } from '@kolleta/core/plan';

/** What is cut next of a job's film, and what keeps it from the knife. */
export interface LayoutToCut {
  /** This job's film by itself. */
  readonly own?: FilmLayout;
  /** Other open jobs that want the same film and are ready to be cut, each by itself: they could come along. */
  readonly ready: readonly { readonly job: JobId; readonly layout: FilmLayout }[];
  /** This job, and those of the others that come along. */
  readonly chosen: readonly FilmLayout[];
  /** Whether this job has been cut from this film. */
  readonly done: boolean;
  /** Stops of this job that nobody answered for. */
  readonly held: readonly Reading[];
  /** mm left of the film. */
  readonly left: number;
}

/** Whether a job has been cut from a film, and what was lost of it too. */
const isDone = (plan: JobPlan, film: Id): boolean => {
  const steps = plan.schedule.steps.filter((s) => s.step.takes?.film === film);
  return steps.length > 0 && steps.every((s) => s.state === 'done');
};

/**
 * @param film the film that is looked at; without it the first of the job that is not cut yet
 * @param along jobs that come along on the same sheet; one that is held back, or cut meanwhile, stays off it
 */
export function layoutToCut(whole: Plan | undefined, plan: JobPlan, film: Id | undefined, along: ReadonlySet<JobId>): LayoutToCut {
  const own = plan.layouts.find((l) => l.film.id === film) ?? plan.layouts.find((l) => !isDone(plan, l.film.id)) ?? plan.layouts[0];
  const held = plan.readings.filter(holdsCut);
  if (!own) return { ready: [], chosen: [], done: false, held, left: 0 };
  const done = isDone(plan, own.film.id);
  const ready = [...(whole?.jobs.values() ?? [])].flatMap((other) => {
    const layout = other.layouts.find((l) => l.film.id === own.film.id);
    const comes = other.job !== plan.job && layout && layout.parts.length > 0 && !isDone(other, own.film.id);
    return comes && !other.readings.some(holdsCut) ? [{ job: other.job, layout }] : [];
  });
  const chosen = [own, ...(done ? [] : ready.filter(({ job }) => along.has(job)).map(({ layout }) => layout))];
  return { own, ready, chosen, done, held, left: whole?.filmLeft.get(own.film.id) ?? own.film.length };
}
