import { beforeEach, expect, it } from '@jest/globals';
import { amountOf, setAt } from '@kolleta/core/job';
import { readStockList, writeStockList } from '@kolleta/core/stockList';
import { demoWorkshop } from '../../../core/test/sampleJobs';
import { editJob } from './editJob';
import { countStock, editShop, redoShop, undoShop } from './editShop';
import { addStock, copyStock, removeStock, takeStockList } from './editStock';
import { takeAway } from './takeAway';
import { readWorkshop } from './useWorkshop';
import { replaceWorkshop } from './workshop';

const demo = demoWorkshop();
beforeEach(() => replaceWorkshop(demoWorkshop(), false));
const shopNow = async () => (await readWorkshop())!.shop;
const jobNow = async (id: string) => (await readWorkshop())!.jobs.find((job) => job.id === id)!;

it('what was removed comes back alone, in its place, whatever was changed meanwhile; and so do the choices of the jobs', async () => {
  const before = await jobNow('regatta-prizes');
  const back = await removeStock('film', 'white-gloss', 'White gloss', 'petrol');
  expect((await shopNow()).films.map(({ id }) => id)).not.toContain('white-gloss');
  expect((await jobNow('regatta-prizes')).marks[0]!.film).toBe('petrol');
  // other things go and change at once
  const tapeBack = await takeAway('tapes', 'paper-low', 'Low-tack paper');
  await editShop(setAt(['films', 'petrol', 'name'], 'Dark petrol'), 'Name a film');
  await editJob('regatta-prizes', setAt(['name'], 'Prizes'), 'Name the job');
  await back();
  const { films, tapes } = await shopNow();
  expect(films.map(({ id }) => id)).toEqual(demo.shop.films.map(({ id }) => id));
  expect(films.find(({ id }) => id === 'petrol')!.name).toBe('Dark petrol');
  expect(tapes.map(({ id }) => id)).not.toContain('paper-low');
  expect(await jobNow('regatta-prizes')).toEqual({ ...before, name: 'Prizes' });
  // petrol that was petrol before stays petrol
  expect(await jobNow('boat-numbers')).toEqual(demo.jobs.find(({ id }) => id === 'boat-numbers'));
  await tapeBack();
  expect((await shopNow()).tapes).toEqual(demo.shop.tapes);
  // brought back twice it is there once
  await tapeBack();
  expect((await shopNow()).tapes).toEqual(demo.shop.tapes);
});

it('two removals are two steps of undo, however quickly they follow', async () => {
  await takeAway('tapes', 'paper-low', 'Low-tack paper');
  await takeAway('tapes', 'clear-strong', 'Clear strong');
  await undoShop();
  expect((await shopNow()).tapes.map(({ id }) => id)).toEqual(demo.shop.tapes.map(({ id }) => id).filter((id) => id !== 'paper-low'));
  await undoShop();
  expect((await shopNow()).tapes).toEqual(demo.shop.tapes);
  await redoShop();
  expect((await shopNow()).tapes).toHaveLength(demo.shop.tapes.length - 1);
});

it('the first of its kind begins its list; a copy has all but the id and the name', async () => {
  await editShop((shop) => (shop.supplies ? [{ op: 'remove', path: ['supplies'] }] : []), 'No supplies');
  const id = await addStock('supply', { name: 'Ribbon', kind: 'trimming', amount: 4, unit: 'm', price: 90 });
  expect((await shopNow()).supplies).toEqual([{ id, name: 'Ribbon', kind: 'trimming', amount: 4, unit: 'm', price: 90 }]);
  const film = demo.shop.films[0]!;
  const copy = await copyStock('film', film);
  const copied = (await shopNow()).films.find((one) => one.id === copy)!;
  expect(copied).toEqual({ ...film, id: copy, name: `${film.name}, second` });
});

it('a list taken in changes what has its names, counts what differs, adds the rest, and takes nothing away', async () => {
  const csv = writeStockList(demo.shop, (film) => (film === 'petrol' ? 999 : demo.shop.films.find(({ id }) => id === film)!.length));
  const read = readStockList(`${csv.replace('Clear medium', 'Another clear')}`, 'stock.csv');
  if (!read.ok) throw new Error(read.problem.found);
  await takeStockList(read.value);
  const { shop, events } = (await readWorkshop())!;
  expect(shop.films.map(({ id }) => id)).toEqual(demo.shop.films.map(({ id }) => id));
  // sheets and offcuts are not in the list, and stay
  expect(shop.films.map(({ pieces }) => pieces)).toEqual(demo.shop.films.map(({ pieces }) => pieces));
  expect(shop.tapes.map(({ name }) => name)).toEqual([...demo.shop.tapes.map(({ name }) => name), 'Another clear']);
  // only what differs is counted: of two rolls something was cut before
  const counted = events.flatMap((event) => (event.kind === 'counted' ? [event.item] : []));
  expect(counted.toSorted()).toEqual(['petrol', 'silver', 'white-gloss']);
  expect(events.find((event) => event.kind === 'counted' && event.item === 'petrol')).toMatchObject({
    is: 999,
    reason: 'from a stock list',
  });
  // all of it is one step of undo, and can be done again
  const left = async () => {
    const { shop: now, events: log } = (await readWorkshop())!;
    return now.films.map(({ id }) => amountOf(now, log, 'film', id)?.amount);
  };
  const taken = await left();
  expect(await undoShop()).toBe('Take a stock list in');
  expect((await readWorkshop())!.shop).toEqual(demo.shop);
  expect((await left())[demo.shop.films.findIndex(({ id }) => id === 'petrol')]).not.toBe(999);
  expect(await redoShop()).toBe('Take a stock list in');
  expect(await left()).toEqual(taken);
});

it('a list of many rows, some of them twice, is one change; two counts are two', async () => {
  const row = (i: number) => ({
    stock: 'supply' as const,
    thing: { name: `Thing ${i % 250}`, kind: 'other' as const, amount: i, unit: 'piece' as const, price: 0 },
  });
  await takeStockList({ things: Array.from({ length: 300 }, (_, i) => row(i)) });
  const supplies = (await shopNow()).supplies!.filter(({ name }) => name.startsWith('Thing'));
  expect(supplies).toHaveLength(250);
  // what stands there twice is what was said last
  expect(supplies[10]).toMatchObject({ name: 'Thing 10', amount: 260 });
  expect(await undoShop()).toBe('Take a stock list in');
  expect((await shopNow()).supplies).toEqual(demo.shop.supplies);
  await countStock({ stock: 'film', item: 'petrol', is: 900, reason: 'counted' });
  await countStock({ stock: 'film', item: 'petrol', is: 800, reason: 'counted' });
  await undoShop();
  const { shop, events } = (await readWorkshop())!;
  expect(amountOf(shop, events, 'film', 'petrol')?.amount).toBe(900);
});
