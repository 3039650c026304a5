import type { JobId } from '../job';

/** What keeps a job out of the plan: it could not be worked out, or it took too long. */
export type AsideReason = 'failed' | 'slow';

/** Jobs that could not be planned, why, and what failed, for those who mend it. */
export class Aside {
  readonly why = new Map<JobId, AsideReason>();
  readonly faults: string[] = [];

  put(job: JobId, error: unknown): void {
    this.why.set(job, 'failed');
    this.faults.push(`${job}: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`);
  }

  /** A stage of one job; nothing when it fails: the job is set aside then. */
  try<T>(job: JobId, stage: () => T): T | undefined {
    try {
      return stage();
    } catch (error) {
      this.put(job, error);
      return undefined;
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
