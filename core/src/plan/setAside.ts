import type { Job, JobId } from '../job';
import { TooMuchWork, withinWork, workDone } from '../units';
import { heavyOf, stepsFor, type Heavy } from './heavy';

/** What keeps a job out of the plan: it could not be worked out, or it takes too much work. */
export type AsideReason = 'failed' | 'slow';

/** Why a job is set aside, and what of it is heavy where it takes too much work. */
export interface SetAside {
  readonly reason: AsideReason;
  readonly heavy?: Heavy;
}

/** Jobs that could not be planned, why, and what failed, for those who mend it. Each may take so many steps over all its stages. */
export class Aside {
  readonly why = new Map<JobId, SetAside>();
  readonly faults: string[] = [];
  readonly #jobs: ReadonlyMap<JobId, Job>;
  readonly #left: Map<JobId, number>;

  /** @param patient jobs whose makers asked to try longer */
  constructor(jobs: readonly Job[], patient: ReadonlySet<JobId> = new Set()) {
    this.#jobs = new Map(jobs.map((job) => [job.id, job]));
    this.#left = new Map(jobs.map((job) => [job.id, stepsFor(job, patient.has(job.id))]));
  }

  put(id: JobId, error: unknown): void {
    const job = this.#jobs.get(id);
    if (error instanceof TooMuchWork && job) this.why.set(id, { reason: 'slow', heavy: heavyOf(error, job) });
    else {
      this.why.set(id, { reason: 'failed' });
      this.faults.push(`${id}: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`);
    }
  }

  /** A stage of one job; nothing when it fails or is too much: the job is set aside then. */
  try<T>(job: JobId, stage: () => T): T | undefined {
    const [before, left] = [workDone(), this.#left.get(job) ?? Infinity];
    try {
      return withinWork(left, stage);
    } catch (error) {
      this.put(job, error);
      return undefined;
    } finally {
      this.#left.set(job, left - (workDone() - before));
    }
  }

  /** A stage of each job by itself; those that it fails for are set aside. */
  each<J extends { readonly id: JobId }, T>(jobs: readonly J[], stage: (job: J) => T): T[] {
    return jobs.flatMap((job) => {
      const result = this.try(job.id, () => [stage(job)]);
      return result ?? [];
    });
  }

  /** A stage of several jobs together: those that it fails for by themselves are set aside, and it is worked with the others. */
  together<J extends { readonly id: JobId }, T>(jobs: readonly J[], stage: (jobs: readonly J[]) => T): T {
    try {
      return stage(jobs);
    } catch (error) {
      const living = jobs.filter((job) => this.try(job.id, () => (stage([job]), true)));
      // each by itself can be worked, and all of them cannot: none of them is to blame more than the others
      if (living.length === jobs.length) for (const job of jobs) this.put(job.id, error);
      return stage(living.length === jobs.length ? [] : living);
    }
  }
}
