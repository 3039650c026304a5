import { TRADE, type Column } from './fact';

export const HANDS_ON_COLUMN: Column = { unit: 'min; areas in m², edges in m', source: TRADE };

/** Hands-on minutes of steps: a start, and so much a piece or a square metre. */
export const HANDS_ON = {
  testCut: 4,
  /** Tape over film whose liner is cut, and the liner off its back. */
  backFilm: 6,
  wipe: { start: 1, piece: 0.6, squareMetre: 4 },
  dustOff: { start: 1, piece: 0.5, squareMetre: 3 },
  label: { start: 3, piece: 4, squareMetre: 0 },
  sand: { start: 2, piece: 1, squareMetre: 15 },
  fill: { start: 3, piece: 2, squareMetre: 30 },
  stain: { start: 4, piece: 1, squareMetre: 14 },
  coat: { start: 4, piece: 1, squareMetre: 16 },
  seal: { start: 3, piece: 1, squareMetre: 12 },
  tape: { start: 1, piece: 0.8, squareMetre: 20 },
  dryFit: 2,
  /** One part of a mark placed by itself. */
  byEye: 1.2,
  /** Putting a lost part back, each. */
  putBack: 2,
  mask: { start: 2, piece: 2, squareMetre: 6 },
  dab: { start: 2, piece: 1.2, squareMetre: 200 },
  pull: { start: 0.5, piece: 1, squareMetre: 12 },
  trim: { start: 0.5, piece: 0.8 },
  touchUp: { start: 1, piece: 1.5 },
  /** Painting all around a mask, edges too. */
  cover: { start: 3, piece: 1, squareMetre: 18 },
  /** One letter or shape of a mask, pulled by itself. */
  pullLetter: 0.25,
  etch: { start: 3, piece: 1.5, squareMetre: 120 },
  rinse: { start: 2, piece: 2.5 },
  /** One press with what goes before and after it: laying, aligning, peeling. */
  press: 1.5,
  prePress: 0.4,
  pressBack: 1,
  pack: { start: 2, piece: 1 },
} as const;

/** Waits that do not scale with drying, minutes. */
export const WAITS = {
  weedWithin: 24 * 60,
  placeAfterWipe: 60,
  edgeAfterStencil: 240,
  paintAfterEdge: 360,
  nextCoat: 480,
  soonest: 10,
  soon: 60,
} as const;
