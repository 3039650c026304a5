import type { StepKind } from '../facts';
import { isTimed, standing, type Id, type WorkEvent } from '../job';

/** Minutes by kind of work: computed before anything was learnt, planned, and taken; from runs that were timed and ended well. */
export interface WorkTally {
  readonly work: StepKind;
  readonly runs: number;
  readonly unlearned: number;
  readonly actual: number;
}

/** How the kinds of work compare with what was computed, the longest first. */
export function workTallies(events: readonly WorkEvent[]): WorkTally[] {
  const tallies = new Map<StepKind, WorkTally>();
  for (const event of standing(events)) {
    if (event.kind !== 'done' || !event.work || !event.unlearned || !isTimed(event)) continue;
    const own = tallies.get(event.work) ?? { work: event.work, runs: 0, unlearned: 0, actual: 0 };
    tallies.set(event.work, {
      ...own,
      runs: own.runs + 1,
      unlearned: own.unlearned + event.unlearned,
      actual: own.actual + event.actual,
    });
  }
  return [...tallies.values()].toSorted((a, b) => b.actual - a.actual);
}

/** What went wrong, by cause: how often, and the pieces that it cost; the most frequent first. */
export function spoilageByCause(events: readonly WorkEvent[]): { cause: string; times: number; pieces: number }[] {
  const causes = new Map<string, { cause: string; times: number; pieces: number }>();
  for (const event of standing(events)) {
    if (event.kind !== 'wrong' && event.kind !== 'lost') continue;
    const own = causes.get(event.what) ?? { cause: event.what, times: 0, pieces: 0 };
    causes.set(event.what, { ...own, times: own.times + 1, pieces: own.pieces + (event.kind === 'wrong' ? (event.spoiled ?? 0) : 0) });
  }
  return [...causes.values()].toSorted((a, b) => b.times - a.times || b.pieces - a.pieces);
}

/** Film that was cut in one week: by film, mm² with its waste. */
export interface FilmWeek {
  /** Midnight before its Monday, as day number since 1970 in UTC. */
  readonly monday: number;
  readonly areas: ReadonlyMap<Id, number>;
}

const DAY_MS = 86_400_000;

/**
 * Film by week, the oldest first, weeks without any between two left empty.
 *
 * @param widthOf the width of a film, mm: of older entries only the length is known
 * @param dayNumber the day of a moment where the workshop is, counted from 1970
 */
export function filmByWeek(
  events: readonly WorkEvent[],
  widthOf: (film: Id) => number,
  dayNumber: (at: number) => number = (at) => Math.floor(at / DAY_MS),
): FilmWeek[] {
  const weeks = new Map<number, Map<Id, number>>();
  for (const event of standing(events)) {
    if (event.kind !== 'cut') continue;
    const day = dayNumber(event.at);
    // 1 January 1970 was a Thursday
    const monday = day - ((day + 3) % 7);
    const own = weeks.get(monday) ?? new Map<Id, number>();
    weeks.set(monday, own);
    own.set(event.film, (own.get(event.film) ?? 0) + (event.area ?? event.length * widthOf(event.film)));
  }
  if (weeks.size === 0) return [];
  const [first, last] = [Math.min(...weeks.keys()), Math.max(...weeks.keys())];
  return Array.from({ length: (last - first) / 7 + 1 }, (_, i) => ({
    monday: first + 7 * i,
    areas: weeks.get(first + 7 * i) ?? new Map(),
  }));
}
