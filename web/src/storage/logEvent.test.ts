import { beforeEach, describe, expect, it } from '@jest/globals';
import type { WorkStep } from '@kolleta/core/finish';
import { filmTaken, standing, type Shop } from '@kolleta/core/job';
import { testStep } from '../../../core/test/steps';
import { setClock, now } from './clock';
import { db } from './db';
import { dryingLearnt, learntFrom } from '@kolleta/core/learning';
import { amendEvent, finishStep, logDried, logForgotten, reverseEvents, startStep } from './logEvent';

const step = (more: Partial<WorkStep> = {}): WorkStep => testStep('j/weed', { kind: 'weed', hands: 12, ...more });
const MIN = 60_000;
beforeEach(async () => {
  await db.events.clear();
  await db.runs.clear();
  await db.shop.put({ id: 'shop', shop: { films: [] } as unknown as Shop });
  await setClock(undefined);
});
const log = async () => standing(await db.events.toArray());

describe('the log', () => {
  it('a step without a timer is logged as planned', async () => {
    const [event] = await finishStep(step());
    expect(event).toMatchObject({ kind: 'done', planned: 12, actual: 12, timed: false, work: 'weed', unlearned: 12 });
  });
  it('a timed step is logged with the minutes from its start, whatever clock the workshop has', async () => {
    await setClock(Date.parse('2026-12-01T09:40:00Z'));
    await startStep(step());
    await setClock(Date.parse('2026-12-01T09:47:30Z'));
    const [event] = await finishStep(step());
    expect(event).toMatchObject({ actual: 7.5 });
    expect(Math.abs(event!.at - Date.parse('2026-12-01T09:47:30Z'))).toBeLessThan(2000);
  });
  it('minutes that the user corrects are the ones kept', async () => {
    await startStep(step());
    expect((await finishStep(step(), { minutes: 33 }))[0]).toMatchObject({ actual: 33 });
  });
  it('cutting takes film off the roll, also when it went wrong', async () => {
    const cut = step({ id: 'j/cut:white', takes: { film: 'white', length: 113, area: 300 * 113, from: { kind: 'roll' } } });
    await finishStep(cut, { wrong: { what: 'The cut did not go through', again: true } });
    expect((await log()).map((e) => e.kind).sort()).toEqual(['cut', 'wrong']);
  });
  it('a second start counts, not one that was finished before', async () => {
    await setClock(1_000_000 * MIN);
    await startStep(step());
    await finishStep(step(), { wrong: { what: 'A part was lost', again: true } });
    await setClock(1_000_100 * MIN);
    expect((await finishStep(step()))[0]).toMatchObject({ actual: 12 });
  });
  it('a press counts once: pressed again, a step that runs or is done is left as it is, and film is taken once', async () => {
    const cut = step({ id: 'j/cut:white', takes: { film: 'white', length: 383, area: 300 * 383, from: { kind: 'roll' } } });
    await Promise.all([startStep(cut), startStep(cut), startStep(cut)]);
    expect((await log()).map((e) => e.kind)).toEqual(['started']);
    const written = await Promise.all([finishStep(cut), finishStep(cut), finishStep(cut)]);
    expect(written.map((events) => events.length)).toEqual([2, 0, 0]);
    expect(filmTaken(await log()).get('white')).toBe(383);
    await startStep(cut);
    expect((await log()).filter((e) => e.kind === 'started')).toHaveLength(1);
    // what went wrong and has to be done again is one press too
    const weed = step();
    for (let i = 0; i < 2; i++) await finishStep(weed, { wrong: { what: 'A part was lost', again: true } }, 'one press');
    expect((await log()).filter((e) => e.kind === 'wrong')).toHaveLength(1);
    expect(await finishStep(weed)).toHaveLength(1);
  });
  it('undoing adds reversals and takes nothing away', async () => {
    const events = await finishStep(step({ takes: { film: 'white', length: 5, area: 300 * 5, from: { kind: 'roll' } } }));
    await reverseEvents(events);
    expect(await db.events.count()).toBe(4);
    expect(await log()).toEqual([]);
    // undone twice is undone once
    await reverseEvents(events);
    expect(await db.events.count()).toBe(4);
    expect(await finishStep(step({ takes: { film: 'white', length: 5, area: 300 * 5, from: { kind: 'roll' } } }))).toHaveLength(2);
  });
});

describe('the clock', () => {
  it('is the real one, or one that was set and ticks', async () => {
    expect(Math.abs(now() - Date.now())).toBeLessThan(50);
    await setClock(5_000);
    expect(now()).toBeGreaterThanOrEqual(5_000);
    expect(now()).toBeLessThan(6_000);
    expect((await db.settings.get('clockOffset'))!.value).toBeLessThan(0);
  });
});

it('a coat that was dry before its time is in the log and teaches; a wait for something else is not', async () => {
  const lag = { step: 'j/coat', least: 100, why: 'recoat' as const, coat: 'acrylic' as const, dries: 'water' as const };
  const learnt = async () => dryingLearnt(learntFrom(await db.events.toArray()), 'acrylic', 'water');
  const written = await logDried(step(), lag, 60, false);
  expect(written).toMatchObject([{ kind: 'dried', coat: 'acrylic', unlearned: 100, actual: 60 }]);
  expect(await learnt()).toBeLessThan(1);
  // what was learnt already is taken out, so that learning never feeds on itself
  expect(await logDried(step(), { ...lag, least: 50, learnt: 0.5 }, 60, false)).toMatchObject([{ unlearned: 100 }]);
  const { dries: _, ...weeded } = lag;
  expect(await logDried(step(), weeded, 60, false)).toEqual([]);
  await logForgotten('drying acrylic');
  expect(await learnt()).toBe(1);
});

it('an entry put right stays in the log, and its minutes are those that were typed', async () => {
  const [done] = await finishStep(step());
  const put = await amendEvent(done!.id, { minutes: 44, note: 'Slower film.' });
  const all = await db.events.toArray();
  expect(all.find(({ id }) => id === done!.id)).toMatchObject({ actual: 12 });
  expect(standing(all).find(({ id }) => id === done!.id)).toMatchObject({ actual: 44, timed: true, note: 'Slower film.' });
  await reverseEvents(put);
  expect(standing(await db.events.toArray()).find(({ id }) => id === done!.id)).toMatchObject({ actual: 12 });
});
