import { standing, type Job, type WorkEvent } from '../job';

/** How a set stands: pieces that were spoiled, and those that are still good. */
export interface Spoiled {
  readonly spoiled: number;
  readonly good: number;
}

/** How many pieces of a set were spoiled, as was said with what went wrong; never more than there are. */
export function spoiledOf(events: readonly WorkEvent[], { id, count }: Pick<Job, 'id' | 'count'>): Spoiled {
  const said = standing(events).reduce((sum, event) => sum + (event.kind === 'wrong' && event.job === id ? (event.spoiled ?? 0) : 0), 0);
  const spoiled = Math.min(count, said);
  return { spoiled, good: count - spoiled };
}
