import { applyPatch, filmTaken, setAt, type Patch, type Shop, type WorkEvent } from '@kolleta/core/job';
import { db, type WorkshopDatabase } from './db';
import { change, step } from './history';
import type { ShopChange } from './jobChange';
import { keep } from './keeping';
import { write } from './write';

/** The shop's place among the histories; no job has this id. */
const SHOP = '@shop';

/** Changes the shop as it and the log are saved at that moment, and keeps the change for undo; the number of the save. */
async function changeShop(
  patchOf: (saved: Shop, events: readonly WorkEvent[]) => Patch,
  label: string,
  at: number,
  database: WorkshopDatabase,
  withEvents: boolean,
): Promise<number> {
  const run = () =>
    write(
      [database.shop, database.history, database.events],
      async () => {
        const { shop } = (await database.shop.get('shop'))!;
        const patch = patchOf(shop, withEvents ? await database.events.toArray() : []);
        if (patch.length === 0) return;
        const history = (await database.history.get(SHOP)) ?? { id: SHOP, past: [], future: [] };
        const changed = change(shop, history, patch, label, at);
        await database.shop.put({ id: 'shop', shop: changed.document });
        await database.history.put(changed.history);
      },
      database,
    );
  const { save } = await keep(label, run, (workshop) => ({
    ...workshop,
    shop: applyPatch(workshop.shop, patchOf(workshop.shop, workshop.events)).document,
  }));
  return save;
}

/** Changes the shop and keeps the change for undo; the number of the save. */
export const editShop = (what: ShopChange, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<number> =>
  changeShop((saved) => (typeof what === 'function' ? what(saved) : what), label, at, database, false);

/** A roll was counted: what lies there is so long, whatever was cut since the last count; mm. */
export const countRoll = (film: string, left: number, at = Date.now(), database: WorkshopDatabase = db): Promise<number> =>
  changeShop(
    (_, events) => setAt(['films', film, 'length'], left + (filmTaken(events).get(film) ?? 0)),
    'Count a roll',
    at,
    database,
    true,
  );

async function stepShop(from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const run = () =>
    write(
      [database.shop, database.history],
      async () => {
        const [entry, history] = [await database.shop.get('shop'), await database.history.get(SHOP)];
        const stepped = entry && history && step(entry.shop, history, from);
        if (!stepped) return undefined;
        await database.shop.put({ id: 'shop', shop: stepped.document });
        await database.history.put(stepped.history);
        return stepped.label;
      },
      database,
    );
  return (await keep(from === 'past' ? 'Undo' : 'Redo', run)).result;
}

/** Takes the last change of the shop back; its label, or nothing. */
export const undoShop = (database: WorkshopDatabase = db): Promise<string | undefined> => stepShop('past', database);

/** Does again what was taken back. */
export const redoShop = (database: WorkshopDatabase = db): Promise<string | undefined> => stepShop('future', database);
