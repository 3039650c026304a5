import { filmSuits, TECHNIQUES, type TechniqueId } from '../facts';
import { setAt, type Film, type Mark, type Paint, type Patch, type Shop } from '../job';
import { contrastOf } from './contrast';

/** Paint for marks: what is dabbed through a stencil. */
export const isMarkPaint = ({ coat }: Paint): boolean => coat === 'acrylic' || coat === 'chalkPaint';

/** The film in stock that a technique begins with. */
export const usualFilmFor = (technique: TechniqueId, films: readonly Film[]): Film | undefined => {
  const { usualFilm } = TECHNIQUES[technique];
  return films.find((film) => film.kind === usualFilm) ?? films.find((film) => filmSuits(technique, film.kind));
};

/**
 * The change that makes a mark by another technique, with the film that this begins with, and a paint where it needs one: the mark's own,
 * or the one that
 * stands out most.
 *
 * @param seenAgainst #rrggbb
 * @returns undefined where the shop lacks the film or the paint
 */
export function makeAs(
  technique: TechniqueId,
  mark: Pick<Mark, 'id' | 'paint'>,
  shop: Pick<Shop, 'films' | 'paints'>,
  seenAgainst: string,
): Patch | undefined {
  const film = usualFilmFor(technique, shop.films);
  const against = (paint: Paint) => contrastOf(paint.colour, seenAgainst);
  const own = shop.paints.find((paint) => paint.id === mark.paint && against(paint).verdict !== 'stop');
  const best = shop.paints.filter(isMarkPaint).toSorted((a, b) => against(b).ratio - against(a).ratio)[0];
  const paint = own ?? best;
  const { painted } = TECHNIQUES[technique];
  if (!film || (painted && !paint)) return undefined;
  const set = (field: string, value: unknown) => setAt(['marks', mark.id, field], value);
  return [
    ...set('technique', technique),
    ...set('film', film.id),
    ...set('colourFilms', {}),
    ...(painted && paint ? set('paint', paint.id) : []),
  ];
}
