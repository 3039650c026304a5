import { amountOf, applyPatch, type Shop, type StockKindId, type WorkEvent } from '@kolleta/core/job';
import { now } from './clock';
import { db, type History, type WorkshopDatabase } from './db';
import { change, step } from './history';
import type { ShopChange } from './jobChange';
import { keep } from './keeping';
import { newId } from './newId';
import { write } from './write';

/** The shop's place among the histories; no job has this id. */
export const SHOP = '@shop';

/** Changes the shop and keeps the change for undo; the number of the save. */
export async function editShop(what: ShopChange, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<number> {
  const patchOf = (saved: Shop) => (typeof what === 'function' ? what(saved) : what);
  const run = () =>
    write(
      [database.shop, database.history],
      async () => {
        const { shop } = (await database.shop.get('shop'))!;
        const patch = patchOf(shop);
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
    shop: applyPatch(workshop.shop, patchOf(workshop.shop)).document,
  }));
  return save;
}

/**
 * Stock was counted: what lies there is so much, whatever was taken since the last count. It goes into the log with its reason, and is one step
 * of undo.
 */
export async function countStock(
  what: { stock: StockKindId; item: string; is: number; reason: string },
  at = now(),
  database: WorkshopDatabase = db,
): Promise<void> {
  const id = newId();
  const label = 'Count the stock';
  const eventOf = (shop: Shop, events: readonly WorkEvent[]): WorkEvent | undefined => {
    const found = amountOf(shop, events, what.stock, what.item);
    // nothing is corrected where it is what it was thought to be
    if (!found || found.amount === what.is) return undefined;
    return { id, at, kind: 'counted', ...what, name: found.name, was: found.amount };
  };
  const run = () =>
    write(
      [database.shop, database.history, database.events],
      async () => {
        const { shop } = (await database.shop.get('shop'))!;
        const event = eventOf(shop, await database.events.toArray());
        if (!event) return;
        const history = (await database.history.get(SHOP)) ?? { id: SHOP, past: [], future: [] };
        await database.events.put(event);
        await database.history.put({ ...history, past: [...history.past, { label, at: 0, forward: [], inverse: [], event }], future: [] });
      },
      database,
    );
  await keep(label, run, (workshop) => {
    const event = eventOf(workshop.shop, workshop.events);
    return event ? { ...workshop, events: [...workshop.events, event] } : workshop;
  });
}

/** Takes a count back by its reversal, or counts again. */
async function stepCount(history: History, from: 'past' | 'future', event: WorkEvent, database: WorkshopDatabase): Promise<string> {
  const last = history[from].at(-1)!;
  const again = { ...event, id: newId() };
  await database.events.put(from === 'past' ? { id: newId(), at: now(), kind: 'reversed', event: event.id } : again);
  const other = from === 'past' ? 'future' : 'past';
  const step = from === 'past' ? last : { ...last, event: again };
  await database.history.put({ ...history, [from]: history[from].slice(0, -1), [other]: [...history[other], step] });
  return last.label;
}

async function stepShop(from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const run = () =>
    write(
      [database.shop, database.history, database.events],
      async () => {
        const [entry, history] = [await database.shop.get('shop'), await database.history.get(SHOP)];
        const counted = history?.[from].at(-1)?.event;
        if (history && counted) return stepCount(history, from, counted, database);
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
