import { beforeEach, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { applyPatch, setAt, type Job, type Patch, type Shop, type WorkEvent } from '@kolleta/core/job';
import type { Workshop } from '@kolleta/core/jobFile';
import { forgetAsked, questionClock, runningStarts, watchClock, type ClockQuestion } from './clockWatch';
import { DatabaseGone, keep, keepingNow, letGo, NotKept, NotTheWriter, onKeeping, putBack, setPen, tryAgain, withUnkept } from './keeping';

const full = () => Promise.reject(Object.assign(new Error('no room'), { name: 'QuotaExceededError' }));
beforeEach(() => {
  setPen(true);
  letGo();
});

describe('what could not be kept', () => {
  it('is put by, told, and saved in order when it is tried again', async () => {
    const done: string[] = [];
    let room = false;
    const write = (name: string) => () => (room ? Promise.resolve(done.push(name)) : full());
    await expect(keep('one', write('one'))).rejects.toThrow(NotKept);
    await expect(keep('two', write('two'))).rejects.toThrow(/no room left.*“two” is not saved yet/);
    expect(keepingNow().trouble).toMatchObject({ kind: 'full', unkept: [{ label: 'one' }, { label: 'two' }] });
    expect((await tryAgain()).done).toBe(false);
    expect(keepingNow().trouble!.unkept.map((u) => u.label)).toEqual(['one', 'two']);
    room = true;
    expect((await tryAgain()).done).toBe(true);
    expect(done).toEqual(['one', 'two']);
    expect(keepingNow()).toMatchObject({ saving: 0, trouble: undefined });
  });
  it('never comes after a newer change: whatever fails and when, what ends up saved is in the order in which it was done', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 30 }), fc.integer({ min: 1, max: 8 }), async (outcomes, edits) => {
        letGo();
        const done: number[] = [];
        let tries = 0;
        const write = (i: number) => async () => {
          await Promise.resolve();
          if (outcomes[tries++] === false) await full();
          done.push(i);
        };
        // without waiting for each other
        await Promise.allSettled(Array.from({ length: edits }, (_, i) => keep(`${i}`, write(i))));
        for (let i = 0; i < 40 && keepingNow().trouble; i++) await tryAgain();
        expect(done).toEqual(Array.from({ length: edits }, (_, i) => i));
      }),
    );
  });
  it('goes into the file all the same: edits, new jobs, stock and what was done', async () => {
    const job = { id: 'j', name: 'a', count: 1 } as unknown as Job;
    const shop = { name: 'Mine' } as unknown as Shop;
    const onJob = (change: (job: Job) => Patch) => (w: Workshop) => ({ ...w, jobs: w.jobs.map((j) => applyPatch(j, change(j)).document) });
    await keep(
      'Name',
      full,
      onJob(() => setAt(['name'], 'b')),
    ).catch(() => undefined);
    await keep(
      'Count',
      full,
      onJob((j) => setAt(['count'], j.count + 1)),
    ).catch(() => undefined);
    await keep(
      'Gone',
      full,
      onJob(() => setAt(['nowhere', 'deep'], 1)),
    ).catch(() => undefined);
    await keep('Start', full, (w) => ({ ...w, events: [{ id: 'e' } as unknown as WorkEvent] })).catch(() => undefined);
    expect(withUnkept({ shop, jobs: [job], events: [] }, keepingNow().trouble)).toEqual({
      shop,
      jobs: [{ id: 'j', name: 'b', count: 2 }],
      events: [{ id: 'e' }],
    });
  });
  it('when the browser has thrown everything away, is held until it is put back whole', async () => {
    const gone = () => Promise.reject(new DatabaseGone());
    await expect(keep('one', gone)).rejects.toThrow(/thrown away/);
    await expect(keep('two', () => Promise.resolve(1))).rejects.toThrow(NotKept);
    expect(keepingNow().trouble).toMatchObject({ kind: 'gone', unkept: [{ label: 'one' }, { label: 'two' }] });
    expect(await putBack(full)).toBe(false);
    expect(keepingNow().trouble!.unkept).toHaveLength(2);
    expect(await putBack(() => Promise.resolve())).toBe(true);
    expect(keepingNow().trouble).toBeUndefined();
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
  it('is asked about until it is answered, over reloads too, and by as much as it was set back in all', () => {
    const hour = 3_600_000;
    const open = () => {
      const asked: ClockQuestion[] = [];
      watchClock([], (question) => asked.push(question))();
      return asked;
    };
    localStorage.setItem('lastSeen', String(Date.now() + 3 * hour));
    expect(open()).toMatchObject([{ kind: 'back', by: expect.closeTo(3 * hour, -5) }]);
    // reloaded without an answer
    expect(open()).toMatchObject([{ kind: 'back', by: expect.closeTo(3 * hour, -5) }]);
    // set back once more
    localStorage.setItem('lastSeen', String(Date.now() + hour));
    expect(open()).toMatchObject([{ kind: 'back', by: expect.closeTo(4 * hour, -5) }]);
    forgetAsked();
    expect(open()).toEqual([]);
  });
  it('knows which timers run', () => {
    const done: WorkEvent = { id: 'd', at: 9, kind: 'done', job: 'j', step: 'b', title: 't', planned: 1, actual: 1 };
    expect(runningStarts([start(1, 'a'), start(2, 'b'), done, start(3, 'c'), { id: 'r', at: 4, kind: 'reversed', event: 'c3' }])).toEqual([
      start(1, 'a'),
    ]);
  });
});
