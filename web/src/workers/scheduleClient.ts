import type { SchedulePlanner } from './schedule.worker';
import { WatchedWorker } from './watchedWorker';

/** Looks for better plans beside the planner, so that no edit waits for it. */
export const scheduleWorker = new WatchedWorker<SchedulePlanner>(
  'The search for a better plan',
  () => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' }),
);
