import type { NestWorker } from '../../workers/nest.worker';
import { WatchedWorker } from '../../workers/watchedWorker';

/** Two look at once, each from another start and with chance of its own. */
export const NEST_STARTS = ['asItIs', 'outlines'] as const;

export const nestWorkers = NEST_STARTS.map(
  () =>
    new WatchedWorker<NestWorker>(
      'The nester',
      () => new Worker(new URL('../../workers/nest.worker.ts', import.meta.url), { type: 'module' }),
    ),
);
