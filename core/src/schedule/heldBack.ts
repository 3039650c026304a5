import { inSentence, MINUTE_MS } from '../units';
import { stepTitle, waitWords } from '../words';
import type { Lag } from '../finish';
import { firstEndingAfter, type Window } from './calendar';
import type { PlacedStep } from './problem';
import { waitCloses, waitOver } from './waitOver';

/** What keeps a step from beginning at a moment. */
export type HeldBack =
  | { readonly kind: 'wait'; readonly lag: Pick<Lag, 'why' | 'coat' | 'least'>; readonly after: PlacedStep; readonly until: number }
  | { readonly kind: 'opens'; readonly lag: Pick<Lag, 'why' | 'coat'>; readonly until: number }
  | { readonly kind: 'tooLate'; readonly lag: Pick<Lag, 'why' | 'coat'>; readonly after: PlacedStep; readonly until: number }
  | { readonly kind: 'hours' }
  | { readonly kind: 'busy'; readonly with: PlacedStep };

/**
 * Why a step cannot begin at a moment: what it waits for, that nobody is there, or what hands do then.
 *
 * @param placed the step
 * @param at UTC ms
 * @param steps all steps in time
 * @param windows when hands are there
 * @returns undefined where nothing keeps it from beginning then
 */
export function heldBack(placed: PlacedStep, at: number, steps: readonly PlacedStep[], windows: readonly Window[]): HeldBack | undefined {
  const { step } = placed;
  const own = steps.filter(({ step: other }) => other.job === step.job);
  const before = (id: string) => own.find(({ step: other }) => other.id === id);
  const waits = step.after
    .flatMap((lag) => {
      const after = before(lag.step);
      return after ? [{ lag, after, until: waitOver(after.end, lag) }] : [];
    })
    .filter(({ until }) => until > at)
    .toSorted((a, b) => b.until - a.until);
  const { opens } = step;
  if (opens && opens.at > at && opens.at >= (waits[0]?.until ?? 0)) return { kind: 'opens', lag: opens, until: opens.at };
  if (waits[0]) return { kind: 'wait', ...waits[0] };
  for (const lag of step.after) {
    const after = before(lag.step);
    if (!after || lag.most === undefined) continue;
    const until = waitCloses(after.end, lag);
    if (after.state !== 'waiting' && until < at) return { kind: 'tooLate', lag, after, until };
  }
  const end = at + Math.max(1, step.hands) * MINUTE_MS;
  const window = windows[firstEndingAfter(windows, at)];
  if (!window || window.start > at || (window.end < end && !step.mayPause)) return { kind: 'hours' };
  const busy = steps.find(
    (other) => other.state === 'running' && other.step.id !== step.id && other.spans.some((span) => span.start < end && at < span.end),
  );
  return busy && { kind: 'busy', with: busy };
}

/** The same in words, as what follows "because". */
export function heldBackWords(held: HeldBack, say: (at: number) => string): string {
  switch (held.kind) {
    case 'opens':
      return `${waitWords(held.lag)} only at ${say(held.until)}`;
    case 'wait':
      return held.lag.least > 0
        ? `${waitWords(held.lag)} only at ${say(held.until)}`
        : `“${inSentence(stepTitle(held.after.step))}” comes before it, and ends at ${say(held.until)}`;
    case 'tooLate':
      return `it may not come later than ${say(held.until)} after “${inSentence(stepTitle(held.after.step))}”`;
    case 'hours':
      return 'nobody works then for as long as it takes';
    case 'busy':
      return `hands are at “${inSentence(stepTitle(held.with.step))}” then`;
  }
}
