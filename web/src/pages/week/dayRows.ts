import { waitWords } from '@kolleta/core/words';
import type { Hours, Job } from '@kolleta/core/job';
import { midnightOf, type PlacedStep, type Schedule, type Window, waitOver } from '@kolleta/core/schedule';

/** Waits shorter than this are not drawn, minutes. */
const LEAST_WAIT = 20;
/** Rows of waits under a day are at most so many. */
const WAIT_ROWS = 4;

/** A part of a step within a day. */
export interface DayBlock extends Window {
  readonly placed: PlacedStep;
  /** The first of its parts: what is dragged. */
  readonly first: boolean;
}

/** A wait within a day. */
interface DayWait extends Window {
  readonly id: string;
  readonly job: string;
  readonly words: string;
  readonly row: number;
}

/** One day of the week, as it is drawn. */
export interface DayRow {
  /** Midnight in the workshop's zone, UTC ms. */
  readonly midnight: number;
  readonly open: readonly Window[];
  readonly off: readonly (Window & { readonly id: string; readonly name?: string; readonly who?: string })[];
  readonly blocks: readonly DayBlock[];
  readonly waits: readonly DayWait[];
  /** Jobs that are wanted on that day. */
  readonly wanted: readonly { readonly job: string; readonly name: string; readonly at: number; readonly late: boolean }[];
}

const clip = ({ start, end }: Window, from: number, until: number): Window | undefined =>
  start < until && end > from ? { start: Math.max(start, from), end: Math.min(end, until) } : undefined;

/** Waits of a day in rows, those that overlap one under the other. */
function inRows(waits: readonly Omit<DayWait, 'row'>[]): DayWait[] {
  const ends: number[] = [];
  return waits
    .toSorted((a, b) => a.start - b.start)
    .flatMap((wait) => {
      const free = ends.findIndex((end) => end <= wait.start);
      const row = free >= 0 ? free : ends.length;
      if (row >= WAIT_ROWS) return [];
      ends[row] = wait.end;
      return [{ ...wait, row }];
    });
}

/**
 * The days of a week, with what is done, waited for, off and wanted on each.
 *
 * @param from UTC ms, on the first of them
 * @param count of days
 */
export function dayRows(schedule: Schedule, jobs: readonly Job[], hours: Hours, from: number, count: number): DayRow[] {
  const { zone } = hours;
  const waits = [...schedule.jobs.values()].flatMap(({ job, steps }) => {
    const at = new Map(steps.map((one) => [one.step.id, one]));
    return steps.flatMap(({ step, state }) =>
      state !== 'waiting'
        ? []
        : step.after.flatMap((lag) => {
            const other = at.get(lag.step);
            if (!other || lag.least < LEAST_WAIT) return [];
            return [{ id: `${step.id}<${lag.step}`, job, words: waitWords(lag), start: other.end, end: waitOver(other.end, lag) }];
          }),
    );
  });
  return Array.from({ length: count }, (_, d): DayRow => {
    const midnight = midnightOf(from, zone, d);
    const next = midnightOf(from, zone, d + 1);
    const within = <W extends Window>(all: readonly W[]): W[] =>
      all.flatMap((one) => {
        const part = clip(one, midnight, next);
        return part ? [{ ...one, ...part }] : [];
      });
    return {
      midnight,
      open: within(schedule.windows),
      off: within(hours.off ?? []),
      blocks: schedule.steps.flatMap((placed) =>
        placed.spans.flatMap((span, i) => {
          const part = clip(span, midnight, next);
          return part ? [{ ...part, placed, first: i === 0 }] : [];
        }),
      ),
      waits: inRows(within(waits)),
      wanted: jobs
        .filter(({ deadline, closed }) => !closed && deadline !== undefined && deadline >= midnight && deadline < next)
        .map(({ id, name, deadline }) => ({ job: id, name, at: deadline!, late: schedule.jobs.get(id)?.late ?? true })),
    };
  });
}

/** The hours that all days share on one scale, ms after midnight: whole hours around all that is open or done. */
export function hoursShown(rows: readonly DayRow[]): { readonly from: number; readonly until: number } {
  const HOUR = 3_600_000;
  const spans = rows.flatMap(({ midnight, open, blocks }) =>
    [...open, ...blocks].map(({ start, end }) => [start - midnight, end - midnight] as const),
  );
  if (spans.length === 0) return { from: 9 * HOUR, until: 18 * HOUR };
  return {
    from: Math.floor(Math.min(...spans.map(([start]) => start)) / HOUR) * HOUR,
    until: Math.ceil(Math.max(...spans.map(([, end]) => end)) / HOUR) * HOUR,
  };
}
