import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { Job, Shop } from '@kolleta/core/job';
import { db, WorkshopDatabase, type CutterRun } from './db';
import { fileName } from './download';
import { editJob } from './editJob';
import { newId } from './newId';
import { readWorkshop } from './useWorkshop';
import { forgetPlace, noteOpened, PLACE } from './place';
import { beginAgain, bringBack, DEMO_START, openAsOwn, openWorkshop, replaceWorkshop, StorageEmptied } from './workshop';
import { now, shiftClock } from './clock';

const shop = { name: 'Mine', films: [] } as unknown as Shop;
const job = (id: string, createdAt: number): Job => ({ id, name: id, createdAt, marks: [], zones: [] }) as unknown as Job;
beforeEach(async () => {
  await Promise.all(db.tables.map((table) => table.clear()));
});

describe('the workshop in the browser', () => {
  it('is nothing before the first start', async () => expect(await readWorkshop()).toBeUndefined());
  it('is replaced whole: jobs, log, histories', async () => {
    await replaceWorkshop({ shop, jobs: [job('a', 2), job('b', 1)], events: [] }, false);
    await editJob('a', [{ op: 'set', path: ['name'], value: 'x' }], 'Name');
    await replaceWorkshop({ shop: { ...shop, name: 'Other' }, jobs: [job('c', 1)], events: [] }, false);
    const state = (await readWorkshop())!;
    expect(state.shop.name).toBe('Other');
    expect(state.jobs.map((j) => j.id)).toEqual(['c']);
    expect(await db.history.count()).toBe(0);
  });
  it('lists jobs in the order in which they were made', async () => {
    await replaceWorkshop({ shop, jobs: [job('late', 9), job('early', 1)], events: [] }, false);
    expect((await readWorkshop())!.jobs.map((j) => j.id)).toEqual(['early', 'late']);
  });
  it('the demo has its own clock, everything else the real one', async () => {
    await replaceWorkshop({ shop, jobs: [], events: [] }, true);
    expect(now() - DEMO_START).toBeLessThan(1000);
    expect((await readWorkshop())!.isDemo).toBe(true);
    await beginAgain();
    expect(Math.abs(now() - Date.now())).toBeLessThan(100);
    expect((await readWorkshop())!).toMatchObject({ isDemo: false, jobs: [] });
  });
  it('beginning empty is empty, in the zone of the device', async () => {
    await replaceWorkshop({ shop: { ...shop, films: [{ id: 'f' }] } as unknown as Shop, jobs: [job('a', 1)], events: [] }, false);
    await beginAgain();
    const state = (await readWorkshop())!;
    expect(state.jobs).toHaveLength(0);
    const { films, tapes, paints, machines, hours } = state.shop;
    expect([...films, ...tapes, ...paints, ...machines]).toHaveLength(0);
    expect(hours.zone).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone);
  });
  it('what was replaced comes back with its undo, its clock and what was sent to the cutter, and so does what took its place', async () => {
    await replaceWorkshop({ shop: { ...shop, name: 'First' }, jobs: [job('a', 1)], events: [] }, true);
    await editJob('a', [{ op: 'set', path: ['name'], value: 'x' }], 'Name');
    await db.runs.put({ run: 'r', settled: false } as CutterRun);
    await shiftClock(3_600_000);
    await replaceWorkshop({ shop: { ...shop, name: 'Second' }, jobs: [job('b', 1)], events: [] }, false, 'Restore');
    await editJob('b', [{ op: 'set', path: ['name'], value: 'later work' }], 'Name');
    const names = async () => (await readWorkshop())!.jobs.map(({ name }) => name);
    expect(await bringBack()).toBe('First');
    expect([await names(), await db.history.count(), await db.runs.count()]).toEqual([['x'], 1, 1]);
    expect(now() - DEMO_START).toBeGreaterThanOrEqual(3_600_000);
    expect(now() - DEMO_START).toBeLessThan(3_660_000);
    expect(await bringBack()).toBe('Second');
    expect([await names(), await db.history.count(), await db.runs.count()]).toEqual([['later work'], 1, 0]);
    expect(Math.abs(now() - Date.now())).toBeLessThan(100);
    // and of several the one that is asked for
    await beginAgain();
    const first = (await db.snapshots.toArray()).find((one) => one.workshop.shop.name === 'First')!;
    expect(await bringBack(first.id)).toBe('First');
    expect((await db.snapshots.toArray()).some(({ id }) => id === first.id)).toBe(false);
    expect(await bringBack(first.id)).toBeUndefined();
    expect(await names()).toEqual(['x']);
  });
  it('a file opened in the demo becomes the own workshop, and the demo stays', async () => {
    await replaceWorkshop({ shop: { ...shop, name: 'Demo' }, jobs: [job('d', 1)], events: [] }, true);
    // jsdom cannot reload
    const told = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    await openAsOwn({ shop: { ...shop, name: 'Mine' }, jobs: [job('m', 1)], events: [] }, 'Restore');
    told.mockRestore();
    expect((await readWorkshop())!.shop.name).toBe('Demo');
    const own = new WorkshopDatabase('kolleta');
    expect((await own.shop.get('shop'))!.shop.name).toBe('Mine');
    expect((await own.jobs.toArray()).map(({ id }) => id)).toEqual(['m']);
    expect(localStorage.getItem('place')).toBe('own');
    localStorage.clear();
  });
});

describe('a later start', () => {
  it('misses a workshop that was there and is gone', async () => {
    noteOpened(PLACE);
    await expect(openWorkshop()).rejects.toThrow(StorageEmptied);
    forgetPlace(PLACE);
  });
});

describe('names', () => {
  it('of files suit any disk', () => {
    expect(fileName('Crew flasks — “Silver”/2')).toBe('crew-flasks-silver2');
    expect(fileName('Ærø & Łódź')).toMatch(/^[\w-]+$/);
    expect(fileName('///')).toBe('kolleta');
  });
  it('of things are random and never the same', () => {
    const ids = Array.from({ length: 500 }, newId);
    expect(new Set(ids).size).toBe(500);
    for (const id of ids) expect(id).toMatch(/^[0-9a-z]{10}$/);
  });
});
