import type { StepKind } from '../facts';

/** Something that happens at a step, and its way back. */
export interface Mishap {
  readonly what: string;
  readonly back: string;
}

const BLED: Mishap = {
  what: 'Paint has crept under the edge',
  back: 'On a hard ground scrape it off with a wooden stick while it is fresh; else cover it with a fine brush in the colour that belongs there.',
};
const TORN: Mishap = {
  what: 'Paint tears along the edge',
  back: 'Score it lightly with a blade along the film, and pull back on itself. It was too dry or too thick.',
};

/** What goes wrong at each kind of step, and what helps then. */
export const MISHAPS: Partial<Record<StepKind, readonly Mishap[]>> = {
  cut: [
    {
      what: 'The liner is cut through too',
      back: 'Save this film: lay tape over the whole, lift it from the good side, and weed on the tape. Then less force, and a test cut.',
    },
    {
      what: 'Corners are not cut',
      back: 'Do not move the film: cut it once more. If that does not help, look at the blade before you add force.',
    },
    { what: 'Only one side is cut', back: 'Level the bed and look at the blade; more force only cuts the other side too deep.' },
  ],
  weed: [
    {
      what: 'A letter comes along with the waste',
      back: 'Press it back with the flat of the hook, and pull the waste at a flatter angle beside it.',
    },
    { what: 'Film has folded onto itself', back: 'That film is lost: cut only the parts that it spoils once more.' },
    { what: 'A dot is gone', back: 'Look on the waste first. Cut the smallest parts twice next time, and keep the spares.' },
  ],
  tape: [
    {
      what: 'Letters stay on the liner',
      back: 'Burnish them through the tape once more, and peel the liner back on itself, flat. If they still stay, the tape is too weak or worn.',
    },
    {
      what: 'Large or wavy film creases under the tape',
      back: 'Lay the tape on the table sticky side up instead, and lower the film onto it face down.',
    },
  ],
  place: [
    { what: 'A part stays on the tape', back: 'Lay the tape back, rub that part hard, and peel flat from another side.' },
    { what: 'It has gone down crooked', back: 'In the first minute lift it with the tape still on, slowly. Later it is cut anew.' },
    { what: 'A bubble stays', back: 'Prick it at its edge with a needle, and press the air out toward the hole.' },
    {
      what: 'Paint comes off with the tape',
      back: 'Stop. Warm the rest a little, peel as flat as you can, and touch up the spot; take a gentler or worn tape for the others.',
    },
  ],
  dab: [BLED],
  cover: [BLED],
  pull: [
    TORN,
    {
      what: 'The film leaves adhesive',
      back: 'Dab it off with a ball of tape. Solvent only once the paint has cured, and tried on a hidden spot.',
    },
    BLED,
  ],
  pullLetters: [
    { what: 'A letter is not to be found', back: 'Feel for its edge with a fingertip, or hold a lamp flat to the surface.' },
    TORN,
  ],
  etch: [
    { what: 'Cream is on the skin', back: 'Rinse at once under running water for many minutes, and follow the sheet of the cream.' },
    { what: 'Cream has run onto bare glass', back: 'Rinse it off at once, before it bites; dry, mask and begin again.' },
  ],
  rinse: [
    {
      what: 'The mark is patchy',
      back: 'With the film still on, dry it and put cream on once more. Once the film is off it stays as it is.',
    },
  ],
  press: [
    {
      what: 'Film comes up with the carrier',
      back: 'Lay it back and press again, some seconds longer; or let it go cold before you peel.',
    },
    { what: 'The cloth is scorched or shiny', back: 'Cooler, and a sheet between next time. Steam lifts a slight shine; a scorch stays.' },
    { what: 'The plate has left a mark in the pile', back: 'Steam it from behind and brush it up. Pad under the place next time.' },
  ],
  write: [
    { what: 'Ink smears', back: 'Leave the sheet in the machine and wait longer. If it never dries, that pen is not made for this film.' },
  ],
};
