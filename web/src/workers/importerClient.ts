import type { Importer } from './importer.worker';
import { WatchedWorker } from './watchedWorker';

/** A file that is not in after this long is given up, ms. */
const LIMIT_MS = 20_000;

/** Takes files in, beside the planner, so that stopping one does not stop the other. */
export const importerWorker = new WatchedWorker<Importer>(
  'Reading files',
  () => new Worker(new URL('./importer.worker.ts', import.meta.url), { type: 'module' }),
  LIMIT_MS,
);
