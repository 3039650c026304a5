import { expect, it } from '@jest/globals';
import { setAt, type Shop } from '@kolleta/core/job';
import { WorkshopDatabase } from './db';
import { editShop, redoShop, undoShop } from './editShop';

it('the shop has an undo of its own', async () => {
  const database = new WorkshopDatabase('shop-test');
  const shop = { name: 'a', films: [{ id: 'f', length: 10 }] } as unknown as Shop;
  await expect(editShop(setAt(['name'], 'b'), 'Name', 0, database)).rejects.toThrow(/no shop/);
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
