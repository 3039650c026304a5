import type { Job } from '../job';
import { TooMuchWork } from '../units';

/**
 * A job may take so many steps of work, and so many more for each row of its list and each of its marks: some six seconds of a quiet machine,
 * many times what a usual job takes.
 */
const JOB_STEPS = 4_000_000;
const ROW_STEPS = 300_000;
/** Tried again because its maker asks for it, it may take so many times as many. */
const PATIENT = 8;

/** How much work a job may take, steps. */
export const stepsFor = (job: Pick<Job, 'list' | 'marks'>, patient: boolean): number =>
  (JOB_STEPS + ROW_STEPS * (job.marks?.length ?? 0) * (1 + (job.list?.rows.length ?? 0))) * (patient ? PATIENT : 1);

/** A part of a job that takes too much work, and what would help. */
export interface Heavy {
  readonly part: string;
  readonly help: string;
}

const DRAWN: Heavy = { part: 'how it is drawn', help: 'Simplify its paths, or leave out what is not cut.' };
const SIZED: Heavy = { part: 'its size in its place', help: 'Give it a width at Fit, or a place of a simpler outline.' };
const CHANGED: Heavy = { part: 'its changes', help: 'Make fewer copies of it, or take a change away at Draw.' };
const THIN: Heavy = { part: 'how thin it gets', help: 'Simplify its paths, or drop small parts at Draw.' };
const LAID: Heavy = { part: 'its layout on the film', help: 'Make fewer pieces in one job, or part it in two.' };

/** What is heavy, by the stage that was at it. */
const BY_STAGE: Readonly<Record<string, Heavy>> = {
  draw: DRAWN,
  outline: DRAWN,
  turn: DRAWN,
  exact: SIZED,
  'best turn': SIZED,
  scale: SIZED,
  settle: SIZED,
  shape: CHANGED,
  higher: CHANGED,
  scattered: CHANGED,
  apart: LAID,
  layout: LAID,
  'parts key': LAID,
};

/** What was too much of a job, and what would help. */
export function heavyOf(error: TooMuchWork, job: Job): Heavy {
  const { part, help } = BY_STAGE[error.stage ?? ''] ?? THIN;
  const of = error.mark === undefined ? part : `${part}, of the mark “${error.mark}”`;
  const rows = job.list?.rows.length ?? 0;
  return rows > 1 ? { part: `${of}, ${rows} times`, help: `${help} Or part the list in two jobs.` } : { part: of, help };
}

/** Work on one mark: what is too much of it is told as that mark's. */
export function ofMark<T>({ name }: { readonly name: string }, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof TooMuchWork) error.mark ??= name;
    throw error;
  }
}
