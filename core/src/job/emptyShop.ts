import { USUAL_CURRENCIES, USUAL_RATE, USUAL_ROOM, USUAL_WEEKS } from '../facts';
import type { Shop } from './shop';

/**
 * A workshop with nothing in it yet: no film, no tape, no machine.
 *
 * @param zone the device's, IANA
 * @param language the device's, as in "en-US": units and currency that are likely there
 */
export function emptyShop(zone: string, language: string): Shop {
  const region = /-([A-Z]{2})\b/.exec(language)?.[1];
  const american = region === 'US';
  return {
    name: 'My workshop',
    films: [],
    tapes: [],
    paints: [],
    machines: [],
    hours: { zone, week: USUAL_WEEKS.evenings.week },
    climate: USUAL_ROOM,
    currency: (region && USUAL_CURRENCIES[region]) ?? 'EUR',
    rate: USUAL_RATE,
    lengths: american ? 'inch' : 'mm',
    temperatures: american ? 'F' : 'C',
  };
}
