import { DAY, HOUR } from '../units';
import { TRADE, type Column } from './fact';

export type CoatId =
  | 'chalkPaint'
  | 'acrylic'
  | 'chalkboard'
  | 'sprayEnamel'
  | 'wallPaint'
  | 'oilStain'
  | 'waterStain'
  | 'sealer'
  | 'glue'
  | 'glassEnamel'
  | 'wetLabel'
  | 'alcohol'
  | 'permanentFilm';

/** How a coat dries at 20 °C and 50 % humidity; minutes. */
export interface Coat {
  readonly name: string;
  readonly base: 'water' | 'solvent' | 'adhesive';
  readonly touchDry: number;
  readonly recoat?: number;
  readonly beforeFilm?: number;
  readonly fullCure: number;
  /** Gives off gas until it may take film: film too soon is a stop. */
  readonly gassing: boolean;
}

export const DRYING_COLUMN: Column = {
  unit: 'min at 20 °C, 50 % RH',
  source: `${TRADE}; the tin's own sheet comes first`,
};

export const COATS: Record<CoatId, Coat> = {
  chalkPaint: {
    name: 'chalk-like paint',
    base: 'water',
    touchDry: 30,
    recoat: 60,
    beforeFilm: 12 * HOUR,
    fullCure: 28 * DAY,
    gassing: false,
  },
  acrylic: {
    name: 'acrylic craft paint',
    base: 'water',
    touchDry: 30,
    recoat: 60,
    beforeFilm: 12 * HOUR,
    fullCure: 21 * DAY,
    gassing: false,
  },
  chalkboard: {
    name: 'chalkboard paint',
    base: 'water',
    touchDry: 60,
    recoat: 4 * HOUR,
    beforeFilm: DAY,
    fullCure: 3 * DAY,
    gassing: false,
  },
  sprayEnamel: {
    name: 'spray enamel',
    base: 'solvent',
    touchDry: 30,
    recoat: 48 * HOUR,
    beforeFilm: 48 * HOUR,
    fullCure: 7 * DAY,
    gassing: true,
  },
  wallPaint: {
    name: 'wall paint',
    base: 'water',
    touchDry: 2 * HOUR,
    recoat: 4 * HOUR,
    beforeFilm: 21 * DAY,
    fullCure: 28 * DAY,
    gassing: false,
  },
  oilStain: {
    name: 'oil stain',
    base: 'solvent',
    touchDry: 6 * HOUR,
    recoat: 12 * HOUR,
    beforeFilm: DAY,
    fullCure: 3 * DAY,
    gassing: true,
  },
  waterStain: {
    name: 'water stain',
    base: 'water',
    touchDry: HOUR,
    recoat: 3 * HOUR,
    beforeFilm: 6 * HOUR,
    fullCure: DAY,
    gassing: false,
  },
  sealer: {
    name: 'clear sealer',
    base: 'water',
    touchDry: 20,
    recoat: HOUR,
    beforeFilm: 2 * HOUR,
    fullCure: 28 * DAY,
    gassing: false,
  },
  glue: {
    name: 'filler or wood glue',
    base: 'adhesive',
    touchDry: 4 * HOUR,
    beforeFilm: 12 * HOUR,
    fullCure: DAY,
    gassing: false,
  },
  glassEnamel: {
    name: 'enamel paint for glass',
    base: 'solvent',
    touchDry: HOUR,
    recoat: 2 * HOUR,
    fullCure: 21 * DAY,
    gassing: true,
  },
  wetLabel: {
    name: 'wet label',
    base: 'water',
    touchDry: HOUR,
    recoat: 12 * HOUR,
    beforeFilm: 12 * HOUR,
    fullCure: 12 * HOUR,
    gassing: false,
  },
  alcohol: { name: 'alcohol wipe', base: 'solvent', touchDry: 3, beforeFilm: 3, fullCure: 3, gassing: false },
  permanentFilm: { name: 'permanent film', base: 'adhesive', touchDry: 0, fullCure: 3 * DAY, gassing: false },
};

/** Days before the first wash of permanent film, in minutes at 20 °C. */
export const FIRST_WASH = 72 * HOUR;

/** Drying is corrected for climate no further than this. */
export const CLIMATE_LIMITS = { least: 0.5, most: 4, celsius: 20, humidity: 0.5 } as const;
