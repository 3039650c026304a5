import {
  applyPatch,
  setAt,
  takeInstead,
  type Film,
  type Paint,
  type Patch,
  type Shop,
  type StockKindId,
  type Supply,
  type Tape,
} from '@kolleta/core/job';
import type { StockList } from '@kolleta/core/stockList';
import { db } from './db';
import { editJob } from './editJob';
import { editAndCount, editShop, type Counted } from './editShop';
import { newId } from './newId';
import { takeAway } from './takeAway';

/** Where each kind of stock is kept in the shop. */
const STOCK_FIELD = { film: 'films', tape: 'tapes', paint: 'paints', supply: 'supplies' } as const satisfies Record<
  StockKindId,
  keyof Shop
>;

/** A thing of each kind of stock. */
export interface StockThings {
  film: Film;
  tape: Tape;
  paint: Paint;
  supply: Supply;
}

/** Puts a new thing into stock, first in its list; its id. */
export async function addStock<K extends StockKindId>(stock: K, thing: Omit<StockThings[K], 'id'>): Promise<string> {
  const id = newId();
  const field = STOCK_FIELD[stock];
  await editShop(() => [{ op: 'set', path: [field, id], value: { ...thing, id }, first: true }], `Add ${thing.name || 'to the stock'}`);
  return id;
}

/** A second one like it, as much as there is of the first. */
export const copyStock = <K extends StockKindId>(stock: K, thing: StockThings[K]): Promise<string> => {
  const { id: _, ...rest } = thing;
  return addStock(stock, { ...rest, name: `${thing.name}, second`.slice(0, 200) } as Omit<StockThings[K], 'id'>);
};

/**
 * Takes a thing out of stock; the jobs that it was chosen for take another.
 *
 * @returns brings it back, and the jobs' choices
 */
export async function removeStock(stock: StockKindId, id: string, name: string, instead?: string): Promise<() => Promise<void>> {
  const inverses: { readonly job: string; readonly inverse: Patch }[] = [];
  for (const job of await db.jobs.toArray()) {
    if (takeInstead(job, stock, id, instead).length === 0) continue;
    let inverse: Patch = [];
    await editJob(
      job.id,
      (saved) => {
        const patch = takeInstead(saved, stock, id, instead);
        inverse = applyPatch(saved, patch).inverse;
        return patch;
      },
      `Take another than ${name}`,
    );
    inverses.push({ job: job.id, inverse });
  }
  const back = await takeAway(STOCK_FIELD[stock], id, name);
  return async () => {
    await back();
    for (const { job, inverse } of inverses) await editJob(job, () => inverse, `Take ${name} again`);
  };
}

const AMOUNT = { film: 'length', tape: 'length', paint: 'volume', supply: 'amount' } as const;

/** Takes a list in: what has the same name becomes as the list says, its amount as a count; everything else is added. One step of undo. */
export async function takeStockList({ things }: Pick<StockList, 'things'>): Promise<void> {
  const ids = things.map(newId);
  const taken = (shop: Shop) => {
    const counts = new Map<string, Counted>();
    const patch = (Object.keys(STOCK_FIELD) as StockKindId[]).flatMap((stock) => {
      const mine = things.flatMap((one, i) => (one.stock === stock ? [{ thing: one.thing, id: ids[i]! }] : []));
      if (mine.length === 0) return [];
      const amount = AMOUNT[stock];
      const list: { id: string; name: string }[] = [...(shop[STOCK_FIELD[stock]] ?? [])];
      const places = new Map(list.map(({ name }, i) => [name, i] as const).toReversed());
      const known = list.length;
      for (const { thing, id } of mine) {
        const place = places.get(thing.name);
        if (place === undefined) places.set(thing.name, list.push({ ...thing, id }) - 1);
        else {
          const old = list[place]! as { id: string; name: string } & Record<string, unknown>;
          const left = (thing as Record<string, unknown>)[amount] as number;
          if (place < known) counts.set(old.id, { stock, item: old.id, is: left, reason: 'from a stock list' });
          list[place] = { ...old, ...thing, ...(place < known ? { [amount]: old[amount] } : {}) };
        }
      }
      return setAt([STOCK_FIELD[stock]], list);
    });
    return { patch, counts: [...counts.values()] };
  };
  await editAndCount(
    (shop) => taken(shop).patch,
    (shop) => taken(shop).counts,
    'Take a stock list in',
  );
}
