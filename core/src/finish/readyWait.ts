import type { Job } from '../job';
import type { CareWait } from './workStep';

/**
 * How long after it is packed a piece is what it is wanted as, minutes. To be washed it has cured altogether; it is filled once water may come to what
 * was painted, as its care card says: film on the outside minds no drink inside.
 */
export const readyWait = (wantedAs: Job['wantedAs'], care: readonly Pick<CareWait, 'minutes' | 'then'>[]): number => {
  if (wantedAs !== 'washed' && wantedAs !== 'filled') return 0;
  return Math.max(0, ...care.filter(({ then }) => wantedAs === 'washed' || then === 'water').map(({ minutes }) => minutes));
};
