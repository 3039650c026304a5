/*
 * What a workshop begins with until its maker says otherwise. Times are minutes after midnight.
 */

const morning = 9 * 60;
const noon = 12 * 60 + 30;
const evening = 18 * 60;

/** Weeks that somebody may work, Sunday first, to choose from and to change later. */
export const USUAL_WEEKS: Readonly<
  Record<'evenings' | 'days' | 'weekends' | 'any', { readonly name: string; readonly week: [start: number, end: number][][] }>
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
export const USUAL_CURRENCIES: Readonly<Record<string, string>> = {
  ...{ US: 'USD', GB: 'GBP', CA: 'CAD', AU: 'AUD', NZ: 'NZD', CH: 'CHF', SE: 'SEK', NO: 'NOK', DK: 'DKK', PL: 'PLN', CZ: 'CZK' },
  ...{ IN: 'INR', JP: 'JPY', BR: 'BRL', MX: 'MXN', ZA: 'ZAR', SG: 'SGD' },
};

/** A room as labels take it for granted. */
export const USUAL_ROOM = { celsius: 20, humidity: 0.5 } as const;

/** An hour of work to begin with, in minor units of whatever currency. */
export const USUAL_RATE = 2000;
