import { getsWet, isWashed } from '../blanks';
import { FIRST_WASH, WAITS } from '../facts';
import { dryingFactor } from '../finish';
import type { Making } from '../job';
import type { TechniqueFile } from './technique';

/** Film that stays on the piece. */
export const decal: TechniqueFile<Extract<Making, { technique: 'decal' }>> = {
  placing: (_draft, _laid, piece) => ({ hands: 0, cautions: piece.use.drink ? ['food'] : [] }),
  after: ({ input }, { place }, wiped) => ({
    ready: { step: place, least: 0, ...(wiped ? { most: WAITS.placeAfterWipe } : {}), why: 'placed' },
    firm: { step: place, least: 0, why: 'placed' },
    care: getsWet(input.job.piece)
      ? [
          {
            after: place,
            minutes: FIRST_WASH * dryingFactor('adhesive', input.climate, true).factor,
            then: isWashed(input.job.piece) ? 'firstWash' : 'water',
            packed: true,
          },
        ]
      : [],
  }),
  readings: () => [],
};
