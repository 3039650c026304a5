import type { Job } from '@kolleta/core/job';
import { db, type WorkshopDatabase } from './db';
import { change, step } from './history';
import type { JobChange } from './jobChange';
import { keep } from './keeping';

export type { JobChange } from './jobChange';

/**
 * Changes a job and keeps the change for undo, in one transaction.
 *
 * @param what the change, or how it follows from the job as it is kept at that moment
 * @param label what the user did; quick repeats under one label are undone together
 * @throws when the job is gone
 */
export async function editJob(id: string, what: JobChange, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<Job> {
  const write = () =>
    database.transaction('rw', database.jobs, database.history, async () => {
      const job = await database.jobs.get(id);
      if (!job) throw new Error(`editJob: there is no job "${id}"`);
      const history = (await database.history.get(id)) ?? { id, past: [], future: [] };
      const changed = change(job, history, typeof what === 'function' ? what(job) : what, label, at);
      await database.jobs.put(changed.document);
      await database.history.put(changed.history);
      return changed.document;
    });
  return keep(label, write, { job: id, change: what });
}

async function stepJob(id: string, from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const write = () =>
    database.transaction('rw', database.jobs, database.history, async () => {
      const [job, history] = [await database.jobs.get(id), await database.history.get(id)];
      const stepped = job && history && step(job, history, from);
      if (!stepped) return undefined;
      await database.jobs.put(stepped.document);
      await database.history.put(stepped.history);
      return stepped.label;
    });
  return keep(from === 'past' ? 'Undo' : 'Redo', write);
}

/** Takes the last change of a job back; its label, or nothing when there is none. */
export const undoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => stepJob(id, 'past', database);

/** Does again what was taken back. */
export const redoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => stepJob(id, 'future', database);

/** Adds a job. */
export const addJob = (job: Job, database: WorkshopDatabase = db): Promise<void> =>
  keep(`New job ${job.name}`, async () => void (await database.jobs.add(job)));
