import { amountOf, applyPatch, type Shop, type StockKindId, type WorkEvent } from '@kolleta/core/job';
import { now } from './clock';
import { db, type Change, type WorkshopDatabase } from './db';
import { change, step } from './history';
import type { ShopChange } from './jobChange';
import { keep } from './keeping';
import { newId } from './newId';
import { write } from './write';

/** The shop's place among the histories; no job has this id. */
export const SHOP = '@shop';

/** What is counted of the stock: what lies there is so much, whatever was taken since the last count. */
export interface Counted {
  readonly stock: StockKindId;
  readonly item: string;
  readonly is: number;
  readonly reason: string;
}

/** What a step of the shop's history put into the log. */
const eventsOf = ({ event, events = event ? [event] : [] }: Change): readonly WorkEvent[] => events;

/** Changes the shop and counts what is in it, as one step of undo; the number of the save. */
async function changeShop(
  what: ShopChange,
  counts: (before: Shop) => readonly Counted[],
  label: string,
  [at, counted]: readonly [at: number, counted: number],
  database: WorkshopDatabase,
): Promise<number> {
  const ids = new Map<string, string>();
  const workedOut = (shop: Shop, events: readonly WorkEvent[]) => {
    const patch = typeof what === 'function' ? what(shop) : what;
    const found = counts(shop).flatMap((count): WorkEvent[] => {
      const known = amountOf(shop, events, count.stock, count.item);
      // nothing is corrected where it is what it was thought to be
      if (!known || known.amount === count.is) return [];
      const id = ids.get(count.item) ?? newId();
      ids.set(count.item, id);
      return [{ id, at: counted, kind: 'counted', ...count, name: known.name, was: known.amount }];
    });
    return { patch, found };
  };
  const run = () =>
    write(
      [database.shop, database.history, database.events],
      async () => {
        const { shop } = (await database.shop.get('shop'))!;
        const isCounted = counts(shop).length > 0;
        const { patch, found } = workedOut(shop, isCounted ? await database.events.toArray() : []);
        if (patch.length === 0 && found.length === 0) return;
        const history = (await database.history.get(SHOP)) ?? { id: SHOP, past: [], future: [] };
        const changed = change(shop, history, patch, label, at);
        // a count never joins with what comes next
        if (found.length > 0) Object.assign(changed.history.past.at(-1)!, { at: 0, events: found });
        if (patch.length > 0) await database.shop.put({ id: 'shop', shop: changed.document });
        await database.events.bulkPut(found);
        await database.history.put(changed.history);
      },
      database,
    );
  const { save } = await keep(label, run, (workshop) => {
    const { patch, found } = workedOut(workshop.shop, workshop.events);
    return { ...workshop, shop: applyPatch(workshop.shop, patch).document, events: [...workshop.events, ...found] };
  });
  return save;
}

/** Changes the shop and keeps the change for undo; the number of the save. */
export const editShop = (what: ShopChange, label: string, at = Date.now(), database: WorkshopDatabase = db): Promise<number> =>
  changeShop(what, () => [], label, [at, at], database);

/** Changes the shop and counts things of it as they were before, all of it one step of undo. */
export const editAndCount = (what: ShopChange, counts: (before: Shop) => readonly Counted[], label: string): Promise<number> =>
  changeShop(what, counts, label, [Date.now(), now()], db);

/** Stock was counted: it goes into the log with its reason, and is one step of undo. */
export const countStock = (what: Counted, at = now(), database: WorkshopDatabase = db): Promise<number> =>
  changeShop([], () => [what], 'Count the stock', [Date.now(), at], database);

async function stepShop(from: 'past' | 'future', database: WorkshopDatabase): Promise<string | undefined> {
  const run = () =>
    write(
      [database.shop, database.history, database.events],
      async () => {
        const [entry, history] = [await database.shop.get('shop'), await database.history.get(SHOP)];
        const last = history?.[from].at(-1);
        const stepped = entry && history && step(entry.shop, history, from);
        if (!stepped || !last) return undefined;
        const counted = eventsOf(last);
        if (counted.length > 0) {
          // counts are taken back by their reversals, and counted again under other names
          const again = counted.map((event) => ({ ...event, id: newId() }));
          const at = now();
          const reversals = counted.map((event): WorkEvent => ({ id: newId(), at, kind: 'reversed', event: event.id }));
          await database.events.bulkPut(from === 'past' ? reversals : again);
          if (from === 'future') stepped.history.past.at(-1)!.events = again;
        }
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
