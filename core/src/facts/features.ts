import { TRADE, type Column } from './fact';

export const FEATURES_COLUMN: Column = { unit: 'mm', source: TRADE };

/** What is found on a piece: how it is called, how much is kept free around it, and the size to begin with. A line runs over the whole height. */
export const FEATURES = {
  handle: { name: 'handle', clear: 6, width: 25, height: 80, round: false, line: false },
  seam: { name: 'mould seam', clear: 3, width: 2, height: 0, round: false, line: true },
  hole: { name: 'hole', clear: 4, width: 8, height: 8, round: true, line: false },
  screw: { name: 'screw', clear: 3, width: 9, height: 9, round: true, line: false },
  fitting: { name: 'fitting', clear: 5, width: 40, height: 25, round: false, line: false },
  trimming: { name: 'trimming added later', clear: 5, width: 60, height: 30, round: false, line: false },
  join: { name: 'join', clear: 3, width: 1, height: 0, round: false, line: true },
  rib: { name: 'rib', clear: 3, width: 4, height: 0, round: false, line: true },
  rail: { name: 'rail', clear: 3, width: 0, height: 20, round: false, line: false },
  print: { name: 'old print', clear: 2, width: 50, height: 30, round: false, line: false },
} as const;

export type FeatureKind = keyof typeof FEATURES;

/** Film over a belly: the strain that each can take up along the circumference, as a share. */
export const BULB = { calendered: 0.02, cast: 0.05, paperTape: 0.01 } as const;
