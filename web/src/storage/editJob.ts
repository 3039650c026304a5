import { applyPatch, type Job, type Patch } from '@kolleta/core/job';
import { db, type Change, type WorkshopDatabase } from './db';

/** A change of a job, or how it follows from the job: quick repeats then never start from a stale one. */
export type JobChange = Patch | ((job: Job) => Patch);

/** Changes of one kind that follow within this many ms are one step of undo. */
const TOGETHER_MS = 1200;
/** The most steps kept for one job. */
const MOST_STEPS = 300;

/**
 * Changes a job and keeps the change for undo, in one transaction.
 *
 * @param change the change, or how it follows from the job as it is kept at that moment
 * @param label what the user did; quick repeats under one label are undone together
 * @throws when the job is gone
 */
export async function editJob(id: string, change: JobChange, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<Job> {
  return database.transaction('rw', database.jobs, database.history, async () => {
    const job = await database.jobs.get(id);
    if (!job) throw new Error(`editJob: there is no job "${id}"`);
    const patch = typeof change === 'function' ? change(job) : change;
    const { document, inverse } = applyPatch(job, patch);
    const history = (await database.history.get(id)) ?? { id, past: [], future: [] };
    const last = history.past.at(-1);
    const kept: Change =
      last && last.label === label && at - last.at < TOGETHER_MS
        ? { label, at, forward: [...last.forward, ...patch], inverse: [...inverse, ...last.inverse] }
        : { label, at, forward: patch, inverse };
    const before = kept.forward === patch ? history.past : history.past.slice(0, -1);
    await database.jobs.put(document);
    await database.history.put({ id, past: [...before, kept].slice(-MOST_STEPS), future: [] });
    return document;
  });
}

async function step(id: string, from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  return database.transaction('rw', database.jobs, database.history, async () => {
    const [job, history] = [await database.jobs.get(id), await database.history.get(id)];
    const change = history?.[from].at(-1);
    if (!job || !history || !change) return undefined;
    await database.jobs.put(applyPatch(job, from === 'past' ? change.inverse : change.forward).document);
    const other = from === 'past' ? 'future' : 'past';
    await database.history.put({ ...history, [from]: history[from].slice(0, -1), [other]: [...history[other], { ...change, at: 0 }] });
    return change.label;
  });
}

/** Takes the last change of a job back; its label, or nothing when there is none. */
export const undoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => step(id, 'past', database);

/** Does again what was taken back. */
export const redoJob = (id: string, database: WorkshopDatabase = db): Promise<string | undefined> => step(id, 'future', database);
