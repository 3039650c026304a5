import { differenceCiede2000, modeLab65, modeRgb, useMode } from 'culori/fn';
import { filmSuits, TECHNIQUES, type TechniqueId } from '../facts';
import type { DrawnPart, Film, Id } from '../job';

useMode(modeRgb);
useMode(modeLab65);
const deltaE = differenceCiede2000();

/**
 * For each colour of a drawing the film in stock that is nearest to it (ΔE2000; Sharma, Wu and Dalal, 2005).
 *
 * @param films in the workshop; only those that suit the technique are looked at, and of equals the first that has film left
 * @returns nothing for a drawing of one colour, which takes the mark's film, nor where the mark's colour is not its film's
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
      const away = suiting.map((film) => deltaE(colour, film.colour));
      return [colour, suiting[away.indexOf(Math.min(...away))]!.id];
    }),
  );
}
