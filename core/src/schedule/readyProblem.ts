import { MINUTE_MS } from '../units';
import type { WorkStep } from '../finish';
import type { Need } from '../facts';
import type { Id, StepId } from '../job';
import { takeOut, type Window } from './calendar';
import { handsIn, peopleOf, runningSpan, type PlacedStep, type Problem } from './problem';
import { dryingAfter } from './rackRoom';

/** A problem made ready for being solved many times. */
export interface Ready {
  readonly problem: Problem;
  /** Steps that are still to be placed, each after those of its job that it waits for. */
  readonly waiting: readonly WorkStep[];
  /** What is done or runs. */
  readonly begun: readonly PlacedStep[];
  /** Of each resource, when it is free. */
  readonly free: readonly (readonly Window[])[];
  /** For steps that need the same, which resources may do them: positions in `free`. */
  readonly crews: ReadonlyMap<string, readonly (readonly number[])[]>;
  /** What dries after steps, and how long, minutes. */
  readonly drying: ReadonlyMap<StepId, { readonly pieces: number; readonly minutes: number }>;
  /** Steps that the same is got ready for. */
  readonly alike: ReadonlyMap<string, readonly StepId[]>;
}

const needsKey = (needs: readonly Need[]): string => needs.toSorted().join(' ');

/** Every choice of resources that has all that is needed. */
function crewsFor(needs: readonly Need[], resources: Problem['resources']): number[][] {
  let crews: number[][] = [[]];
  for (const need of needs.toSorted((a, b) => (a === 'hands' ? -1 : 0) - (b === 'hands' ? -1 : 0))) {
    const able = resources.flatMap(({ kind }, i) => (kind === need ? [i] : []));
    // a machine of which nothing is known is there whenever it is wanted
    if (able.length === 0 && need !== 'hands') continue;
    // two of a kind are taken in their order: the other way round is the same crew
    crews = crews.flatMap((crew) =>
      able.filter((i) => !crew.includes(i) && crew.every((other) => resources[other]!.kind !== need || other < i)).map((i) => [...crew, i]),
    );
  }
  return crews;
}

/** Makes a problem ready: what has begun is taken out of the time of who does it. */
export function readyFor(problem: Problem): Ready {
  const { jobs, fixed, now } = problem;
  const people = peopleOf(problem);
  // one pair of hands is at one machine at a time by itself
  const resources = people.length > 1 ? problem.resources : people;
  const steps = jobs.flatMap((job) => job.steps);
  const begun: PlacedStep[] = [];
  const free: (readonly Window[])[] = resources.map(({ calendar }) => calendar);
  let who = 0;
  for (const step of steps) {
    const fact = fixed.get(step.id);
    if (fact?.doneAt !== undefined) {
      const start = fact.startedAt ?? fact.doneAt - step.hands * MINUTE_MS;
      begun.push({ step, start, end: fact.doneAt, spans: [{ start, end: fact.doneAt }], state: 'done' });
      continue;
    }
    const follows = problem.stands?.get(step.id)?.follows;
    const runs = runningSpan({ ...step, hands: handsIn({ step, ...(follows ? { follows } : {}) }) }, fixed, now);
    if (!runs) continue;
    // whoever was to do it does it; where that is not known, each that runs is taken to have other hands, as long as there are any
    const able = crewsFor(step.needs, resources);
    const given = problem.given?.get(step.id);
    const handed = given === undefined ? undefined : [given];
    const by = handed ?? problem.stands?.get(step.id)?.by;
    const own =
      able.find((crew) => handed && crew.some((k) => handed.includes(resources[k]!.id))) ??
      able.find((crew) => by && crew.every((k) => by.includes(resources[k]!.id))) ??
      able.find((crew) => people.length === 1 || crew[0] === who % people.length);
    who += 1;
    for (const i of own ?? []) free[i] = takeOut(free[i]!, [runs]);
    begun.push({ step, ...runs, spans: [runs], ...byOf(own ?? [], resources), ...(follows ? { follows } : {}), state: 'running' });
  }
  const waiting = steps.filter((step) => {
    const fact = fixed.get(step.id);
    return fact?.doneAt === undefined && fact?.startedAt === undefined;
  });
  const crews = new Map<string, readonly (readonly number[])[]>();
  for (const { needs } of waiting) {
    const key = needsKey(needs);
    if (!crews.has(key)) crews.set(key, crewsFor(needs, resources));
  }
  const alike = new Map<string, StepId[]>();
  for (const { id, setup } of waiting) if (setup) alike.set(setup.key, [...(alike.get(setup.key) ?? []), id]);
  const drying = new Map(
    jobs.flatMap(({ pieces = 0, steps: own }) =>
      pieces === 0
        ? []
        : [...dryingAfter(own)].map(([id, minutes]): [StepId, { pieces: number; minutes: number }] => [id, { pieces, minutes }]),
    ),
  );
  return { problem: { ...problem, resources }, waiting, begun, free, crews, drying, alike };
}

/** Whoever may do a step, as positions in `free`: with the person whom it was given, where there is such a one. */
export function ableFor(
  step: WorkStep,
  { problem: { given, resources }, crews }: Pick<Ready, 'problem' | 'crews'>,
): readonly (readonly number[])[] {
  const all = crews.get(needsKey(step.needs))!;
  const who = given?.get(step.id);
  const theirs = who === undefined ? [] : all.filter((crew) => crew.some((k) => resources[k]!.id === who));
  return theirs.length > 0 ? theirs : all;
}

/** Who does a step, where there is a choice. */
export const byOf = (crew: readonly number[], resources: Problem['resources']): { by?: readonly Id[] } =>
  resources.length > 1 ? { by: crew.map((i) => resources[i]!.id) } : {};
