import { CLIMATE_LIMITS, COATS, type Coat, type CoatId } from '../facts';
import type { Climate } from '../job';

/** Saturation pressure of water vapour, hPa, by the Magnus formula (Sonntag, 1990). */
const saturation = (celsius: number): number => 6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius));

/** How much longer a coat takes than at 20 °C and 50 % humidity. */
export interface DryingFactor {
  /** Kept within 0.5 and 4. */
  readonly factor: number;
  /** Whether the room is so cold, hot or damp that the factor would leave those bounds. */
  readonly outOfRange: boolean;
}

/**
 * The drying factor of a room.
 *
 * @param base water-borne coats follow the room's thirst for water; others double for every 10 °C less
 * @param cure for cures counted in days every coat follows the temperature alone
 */
export function dryingFactor(base: Coat['base'], climate: Climate, cure = false): DryingFactor {
  const { celsius, humidity } = climate;
  const raw =
    base === 'water' && !cure
      ? (saturation(CLIMATE_LIMITS.celsius) * CLIMATE_LIMITS.humidity) / Math.max(1e-9, saturation(celsius) * (1 - humidity))
      : 2 ** ((CLIMATE_LIMITS.celsius - celsius) / 10);
  return {
    factor: Math.min(CLIMATE_LIMITS.most, Math.max(CLIMATE_LIMITS.least, raw)),
    outOfRange: raw < CLIMATE_LIMITS.least || raw > CLIMATE_LIMITS.most,
  };
}

/** A coat's times in this room, minutes. */
export interface DryingTimes {
  readonly touchDry: number;
  readonly recoat: number;
  readonly beforeFilm: number;
  readonly fullCure: number;
}

/** How long a coat takes in a room. Where a coat states no time to recoat or to take film, the next longer one stands in. */
export function dryingTimes(id: CoatId, climate: Climate): DryingTimes {
  const coat = COATS[id];
  const { factor } = dryingFactor(coat.base, climate);
  const cure = coat.fullCure * dryingFactor(coat.base, climate, true).factor;
  const beforeFilm = coat.beforeFilm ?? coat.fullCure;
  return {
    touchDry: coat.touchDry * factor,
    recoat: (coat.recoat ?? beforeFilm) * factor,
    beforeFilm: beforeFilm * factor,
    fullCure: cure,
  };
}
