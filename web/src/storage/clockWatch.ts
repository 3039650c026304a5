import { standing, type WorkEvent } from '@kolleta/core/job';
import { now, shiftClock } from './clock';
import { addEvents } from './logEvent';
import { keep } from './keeping';
import { newId } from './newId';

const SEEN = 'lastSeen';
const BEAT_MS = 10_000;
/** A clock that shows an earlier time than it did, by more than this, was set back. */
const BACK_MS = 60_000;
/** A timer that ran on for longer than this while nobody was here is asked about: a clock put forward looks the same. */
const LONG_OVER_MS = 3_600_000;

/** What is strange about the clock. */
export interface ClockQuestion {
  /** Set back: it shows an earlier time than Kolleta has seen. Long over: a timer ran on for very long while nobody was here. */
  readonly kind: 'back' | 'longOver';
  /** ms: how far back, or how long since Kolleta was last open. */
  readonly by: number;
  readonly seen: number;
}

const readSeen = (): number | undefined => {
  const value = Number(localStorage.getItem(SEEN));
  return Number.isFinite(value) && value > 0 ? value : undefined;
};
const beat = () => localStorage.setItem(SEEN, String(Date.now()));

const ASKED = 'clockQuestion';
/** The question that was asked and not answered yet: a reload does not forget it. */
function readAsked(): ClockQuestion | undefined {
  try {
    const { kind, by, seen } = JSON.parse(localStorage.getItem(ASKED) ?? 'null') as ClockQuestion;
    return (kind === 'back' || kind === 'longOver') && by > 0 && Number.isFinite(by) ? { kind, by, seen } : undefined;
  } catch {
    return undefined;
  }
}
/** The question was answered. */
export const forgetAsked = (): void => localStorage.removeItem(ASKED);

/** Steps whose timer runs, with their start events. */
export function runningStarts(events: readonly WorkEvent[]): Extract<WorkEvent, { kind: 'started' }>[] {
  const running = new Map<string, Extract<WorkEvent, { kind: 'started' }>>();
  for (const event of standing(events)) {
    if (event.kind === 'started') running.set(event.step, event);
    else if (event.kind === 'done' || event.kind === 'wrong') running.delete(event.step);
  }
  return [...running.values()];
}

/**
 * Compares the clock with what it showed when Kolleta was last open.
 *
 * @param running starts of the timers that run
 * @param wall the device's clock, UTC ms
 * @param seen what it showed last, if ever
 */
export function questionClock(running: readonly { at: number }[], wall: number, seen: number | undefined): ClockQuestion | undefined {
  if (seen === undefined) return undefined;
  if (wall < seen - BACK_MS) return { kind: 'back', by: seen - wall, seen };
  const gap = wall - seen;
  if (running.length > 0 && gap > LONG_OVER_MS) return { kind: 'longOver', by: gap, seen };
  return undefined;
}

/** Looks at the clock at the start, then keeps watching it; tells once something is strange. */
export function watchClock(running: readonly { at: number }[], ask: (question: ClockQuestion) => void): () => void {
  const put = (question: ClockQuestion) => {
    const open = readAsked();
    // set back twice is set back by both
    const whole = open?.kind === 'back' && question.kind === 'back' ? { ...question, by: open.by + question.by } : question;
    localStorage.setItem(ASKED, JSON.stringify(whole));
    ask(whole);
  };
  const open = readAsked();
  const question = questionClock(running, Date.now(), readSeen());
  if (question) put(question);
  else if (open) ask(open);
  beat();
  let [wall, steady] = [Date.now(), performance.now()];
  const timer = setInterval(() => {
    // the steady clock does not run backwards: when the wall clock does, it was set back; forward it may have been asleep
    const slip = Date.now() - wall - (performance.now() - steady);
    if (slip < -BACK_MS) put({ kind: 'back', by: -slip, seen: Date.now() - slip });
    [wall, steady] = [Date.now(), performance.now()];
    beat();
  }, BEAT_MS);
  window.addEventListener('pagehide', beat);
  return () => {
    clearInterval(timer);
    window.removeEventListener('pagehide', beat);
  };
}

/** The clock was wrong and is right now: timers that run stand where they stood, by a start moved as the clock was. */
export async function moveTimers(by: number): Promise<void> {
  await addEvents('Set the timers to the clock', (saved) =>
    runningStarts(saved).flatMap((start) => [
      { id: newId(), at: now(), kind: 'reversed' as const, event: start.id },
      { ...start, id: newId(), at: start.at + by },
    ]),
  );
}

/** The clock was right and is wrong now: Kolleta goes on from what it showed last. */
export const keepOldClock = (by: number): Promise<void> => keep('Go on with the earlier clock', () => shiftClock(by));
