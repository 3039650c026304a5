/** A random id. Core never makes one: they are passed in. */
export type Id = string;
export type JobId = Id;
export type StepId = Id;

/** The id of a step of a job: its key stays the same for as long as it is the same work. */
export const stepIdOf = (job: JobId, key: string): StepId => `${job}/${key}`;
/** The step in which a job's share of a film is cut. */
export const cutKey = (film: Id): string => `cut:${film}`;
export const cutStepId = (job: JobId, film: Id): StepId => stepIdOf(job, cutKey(film));
