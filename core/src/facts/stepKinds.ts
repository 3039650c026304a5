/** What a step can need beside the piece. Today only hands are shared out in time; what else a step needs is known for later. */
export type Need = 'hands' | 'cutter' | 'press';

/** The kinds of steps that there are: what they are called as work, where each is worked on, whether it may go on after a break or is done in one go, and what it needs. */
export const STEP_KINDS = {
  label: { doing: 'taking labels off', station: 'prepare', mayPause: true, needs: ['hands'] },
  sand: { doing: 'sanding', station: 'prepare', mayPause: false, needs: ['hands'] },
  scrape: { doing: 'scraping', station: 'prepare', mayPause: true, needs: ['hands'] },
  fill: { doing: 'filling', station: 'prepare', mayPause: false, needs: ['hands'] },
  own: { doing: 'a step of your own', station: 'prepare', mayPause: true, needs: ['hands'] },
  stain: { doing: 'staining', station: 'prepare', mayPause: false, needs: ['hands'] },
  coat: { doing: 'painting the piece', station: 'prepare', mayPause: false, needs: ['hands'] },
  seal: { doing: 'sealing', station: 'prepare', mayPause: false, needs: ['hands'] },
  testCut: { doing: 'a test cut', station: 'cut', mayPause: true, needs: ['hands', 'cutter'] },
  cut: { doing: 'cutting', station: 'cut', mayPause: true, needs: ['hands', 'cutter'] },
  write: { doing: 'writing', station: 'cut', mayPause: false, needs: ['hands', 'cutter'] },
  backFilm: { doing: 'saving film whose liner was cut', station: 'weed', mayPause: true, needs: ['hands'] },
  weed: { doing: 'weeding', station: 'weed', mayPause: true, needs: ['hands'] },
  tape: { doing: 'taping', station: 'tape', mayPause: true, needs: ['hands'] },
  clean: { doing: 'cleaning', station: 'prepare', mayPause: false, needs: ['hands'] },
  place: { doing: 'placing', station: 'place', mayPause: true, needs: ['hands'] },
  putBack: { doing: 'putting lost parts back', station: 'place', mayPause: true, needs: ['hands'] },
  trim: { doing: 'trimming', station: 'place', mayPause: true, needs: ['hands'] },
  edge: { doing: 'sealing edges', station: 'paint', mayPause: false, needs: ['hands'] },
  dab: { doing: 'painting a stencil', station: 'paint', mayPause: false, needs: ['hands'] },
  pull: { doing: 'pulling a stencil', station: 'paint', mayPause: false, needs: ['hands'] },
  touchUp: { doing: 'touching up', station: 'paint', mayPause: true, needs: ['hands'] },
  cover: { doing: 'painting around a mask', station: 'paint', mayPause: false, needs: ['hands'] },
  pullLetters: { doing: 'pulling letters', station: 'paint', mayPause: false, needs: ['hands'] },
  etch: { doing: 'etching', station: 'paint', mayPause: false, needs: ['hands'] },
  rinse: { doing: 'rinsing', station: 'paint', mayPause: false, needs: ['hands'] },
  prePress: { doing: 'pressing without film', station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  press: { doing: 'pressing', station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  pressBack: { doing: 'pressing from behind', station: 'paint', mayPause: false, needs: ['hands', 'press'] },
  sealOver: { doing: 'sealing over the mark', station: 'cure', mayPause: false, needs: ['hands'] },
  finish: { doing: 'a last step of your own', station: 'cure', mayPause: true, needs: ['hands'] },
  pack: { doing: 'packing', station: 'cure', mayPause: true, needs: ['hands'] },
} as const satisfies Record<string, { doing: string; station: string; mayPause: boolean; needs: readonly Need[] }>;

export type StepKind = keyof typeof STEP_KINDS;
