import { db, type WorkshopDatabase } from './db';
import { SHOP } from './editShop';

/**
 * Which was changed last, a job or the workshop: on the page of a job both can be. Of the workshop only what was changed since then counts.
 *
 * @param since when the page of the job was opened, ms
 */
export async function lastChanged(job: string, since: number, database: WorkshopDatabase = db): Promise<'job' | 'shop'> {
  const [own, shop] = await Promise.all([job, SHOP].map((id) => database.history.get(id)));
  const at = shop?.past.at(-1)?.at ?? 0;
  return at >= since && at > (own?.past.at(-1)?.at ?? 0) ? 'shop' : 'job';
}

/**
 * What was changed last of all jobs and the workshop on a page of all of them.
 *
 * @param since when the page was opened, UTC ms: nothing older is taken back there
 * @returns the id of a job, 'shop', or nothing
 */
export async function lastChangedOfAll(since: number, database: WorkshopDatabase = db): Promise<string | undefined> {
  const all = await database.history.toArray();
  const last = all
    .map(({ id, past }) => ({ id, at: past.at(-1)?.at ?? 0 }))
    .filter(({ at }) => at >= since)
    .toSorted((a, b) => b.at - a.at)[0];
  return last && (last.id === SHOP ? 'shop' : last.id);
}
