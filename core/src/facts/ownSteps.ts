import { DAY, HOUR } from '../units';
import { TRADE, type Column } from './fact';

export const OWN_STEPS_COLUMN: Column = { unit: 'min for one piece, min of waiting', source: TRADE };

/** When in a job a step of the maker's own comes. */
export const OWN_MOMENTS = ['first', 'beforeCoat', 'beforeFilm', 'beforePacking'] as const;
export type OwnMoment = (typeof OWN_MOMENTS)[number];

interface UsualStep {
  readonly name: string;
  readonly minutes: number;
  readonly wait?: number;
  readonly when: OwnMoment;
}

/** Steps that makers often add to a job, to begin with. */
export const USUAL_STEPS: readonly UsualStep[] = [
  { name: 'Glue and clamp the boards', minutes: 8, wait: 12 * HOUR, when: 'first' },
  { name: 'Take it apart', minutes: 5, when: 'first' },
  { name: 'Mask rims and handles', minutes: 4, when: 'beforeCoat' },
  { name: 'Prime it', minutes: 4, wait: 4 * HOUR, when: 'beforeCoat' },
  { name: 'Stain the frame', minutes: 6, wait: 6 * HOUR, when: 'first' },
  { name: 'Sketch planks with a pencil', minutes: 8, when: 'beforeFilm' },
  { name: 'Distress the edges', minutes: 6, when: 'beforePacking' },
  { name: 'Put it together and tighten it', minutes: 8, when: 'beforePacking' },
  { name: 'Restretch the canvas', minutes: 8, when: 'beforePacking' },
  { name: 'Tie on the trimmings', minutes: 4, when: 'beforePacking' },
  { name: 'Hot-glue the trimmings on', minutes: 5, wait: 30, when: 'beforePacking' },
];

/** Any other step, until its maker says what it is. */
export const OTHER_STEP: UsualStep = { name: 'Do something else', minutes: 5, when: 'beforePacking' };

/** Waits to choose from, minutes. */
export const OWN_WAITS: readonly number[] = [0, 30, HOUR, 4 * HOUR, 12 * HOUR, DAY, 2 * DAY];
