import { beforeEach, expect, it } from '@jest/globals';
import { WorkshopDatabase, type History } from './db';
import { SHOP } from './editShop';
import { lastChanged, lastChangedOfAll } from './lastChanged';

let database: WorkshopDatabase;
let made = 0;
beforeEach(() => {
  database = new WorkshopDatabase(`last-changed-${(made += 1)}`);
});
const past = (id: string, ...times: number[]): History => ({
  ...{ id, future: [] },
  past: times.map((at) => ({ label: 'x', at, forward: [], inverse: [] })),
});

it('is the job where nothing was changed, and where its own change is the newest', async () => {
  expect(await lastChanged('j', 100, database)).toBe('job');
  await database.history.bulkPut([past('j', 150), past(SHOP, 120)]);
  expect(await lastChanged('j', 100, database)).toBe('job');
});
it('is the workshop where that was changed on this page last, and never by what was changed before it was opened', async () => {
  await database.history.bulkPut([past('j', 150), past(SHOP, 90, 200)]);
  expect(await lastChanged('j', 100, database)).toBe('shop');
  expect(await lastChanged('j', 201, database)).toBe('job');
  expect(await lastChanged('other', 100, database)).toBe('shop');
});
it('is, on a page of all jobs, whatever was changed there last', async () => {
  expect(await lastChangedOfAll(100, database)).toBeUndefined();
  await database.history.bulkPut([past('j', 150), past('k', 170), past(SHOP, 90, 120)]);
  expect(await lastChangedOfAll(100, database)).toBe('k');
  expect(await lastChangedOfAll(171, database)).toBeUndefined();
  await database.history.put(past(SHOP, 90, 200));
  expect(await lastChangedOfAll(100, database)).toBe('shop');
});
