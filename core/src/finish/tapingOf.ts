import { FILM_KINDS, TAPING_LIMITS, type FilmKindId, type TapingId } from '../facts';
import type { Mark } from '../job';

/**
 * How tape and film of a mark come together: as the maker chose, else what suits its size.
 *
 * @param width of what is lifted at once, mm
 */
export function tapingOf({ taping }: Pick<Mark, 'taping'>, kind: FilmKindId, width: number, height: number): TapingId {
  if (taping) return taping;
  const [short, long] = width < height ? [width, height] : [height, width];
  if (long > TAPING_LIMITS.long && short <= TAPING_LIMITS.largeFrom) return 'rolledOn';
  return short > TAPING_LIMITS.largeFrom || (FILM_KINDS[kind].wavy && long > TAPING_LIMITS.wavyFrom) ? 'faceDown' : 'onFilm';
}
