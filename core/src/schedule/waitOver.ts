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

type Waits = Pick<Lag, 'least' | 'most' | 'paces'>;

/** When a step may begin after another that ended then. */
export const waitOver = (ended: number, { least, paces }: Waits): number => minutesAfter(ended, least, paces);

/** When a step has to begin at the latest after another that ended then; `Infinity` where there is no hurry. */
export const waitCloses = (ended: number, { most, paces }: Waits): number =>
  most === undefined ? Infinity : minutesAfter(ended, most, paces);

/** The shortest that a greatest wait may be on any day, minutes. */
export const shortestMost = ({ most = Infinity, paces = [] }: Waits): number => most * Math.min(1, ...paces.map(({ slower }) => slower));
