import type { Transform } from '../../geometry';

/** How parts may be turned on the film: film with a pattern or a grain not at all. */
export type Turning = 'quarters' | 'freely';

/** The quarter turns, counted counter-clockwise. */
export const QUARTERS: readonly number[] = [0, 1, 2, 3];

/** Free turns are looked for in steps of 15°. */
const FREE_STEPS = 24;

/** The turns that parts may lie in, in quarters; those by quarters first. */
export const TURNS: Readonly<Record<Turning, readonly number[]>> = {
  quarters: QUARTERS,
  freely: [...QUARTERS, ...Array.from({ length: FREE_STEPS }, (_, i) => (i * 4) / FREE_STEPS).filter((turn) => !Number.isInteger(turn))],
};

/** Quarter turns without rounding. */
export const QUARTER_TURNS: readonly Transform[] = [
  [1, 0, 0, 1, 0, 0],
  [0, 1, -1, 0, 0, 0],
  [-1, 0, 0, -1, 0, 0],
  [0, -1, 1, 0, 0, 0],
];

/** The turn about the origin by so many quarters, counter-clockwise; whole quarters without rounding. */
export function turnBy(quarters: number): Transform {
  const turn = ((quarters % 4) + 4) % 4;
  const whole = QUARTER_TURNS[turn];
  if (whole) return whole;
  const [cos, sin] = [Math.cos((turn * Math.PI) / 2), Math.sin((turn * Math.PI) / 2)];
  return [cos, sin, -sin, cos, 0, 0];
}

/** By how many quarters a transform that only turns and moves turns, from 0 up to but not with 4; nearly whole ones are whole. */
export function quartersOf([a, b]: Transform): number {
  const turn = ((((Math.atan2(b, a) * 2) / Math.PI) % 4) + 4) % 4;
  const whole = Math.round(turn);
  return Math.abs(turn - whole) < 1e-6 ? whole % 4 : turn;
}
