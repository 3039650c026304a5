import { WORKDAY } from '../facts';
import { MINUTE_MS } from '../units';
import type { WaitFor } from '../finish';
import { GRAIN_MS, type PlacedStep } from './problem';
import { waitCloses } from './waitOver';

/** Waits that a finger can tell to be over, or not. */
export const TOUCHED: ReadonlySet<WaitFor> = new Set<WaitFor>([
  ...(['labelDry', 'filled', 'washedDry', 'sealedOver', 'recoat', 'beforeSealer', 'beforeFilm', 'washed', 'edgeSealer'] as const),
  ...(['halfDry', 'nearlyDry', 'dry', 'touchDry', 'firm', 'inkDry', 'rinsed'] as const),
]);

/**
 * Until when a step is put off whose piece is still tacky although its wait should be over: a share of the wait longer, and never beyond a
 * greatest wait.
 *
 * @param steps of the same job
 * @param now UTC ms
 * @returns UTC ms; undefined where it waits for nothing that dries, or may not wait any longer
 */
export function dryOn({ step }: PlacedStep, steps: readonly PlacedStep[], now: number): number | undefined {
  const { least, share, more } = WORKDAY.dryOn;
  const waits = step.after.filter(({ why, least: minutes }) => TOUCHED.has(why) && minutes >= least);
  if (waits.length === 0) return undefined;
  const latest = Math.min(
    ...step.after.map((lag) => {
      const before = steps.find((one) => one.step.id === lag.step);
      return before ? waitCloses(before.end, lag) : Infinity;
    }),
  );
  const minutes = Math.max(more, share * Math.max(...waits.map(({ least: long }) => long)));
  const until = Math.min(Math.ceil((now + minutes * MINUTE_MS) / GRAIN_MS) * GRAIN_MS, Math.floor(latest / GRAIN_MS) * GRAIN_MS);
  return until >= now + GRAIN_MS ? until : undefined;
}
