import type { Lag, Pace } from '../finish';
import { MINUTE_MS } from '../units';

/**
 * When a wait of so many minutes is over that begins at a moment: on days on which the room is another it goes slower or faster.
 *
 * @param paces times with a pace of their own, sorted and apart
 * @returns UTC ms
 */
export function minutesAfter(begins: number, minutes: number, paces: readonly Pace[] = []): number {
  let left = minutes * MINUTE_MS;
  let at = begins;
  for (const { from, until, slower } of paces) {
    if (until <= at) continue;
    const before = Math.max(0, from - at);
    if (left <= before) break;
    left -= before;
    at = Math.max(at, from);
    if (left * slower <= until - at) return at + left * slower;
    left -= (until - at) / slower;
    at = until;
  }
  return at + left;
}

type Waits = Pick<Lag, 'least' | 'most' | 'closesDry' | 'paces'>;

/** When a step may begin after another that ended then. */
export const waitOver = (ended: number, { least, paces }: Waits): number => minutesAfter(ended, least, paces);

/**
 * When a step has to begin at the latest after another that ended then; `Infinity` where there is no hurry. What is left after the least wait
 * goes by the clock, unless it is the coat that sets the end: a wiped piece catches dust as fast on any day.
 */
export function waitCloses(ended: number, { least, most, closesDry, paces }: Waits): number {
  if (most === undefined) return Infinity;
  return closesDry ? minutesAfter(ended, most, paces) : minutesAfter(ended, least, paces) + (most - least) * MINUTE_MS;
}

/** The shortest that a greatest wait may be on any day, minutes. */
export function shortestMost({ least, most = Infinity, closesDry, paces = [] }: Waits): number {
  const fastest = Math.min(1, ...paces.map(({ slower }) => slower));
  return closesDry ? most * fastest : most - least * (1 - fastest);
}
