import type { Patch } from '@kolleta/core/job';
import { db, type WorkshopDatabase } from './db';
import { change, step } from './history';
import { keep } from './keeping';

/** The shop's place among the histories; no job has this id. */
const SHOP = '@shop';

/** Changes the shop and keeps the change for undo. */
export async function editShop(patch: Patch, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<void> {
  const write = () =>
    database.transaction('rw', database.shop, database.history, async () => {
      const entry = await database.shop.get('shop');
      if (!entry) throw new Error('editShop: there is no shop yet');
      const history = (await database.history.get(SHOP)) ?? { id: SHOP, past: [], future: [] };
      const changed = change(entry.shop, history, patch, label, at);
      await database.shop.put({ id: 'shop', shop: changed.document });
      await database.history.put(changed.history);
    });
  await keep(label, write);
}

async function stepShop(from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const write = () =>
    database.transaction('rw', database.shop, database.history, async () => {
      const [entry, history] = [await database.shop.get('shop'), await database.history.get(SHOP)];
      const stepped = entry && history && step(entry.shop, history, from);
      if (!stepped) return undefined;
      await database.shop.put({ id: 'shop', shop: stepped.document });
      await database.history.put(stepped.history);
      return stepped.label;
    });
  return keep(from === 'past' ? 'Undo' : 'Redo', write);
}

/** Takes the last change of the shop back; its label, or nothing. */
export const undoShop = (database: WorkshopDatabase = db): Promise<string | undefined> => stepShop('past', database);

/** Does again what was taken back. */
export const redoShop = (database: WorkshopDatabase = db): Promise<string | undefined> => stepShop('future', database);
