import { HANDS_ON, type CautionId, type GroundId } from '../facts';
import type { Rate } from './recipeDraft';

/** How one kind of ground is made ready for film. */
export type Cleaning = {
  title: (what: string) => string;
  short: string;
  text: string;
  cautions: CautionId[];
  rate: Rate;
  dry: boolean;
};

export const WIPE: Cleaning = {
  title: (what) => `Wipe ${what} with alcohol and a lint-free cloth`,
  short: 'wipe',
  text: 'Inside the marked zone only. Leave them until no streak shows, and keep fingers off afterwards.',
  cautions: ['vapour'],
  rate: HANDS_ON.wipe,
  dry: true,
};
export const DUST: Cleaning = {
  title: (what) => `Dust off ${what} with a dry brush and a tack cloth`,
  short: 'dust off',
  text: 'No wet cloth: it raises the grain and needs a day to dry.',
  cautions: [],
  rate: HANDS_ON.dustOff,
  dry: false,
};

/** How each ground is made ready for film. Grounds not named here are wiped or dusted by their material, and that is said. */
export const CLEANING: Partial<Record<GroundId, Cleaning>> = {
  glass: WIPE,
  glazedCeramic: WIPE,
  bareMetal: WIPE,
  powderCoat: {
    ...WIPE,
    text: 'Light strokes, no scouring: the coat scratches. Leave until no streak shows, and keep fingers off afterwards.',
  },
  acrylic: {
    ...WIPE,
    title: (what) => `Peel the cover sheet and wipe ${what} with alcohol`,
    text: 'Try the alcohol on an edge first: some acrylic crazes, and then soapy water has to do. Let the static settle before film comes near.',
  },
  sealedWood: DUST,
  stainedWood: DUST,
};
