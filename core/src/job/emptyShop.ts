import type { Hours, Shop } from './shop';

const morning = 9 * 60;
const noon = 12 * 60 + 30;
const evening = 18 * 60;

/** Weeks that somebody may work, Sunday first, to choose from and to change later. */
export const USUAL_WEEKS: Readonly<
  Record<'evenings' | 'days' | 'weekends' | 'any', { readonly name: string; readonly week: Hours['week'] }>
> = {
  evenings: {
    name: 'evenings and weekends',
    week: [[[600, 1080]], ...Array.from({ length: 5 }, (): [number, number][] => [[19 * 60, 21 * 60 + 30]]), [[600, 1080]]],
  },
  days: {
    name: 'weekdays',
    week: [
      [],
      ...Array.from({ length: 5 }, (): [number, number][] => [
        [morning, noon],
        [noon + 60, evening],
      ]),
      [],
    ],
  },
  weekends: { name: 'weekends only', week: [[[600, 1080]], [], [], [], [], [], [[600, 1080]]] },
  any: { name: 'any day', week: Array.from({ length: 7 }, (): [number, number][] => [[9 * 60, 21 * 60]]) },
};

/** A currency that is likely where a device is set up so; a workshop can say another. */
const CURRENCIES: Readonly<Record<string, string>> = {
  ...{ US: 'USD', GB: 'GBP', CA: 'CAD', AU: 'AUD', NZ: 'NZD', CH: 'CHF', SE: 'SEK', NO: 'NOK', DK: 'DKK', PL: 'PLN', CZ: 'CZK' },
  ...{ IN: 'INR', JP: 'JPY', BR: 'BRL', MX: 'MXN', ZA: 'ZAR', SG: 'SGD' },
};

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
    climate: { celsius: 20, humidity: 0.5 },
    currency: (region && CURRENCIES[region]) ?? 'EUR',
    rate: 2000,
    lengths: american ? 'inch' : 'mm',
    temperatures: american ? 'F' : 'C',
  };
}
