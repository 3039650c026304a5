import type { FilmLayout } from '@kolleta/core/cut';
import { holdsCut, type Id, type JobId, type Reading } from '@kolleta/core/job';
import type { JobPlan, Plan } from '@kolleta/core/plan';

/** What is cut next of a job's film, and what keeps it from the knife. */
export interface LayoutToCut {
  /** This job's film by itself. */
  readonly own?: FilmLayout;
  /** What is cut: with the other open jobs, or alone. */
  readonly layout?: FilmLayout;
  /** Whether other jobs could be cut along. */
  readonly others: boolean;
  /** Whether this job has been cut from this film. */
  readonly done: boolean;
  /** Stops that nobody answered for, of any job in the layout. */
  readonly held: readonly { readonly id: JobId; readonly stop: Reading }[];
  /** mm left of the film. */
  readonly left: number;
}

/** @param film the film that is looked at; without it the first of the job */
export function layoutToCut(whole: Plan | undefined, plan: JobPlan, film: Id | undefined, alone: boolean): LayoutToCut {
  const own = plan.layouts.find((l) => l.film.id === film) ?? plan.layouts[0];
  const shared = whole?.layouts.find((l) => l.film.id === own?.film.id);
  const done = plan.schedule.steps.some((s) => s.state === 'done' && s.step.takes?.film === own?.film.id);
  const others = shared?.parts.some((p) => p.job !== plan.job) ?? false;
  const layout = own && (alone || !shared || done ? own : shared);
  const jobs = [...new Set(layout?.parts.map((part) => part.job) ?? [])];
  // a stop keeps the film of every job in this layout from the knife
  const held = jobs.flatMap((id) => (whole?.jobs.get(id) ?? plan).readings.filter(holdsCut).map((stop) => ({ id, stop })));
  const left = whole?.filmLeft.get(layout?.film.id ?? '') ?? layout?.film.length ?? 0;
  return { ...(own ? { own } : {}), ...(layout ? { layout } : {}), others, done, held, left };
}
