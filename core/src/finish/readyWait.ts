import { FIRST_FILL, FIRST_WASH } from '../facts';
import type { Job } from '../job';
import type { CareWait } from './workStep';

/**
 * How long after it is packed a piece is what it is wanted as, minutes. To be washed it has cured altogether; to be filled its coats have cured, and
 * film has dwelt for a day, in the same room as it dwells in until the first wash.
 */
export const readyWait = (wantedAs: Job['wantedAs'], care: readonly Pick<CareWait, 'minutes' | 'coat'>[]): number => {
  if (wantedAs !== 'washed' && wantedAs !== 'filled') return 0;
  const share = (coat: CareWait['coat']) => (wantedAs === 'filled' && coat === undefined ? FIRST_FILL / FIRST_WASH : 1);
  return Math.max(0, ...care.map(({ minutes, coat }) => minutes * share(coat)));
};
