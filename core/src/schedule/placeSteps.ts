import { MINUTE_MS } from '../units';
import type { WorkStep } from '../finish';
import type { StepId } from '../job';
import { firstEndingAfter, takeOut, type Window } from './calendar';
import { GRAIN_MS, runningSpan, type PlacedStep, type Placement, type StepFact, type Unplaced } from './problem';
import { shortestMost, waitCloses, waitOver } from './waitOver';

/** A step is put off at most so often for the sake of one wait: about two weeks of days. */
export const MOST_PUTS = 24;
const MOST_REPAIRS = 2000;

export const ceilTo = (time: number, grain: number) => Math.ceil(time / grain) * grain;

/** The earliest spans of free time for a step; undefined when the calendar ends first. */
export function findSpans(free: readonly Window[], from: number, minutes: number, mayPause: boolean): Window[] | undefined {
  const need = Math.max(1, minutes) * MINUTE_MS;
  const never = !free.some((window) => window.end - window.start >= need);
  const pause = mayPause || never;
  let spans: Window[] = [];
  let left = need;
  for (let i = firstEndingAfter(free, from); i < free.length; i++) {
    const window = free[i]!;
    const start = window.start >= from ? window.start : Math.min(window.end, ceilTo(from, GRAIN_MS));
    const room = window.end - start;
    if (room <= 0) continue;
    // a step that may pause still begins where it fits whole, unless it never would
    if (room >= left) return [...spans, { start, end: start + left }];
    if (pause && (never || room >= need / 3) && room >= Math.min(need, 10 * MINUTE_MS)) {
      spans = [...spans, { start, end: window.end }];
      left -= room;
    } else if (spans.length > 0 && pause) {
      spans = [...spans, { start, end: window.end }];
      left -= room;
    }
  }
  return undefined;
}

/**
 * Places the steps of one job one after another in free time, least waits kept and greatest ones too: where a step would come too late after
 * another, the other is put off until both fit.
 *
 * @param steps in an order in which each comes after those it waits for
 * @param free working time from now on that other jobs leave, sorted and apart
 * @param from nothing begins before, UTC ms
 * @param facts what has begun or is done
 * @param now a step that runs ends no sooner than now
 * @returns the step that finds no room when the calendar is too short
 */
export function placeSteps(
  steps: readonly WorkStep[],
  free: readonly Window[],
  from: number,
  facts: ReadonlyMap<StepId, StepFact>,
  now: number,
): Placement | Unplaced {
  const notBefore = new Map<StepId, number>();
  const given = new Set<string>();
  const puts = new Map<string, number>();
  // what runs has its hands, whatever comes before it in the list
  const running = new Map(
    steps.flatMap((step) => {
      const span = runningSpan(step, facts, now);
      return span ? [[step.id, span] as const] : [];
    }),
  );
  const idle = takeOut(free, [...running.values()]);
  for (let repair = 0; repair < MOST_REPAIRS; repair++) {
    const placed = new Map<StepId, PlacedStep>();
    const broken: Placement['broken'][number][] = [];
    let left = idle;
    let again = false;
    for (const step of steps) {
      const fact = facts.get(step.id);
      if (fact?.doneAt !== undefined) {
        const start = fact.startedAt ?? fact.doneAt - step.hands * MINUTE_MS;
        placed.set(step.id, { step, start, end: fact.doneAt, spans: [{ start, end: fact.doneAt }], state: 'done' });
        continue;
      }
      const runs = running.get(step.id);
      if (runs) {
        placed.set(step.id, { step, ...runs, spans: [runs], state: 'running' });
        continue;
      }
      const earliest = step.after.reduce(
        (time, lag) => Math.max(time, waitOver(placed.get(lag.step)?.end ?? from, lag)),
        Math.max(from, notBefore.get(step.id) ?? 0, step.opens?.at ?? 0),
      );
      const spans = findSpans(left, earliest, step.hands, step.mayPause);
      if (!spans) return { unplaced: step.id };
      const start = spans[0]!.start;
      for (const lag of step.after) {
        const other = placed.get(lag.step);
        if (lag.most === undefined || !other || start <= waitCloses(other.end, lag)) continue;
        const key = `${step.id}<${lag.step}`;
        const fixed = other.state !== 'waiting' || given.has(key);
        if (fixed) broken.push({ step: step.id, after: lag.step, why: lag.why, ...(lag.coat ? { coat: lag.coat } : {}) });
        else {
          const times = (puts.get(key) ?? 0) + 1;
          puts.set(key, times);
          if (times > MOST_PUTS) {
            // no day that was tried leaves room: begin as early as can be, and say that this wait is broken
            given.add(key);
            notBefore.clear();
          } else {
            const put = ceilTo(start - shortestMost(lag) * MINUTE_MS - (other.end - other.start), GRAIN_MS);
            notBefore.set(lag.step, Math.max(notBefore.get(lag.step) ?? 0, put, other.start + GRAIN_MS));
          }
          again = true;
        }
      }
      if (again) break;
      placed.set(step.id, { step, start, end: spans.at(-1)!.end, spans, state: 'waiting' });
      left = takeOut(left, spans);
    }
    if (!again) return { steps: [...placed.values()], broken };
  }
  return { unplaced: steps.find((step) => !facts.has(step.id))!.id };
}
