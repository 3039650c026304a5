/** The kinds of steps that there are: where each is worked on, and whether it may go on after a break or is done in one go. */
export const STEP_KINDS = {
  stain: { station: 'prepare', mayPause: false },
  coat: { station: 'prepare', mayPause: false },
  seal: { station: 'prepare', mayPause: false },
  cut: { station: 'cut', mayPause: true },
  weed: { station: 'weed', mayPause: true },
  tape: { station: 'tape', mayPause: true },
  clean: { station: 'prepare', mayPause: false },
  place: { station: 'place', mayPause: true },
  edge: { station: 'paint', mayPause: false },
  dab: { station: 'paint', mayPause: false },
  pull: { station: 'paint', mayPause: false },
  pack: { station: 'cure', mayPause: true },
} as const;

export type StepKind = keyof typeof STEP_KINDS;
