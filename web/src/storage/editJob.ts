import { applyPatch, type Job } from '@kolleta/core/job';
import { db, type WorkshopDatabase } from './db';
import { change, step } from './history';
import type { JobChange } from './jobChange';
import { keep } from './keeping';
import { Told } from './told';
import { write } from './write';

export type { JobChange } from './jobChange';

/** The job is not there any more. */
class JobGone extends Told {
  constructor() {
    super('This job is not here any more, so nothing was changed.');
  }
}

const patchOf = (what: JobChange, job: Job) => (typeof what === 'function' ? what(job) : what);

/**
 * Changes a job and keeps the change for undo, in one transaction.
 *
 * @param what the change, or how it follows from the job as it is saved at that moment
 * @param label what the user did; quick repeats under one label are undone together
 * @returns the number of the save
 * @throws JobGone when the job is gone
 */
export async function editJob(
  id: string,
  what: JobChange,
  label: string,
  at = Date.now(),
  database: WorkshopDatabase = db,
): Promise<number> {
  const run = () =>
    write(
      [database.jobs, database.history],
      async () => {
        const job = await database.jobs.get(id);
        if (!job) throw new JobGone();
        const patch = patchOf(what, job);
        if (patch.length === 0) return;
        const history = (await database.history.get(id)) ?? { id, past: [], future: [] };
        const changed = change(job, history, patch, label, at);
        await database.jobs.put(changed.document);
        await database.history.put(changed.history);
      },
      database,
    );
  const { save } = await keep(label, run, (workshop) => ({
    ...workshop,
    jobs: workshop.jobs.map((job) => (job.id === id ? applyPatch(job, patchOf(what, job)).document : job)),
  }));
  return save;
}

async function stepJob(id: string, from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const run = () =>
    write(
      [database.jobs, database.history],
      async () => {
        const [job, history] = [await database.jobs.get(id), await database.history.get(id)];
        const stepped = job && history && step(job, history, from);
        if (!stepped) return undefined;
        await database.jobs.put(stepped.document);
        await database.history.put(stepped.history);
        return stepped.label;
      },
      database,
    );
  return (await keep(from === 'past' ? 'Undo' : 'Redo', run)).result;
}

/** Takes the last change of a job back; its label, or nothing when there is none. */
export const undoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => stepJob(id, 'past', database);

/** Does again what was taken back. */
export const redoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => stepJob(id, 'future', database);

/** Adds a job. */
export async function addJob(job: Job, database: WorkshopDatabase = db): Promise<void> {
  const run = () => write([database.jobs], () => database.jobs.put(job), database);
  await keep(`New job ${job.name}`, run, (workshop) => ({
    ...workshop,
    jobs: [...workshop.jobs.filter(({ id }) => id !== job.id), job],
  }));
}

/** What was taken away with a job, so that it can be brought back. */
export interface RemovedJob {
  readonly job: Job;
  readonly history?: Parameters<WorkshopDatabase['history']['put']>[0];
}

/** Takes a job out of the workshop with its undo; what was logged of it stays in the log. */
export async function removeJob(id: string, database: WorkshopDatabase = db): Promise<RemovedJob | undefined> {
  const run = () =>
    write(
      [database.jobs, database.history],
      async (): Promise<RemovedJob | undefined> => {
        const [job, history] = [await database.jobs.get(id), await database.history.get(id)];
        await database.jobs.delete(id);
        await database.history.delete(id);
        return job && { job, ...(history ? { history } : {}) };
      },
      database,
    );
  const without = (workshop: { jobs: Job[] }) => workshop.jobs.filter((job) => job.id !== id);
  return (await keep('Delete a job', run, (workshop) => ({ ...workshop, jobs: without(workshop) }))).result;
}

/** Brings a job back that was taken away. */
export async function restoreJob({ job, history }: RemovedJob, database: WorkshopDatabase = db): Promise<void> {
  const run = () =>
    write(
      [database.jobs, database.history],
      async () => {
        await database.jobs.put(job);
        if (history) await database.history.put(history);
      },
      database,
    );
  await keep(`Bring ${job.name} back`, run, (workshop) => ({ ...workshop, jobs: [...workshop.jobs, job] }));
}
