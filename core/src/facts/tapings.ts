import { TRADE, type Column } from './fact';

export type TapingId = 'onFilm' | 'faceDown' | 'rolledOn';

export const TAPINGS_COLUMN: Column = { unit: 'mm', source: TRADE };

/** Ways in which tape and weeded film come together. */
export const TAPINGS: Record<TapingId, { readonly name: string; readonly when: string; readonly text: string }> = {
  onFilm: {
    name: 'tape laid on the film',
    when: 'small and sturdy marks',
    text: 'Touch the tape down in the middle and smooth it outward. Burnish both sides; peel the liner away flat.',
  },
  faceDown: {
    name: 'film laid face down on the tape',
    when: 'large or wavy film',
    text:
      'Lay the tape on the table, sticky side up, its corners held. Lower the film onto it face down, from the middle. ' +
      'Burnish both sides; peel the liner away flat.',
  },
  rolledOn: {
    name: 'tape rolled on',
    when: 'long marks',
    text:
      'Stick the end of the tape on beyond one end of the mark, and roll it along while the other hand smooths just behind. ' +
      'Burnish both sides; peel the liner away flat.',
  },
};

/** From which size each is usual, mm: of wavy film, of any film, and the length from which tape is rolled on. */
export const TAPING_LIMITS = { wavyFrom: 120, largeFrom: 300, long: 450 } as const;
