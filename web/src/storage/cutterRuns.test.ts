import { beforeEach, expect, it } from '@jest/globals';
import { filmTaken, marksCut, standing, type Shop } from '@kolleta/core/job';
import { testStep } from '../../../core/test/steps';
import type { FilmLayout } from '@kolleta/core/cut';
import { beginRun, fileAnswer, noteFile, openFiles, openRun, settleRun } from './cutterRuns';
import { db } from './db';
import { finishStep, logLost } from './logEvent';

const square = [
  {
    outer: [
      [0, 0],
      [9, 0],
      [9, 9],
      [0, 9],
    ] as const,
    holes: [
      [
        [2, 2],
        [2, 4],
        [4, 4],
        [4, 2],
      ] as const,
    ],
  },
];
const layout = {
  film: { id: 'white', name: 'White gloss' },
  sheet: { from: { kind: 'roll' } },
  machine: { name: 'Roll cutter', rollFed: true },
  outlines: [square],
  parts: ['a', 'a', 'b'].map((job, copy) => ({ job, mark: `${job}m`, copy, outline: 0, place: [1, 0, 0, 1, 10 * copy, 0] })),
  width: 300,
  taken: 90,
} as unknown as FilmLayout;
const log = async () => standing(await db.events.toArray());
beforeEach(async () => {
  await Promise.all([db.events.clear(), db.runs.clear(), db.shop.put({ id: 'shop', shop: { films: [] } as unknown as Shop })]);
});

it('a run that ended whole takes its film once and marks every step done, however often it is settled', async () => {
  const run = await beginRun(layout);
  expect((await openRun())?.run).toBe(run.run);
  for (let i = 0; i < 3; i++) await settleRun(run, 6, 80, new Map([['a', 7]]));
  const events = await log();
  expect(filmTaken(events).get('white')).toBeCloseTo(90, 1);
  expect(events.filter((e) => e.kind === 'done').map((e) => e.step)).toEqual(['a/cut:white', 'b/cut:white']);
  expect(await openRun()).toBeUndefined();
});
it('a run that stopped keeps what was cut whole, asks for the rest again, and takes the film that is gone', async () => {
  const run = await beginRun(layout);
  await settleRun(run, 3, 20, new Map());
  const events = await log();
  expect(marksCut(events)('a', 'white').get('am')).toBe(1);
  expect(marksCut(events)('b', 'white').size).toBe(0);
  expect(events.filter((e) => e.kind === 'done')).toEqual([]);
  expect(events.filter((e) => e.kind === 'wrong').every((e) => e.again)).toBe(true);
  expect(filmTaken(events).get('white')).toBeCloseTo(30, 1);
});
it('of film that was cut off the roll for a flat bed all is gone, also where the cutter stopped', async () => {
  const carriers = [{ id: 'mat', width: 300, length: 400 }];
  const machine = { id: 'bed', name: 'Flat bed', rollFed: false, carriers };
  const bed = { ...layout, machine } as unknown as FilmLayout;
  await settleRun(await beginRun(bed), 3, 20, new Map());
  expect(filmTaken(await log()).get('white')).toBeCloseTo(90, 1);
  // and the carrier that it lay on counts a use
  expect((await log()).filter((event) => event.kind === 'cut' && event.carrier === 'mat')).toHaveLength(1);
});
it('a run of which nothing was cut leaves no trace on the roll', async () => {
  await settleRun(await beginRun(layout), 0, 0, new Map());
  expect(await log()).toEqual([]);
});
it('what was logged by hand meanwhile is not counted again', async () => {
  const run = await beginRun(layout);
  const cut = testStep('a/cut:white', {
    job: 'a',
    kind: 'cut',
    hands: 5,
    takes: { film: 'white', length: 50, area: 15_000, from: { kind: 'roll' } },
  });
  await db.events.put({ id: 'hand', at: 1, kind: 'done', job: 'a', step: 'a/cut:white', title: 'Cut', planned: 5, actual: 5 });
  await settleRun(run, 6, 80, new Map());
  const events = await log();
  expect(
    events
      .filter((e) => e.kind === 'done')
      .map((e) => e.step)
      .sort(),
  ).toEqual(['a/cut:white', 'b/cut:white']);
  expect(events.filter((e) => e.kind === 'cut').map((e) => e.job)).toEqual(['b']);
  // afterwards it is in the log already
  expect(await finishStep(cut)).toEqual([]);
});
it('a saved file waits for its answer, the newest of a film in the place of an older one, and is no rehearsal', async () => {
  const first = await noteFile(layout);
  const second = await noteFile(layout);
  expect((await openFiles()).map(({ run }) => run)).toEqual([second.run]);
  expect(second.run).not.toBe(first.run);
  expect(await openRun()).toBeUndefined();
  expect(await log()).toEqual([]);
});
it('cut well books all of it, untimed; cut partly what came out, and the film as far as it is gone', async () => {
  const all = await noteFile(layout);
  expect(fileAnswer(all, 3, false)).toEqual({ strokes: 6, used: 90 });
  expect(fileAnswer(all, 1, true)).toEqual({ strokes: 2, used: 9 });
  expect(fileAnswer(all, 0, true)).toEqual({ strokes: 0, used: 0 });
  const { strokes, used } = fileAnswer(all, 2, false);
  await settleRun(all, strokes, used, new Map([['a', 7]]));
  const events = await log();
  expect(filmTaken(events).get('white')).toBeCloseTo(90, 1);
  expect(marksCut(events)('a', 'white').get('am')).toBe(2);
  expect(events.filter((e) => e.kind === 'done').map((e) => [e.step, e.planned, e.actual, e.timed])).toEqual([
    ['a/cut:white', 7, 7, false],
  ]);
});
it('what was lost of a job that was cut whole is booked as its own cut, and once', async () => {
  await settleRun(await beginRun(layout), 6, 80, new Map());
  await logLost('a', { film: 'white', mark: 'am', name: 'Mark', copies: 1 }, 'A part was lost');
  const [lost] = (await log()).filter((event) => event.kind === 'lost');
  const again = { ...layout, parts: layout.parts.slice(0, 1), taken: 30 } as unknown as FilmLayout;
  const run = await beginRun(again);
  for (let i = 0; i < 2; i++) await settleRun(run, 2, 20, new Map([['a', 2]]));
  const events = await log();
  expect(events.filter((e) => e.kind === 'done').map((e) => e.step)).toEqual(['a/cut:white', 'b/cut:white', `a/again:white:${lost!.id}`]);
  expect(filmTaken(events).get('white')).toBeCloseTo(120, 1);
});
it('a job of which only a part found room on an offcut is not done: its marks are cut, nothing went wrong, and the rest stays', async () => {
  const some = {
    ...layout,
    parts: layout.parts.slice(0, 1),
    unfinished: ['a'],
    sheet: { from: { kind: 'offcut', id: 'o' } },
  } as unknown as FilmLayout;
  const run = await beginRun(some);
  await settleRun(run, 2, 20, new Map());
  const events = await log();
  expect(events.map(({ kind }) => kind)).toEqual(['cut']);
  expect(marksCut(events)('a', 'white').get('am')).toBe(1);
  expect(filmTaken(events).get('white') ?? 0).toBe(0);
});
