import { workingDays } from './calendar';
import type { PlacedStep } from './problem';
import type { Schedule } from './solve';
import { waitCloses } from './waitOver';

/** What cannot stand until the next day: a step that has to be done before, and the moment by when. */
export interface BeforeNight {
  readonly placed: PlacedStep;
  readonly by: number;
}

/** The end of the working day that runs at a moment, and the beginning of the next; undefined outside hours. */
export function dayEnd(windows: Schedule['windows'], at: number): { end: number; next: number } | undefined {
  if (!windows.some(({ start, end }) => start <= at && at < end)) return undefined;
  const days = workingDays(windows);
  const i = days.findIndex(({ end }) => at < end);
  return { end: days[i]!.end, next: days[i + 1]?.start ?? Infinity };
}

/**
 * Steps whose greatest wait runs out before anybody is there again: a stencil to pull, film to weed.
 *
 * @param at UTC ms
 * @returns those whose wait has begun, by when they have to be done, the soonest first
 */
export function beforeNight(schedule: Schedule, at: number): BeforeNight[] {
  const day = dayEnd(schedule.windows, at);
  if (!day) return [];
  const due = [...schedule.jobs.values()].flatMap(({ steps }) => {
    const known = new Map(steps.map((one) => [one.step.id, one]));
    return steps.flatMap((placed) =>
      placed.state !== 'waiting'
        ? []
        : placed.step.after.flatMap((lag) => {
            const other = known.get(lag.step);
            if (lag.most === undefined || !other || other.state === 'waiting') return [];
            const by = waitCloses(other.end, lag);
            return by < day.next && by > at ? [{ placed, by: Math.min(by, day.end) }] : [];
          }),
    );
  });
  return due.toSorted((a, b) => a.by - b.by);
}
