import { MINUTE_MS } from '../units';
import { stepTitle, waitWords } from '../words';
import type { Lag } from '../finish';
import { TOUCHED } from './dryOn';
import type { PlacedStep } from './problem';
import { waitOver } from './waitOver';

/** A wait that is not over when a step is begun or done. */
export interface OpenWait {
  /** What is waited for, as a noun: "the stain is dry". */
  readonly why: string;
  /** When it is over, UTC ms; undefined while what it comes after is not done itself. */
  readonly until?: number;
  /** Its whole length, minutes. */
  readonly least: number;
  /** The step that it comes after. */
  readonly after: string;
  /** Where it is for something to dry that a finger can tell: the wait, and since when, UTC ms. */
  readonly dries?: { readonly lag: Lag; readonly since: number };
}

/**
 * Waits that a step would cut short were it begun or done at a moment. They are asked about: the piece may be dry already.
 *
 * @param steps of the same job
 * @param at UTC ms
 */
export function waitsOpen(placed: PlacedStep, steps: readonly PlacedStep[], at: number): OpenWait[] {
  const { opens } = placed.step;
  const old: OpenWait[] =
    opens && opens.at > at
      ? [{ why: waitWords(opens), until: opens.at, least: (opens.at - at) / MINUTE_MS, after: 'the coat before' }]
      : [];
  const own = placed.step.after.flatMap(({ step, ...lag }): OpenWait[] => {
    const { least } = lag;
    if (least <= 0) return [];
    const before = steps.find((s) => s.step.id === step);
    if (!before) return [];
    const [why, after] = [waitWords(lag), stepTitle(before.step)];
    if (before.state !== 'done') return [{ why, least, after }];
    const until = waitOver(before.end, lag);
    const touched = lag.dries && TOUCHED.has(lag.why) ? { dries: { lag: { step, ...lag }, since: before.end } } : {};
    return until > at ? [{ why, until, least, after, ...touched }] : [];
  });
  return [...old, ...own];
}
