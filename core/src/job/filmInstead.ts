import type { Id } from './ids';
import type { Mark } from './job';
import { setAt, type Patch } from './patch';

/**
 * The change that cuts from one film whatever of a mark was to be cut from another: its own, that of its colours, and that of frames and
 * backings.
 */
export const filmInstead = (mark: Pick<Mark, 'id' | 'film' | 'colourFilms' | 'edits'>, from: Id, to: Id): Patch => [
  ...(mark.film === from ? setAt(['marks', mark.id, 'film'], to) : []),
  ...Object.entries(mark.colourFilms).flatMap(([colour, film]) =>
    film === from ? setAt(['marks', mark.id, 'colourFilms', colour], to) : [],
  ),
  ...mark.edits.flatMap((edit) => ('film' in edit && edit.film === from ? setAt(['marks', mark.id, 'edits', edit.id, 'film'], to) : [])),
];
