import { segmentsIn } from '@kolleta/core/artwork';
import type { Job, Shop } from '@kolleta/core/job';
import { refused, good, type Result } from '@kolleta/core/units';
import { now } from '../storage/clock';
import type { Planner } from './planner.worker';
import { newPlannerWorker } from './plannerWorker';
import { WatchedWorker } from './watchedWorker';

/** Drawings of fewer segments are planned in time by any device. */
const MANY = 800;
/** More points than this, of all marks as they lie on the film, are drawn by no page in time. */
const MOST_POINTS = 30_000;
/** Nor more parts and insides. */
const MOST_RINGS = 3_000;

const SIMPLER = 'Simplify its paths, leave out what is not cut, or trace it with fewer specks.';
const tooMuch = (name: string, found: string) => refused(found, 'a drawing of less work', name, SIMPLER);

/**
 * Tries whether a job with a new drawing can be planned, in a worker of its own: what is too much is refused before it is in.
 *
 * @param name the drawing's, for problems
 * @param stopping told how to stop the trial
 */
export async function plansInTime(job: Job, shop: Shop, name: string, stopping: (stop: () => void) => void): Promise<Result<true>> {
  const segments = job.marks.reduce((sum, { artwork }) => sum + (artwork.kind === 'drawing' ? segmentsIn(artwork.parts) : 0), 0);
  if (segments < MANY) return good(true);
  const worker = new WatchedWorker<Planner>('The trial', newPlannerWorker);
  stopping(() => worker.stop('Stopped.'));
  try {
    const plan = await worker.call((planner) => planner.trial(job, shop, now()));
    if (plan.aside === 'slow')
      return tooMuch(name, `"${name}" takes too much work: its lines are very many, or cross each other very often.`);
    if (plan.aside) return tooMuch(name, `"${name}" cannot be worked out.`);
    if (plan.rings > MOST_RINGS)
      return tooMuch(name, `"${name}" has ${plan.rings.toLocaleString('en')} parts and insides, more than can be worked with.`);
    return plan.points > MOST_POINTS
      ? tooMuch(name, `"${name}" has ${plan.points.toLocaleString('en')} points as it is cut, more than can be worked with.`)
      : good(true);
  } finally {
    worker.stop('Done.');
  }
}
