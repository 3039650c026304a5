import { TRADE, type Column } from './fact';

export type PlacingId = 'hinge' | 'centreOut' | 'rollOn' | 'wet' | 'hand';

export const PLACINGS_COLUMN: Column = { unit: 'mm, min', source: TRADE };

/** One stage of placing a mark: what is done, and what of it is drawn on the piece. */
export interface PlacingStage {
  readonly text: string;
  /** Where tape holds, which part has its liner off and is down, and which way the hand goes. */
  readonly draws: {
    readonly tapeAt?: 'top' | 'middle';
    readonly down: 'none' | 'upper' | 'left' | 'centre' | 'all';
    readonly moves?: 'down' | 'up' | 'right' | 'out' | 'back';
  };
}

/** How film is put down. */
export const PLACINGS: Record<
  PlacingId,
  {
    readonly name: string;
    readonly when: string;
    /** Only where water may come on the piece. */
    readonly wet?: true;
    readonly rate: { readonly start: number; readonly piece: number; readonly squareMetre: number };
    readonly stages: readonly PlacingStage[];
  }
> = {
  hinge: {
    name: 'by the hinge',
    when: 'flat pieces',
    rate: { start: 1, piece: 2.2, squareMetre: 30 },
    stages: [
      { text: 'Lay it on dry, liner on, and measure to the edges.', draws: { down: 'none' } },
      { text: 'Masking tape across the middle holds it in its place.', draws: { tapeAt: 'middle', down: 'none' } },
      {
        text: 'Fold the upper half down, cut its liner away, and smooth it up from the tape.',
        draws: { tapeAt: 'middle', down: 'upper', moves: 'up' },
      },
      { text: 'Take the masking tape off, pull the other liner, and smooth down.', draws: { down: 'all', moves: 'down' } },
      { text: 'Rub all of it down, then peel the tape flat and slowly from a corner.', draws: { down: 'all', moves: 'back' } },
    ],
  },
  centreOut: {
    name: 'from the middle out',
    when: 'round pieces',
    rate: { start: 1, piece: 2.6, squareMetre: 40 },
    stages: [
      { text: 'Steady the piece so that it cannot roll, and hold the mark up dry.', draws: { down: 'none' } },
      { text: 'Liner off, the tape held in a curve: touch down in the middle.', draws: { down: 'centre' } },
      { text: 'Smooth from the middle out to both sides.', draws: { down: 'all', moves: 'out' } },
      { text: 'Rub it down and peel the tape flat and slowly from a corner.', draws: { down: 'all', moves: 'back' } },
    ],
  },
  rollOn: {
    name: 'rolled on from one edge',
    when: 'long marks',
    rate: { start: 1.5, piece: 3, squareMetre: 26 },
    stages: [
      { text: 'Lay it on dry along a pencil line, and tape its upper edge.', draws: { tapeAt: 'top', down: 'none' } },
      { text: 'Fold a hand of liner back at one end, and press that end down.', draws: { tapeAt: 'top', down: 'left' } },
      { text: 'Draw the liner out under it while you smooth after it.', draws: { down: 'all', moves: 'right' } },
      { text: 'Rub it down and peel the tape flat and slowly from that end.', draws: { down: 'all', moves: 'back' } },
    ],
  },
  wet: {
    name: 'wet',
    when: 'large marks on glass',
    wet: true,
    rate: { start: 3, piece: 4, squareMetre: 22 },
    stages: [
      { text: 'Mist the piece with water and a drop of washing-up liquid.', draws: { down: 'none' } },
      { text: 'Liner off, mist the adhesive too, and float the mark into its place.', draws: { down: 'none' } },
      { text: 'Press the water out from the middle with a squeegee.', draws: { down: 'all', moves: 'out' } },
      { text: 'Wait until it holds, an hour at least, then peel the tape flat and slowly.', draws: { down: 'all', moves: 'back' } },
    ],
  },
  hand: {
    name: 'by hand',
    when: 'small marks and labels',
    rate: { start: 0.5, piece: 0.5, squareMetre: 0 },
    stages: [
      { text: 'A pencil line or a strip of masking tape shows where it goes.', draws: { down: 'none' } },
      { text: 'Bend the liner back and touch down one edge, fingers off the adhesive.', draws: { down: 'left' } },
      { text: 'Smooth it down from there.', draws: { down: 'all', moves: 'right' } },
    ],
  },
};

/** Longer marks than this are rolled on, and larger ones on what stands water are placed wet, mm and mm². */
export const PLACING_LIMITS = { long: 420, wetFrom: 60_000 } as const;
