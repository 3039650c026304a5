import { cutStepId, standing, stepIdOf, type Id, type JobId, type StepId, type WorkEvent } from '../job';
import type { StepFact } from '../schedule';

/** Parts of a mark that were lost after they were cut. */
export type Loss = Extract<WorkEvent, { kind: 'lost' }>;

/** What is cut again in one go: what was lost of one film of a job until then. */
export interface CutAgain {
  readonly step: StepId;
  readonly film: Id;
  readonly losses: readonly Loss[];
  readonly done: boolean;
}

/** What was lost of a job's films, and where it is cut again. */
export interface LostOf {
  /** Of films that are not cut whole yet: it joins what is still to cut. */
  readonly along: readonly Loss[];
  /** Of films that were cut whole: it has steps of its own. */
  readonly again: readonly CutAgain[];
}

const NOTHING_LOST: LostOf = { along: [], again: [] };

/**
 * What was lost by job. What is lost before its film is cut whole goes along with the rest; what is lost afterwards is cut again together,
 * and what is lost after
 * that together the next time.
 *
 * @param facts what has begun or is done
 */
export function lostOf(events: readonly WorkEvent[], facts: ReadonlyMap<StepId, StepFact>): (job: JobId) => LostOf {
  const byFilm = new Map<string, Loss[]>();
  for (const event of standing(events)) {
    if (event.kind !== 'lost') continue;
    const key = JSON.stringify([event.job, event.film]);
    byFilm.set(key, [...(byFilm.get(key) ?? []), event]);
  }
  const found = new Map<JobId, { along: Loss[]; again: CutAgain[] }>();
  for (const losses of byFilm.values()) {
    const { job, film } = losses[0]!;
    const own = found.get(job) ?? { along: [], again: [] };
    found.set(job, own);
    const cutAt = facts.get(cutStepId(job, film))?.doneAt;
    if (cutAt === undefined) {
      own.along.push(...losses);
      continue;
    }
    let rest = losses.filter(({ at }) => at >= cutAt);
    while (rest.length > 0) {
      const step = stepIdOf(job, `again:${film}:${rest[0]!.id}`);
      const doneAt = facts.get(step)?.doneAt;
      const now = doneAt === undefined ? rest : rest.filter(({ at }) => at <= doneAt);
      // cut before it was lost, by a clock that was put back: it is behind
      const taken = now.length > 0 ? now : [rest[0]!];
      own.again.push({ step, film, losses: taken, done: doneAt !== undefined });
      rest = rest.filter((loss) => !taken.includes(loss));
    }
  }
  return (job) => found.get(job) ?? NOTHING_LOST;
}

/** The step in which a job's film is cut next: what is cut again once the job was cut whole. */
export function nextCutStep(events: readonly WorkEvent[], facts: ReadonlyMap<StepId, StepFact>, job: JobId, film: Id): StepId {
  const open = lostOf(events, facts)(job).again.find((one) => one.film === film && !one.done);
  return open?.step ?? cutStepId(job, film);
}
