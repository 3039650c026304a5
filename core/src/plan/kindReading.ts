import { aOrAn } from '../units';
import { FILM_KINDS, filmSuits, GROUNDS, STICK, TECHNIQUES, type ComesOn, type TechniqueId } from '../facts';
import { makeAs, usualFilmFor } from '../fit';
import { filmInstead, type Film, type Job, type Reading, type Shop } from '../job';
import type { FittingWork } from './planMark';

/** What a technique wants of its film. */
const WANTED: Record<ComesOn, string> = {
  adhesive: 'film with adhesive',
  heat: 'film that is pressed on hot',
  label: 'film or paper to write on',
};

/** What becomes of film that comes on in another way than its technique has it. */
function misfit(wanted: ComesOn, is: ComesOn): Pick<Reading, 'verdict' | 'why'> {
  if (wanted === 'heat') return { verdict: 'stop', why: 'What has adhesive shrinks and smears under a hot press.' };
  if (is === 'heat') return { verdict: 'stop', why: 'Heat-applied film has no adhesive until it is pressed hot: it would fall off.' };
  return wanted === 'label'
    ? { verdict: 'watch', why: 'Ink hardly dries on it, and wipes off again: a label wants film or paper that is made to be written on.' }
    : { verdict: 'watch', why: 'It is made to be written on: it holds for a label, and less well than film made for this.' };
}

/** Whether a mark's films are made for its technique: pressed on or stuck on, to stay or to come off again. */
export function kindReading(work: FittingWork, job: Job, shop: Shop, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { mark } = work.plan;
  const { filmStays, filmBy, usualFilm: ofTechnique } = TECHNIQUES[mark.technique];
  // a wall is to be had back: film that comes off again is right there, film that stays takes the paint along
  const onWall = filmStays && GROUNDS[job.piece.ground].fixed === true;
  const stays = filmStays && !onWall;
  const usualFilm = onWall ? 'removable' : ofTechnique;
  const wrong = work.plan.inspections.find(({ film }) => FILM_KINDS[film.kind].by !== filmBy)?.film;
  const unsuited = work.plan.inspections.filter(({ film }) => FILM_KINDS[film.kind].stays !== stays);
  if (wrong) {
    const right = usualFilmFor(mark.technique, shop.films);
    const techniqueOf = (Object.keys(TECHNIQUES) as TechniqueId[]).find((id) => filmSuits(id, wrong.kind));
    const other = techniqueOf && makeAs(techniqueOf, mark, shop, work.plan.behind.colour);
    return [
      {
        id: `kind:${mark.id}`,
        station: 'draw',
        title: 'Kind of film',
        ...about,
        value: FILM_KINDS[wrong.kind].name,
        limit: WANTED[filmBy],
        ...misfit(filmBy, FILM_KINDS[wrong.kind].by),
        remedies: [
          ...(right ? [{ label: `Cut it from ${right.name}`, patch: filmInstead(mark, wrong.id, right.id) }] : []),
          ...(other && techniqueOf ? [{ label: `Make it ${aOrAn(TECHNIQUES[techniqueOf].name)}`, patch: other }] : []),
        ],
        ...(right || other ? {} : { advice: 'Put film of that kind into Stock.' }),
      },
    ];
  }
  if (unsuited.length === 0 || (stays && job.piece.use.dryShort)) return [];
  // what comes off again holds on nothing that is rough: there film that stays is the better stencil
  if (!filmStays && work.plan.surface.contact < STICK.contactFine) return [];
  const film = unsuited[0]!.film;
  const right = (f: Film) => FILM_KINDS[f.kind].by === filmBy && FILM_KINDS[f.kind].stays === stays;
  const better = shop.films.find((f) => right(f) && f.kind !== 'bargain' && (stays || f.kind === usualFilm)) ?? shop.films.find(right);
  const onlyOne = work.plan.inspections.length === 1 && Object.keys(mark.colourFilms).length === 0;
  return [
    {
      id: `kind:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Kind of film',
      ...about,
      value: FILM_KINDS[film.kind].name,
      limit: stays ? 'film that stays' : 'film that comes off clean',
      why: stays
        ? 'It is made to come off again: good for a season, not for washing.'
        : onWall
          ? 'It is made to stay: when it comes off the wall one day, paint comes with it.'
          : 'It holds better at the edge, but pulls harder at the ground when it comes off.',
      remedies: [
        ...(better && onlyOne
          ? [
              {
                label: `Cut it from ${better.name}`,
                patch: [{ op: 'set' as const, path: ['marks', mark.id, 'film'], value: better.id }],
              },
            ]
          : []),
        ...(stays
          ? [
              {
                label: 'It is for a short, dry use',
                patch: [{ op: 'set' as const, path: ['piece', 'use', 'dryShort'], value: true }],
              },
            ]
          : []),
      ],
    },
  ];
}
