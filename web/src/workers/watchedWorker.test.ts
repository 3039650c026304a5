import { expect, it, jest } from '@jest/globals';
import { patience, WatchedWorker, withPatience, WorkerStopped } from './watchedWorker';

/** A worker that answers nothing by itself. */
const silent = () => {
  const worker = { terminate: jest.fn(), onerror: null, addEventListener: () => undefined, postMessage: () => undefined };
  return worker as unknown as Worker & { terminate: jest.Mock };
};

it('a call that is not answered is told so and ends the worker; the calls behind it get a new one', async () => {
  const made: ReturnType<typeof silent>[] = [];
  const watched = new WatchedWorker<object>('The planner', () => (made.push(silent()), made.at(-1)!), 20);
  const [slow, next] = [watched.call(() => new Promise(() => undefined)), watched.call(() => Promise.resolve('here'))];
  await expect(slow).rejects.toThrow(WorkerStopped);
  expect(await next).toBe('here');
  expect(made.map((worker) => worker.terminate.mock.calls.length)).toEqual([1, 0]);
});
it('a call that says that it goes on gets its time anew', async () => {
  const watched = new WatchedWorker<object>('The planner', silent, 1);
  const long = watched.call(async (_, alive) => {
    alive(60_000);
    await new Promise((done) => setTimeout(done, 30));
    return 'done';
  });
  expect(await long).toBe('done');
});
it('what comes in after the answer starts no watch: the next call is not ended by it', async () => {
  const watched = new WatchedWorker<object>('The planner', silent, 60_000);
  let late: (ms: number) => void = () => undefined;
  await watched.call((_, alive) => {
    late = alive;
    return Promise.resolve();
  });
  const next = watched.call(async () => {
    late(1);
    await new Promise((done) => setTimeout(done, 30));
    return 'here';
  });
  expect(await next).toBe('here');
});
it('a call that fails does not keep the next one', async () => {
  const watched = new WatchedWorker<object>('The planner', silent, 60_000);
  await expect(watched.call(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await watched.call(() => Promise.resolve(1))).toBe(1);
});
it('what goes on is waited for on a slow machine, what hangs is not, and nothing for ever', () => {
  const left = patience();
  // a sign each second
  for (let at = 1_000; at <= 25_000; at += 1_000) expect([at, left('a job', 8_000, at)]).toEqual([at, 8_000]);
  expect(left('a job', 8_000, 31_000)).toBe(2_000);
  // the next one has time of its own
  expect(left('another', 8_000, 31_000)).toBe(8_000);
});
it('what was given up is tried once more with more time, where that is worth it, and then told', async () => {
  const tries: number[] = [];
  const late = (enough: number) => (times: number) => {
    tries.push(times);
    return times >= enough ? Promise.resolve('planned') : Promise.reject(new WorkerStopped('This took too long.'));
  };
  const worthIt = () => true;
  expect(await withPatience(late(1), worthIt)).toBe('planned');
  expect(await withPatience(late(2), worthIt)).toBe('planned');
  await expect(withPatience(late(Infinity), worthIt)).rejects.toThrow(WorkerStopped);
  await expect(withPatience(late(2), () => false)).rejects.toThrow(WorkerStopped);
  await expect(withPatience(() => Promise.reject(new Error('no')), worthIt)).rejects.toThrow('no');
  const [first, ...others] = tries;
  expect([first, others.filter((times) => times === 1).length, new Set(others.filter((times) => times > 1)).size]).toEqual([1, 3, 1]);
});
