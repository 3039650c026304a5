/*
 * Work counted in steps, so that what is too much is told by what was asked for and never by the clock: a machine that is busy is slow at
 * everything. The heavy loops count; a step takes one to a few microseconds on a machine of 2026. The same job takes the same number of
 * steps on every machine, in every tab and however often it is planned.
 */

/** Something takes more steps than it may. */
export class TooMuchWork extends Error {
  /** What was worked out then, as its stage is called. */
  stage?: string;
  /** Of which mark, by its id. */
  mark?: string;
}

let done = 0;
let most = Infinity;

/** How many steps may still be taken here. */
export const workLeft = (): number => most - done;

/** How many steps were counted since the program began. */
export const workDone = (): number => done;

/**
 * Counts steps that were taken or are about to be.
 *
 * @throws TooMuchWork where they are more than is left
 */
export function countWork(steps: number): void {
  done += steps;
  if (done > most) throw new TooMuchWork(`more than ${Math.round(most).toLocaleString('en')} steps`);
}

/**
 * Works something out within so many steps, and within those of whoever asks for it.
 *
 * @throws TooMuchWork where it takes more
 */
export function withinWork<T>(steps: number, work: () => T): T {
  const outer = most;
  most = Math.min(outer, done + steps);
  try {
    return work();
  } finally {
    most = outer;
  }
}
