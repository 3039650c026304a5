import type { FieldPatch, Job, Patch, Shop } from '@kolleta/core/job';

/**
 * A change of a job: single fields set to what was chosen or typed; or how it follows from the job as it is saved at that moment. What
 * holds more than one
 * field, or follows from what is there already (moved by, one more, without this one), has to be the second: the screen may show an older job.
 */
export type JobChange = FieldPatch | ((saved: Job) => Patch);

/** A change of the shop, under the same rule. */
export type ShopChange = FieldPatch | ((saved: Shop) => Patch);
