import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { expect, it } from '@jest/globals';
import { readWorkshopFile } from '@kolleta/core/jobFile';
import { WorkshopDatabase } from './db';

/** The tables of every version that landed, as they were then, and the workshop file of that time. */
const LANDED = [
  {
    version: 1,
    file: '1.workshop.json',
    tables: { jobs: 'id, closed', shop: 'id', events: 'id, job, at', history: 'id', settings: 'key' },
  },
];

it.each(LANDED)('a workshop kept by version $version opens, with everything in it', async ({ version, file, tables }) => {
  const name = `landed-${version}`;
  const text = readFileSync(new URL(`../../../core/test/landed/${file}`, import.meta.url), 'utf8');
  const read = readWorkshopFile(text, file);
  if (!read.ok) throw new Error(read.problem.found);
  const { shop, jobs, events } = read.value;
  const old = new Dexie(name);
  old.version(version).stores(tables);
  await old.table('shop').put({ id: 'shop', shop });
  await old.table('jobs').bulkPut(jobs);
  await old.table('events').bulkPut(events);
  await old.table('settings').put({ key: 'clockOffset', value: 5 });
  old.close();
  const now = new WorkshopDatabase(name);
  expect((await now.jobs.toArray()).map((j) => j.id).toSorted()).toEqual(jobs.map((j) => j.id).toSorted());
  expect(await now.events.count()).toBe(events.length);
  expect((await now.shop.get('shop'))!.shop).toEqual(shop);
  expect((await now.settings.get('clockOffset'))!.value).toBe(5);
  expect(await now.runs.count()).toBe(0);
  expect(await now.snapshots.count()).toBe(0);
});
