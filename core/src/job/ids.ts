/** A random id. Core never makes one: they are passed in. */
export type Id = string;
export type JobId = Id;
export type StepId = Id;
