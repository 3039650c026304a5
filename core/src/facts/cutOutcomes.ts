/** How a test cut came out: what one sees, what it says of the force, and what to do. */
export const CUT_OUTCOMES = {
  notThrough: {
    name: 'not through',
    force: 'more',
    text: 'Film hangs on in places: more force.',
  },
  clean: {
    name: 'through, weeds clean',
    force: 'right',
    text: 'Kept for this film on this machine.',
  },
  scored: {
    name: 'liner marked',
    force: 'less',
    text: 'It weeds, but the liner is marked: a little less force.',
  },
  linerCut: {
    name: 'liner cut',
    force: 'less',
    text:
      'Too deep: less force before the bed suffers. Film that was cut so can be saved: tape over the whole, lift from the side where the liner is ' +
      'whole, and weed on the tape.',
  },
  torn: {
    name: 'torn corners',
    force: 'same',
    text: 'Slower first, then a fresh blade; force last.',
  },
  oneSide: {
    name: 'one side only',
    force: 'same',
    text: 'Level the bed and see that the blade sits straight, before any force; then the same again.',
  },
} as const satisfies Record<string, { name: string; force: 'more' | 'right' | 'less' | 'same'; text: string }>;

export type CutOutcome = keyof typeof CUT_OUTCOMES;

/** Where nothing is known a ladder begins at this force, in the machine's own units; and how it climbs and steps down outside its bracket. */
export const LADDER = { start: 10, up: 1.3, down: 0.7, least: 1, most: 1000, slower: 0.6, narrow: 1 } as const;

/** After how many metres a blade is usually blunt, until the log knows better; and from which share of that on it is said. */
export const BLADE = { lasts: 400, soon: 0.9 } as const;

/** A test cut: a square with a circle in it, mm. So much more film than was thought to be there is a new roll, which wants one. */
export const TEST_CUT = { square: 12, circle: 4, newRoll: 1000 } as const;
