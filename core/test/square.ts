import type { Path } from '../src/geometry';

/** A square from its lower left. */
export const square = (x: number, y: number, side: number): Path => [
  ['M', [x, y]],
  ['L', [x + side, y]],
  ['L', [x + side, y + side]],
  ['L', [x, y + side]],
  ['Z'],
];
