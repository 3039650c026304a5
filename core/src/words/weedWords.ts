import type { Kept } from '../cut';

const WEED: Record<Kept, (things: string) => string> = {
  shapes: (things) => `Pull the surround and the insides away; the ${things} stay.`,
  plate: (things) => `Pull the surround away and lift the ${things} out; the plate around them stays, and so do their insides.`,
  backing: () => 'Pull the surround away; what lies behind stays whole.',
  surround: (things) => `Lift the ${things} out; the surround stays as the mask, with the insides of the ${things}.`,
  maskShapes: (things) => `Lift the plate out around the ${things}; the ${things} and the outer surround stay as the mask.`,
};

/** What comes off the liner and what stays, as it is with this film of this mark. */
export const weedWords = (kept: Kept, letters: boolean): string => WEED[kept](letters ? 'letters' : 'shapes');
