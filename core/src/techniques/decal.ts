import { getsWet, isWashed } from '../blanks';
import { FIRST_WASH, WAITS } from '../facts';
import { dryingFactor } from '../finish';
import type { Making } from '../job';
import { placeFilm } from './placeFilm';
import type { TechniqueFile } from './technique';

/** Film that stays on the piece. */
export const decal: TechniqueFile<Extract<Making, { technique: 'decal' }>> = {
  make: (draft, laid, after) => {
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
  },
  readings: () => [],
};
