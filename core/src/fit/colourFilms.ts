import { filmSuits, TECHNIQUES, type TechniqueId } from '../facts';
import type { DrawnPart, Film, Id } from '../job';
import { colourDifference } from './contrast';

/**
 * For each colour of a drawing the film in stock that is nearest to it.
 *
 * @param films in the workshop; only those that suit the technique are looked at
 * @returns nothing for a drawing of one colour, which takes the mark's film, nor where the mark's colour is not its film's; of films that are
 *   as near the first
 */
export function nearestFilms(
  parts: readonly Pick<DrawnPart, 'colour'>[],
  films: readonly Pick<Film, 'id' | 'kind' | 'colour'>[],
  technique: TechniqueId,
): Record<string, Id> {
  const colours = [...new Set(parts.map(({ colour }) => colour))];
  const suiting = films.filter(({ kind }) => filmSuits(technique, kind));
  if (colours.length < 2 || suiting.length === 0 || TECHNIQUES[technique].stays !== 'film') return {};
  return Object.fromEntries(
    colours.map((colour) => {
      const away = suiting.map((film) => colourDifference(colour, film.colour));
      return [colour, suiting[away.indexOf(Math.min(...away))]!.id];
    }),
  );
}
