import type { FilmFinish, FilmKindId } from './filmKinds';
import type { TapeKindId } from './tapeKinds';

/** Colours to choose from, by everyday names: what a roll is called is the maker's own. */
export const PALETTE: readonly { readonly name: string; readonly colour: string }[] = [
  { name: 'white', colour: '#fbfbf8' },
  { name: 'cream', colour: '#f3e9cf' },
  { name: 'light grey', colour: '#c9ccc9' },
  { name: 'grey', colour: '#8b9190' },
  { name: 'dark grey', colour: '#4b5453' },
  { name: 'black', colour: '#16191a' },
  { name: 'silver', colour: '#b4bbbd' },
  { name: 'gold', colour: '#c2a14d' },
  { name: 'copper', colour: '#b8734a' },
  { name: 'yellow', colour: '#f3cf2e' },
  { name: 'amber', colour: '#e39a1c' },
  { name: 'orange', colour: '#e0662a' },
  { name: 'red', colour: '#c4302b' },
  { name: 'brick', colour: '#ad3f27' },
  { name: 'wine', colour: '#6f1f33' },
  { name: 'pink', colour: '#e59ab0' },
  { name: 'magenta', colour: '#c0337d' },
  { name: 'lilac', colour: '#a892c8' },
  { name: 'violet', colour: '#5e3c8f' },
  { name: 'navy', colour: '#1b2e56' },
  { name: 'blue', colour: '#1f5fa8' },
  { name: 'sky blue', colour: '#6fb2df' },
  { name: 'turquoise', colour: '#2aa5a0' },
  { name: 'petrol', colour: '#0e5a61' },
  { name: 'mint', colour: '#a8d8c2' },
  { name: 'light green', colour: '#8cc152' },
  { name: 'green', colour: '#2f7d3b' },
  { name: 'moss', colour: '#4c7231' },
  { name: 'sand', colour: '#d3b98c' },
  { name: 'brown', colour: '#6d4a2c' },
];

/** Film that many have, to begin a stock with; length and price are left to be typed. */
export const USUAL_FILMS: readonly {
  readonly name: string;
  readonly kind: FilmKindId;
  readonly finish: FilmFinish;
  readonly colour: string;
}[] = [
  { name: 'White gloss', kind: 'permanent', finish: 'gloss', colour: '#fbfbf8' },
  { name: 'Black gloss', kind: 'permanent', finish: 'gloss', colour: '#16191a' },
  { name: 'Red gloss', kind: 'permanent', finish: 'gloss', colour: '#c4302b' },
  { name: 'Navy gloss', kind: 'permanent', finish: 'gloss', colour: '#1b2e56' },
  { name: 'Green gloss', kind: 'permanent', finish: 'gloss', colour: '#2f7d3b' },
  { name: 'Gold metallic', kind: 'permanent', finish: 'metallic', colour: '#c2a14d' },
  { name: 'Silver metallic', kind: 'permanent', finish: 'metallic', colour: '#b4bbbd' },
  { name: 'White removable', kind: 'removable', finish: 'matt', colour: '#f6f6f2' },
  { name: 'Black removable', kind: 'removable', finish: 'matt', colour: '#1d2021' },
  { name: 'Stencil film', kind: 'stencil', finish: 'matt', colour: '#7fa6c9' },
  { name: 'Red glitter', kind: 'glitter', finish: 'glitter', colour: '#b5302d' },
  { name: 'Frosted', kind: 'permanent', finish: 'frosted', colour: '#dfe8e6' },
];

/** What a fresh roll of a beginner's stock measures, mm. */
export const USUAL_ROLL: Readonly<Record<'mm' | 'inch', { readonly width: number; readonly length: number }>> = {
  mm: { width: 300, length: 5000 },
  inch: { width: 304.8, length: 3048 },
};

/** A sheet and an offcut to begin with, mm. */
export const USUAL_PIECES: Readonly<Record<'sheet' | 'offcut', { readonly width: number; readonly length: number }>> = {
  sheet: { width: 300, length: 300 },
  offcut: { width: 150, length: 100 },
};

/** A pot of paint to begin with, ml. */
export const USUAL_POT = 60;

/** A heat press to begin with: its plate, mm. */
export const USUAL_PRESS = { name: 'Heat press', width: 380, height: 300 } as const;

/** Tapes to begin with. */
export const USUAL_TAPES: readonly { readonly name: string; readonly kind: TapeKindId }[] = [
  { name: 'Low-tack paper tape', kind: 'paperLow' },
  { name: 'Medium paper tape', kind: 'paperMedium' },
  { name: 'Medium clear tape', kind: 'clearMedium' },
  { name: 'Strong clear tape', kind: 'clearStrong' },
  { name: 'Covering film', kind: 'substitute' },
];

/** A cutter by what it takes, to begin with; everything can be changed. Lengths in mm, speeds in mm/s, loading in minutes. */
export interface UsualCutter {
  readonly name: string;
  readonly width: number;
  readonly least: number;
  readonly most: number;
  readonly rollFed: boolean;
  readonly knife: number;
  readonly travel: number;
  readonly load: number;
  /** Carriers that come with it, mm. */
  readonly carrier?: { readonly width: number; readonly length: number };
}

/** Cutters of the usual widths. */
export const USUAL_CUTTERS: readonly UsualCutter[] = [
  { name: 'Small cutter', width: 114, least: 20, most: 1200, rollFed: true, knife: 40, travel: 120, load: 3 },
  {
    ...{ name: 'Table cutter', width: 305, least: 20, most: 610, rollFed: true, knife: 50, travel: 150, load: 4 },
    carrier: { width: 305, length: 305 },
  },
  { name: 'Wide table cutter', width: 380, least: 80, most: 3000, rollFed: true, knife: 60, travel: 180, load: 4 },
  { name: 'Floor cutter', width: 610, least: 100, most: 10_000, rollFed: true, knife: 200, travel: 400, load: 5 },
  {
    ...{ name: 'Flat-bed cutter', width: 300, least: 20, most: 420, rollFed: false, knife: 40, travel: 120, load: 6 },
    carrier: { width: 300, length: 420 },
  },
];
