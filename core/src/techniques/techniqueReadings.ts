import { makingOf, type Job, type Reading, type Shop } from '../job';
import type { RecipeLayer } from '../finish';
import { wayOf } from './ways';

/** What the ways in which a job's marks are made tell. */
export const techniqueReadings = (job: Job, layers: readonly RecipeLayer[], shop: Pick<Shop, 'paints'>): Reading[] =>
  job.marks.flatMap((mark) => {
    const making = makingOf(mark);
    const own = layers.filter((layer) => layer.mark.id === mark.id);
    return wayOf(making).readings({ mark, making, layers: own, count: job.count }, shop);
  });
