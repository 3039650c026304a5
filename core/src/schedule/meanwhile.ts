import { MINUTE_MS } from '../units';
import type { PlacedStep } from './problem';
import type { Schedule } from './solve';
import { waitOver } from './waitOver';

/** So many things are offered. */
const MOST = 2;

/**
 * What fits before the next step begins, while something dries: steps whose waits are over and that are short enough. None after which another
 * has to come soon: it would not be there in time.
 *
 * @param next the step that hands wait for
 * @param now UTC ms
 */
export function meanwhile({ steps, windows }: Pick<Schedule, 'steps' | 'windows'>, next: PlacedStep, now: number): PlacedStep[] {
  const open = windows.find(({ start, end }) => start <= now && now < end);
  if (!open) return [];
  const free = (Math.min(next.start, open.end) - now) / MINUTE_MS;
  const ends = new Map(steps.map(({ step, end, state }) => [step.id, state === 'done' ? end : Infinity]));
  const hurried = new Set(steps.flatMap(({ step }) => step.after.flatMap((lag) => (lag.most === undefined ? [] : [lag.step]))));
  return steps
    .filter(
      ({ step, state }) =>
        state === 'waiting' &&
        step.id !== next.step.id &&
        step.hands <= free &&
        !hurried.has(step.id) &&
        (step.opens?.at ?? 0) <= now &&
        step.after.every((lag) => waitOver(ends.get(lag.step) ?? Infinity, lag) <= now),
    )
    .slice(0, MOST);
}
