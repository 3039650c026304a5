import { getsWet, isWashed } from '../blanks';
import { FIRST_WASH, WAITS } from '../facts';
import { dryingFactor, type RecipeDraft } from '../finish';
import { placeFilm } from './placeFilm';
import type { LaidAfter, LaidMark, Standing } from './technique';

/** Places film that stays by its adhesive: the work goes on at once, and water has to wait until it has dwelt. */
export function stuckOn(draft: RecipeDraft, laid: LaidMark, after: LaidAfter): Standing {
  const { job, climate } = draft.input;
  const place = placeFilm(draft, laid, after, { cautions: job.piece.use.drink ? ['food'] : [] });
  return {
    ready: { step: place, least: 0, ...(after.wiped ? { most: WAITS.placeAfterWipe } : {}), why: 'placed' },
    firm: { step: place, least: 0, why: 'placed' },
    care: getsWet(job.piece)
      ? [
          {
            after: place,
            minutes: FIRST_WASH * dryingFactor('adhesive', climate, true).factor,
            then: isWashed(job.piece) ? 'firstWash' : 'water',
            packed: true,
          },
        ]
      : [],
  };
}
