import type { Importer } from './importer.worker';
import { WatchedWorker } from './watchedWorker';

/** Takes files in, beside the planner, so that stopping one does not stop the other. */
export const importerWorker = new WatchedWorker<Importer>(
  'Reading files',
  () => new Worker(new URL('./importer.worker.ts', import.meta.url), { type: 'module' }),
);
