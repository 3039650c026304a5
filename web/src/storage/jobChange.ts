import type { Job, Patch } from '@kolleta/core/job';

/** A change of a job, or how it follows from the job: quick repeats then never start from a stale one. */
export type JobChange = Patch | ((job: Job) => Patch);
