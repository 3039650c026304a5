import { isPersonal } from '../artwork';
import type { Id, Job } from '../job';
import { TooMuchWork } from '../units';

/**
 * A job may take so many steps of work, and so many more for each row of its list and each of its marks: five to ten seconds of a quiet machine,
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

const SIZED: Partial<Heavy> = { part: 'its size in its place' };
const CHANGED: Heavy = { part: 'what its changes make of it', help: 'Take a change away at Draw, or make fewer copies of it.' };
const THIN: Partial<Heavy> = { part: 'how thin it gets' };
const LAID: Heavy = { part: 'its layout on the film', help: 'Make fewer pieces in one job, or part it in two.' };

/** What is heavy, by the stage that was at it; of all other stages only that it is drawn so. What does not say what helps is helped by less of it. */
const BY_STAGE: Readonly<Record<string, Partial<Heavy>>> = {
  exact: SIZED,
  'best turn': SIZED,
  scale: SIZED,
  settle: SIZED,
  shape: CHANGED,
  higher: CHANGED,
  scattered: CHANGED,
  inspect: THIN,
  thinness: THIN,
  'thin remedies': THIN,
  'thin row': THIN,
  layout: LAID,
  'parts key': LAID,
};

/** What makes any work on a mark less: of words there are no paths to simplify. */
const LESS = {
  text: 'Say less on it, or choose a plainer font.',
  drawing: 'Simplify its paths, or leave out what is not cut.',
} as const;

/** What was too much of a job, and what would help. */
export function heavyOf(error: TooMuchWork, job: Job): Heavy {
  const mark = job.marks.find(({ id }) => id === error.mark);
  const { part = 'how it is drawn', help = LESS[mark?.artwork.kind ?? 'drawing'] } = BY_STAGE[error.stage ?? ''] ?? {};
  const of = mark ? `${part}, of the mark “${mark.name}”` : part;
  const rows = mark && job.list && isPersonal(mark, job.list) ? job.list.rows.length : 0;
  return rows > 1
    ? { part: `${of}, on each of the ${rows} in the list`, help: `${help} Or part the list in two jobs.` }
    : { part: of, help };
}

/** Work on one mark: what is too much of it is told as that mark's. */
export function ofMark<T>({ id }: { readonly id: Id }, work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof TooMuchWork) error.mark ??= id;
    throw error;
  }
}
