import { standing, type Id, type WorkEvent } from '../job';

/** The film that lies in a machine as far as the log knows: what was last cut or tested on it. */
export function lastLoaded(events: readonly WorkEvent[], machine: Id): Id | undefined {
  let last: { at: number; film: Id } | undefined;
  for (const event of standing(events)) {
    const here = (event.kind === 'cut' || event.kind === 'testCut') && event.machine === machine;
    if (here && (!last || event.at >= last.at)) last = { at: event.at, film: event.film };
  }
  return last?.film;
}
