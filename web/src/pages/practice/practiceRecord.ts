import type { Answered } from '@kolleta/core/practice';
import { db } from '../../storage/db';

/** So many answers are kept. */
const MOST = 600;

/** The answers that were given on this device, the oldest first. */
export const readPractice = async (): Promise<readonly Answered[]> => (await db.cache.get('practice'))?.practice ?? [];

/** Adds an answer to the record. */
export async function recordAnswer(answer: Answered): Promise<void> {
  await db.transaction('rw', db.cache, async () => {
    const practice = [...(await readPractice()), answer].slice(-MOST);
    await db.cache.put({ id: 'practice', practice });
  });
}

/** Forgets the record. */
export const forgetPractice = (): Promise<void> => db.cache.delete('practice');
