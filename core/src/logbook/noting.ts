import type { WorkStep } from '../finish';
import { stepTitle } from '../words';
import type { Id, StepId, WorkEvent } from '../job';
import { MINUTE_MS } from '../units';
import { stepFacts } from './stepFacts';

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

/**
 * What is added to the log when a step ends: its minutes, from its start, or as planned and not timed when no timer ran, and the film that
 * it took. Nothing when it is done
 * already, or when this very press is in the log: so it counts once.
 *
 * @param events the log as it is saved at that moment
 * @param press names the press: the events have ids made from it
 * @param minutes as corrected by the user, if at all
 */
export function noteFinish(
  events: readonly WorkEvent[],
  step: WorkStep,
  press: Id,
  at: number,
  wrong?: Wrong,
  minutes?: number,
): WorkEvent[] {
  const { done, startedAt } = stepState(events, step.id);
  if (done || events.some((event) => event.id === press)) return [];
  const spent = startedAt === undefined ? step.hands : Math.max(0.1, Math.round(((at - startedAt) / MINUTE_MS) * 10) / 10);
  const common = {
    ...{ id: press, at, job: step.job, step: step.id, title: stepTitle(step), planned: step.hands, actual: minutes ?? spent },
    ...{ work: step.kind, unlearned: step.hands, timed: minutes !== undefined || startedAt !== undefined },
  };
  return [
    wrong ? { ...common, kind: 'wrong', ...wrong } : { ...common, kind: 'done' },
    // film that went under the knife is gone, also when the cut failed
    ...(step.takes ? [{ id: `${press}-film`, at, kind: 'cut' as const, job: step.job, step: step.id, ...step.takes }] : []),
  ];
}
