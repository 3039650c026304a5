import { WORKDAY } from '../facts';
import type { Lag, WorkStep } from '../finish';
import type { Id, JobId, StepId } from '../job';
import { MINUTE_MS } from '../units';
import { TOUCHED } from './dryOn';
import type { JobToPlace, PlacedStep, Problem } from './problem';

/** Where pieces stand to dry, and how many of them there is room for. */
export interface RackPlace {
  readonly id: Id;
  readonly name: string;
  readonly holds: number;
}

/** Pieces that dry after a step, from its end on. */
export interface Stay {
  readonly step: StepId;
  readonly job: JobId;
  readonly pieces: number;
  /** UTC ms. */
  readonly start: number;
  readonly end: number;
}

const dries = ({ why, least }: Lag): boolean => TOUCHED.has(why) && least >= WORKDAY.dryOn.least;

/** How long pieces stand on the rack after each step of a job, minutes; nothing after those after which nothing dries. */
export function dryingAfter(steps: readonly WorkStep[]): Map<StepId, number> {
  const minutes = new Map<StepId, number>();
  for (const { after } of steps)
    for (const lag of after) if (dries(lag)) minutes.set(lag.step, Math.max(minutes.get(lag.step) ?? 0, lag.least));
  return minutes;
}

/** What stands on the rack by steps in time. */
export function staysOf(jobs: readonly JobToPlace[], placed: ReadonlyMap<StepId, Pick<PlacedStep, 'end'>>): Stay[] {
  return jobs.flatMap(({ job, pieces = 0, steps }) =>
    pieces === 0
      ? []
      : [...dryingAfter(steps)].flatMap(([step, minutes]) => {
          const own = placed.get(step);
          return own ? [{ step, job, pieces, start: own.end, end: own.end + minutes * MINUTE_MS }] : [];
        }),
  );
}

/**
 * The moment at which something leaves the rack, where there is no room for more on it during a time; undefined where there is.
 *
 * @param room so many pieces stand on it
 */
export function fullUntil(stays: readonly Stay[], room: number, { pieces, start, end }: Omit<Stay, 'step' | 'job'>): number | undefined {
  const there = stays.filter((one) => one.start < end && start < one.end);
  const moments = [start, ...there.map((one) => one.start).filter((at) => at > start)];
  const full = moments.some(
    (at) => there.reduce((sum, one) => sum + (one.start <= at && at < one.end ? one.pieces : 0), 0) + pieces > room,
  );
  return full ? Math.min(...there.map((one) => one.end)) : undefined;
}

/** Room on all places together; undefined where none are named: then there is room for everything. */
export const roomOn = (places: readonly RackPlace[] | undefined): number | undefined =>
  places && places.length > 0 ? places.reduce((sum, { holds }) => sum + holds, 0) : undefined;

/** Moments at which more stands on the rack than it holds, though each set would fit by itself. */
export function overfull(
  { jobs, room }: Pick<Problem, 'jobs' | 'room'>,
  placed: ReadonlyMap<StepId, Pick<PlacedStep, 'end' | 'state'>>,
): number[] {
  if (room === undefined) return [];
  const stays = staysOf(jobs, placed).filter(({ pieces }) => pieces <= room);
  // what is done stands where it stands
  const open = stays.filter(({ step }) => placed.get(step)!.state === 'waiting');
  return open.flatMap(({ start }) =>
    stays.reduce((sum, one) => sum + (one.start <= start && start < one.end ? one.pieces : 0), 0) > room ? [start] : [],
  );
}

/**
 * On which place each set stands: the first with room for all of it when it comes, or else the first with any. Who stands stays where it is.
 *
 * @returns places by the step after which it dries
 */
export function rackPlaces(stays: readonly Stay[], places: readonly RackPlace[]): Map<StepId, RackPlace> {
  const found = new Map<StepId, RackPlace>();
  const standing: (Stay & { place: Id })[] = [];
  for (const stay of stays.toSorted((a, b) => a.start - b.start || (a.step < b.step ? -1 : 1))) {
    const left = places.map((place) => ({
      place,
      left: place.holds - standing.reduce((sum, one) => sum + (one.place === place.id && one.end > stay.start ? one.pieces : 0), 0),
    }));
    const best = left.find((one) => one.left >= stay.pieces) ?? left.toSorted((a, b) => b.left - a.left)[0];
    if (!best) continue;
    standing.push({ ...stay, place: best.place.id });
    found.set(stay.step, best.place);
  }
  return found;
}
