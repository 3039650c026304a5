import { beforeEach, describe, expect, it } from '@jest/globals';
import { setAt, type Job, type WorkEvent } from '@kolleta/core/job';
import { withUnkept } from '../app/KeepingBands';
import { questionClock, runningStarts } from './clockWatch';
import { keep, keepingNow, letGo, NotKept, NotTheWriter, onKeeping, setPen, tryAgain } from './keeping';

const full = () => Promise.reject(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }));
beforeEach(() => {
  setPen(true);
  letGo();
});

describe('what could not be kept', () => {
  it('is put by, told, and kept in order when it is tried again', async () => {
    const done: string[] = [];
    let room = false;
    const write = (name: string) => () => (room ? Promise.resolve(done.push(name)) : full());
    await expect(keep('one', write('one'))).rejects.toThrow(NotKept);
    await expect(keep('two', write('two'))).rejects.toThrow(/no room left.*“two” is not kept yet/);
    expect(keepingNow().trouble).toMatchObject({ kind: 'full', unkept: [{ label: 'one' }, { label: 'two' }] });
    expect(await tryAgain()).toBe(false);
    expect(keepingNow().trouble!.unkept.map((u) => u.label)).toEqual(['one', 'two']);
    room = true;
    expect(await tryAgain()).toBe(true);
    expect(done).toEqual(['one', 'two']);
    expect(keepingNow()).toMatchObject({ saving: 0, trouble: undefined });
  });
  it('goes into the file all the same', async () => {
    const job = { id: 'j', name: 'a', count: 1 } as unknown as Job;
    await keep('Name', full, { job: 'j', change: setAt(['name'], 'b') }).catch(() => undefined);
    await keep('Count', full, { job: 'j', change: (j) => setAt(['count'], j.count + 1) }).catch(() => undefined);
    await keep('Start', full).catch(() => undefined);
    expect(withUnkept([job], keepingNow().trouble!)).toEqual([{ id: 'j', name: 'b', count: 2 }]);
  });
  it('is not mistaken for a fault of ours', async () => {
    await expect(keep('x', () => Promise.reject(new Error('editJob: there is no job "x"')))).rejects.toThrow(/no job/);
    expect(keepingNow().trouble).toBeUndefined();
  });
});

describe('the pen', () => {
  it('refuses every write while another tab has it, and says so', async () => {
    let told = 0;
    const off = onKeeping(() => (told += 1));
    setPen(false);
    let ran = false;
    await expect(keep('x', async () => (ran = true))).rejects.toThrow(NotTheWriter);
    expect(ran).toBe(false);
    expect(keepingNow().refusals).toBeGreaterThan(0);
    expect(told).toBeGreaterThan(1);
    off();
  });
});

describe('the clock', () => {
  const start = (at: number, step = 's'): WorkEvent => ({ id: `${step}${at}`, at, kind: 'started', job: 'j', step, title: 't' });
  it('asks when it shows less than it did, and when a timer ran for very long while nobody was here', () => {
    const hour = 3_600_000;
    expect(questionClock([], 100 * hour, undefined)).toBeUndefined();
    expect(questionClock([], 100 * hour, 100 * hour + 5_000)).toBeUndefined();
    expect(questionClock([], 97 * hour, 100 * hour)).toMatchObject({ kind: 'back', by: 3 * hour });
    expect(questionClock([], 100 * hour, 10 * hour)).toBeUndefined();
    expect(questionClock([start(9 * hour)], 100 * hour, 10 * hour)).toMatchObject({ kind: 'longOver', by: 90 * hour });
    expect(questionClock([start(9 * hour)], 13 * hour, 10 * hour)).toMatchObject({ kind: 'longOver', by: 3 * hour });
    expect(questionClock([start(9 * hour)], 10.9 * hour, 10 * hour)).toBeUndefined();
  });
  it('knows which timers run', () => {
    const done: WorkEvent = { id: 'd', at: 9, kind: 'done', job: 'j', step: 'b', title: 't', planned: 1, actual: 1 };
    expect(runningStarts([start(1, 'a'), start(2, 'b'), done, start(3, 'c'), { id: 'r', at: 4, kind: 'reversed', event: 'c3' }])).toEqual([
      start(1, 'a'),
    ]);
  });
});
