import type { Table } from 'dexie';
import { db, type WorkshopDatabase } from './db';
import { DatabaseGone } from './keeping';

/** The number of the last save, kept with what is saved: whoever reads both knows which saves the rest holds. */
export const savesOf = async (database: WorkshopDatabase = db): Promise<number> => (await database.settings.get('saves'))?.value ?? 0;

/**
 * Writes into the workshop: all of it or nothing.
 *
 * @param tables that are written or read
 * @returns what the work gave, and the number of this save
 * @throws DatabaseGone when there is no workshop any more
 */
export function write<T>(
  tables: readonly Table[],
  work: () => Promise<T>,
  database: WorkshopDatabase = db,
): Promise<{ result: T; save: number }> {
  return database.transaction('rw', [...new Set<Table>([...tables, database.shop, database.settings])], async () => {
    // counted, not read: the shop may hold fonts
    if ((await database.shop.where(':id').equals('shop').count()) === 0) throw new DatabaseGone('There is no workshop in this browser.');
    const result = await work();
    const save = (await savesOf(database)) + 1;
    await database.settings.put({ key: 'saves', value: save });
    return { result, save };
  });
}
