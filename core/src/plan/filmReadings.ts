import { filmSuits } from '../facts';
import { contrastOf } from '../fit';
import { aboutMark, filmInstead, type Film, type Job, type Reading, type Shop } from '../job';
import type { FittingWork } from './planMark';

/** So many films are offered in the place of one that is not there. */
const MOST_OFFERED = 4;

/** Films that a mark is to be cut from and that this workshop does not have: a stop for each, with those that it has instead. */
export function filmReadings({ plan, shaped }: FittingWork, job: Job, shop: Shop): Reading[] {
  const { mark, behind } = plan;
  const gone = [...new Set(shaped.map((layer) => layer.film))].filter((id) => !shop.films.some((film) => film.id === id));
  const suits = (film: Film) => filmSuits(mark.technique, film.kind);
  const offered = shop.films
    .toSorted(
      (a, b) =>
        Number(suits(b)) - Number(suits(a)) || contrastOf(b.colour, behind.colour).ratio - contrastOf(a.colour, behind.colour).ratio,
    )
    .slice(0, MOST_OFFERED);
  return gone.map((id) => ({
    id: `filmgone:${mark.id}:${id}`,
    station: 'draw',
    verdict: 'stop',
    title: 'Film that is not here',
    ...aboutMark(mark, job.marks.length > 1),
    value: 'no such film',
    limit: 'a film in this workshop',
    why: 'The mark is to be cut from a film that this workshop does not have, so nothing of it would be cut.',
    remedies: offered.map((film) => ({ label: `Cut it from ${film.name}`, patch: filmInstead(mark, id, film.id) })),
    advice: shop.films.length === 0 ? 'There is no film in this workshop yet: add yours in Stock.' : 'Or put the film into Stock.',
  }));
}
