import { TooMuchWork } from '../units';
import type { Reading, StationId } from './reading';

/**
 * Readings of one kind behind a guard: one that fails is shown as not worked out, and the others stand.
 *
 * @param kind the first part of the readings' ids
 * @param about whose they are: the rest of the ids
 * @param title what could not be worked out, for a person
 * @param mark the mark that it is about, if any
 */
export function guarded(
  station: StationId,
  kind: string,
  about: string,
  title: string,
  read: () => readonly Reading[],
  mark: Pick<Reading, 'mark' | 'of'> = {},
): readonly Reading[] {
  try {
    return read();
  } catch (error) {
    // too much work is the job's matter, and not this reading's
    if (error instanceof TooMuchWork) throw error;
    return [
      {
        id: `${BROKEN}${kind}:${about}`,
        station,
        verdict: 'watch',
        title,
        ...mark,
        value: 'not known',
        limit: 'a result',
        why: 'This could not be worked out, and that is a fault of Kolleta. Everything else here stands.',
        remedies: [],
        advice: 'Look at it yourself before you cut.',
      },
    ];
  }
}

/** How the ids of readings begin that could not be worked out. */
export const BROKEN = 'broken:';
