import type { Lag, WorkStep } from '../finish';
import { stepTitle } from '../words';
import type { Hours, Id, StepId, WorkEvent } from '../job';
import { MINUTE_MS } from '../units';
import { stepFacts } from './stepFacts';
import { workedMinutes } from './workedTime';

/** What a person says went wrong at a step. */
export interface Wrong {
  readonly what: string;
  /** It has to be done again. */
  readonly again: boolean;
  /** Pieces that it cost. */
  readonly spoiled?: number;
  readonly note?: string;
}

/** Where a step stands by what happened: whether it is done, and since when its timer runs. */
export function stepState(events: readonly WorkEvent[], step: StepId): { done: boolean; startedAt?: number } {
  const { startedAt, doneAt } = stepFacts(events).get(step) ?? {};
  return doneAt !== undefined ? { done: true } : { done: false, ...(startedAt === undefined ? {} : { startedAt }) };
}

/**
 * What is added to the log when a step is begun: nothing when its timer runs or it is done.
 *
 * @param events the log as it is saved at that moment
 */
export const noteStart = (events: readonly WorkEvent[], step: WorkStep, id: Id, at: number): WorkEvent[] => {
  const { done, startedAt } = stepState(events, step.id);
  return done || startedAt !== undefined ? [] : [{ id, at, kind: 'started', job: step.job, step: step.id, title: stepTitle(step) }];
};

/** What is known of how a step ended. */
export interface Ending {
  readonly wrong?: Wrong | undefined;
  /** As corrected by the user, if at all. */
  readonly minutes?: number | undefined;
  /** When the workshop works: nights and pauses are no minutes of work. */
  readonly hours?: Hours | undefined;
  /** Whose hands did it, where there are several people. */
  readonly who?: Id | undefined;
}

/**
 * What is added to the log when a step ends: its minutes, from its start without nights and pauses, or as planned and not timed when no timer
 * ran, and the film that it took. Nothing when it is done already, or when this very press is in the log: so it counts once.
 *
 * @param events the log as it is saved at that moment
 * @param press names the press: the events have ids made from it
 */
export function noteFinish(
  events: readonly WorkEvent[],
  step: WorkStep,
  press: Id,
  at: number,
  { wrong, minutes, hours, who }: Ending = {},
): WorkEvent[] {
  const { done, startedAt } = stepState(events, step.id);
  if (done || events.some((event) => event.id === press)) return [];
  const worked = (from: number) => (hours ? workedMinutes(hours, from, at) : (at - from) / MINUTE_MS);
  const spent = startedAt === undefined ? step.hands : Math.max(0.1, Math.round(worked(startedAt) * 10) / 10);
  const of = { ...step.of, ...(who === undefined ? {} : { who }) };
  const common = {
    ...{ id: press, at, job: step.job, step: step.id, title: stepTitle(step), planned: step.hands, actual: minutes ?? spent },
    ...{ work: step.kind, unlearned: step.unlearned ?? step.hands, timed: minutes !== undefined || startedAt !== undefined },
    ...(Object.keys(of).length > 0 ? { of } : {}),
  };
  return [
    wrong ? { ...common, kind: 'wrong', ...wrong } : { ...common, kind: 'done' },
    // film that went under the knife is gone, also when the cut failed
    ...takenFilm(step, press, at),
  ];
}

/** The film that a cut takes: each piece, and what comes off the roll. */
function takenFilm({ takes, job, id: step }: WorkStep, press: Id, at: number): WorkEvent[] {
  if (!takes) return [];
  const { film, pieces = [], area, ...roll } = takes;
  // beside pieces the roll's area is its own length by its width
  const all = pieces.length === 0 ? [{ ...roll, area }] : [...pieces, ...(roll.length > 0 ? [roll] : [])];
  return all.map((one, i) => ({
    id: i === 0 ? `${press}-film` : `${press}-film-${i + 1}`,
    at,
    kind: 'cut' as const,
    job,
    step,
    film,
    ...one,
  }));
}

/**
 * What is added to the log when a wait ends otherwise than it was worked out to.
 *
 * @param lag the wait, of a coat that dries
 * @param minutes how long it has been when it was dry, or was tacky still
 */
export const noteDried = (step: WorkStep, lag: Lag, minutes: number, tacky: boolean, id: Id, at: number): WorkEvent[] =>
  lag.dries === undefined || lag.least <= 0 || minutes <= 0
    ? []
    : [
        {
          ...{ id, at, kind: 'dried', job: step.job, step: step.id, title: stepTitle(step), base: lag.dries },
          ...(lag.coat ? { coat: lag.coat } : {}),
          ...{ unlearned: lag.least / (lag.learnt ?? 1), actual: minutes },
          ...(tacky ? { tacky } : {}),
        },
      ];
