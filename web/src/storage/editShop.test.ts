import { expect, it } from '@jest/globals';
import { amountOf, filmTaken, setAt, type Shop } from '@kolleta/core/job';
import { WorkshopDatabase } from './db';
import { countStock, editShop, redoShop, undoShop } from './editShop';
import { letGo } from './keeping';

it('the shop has an undo of its own', async () => {
  const database = new WorkshopDatabase('shop-test');
  const shop = { name: 'a', films: [{ id: 'f', length: 10 }] } as unknown as Shop;
  await expect(editShop(setAt(['name'], 'b'), 'Name', 0, database)).rejects.toThrow(/thrown away/);
  letGo();
  await database.shop.put({ id: 'shop', shop });
  const kept = async () => (await database.shop.get('shop'))!.shop;
  await editShop(setAt(['films', 'f', 'length'], 7), 'Count a roll', 0, database);
  await editShop(setAt(['name'], 'b'), 'Name', 5000, database);
  expect(await kept()).toMatchObject({ name: 'b', films: [{ length: 7 }] });
  expect(await undoShop(database)).toBe('Name');
  expect(await undoShop(database)).toBe('Count a roll');
  expect(await undoShop(database)).toBeUndefined();
  expect(await kept()).toEqual(shop);
  await redoShop(database);
  expect(await kept()).toMatchObject({ name: 'a', films: [{ length: 7 }] });
});

it('a roll that is counted holds what was typed, whatever was cut from it and is logged meanwhile', async () => {
  const database = new WorkshopDatabase('count-test');
  await database.shop.put({ id: 'shop', shop: { name: 'a', films: [{ id: 'f', length: 1000 }] } as unknown as Shop });
  const cut = (id: string) => database.events.put({ id, at: 1, kind: 'cut', job: 'j', step: 's', film: 'f', length: 700 });
  await cut('one');
  // more is in the log than lay there: what is typed still counts
  await cut('two');
  await countStock({ stock: 'film', item: 'f', is: 250, reason: 'counted anew' }, 5, database);
  const { shop } = (await database.shop.get('shop'))!;
  const log = () => database.events.toArray();
  expect(shop.films[0]!.length - (filmTaken(await log()).get('f') ?? 0)).toBe(250);
  expect((await log()).find(({ kind }) => kind === 'counted')).toMatchObject({ was: -400, is: 250, reason: 'counted anew' });
  // a count is a step of undo like any other, and the log keeps it with its reversal
  expect(await undoShop(database)).toBe('Count the stock');
  expect(amountOf(shop, await log(), 'film', 'f')?.amount).toBe(-400);
  expect(await redoShop(database)).toBe('Count the stock');
  expect(amountOf(shop, await log(), 'film', 'f')?.amount).toBe(250);
  expect(await log()).toHaveLength(5);
});
