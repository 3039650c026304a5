import type { NestWorker } from '../../workers/nest.worker';
import { WatchedWorker } from '../../workers/watchedWorker';

/** A call of the worker is given up after so long, ms; it answers sooner by far. */
const LIMIT_MS = 30_000;

/** Two look at once, each from another start and with chance of its own. */
export const NEST_STARTS = ['asItIs', 'outlines'] as const;

export const nestWorkers = NEST_STARTS.map(
  () =>
    new WatchedWorker<NestWorker>(
      'The nester',
      () => new Worker(new URL('../../workers/nest.worker.ts', import.meta.url), { type: 'module' }),
      LIMIT_MS,
    ),
);
