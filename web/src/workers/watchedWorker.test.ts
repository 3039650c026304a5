import { expect, it, jest } from '@jest/globals';
import { WatchedWorker, WorkerStopped } from './watchedWorker';

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
it('a call that says that it goes on is waited for anew, however often', async () => {
  const [set, clear] = [jest.spyOn(globalThis, 'setTimeout'), jest.spyOn(globalThis, 'clearTimeout')];
  const watched = new WatchedWorker<object>('The planner', silent, 60_000);
  await watched.call((_, alive) => {
    for (let i = 0; i < 10; i++) alive();
    return Promise.resolve();
  });
  const watches = set.mock.calls.flatMap(([, ms], i) => (ms === 60_000 ? [set.mock.results[i]!.value as NodeJS.Timeout] : []));
  expect(watches).toHaveLength(11);
  for (const watch of watches) expect(clear).toHaveBeenCalledWith(watch);
  for (const spy of [set, clear]) spy.mockRestore();
});
it('what comes in after the answer starts no watch: the next call is not ended by it', async () => {
  const watched = new WatchedWorker<object>('The planner', silent, 1000);
  let late: () => void = () => undefined;
  await watched.call((_, alive) => {
    late = alive;
    return Promise.resolve();
  });
  const next = watched.call(async () => {
    late();
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
