import { makingOf, type Job, type Reading } from '../job';
import type { FittedLayer } from '../finish';
import type { TechniqueShop } from './technique';
import { wayOf } from './ways';

/** What the ways in which a job's marks are made tell. */
export const techniqueReadings = (job: Job, layers: readonly FittedLayer[], shop: TechniqueShop): Reading[] =>
  job.marks.flatMap((mark) => {
    const making = makingOf(mark);
    const own = layers.filter((layer) => layer.mark.id === mark.id);
    return wayOf(making).readings({ job, mark, making, layers: own, count: job.count }, shop);
  });
