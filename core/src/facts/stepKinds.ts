/** What a step can need beside the piece. Today only hands are shared out in time; what else a step needs is known for later. */
export type Need = 'hands' | 'cutter' | 'press';

/** The kinds of steps that there are: where each is worked on, whether it may go on after a break or is done in one go, and what it needs. */
export const STEP_KINDS = {
  label: { station: 'prepare', mayPause: true, needs: ['hands'] },
  sand: { station: 'prepare', mayPause: false, needs: ['hands'] },
  scrape: { station: 'prepare', mayPause: true, needs: ['hands'] },
  fill: { station: 'prepare', mayPause: false, needs: ['hands'] },
  own: { station: 'prepare', mayPause: true, needs: ['hands'] },
  stain: { station: 'prepare', mayPause: false, needs: ['hands'] },
  coat: { station: 'prepare', mayPause: false, needs: ['hands'] },
  seal: { station: 'prepare', mayPause: false, needs: ['hands'] },
  testCut: { station: 'cut', mayPause: true, needs: ['hands', 'cutter'] },
  cut: { station: 'cut', mayPause: true, needs: ['hands', 'cutter'] },
  write: { station: 'cut', mayPause: false, needs: ['hands', 'cutter'] },
  backFilm: { station: 'weed', mayPause: true, needs: ['hands'] },
  weed: { station: 'weed', mayPause: true, needs: ['hands'] },
  tape: { station: 'tape', mayPause: true, needs: ['hands'] },
  clean: { station: 'prepare', mayPause: false, needs: ['hands'] },
  place: { station: 'place', mayPause: true, needs: ['hands'] },
  putBack: { station: 'place', mayPause: true, needs: ['hands'] },
  trim: { station: 'place', mayPause: true, needs: ['hands'] },
  edge: { station: 'paint', mayPause: false, needs: ['hands'] },
  dab: { station: 'paint', mayPause: false, needs: ['hands'] },
  pull: { station: 'paint', mayPause: false, needs: ['hands'] },
  touchUp: { station: 'paint', mayPause: true, needs: ['hands'] },
  cover: { station: 'paint', mayPause: false, needs: ['hands'] },
  pullLetters: { station: 'paint', mayPause: false, needs: ['hands'] },
  etch: { station: 'paint', mayPause: false, needs: ['hands'] },
  rinse: { station: 'paint', mayPause: false, needs: ['hands'] },
  prePress: { station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  press: { station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  pressBack: { station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  sealOver: { station: 'cure', mayPause: false, needs: ['hands'] },
  finish: { station: 'cure', mayPause: true, needs: ['hands'] },
  pack: { station: 'cure', mayPause: true, needs: ['hands'] },
} as const satisfies Record<string, { station: string; mayPause: boolean; needs: readonly Need[] }>;

export type StepKind = keyof typeof STEP_KINDS;
