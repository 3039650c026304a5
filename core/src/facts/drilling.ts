import type { CoatId } from './drying';
import { TRADE, type Column } from './fact';
import type { FilmFinish, FilmKindId } from './filmKinds';
import type { GroundId } from './grounds';
import type { TapeKindId } from './tapeKinds';

export const DRILLING_COLUMN: Column = { unit: 'shares; mm; °C and share of humidity; forces in a machine’s own units', source: TRADE };

/** What the drills of Practice ask about. */
export const DRILLING = {
  /** So near below the largest that fits a size is well judged. */
  near: 0.1,
  /** A machine whose right force lies between these; below and above shares of it a cut does not go through, marks the liner, and cuts it. */
  blade: { least: 7, most: 20, begins: [0.5, 0.7, 1.3, 1.6], through: 0.92, scores: 1.08, cuts: 1.35 },
} as const;

/** Film as it looks on the roll; light film shows the cuts in it. */
export const DRILL_TONES: readonly { readonly name: string; readonly colour: string; readonly light?: true }[] = [
  { name: 'white', colour: '#fbfbf8' },
  { name: 'cream', colour: '#efe3c8', light: true },
  { name: 'silver', colour: '#b4bcbd', light: true },
  { name: 'petrol', colour: '#0e5a61' },
  { name: 'harbour blue', colour: '#2d5d8c' },
  { name: 'ink', colour: '#22302f' },
  { name: 'amber', colour: '#d98e16', light: true },
  { name: 'brick', colour: '#ad3f27' },
  { name: 'moss', colour: '#4c7231' },
];

/** Pieces that film is held against. */
export const DRILL_PIECES = [
  { name: 'a dark flask', colour: '#22302f' },
  { name: 'a stained oak board', colour: '#8a5f36' },
  { name: 'a grey wall', colour: '#c9c9c4' },
  { name: 'a steel bucket', colour: '#a9b1b1' },
  { name: 'a white mug', colour: '#f6f4ee' },
  { name: 'a terracotta pot', colour: '#b5653f' },
  { name: 'a blue tin', colour: '#35618a' },
] as const;

/** Faces that a mark is to fill by eye, mm. */
export const DRILL_FACES = [
  { name: 'a sign', width: 300, height: 160 },
  { name: 'a plate', width: 120, height: 150 },
  { name: 'a lid', width: 180, height: 180 },
  { name: 'the face of a box', width: 240, height: 90 },
] as const;

/** Rooms in which paint dries, and the paints. */
export const DRILL_ROOMS = [
  { celsius: 18, humidity: 0.61 },
  { celsius: 24, humidity: 0.4 },
  { celsius: 13, humidity: 0.75 },
  { celsius: 21, humidity: 0.5 },
] as const;
export const DRILL_PAINTS: readonly CoatId[] = ['acrylic', 'chalkPaint', 'sprayEnamel'];

/** Films to be lifted, what they are to come on, and tapes with how often each was used. */
export const DRILL_FILMS: readonly { readonly kind: FilmKindId; readonly finish: FilmFinish; readonly colour: string }[] = [
  { kind: 'permanent', finish: 'gloss', colour: '#fbfbf8' },
  { kind: 'permanent', finish: 'matt', colour: '#22302f' },
  { kind: 'removable', finish: 'matt', colour: '#d98e16' },
  { kind: 'glitter', finish: 'glitter', colour: '#ad3f27' },
];
export const DRILL_GROUNDS: readonly { readonly ground: GroundId; readonly colour: string }[] = [
  { ground: 'glass', colour: '#cfdcdc' },
  { ground: 'glazedCeramic', colour: '#f3efe6' },
  { ground: 'powderCoat', colour: '#22302f' },
  { ground: 'chalkboard', colour: '#2c3331' },
  { ground: 'stainedWood', colour: '#8a5f36' },
];
export const DRILL_TAPES: readonly { readonly tape: TapeKindId; readonly use: number }[] = [
  { tape: 'paperLow', use: 1 },
  { tape: 'clearMedium', use: 1 },
  { tape: 'clearMedium', use: 5 },
  { tape: 'clearStrong', use: 1 },
];
