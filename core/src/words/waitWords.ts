import { COATS, type CoatId } from '../facts';
import type { CareWait, Lag, WaitFor } from '../finish';
import type { PullAt } from '../job';

/** How dry the paint is when the film comes off. */
export const PULL_WORDS: Record<PullAt, string> = { halfDry: 'half dry', nearlyDry: 'nearly dry', dry: 'dry' };

/** A coat as it is spoken of beside others: one sealer is meant. */
const coatName = (coat: CoatId | undefined): string => (coat === undefined ? 'it' : coat === 'sealer' ? 'sealer' : COATS[coat].name);

const WAIT_WORDS: Record<WaitFor, (coat: string) => string> = {
  labelDry: () => 'dry where the label was',
  filled: () => 'filler hardens',
  washedDry: () => 'dry after washing',
  sealedOver: () => 'sealer touch dry',
  bare: () => 'made ready',
  recoatSoon: (coat) => `${coat} takes its next coat, else only after two days`,
  recoat: (coat) => `${coat} dries to recoat`,
  beforeSealer: (coat) => `${coat} dries before the sealer`,
  beforeFilm: (coat) => `${coat} dries before film`,
  alcohol: () => 'alcohol dries',
  dustedOff: () => 'dusted off',
  washed: () => 'washed and dry',
  weedSoon: () => 'weed within a day',
  tested: () => 'a test cut is right',
  backed: () => 'backed with tape',
  weeded: () => 'weeded',
  taped: () => 'taped',
  placed: () => 'placed',
  stencilLaid: () => 'stencil laid',
  edgeSealer: () => 'edge sealer dries',
  halfDry: () => `paint ${PULL_WORDS.halfDry}`,
  nearlyDry: () => `paint ${PULL_WORDS.nearlyDry}`,
  dry: () => `paint ${PULL_WORDS.dry}`,
  touchDry: () => 'paint touch dry',
  firm: () => 'paint firm enough to wrap',
  inkDry: () => 'ink dries',
  lifted: () => 'cut out',
  pulled: () => 'film pulled',
  etched: () => 'cream etches',
  rinsed: () => 'rinsed glass dries',
  pressed: () => 'pressed',
  cooled: () => 'cools',
  own: () => 'as you said',
};

/** What is waited for: "water stain dries before film". */
export const waitWords = ({ why, coat }: Pick<Lag, 'why' | 'coat'>): string => WAIT_WORDS[why](coatName(coat));

/** What goes on after the last step: "sealer cures"; and what is allowed from then on. */
export const careWords = ({ coat, then }: Pick<CareWait, 'coat' | 'then'>): { readonly what: string; readonly then: string } => ({
  what: coat !== undefined ? `${coatName(coat)} cures` : then === 'clothWash' ? 'film settles on the cloth' : 'adhesive dwells',
  then: then === 'water' ? 'water' : 'first wash',
});
