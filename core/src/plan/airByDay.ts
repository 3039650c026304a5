import type { Coat } from '../facts';
import { dryingFactor, type Pace, type WorkStep } from '../finish';
import type { Shop } from '../job';
import { dayOf, midnightOf } from '../schedule';

/** So many days are looked ahead: nobody knows the weather later. */
const MOST_DAYS = 62;

/** How much slower than in the usual room each kind of coat dries on the days that are named. */
function pacesOf({ airOn = [], climate, hours }: Pick<Shop, 'airOn' | 'climate' | 'hours'>, now: number): Map<Coat['base'], Pace[]> {
  const paces = new Map<Coat['base'], Pace[]>();
  for (let later = 0; later < MOST_DAYS; later++) {
    const from = midnightOf(now, hours.zone, later);
    const air = airOn.find(({ day }) => day === dayOf(from, hours.zone));
    if (!air) continue;
    for (const base of ['water', 'solvent', 'adhesive'] as const) {
      const slower = dryingFactor(base, air).factor / dryingFactor(base, climate).factor;
      paces.set(base, [...(paces.get(base) ?? []), { from, until: midnightOf(now, hours.zone, later + 1), slower }]);
    }
  }
  return paces;
}

/** On which days to come coats and adhesive cure slower or faster than in the usual room: cures go by the temperature alone. */
export const curesOn = (shop: Pick<Shop, 'airOn' | 'climate' | 'hours'>, now: number): readonly Pace[] =>
  pacesOf(shop, now).get('adhesive') ?? [];

/** Tells the waits of steps how the air of the days to come makes them longer or shorter. */
export function withAir(shop: Pick<Shop, 'airOn' | 'climate' | 'hours'>, now: number): (steps: readonly WorkStep[]) => readonly WorkStep[] {
  if (!shop.airOn?.length) return (steps) => steps;
  const paces = pacesOf(shop, now);
  if (paces.size === 0) return (steps) => steps;
  return (steps) =>
    steps.map((step) => ({
      ...step,
      after: step.after.map((lag) => {
        const own = lag.dries && paces.get(lag.dries);
        return own ? { ...lag, paces: own } : lag;
      }),
    }));
}
