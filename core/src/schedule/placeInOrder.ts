// Longer than 300 lines: one generator with its repairs, which share all that is known of an attempt.
import { MINUTE_MS } from '../units';
import type { WorkStep } from '../finish';
import type { JobId, StepId } from '../job';
import { firstEndingAfter, joinedWindows, sharedWindows, takeOut, type Window } from './calendar';
import { ceilTo, findSpans, MOST_PUTS } from './placeSteps';
import { fullUntil, staysOf } from './rackRoom';
import { ableFor, byOf, type Ready } from './readyProblem';
import { GRAIN_MS, type Follows, type PlacedStep, type Placement, type Solution, type Unplaced } from './problem';
import { shortestMost, waitCloses, waitOver } from './waitOver';

/** What an order of steps is placed with, beside the order. */
export interface Held {
  /** Steps that begin at a moment, UTC ms: others leave that time to them; where what they wait for is not ready by then, they begin as soon after
   * as can be. */
  readonly pinned?: ReadonlyMap<StepId, number> | undefined;
  /** Steps that do not begin before a moment, UTC ms, unless a greatest wait asks for it. */
  readonly notBefore?: ReadonlyMap<StepId, number>;
  /** Gives up where more greatest waits than these are not kept. */
  readonly broken?: number;
  /** Gives up where more steps than these are put off for the sake of greatest waits. */
  readonly repairs?: number;
}

/** Where a step finds room. */
interface Put {
  readonly spans: readonly Window[];
  readonly crew: readonly number[];
  readonly end: number;
  readonly follows?: Follows | undefined;
}

/** Whether a step that begins then goes straight on from another. */
const goesOn = (other: PlacedStep | undefined, start: number): boolean =>
  other !== undefined && start >= other.end && start - other.end < GRAIN_MS;

/** Time that is kept for a step, and whose. */
interface Kept {
  readonly spans: readonly Window[];
  readonly crew: readonly number[];
  readonly follows?: Follows | undefined;
}

const NONE: ReadonlyMap<StepId, number> = new Map();

/** Repairs of greatest waits in one plan are at most so many, and so many more for each step of it. */
const MOST_REPAIRS = { least: 1000, each: 1 };

/** What came of placing steps in an order: the one that finds no room, or all of them. */
type Attempt =
  | { readonly lost: WorkStep }
  | {
      readonly placed: ReadonlyMap<StepId, PlacedStep>;
      readonly broken: readonly { readonly job: JobId; readonly one: Placement['broken'][number] }[];
    };

/**
 * Places steps one after another in the order given, each as early as those before it leave room for, on whoever is done with it first
 * (the serial schedule generation scheme; Kolisch and Hartmann, 1999). Where a step would come too late after another, the other is put off and
 * all from there on is placed anew.
 *
 * @param order all steps that wait, each after those that it waits for
 * @returns undefined where it was given up
 */
export function placeInOrder(
  ready: Ready,
  order: readonly WorkStep[],
  { pinned = NONE, notBefore: soft = NONE, broken: mostBroken = Infinity, repairs: mostRepairs = Infinity }: Held = {},
): Solution | undefined {
  const { problem, begun, free: first, alike } = ready;
  const crewsOf = (step: WorkStep) => ableFor(step, ready);
  const { now, resources } = problem;
  const unplaced = new Map<JobId, StepId>();
  let steps = order;
  let pins = pinned;
  for (;;) {
    const result = attempt(steps);
    if (!result) return undefined;
    if (!('lost' in result)) return gathered(result.placed, result.broken);
    const { job, id } = result.lost;
    const own = new Set(steps.flatMap((step) => (step.job === job && pins.has(step.id) ? [step.id] : [])));
    if (own.size > 0) {
      // a step that was put where its job finds no room any more goes back to its own time
      pins = new Map([...pins].filter(([step]) => !own.has(step)));
      continue;
    }
    unplaced.set(job, id);
    steps = steps.filter((step) => step.job !== job);
  }

  /** Time that is kept for steps that were put at a moment, where somebody is there to do them. */
  function reserved(list: readonly WorkStep[]): Map<StepId, Kept> {
    const kept = new Map<StepId, Kept>();
    if (pins.size === 0) return kept;
    const within = (windows: readonly Window[], { start, end }: Window) => {
      const window = windows[firstEndingAfter(windows, start)];
      return window !== undefined && window.start <= start && window.end >= end;
    };
    const left = [...first];
    // what somebody put there comes before what only stood there
    const put = problem.pinned ?? NONE;
    const asList = [...list.filter(({ id }) => put.has(id)), ...list.filter(({ id }) => !put.has(id))];
    for (const step of asList) {
      const at = pins.get(step.id);
      if (at === undefined || at < now) continue;
      const stood = problem.stands?.get(step.id);
      const asked = stood?.at === at ? stood.follows : undefined;
      const follows = asked && asked.saved <= (step.setup?.minutes ?? 0) ? asked : undefined;
      const long = Math.max(1, step.hands - (follows?.saved ?? 0)) * MINUTE_MS;
      const paused =
        stood?.at === at && stood.spans?.reduce((sum, { start, end }) => sum + end - start, 0) === long ? stood.spans : undefined;
      const spans = paused ?? [{ start: at, end: at + long }];
      const able = crewsOf(step).filter((one) => one.every((k) => spans.every((span) => within(left[k]!, span))));
      // whoever was to do it does it
      const crew = able.find((one) => stood?.by && one.every((k) => stood.by!.includes(resources[k]!.id))) ?? able[0];
      if (!crew) continue;
      kept.set(step.id, { spans, crew, follows });
      for (const k of crew) left[k] = takeOut(left[k]!, spans);
    }
    return kept;
  }

  /** Where a step finds room first, on whoever is done with it first. */
  function soonest(
    step: WorkStep,
    there: readonly (readonly Window[])[],
    placed: ReadonlyMap<StepId, PlacedStep>,
    earliest: number,
  ): Put | undefined {
    let best: Put | undefined;
    for (const crew of crewsOf(step)) {
      const both =
        crew.length === 1
          ? there[crew[0]!]!
          : crew.slice(1).reduce<readonly Window[]>((all, k) => sharedWindows(all, there[k]!, earliest), there[crew[0]!]!);
      const spans = findSpans(both, earliest, step.hands, step.mayPause);
      const end = spans?.at(-1)?.end;
      if (spans && end !== undefined && (!best || end < best.end)) best = { spans, crew, end };
    }
    const joined = step.setup && followOn(step, step.setup, there, placed, earliest);
    return joined && (!best || joined.end <= best.end) ? joined : best;
  }

  /** When something leaves the rack, where pieces that dry after a step find no room on it; undefined where they do. */
  function rackFull(step: WorkStep, end: number, placed: ReadonlyMap<StepId, PlacedStep>): number | undefined {
    const { room } = problem;
    const own = room === undefined ? undefined : ready.drying.get(step.id);
    if (room === undefined || !own || own.pieces > room) return undefined;
    const others = problem.jobs.filter(({ pieces = 0 }) => pieces <= room);
    const there = new Map([...placed].filter(([id]) => id !== step.id));
    return fullUntil(staysOf(others, there), room, { pieces: own.pieces, start: end, end: end + own.minutes * MINUTE_MS });
  }

  /** A step straight after another that the same was got ready for, by the same hands. */
  function followOn(
    step: WorkStep,
    { key, minutes }: NonNullable<WorkStep['setup']>,
    there: readonly (readonly Window[])[],
    placed: ReadonlyMap<StepId, PlacedStep>,
    earliest: number,
  ): Put | undefined {
    if (minutes <= 0) return undefined;
    let best: Put | undefined;
    for (const id of alike.get(key) ?? []) {
      const other = placed.get(id);
      if (!other || other.state !== 'waiting') continue;
      const from = ceilTo(other.end, GRAIN_MS);
      if (from < earliest) continue;
      for (const crew of crewsOf(step)) {
        if (other.by && other.by[0] !== resources[crew[0]!]!.id) continue;
        const both = crew.slice(1).reduce<readonly Window[]>((all, k) => sharedWindows(all, there[k]!, from), there[crew[0]!]!);
        const saved = Math.min(minutes, step.hands - 1);
        const spans = findSpans(both, from, step.hands - saved, false);
        const end = spans?.at(-1)?.end;
        if (spans?.length === 1 && spans[0]!.start === from && end !== undefined && (!best || end < best.end))
          best = { spans, crew, end, follows: { step: id, saved } };
      }
    }
    return best;
  }

  /** Places them all, or tells the one that finds no room. */
  function attempt(list: readonly WorkStep[]): Attempt | undefined {
    const position = new Map(list.map((step, i) => [step.id, i]));
    const placed = new Map<StepId, PlacedStep>(begun.map((one) => [one.step.id, one]));
    const asHeld = () =>
      new Map<StepId, number>([...pins, ...[...soft].map(([id, at]): [StepId, number] => [id, Math.max(at, pins.get(id) ?? 0)])]);
    let notBefore = asHeld();
    const puts = new Map<string, number>();
    const given = new Set<string>();
    const broken: { at: number; job: JobId; one: Placement['broken'][number] }[] = [];
    const kept = reserved(list);
    const free: (readonly (readonly Window[])[])[] = [
      first.map((windows, k) =>
        [...kept.values()].reduce((left, { crew, spans }) => (crew.includes(k) ? takeOut(left, spans) : left), windows),
      ),
    ];
    let repairs = 0;
    for (let i = 0; i < list.length; i++) {
      const step = list[i]!;
      let earliest = Math.max(now, notBefore.get(step.id) ?? 0, step.opens?.at ?? 0);
      for (const lag of step.after) {
        const before = placed.get(lag.step);
        if (before) earliest = Math.max(earliest, waitOver(before.end, lag));
      }
      const own = kept.get(step.id);
      const ready =
        own !== undefined &&
        earliest <= own.spans[0]!.start &&
        (!own.follows || goesOn(placed.get(own.follows.step), own.spans[0]!.start)) &&
        rackFull(step, own.spans.at(-1)!.end, placed) === undefined;
      // what was kept for it in vain is free again
      const there =
        own && !ready
          ? free[i]!.map((windows, k) => (own.crew.includes(k) ? joinedWindows([...windows, ...own.spans]) : windows))
          : free[i]!;
      let best: Put | undefined = ready
        ? { spans: own.spans, crew: own.crew, end: own.spans.at(-1)!.end, follows: own.follows }
        : soonest(step, there, placed, earliest);
      // where the rack is full then, it waits until something leaves it
      for (let tries = 0; best && !ready && tries < MOST_PUTS; tries++) {
        const leaves = rackFull(step, best.end, placed);
        if (leaves === undefined) break;
        earliest = Math.max(earliest + GRAIN_MS, leaves - (best.end - best.spans[0]!.start));
        best = soonest(step, there, placed, earliest);
      }
      if (!best && given.size < puts.size) {
        // put off beyond the end of the calendar: rather a wait that is broken than a step without room
        for (const key of puts.keys()) given.add(key);
        if (given.size > mostBroken) return undefined;
        notBefore = new Map(pins);
        for (const { id } of list.slice(0, i)) placed.delete(id);
        [free.length, broken.length, i] = [1, 0, -1];
        continue;
      }
      if (!best) return { lost: step };
      const start = best.spans[0]!.start;
      let again: number | undefined;
      for (const lag of step.after) {
        const other = placed.get(lag.step);
        if (lag.most === undefined || !other || start <= waitCloses(other.end, lag)) continue;
        const key = `${step.id}<${lag.step}`;
        const at = position.get(lag.step);
        const times = (puts.get(key) ?? 0) + 1;
        if (at === undefined || given.has(key)) {
          broken.push({
            at: i,
            job: step.job,
            one: { step: step.id, after: lag.step, why: lag.why, ...(lag.coat ? { coat: lag.coat } : {}) },
          });
          continue;
        }
        puts.set(key, times);
        repairs += 1;
        if (repairs > mostRepairs) return undefined;
        if (times > MOST_PUTS || repairs > MOST_REPAIRS.least + MOST_REPAIRS.each * list.length) {
          // no day that was tried leaves room: this wait is said to be broken, and nothing stays put off for the sake of it
          given.add(key);
          if (given.size > mostBroken) return undefined;
          const held = asHeld();
          for (const { id, job, after } of list) {
            if (job !== step.job) continue;
            notBefore.set(id, held.get(id) ?? 0);
            for (const { step: other } of after) if (puts.has(`${id}<${other}`)) puts.set(`${id}<${other}`, 0);
          }
          again = list.findIndex(({ job }) => job === step.job);
          break;
        }
        const put = ceilTo(start - shortestMost(lag) * MINUTE_MS - (other.end - other.start), GRAIN_MS);
        notBefore.set(lag.step, Math.max(notBefore.get(lag.step) ?? 0, put, other.start + GRAIN_MS));
        again = Math.min(again ?? at, at);
      }
      if (again !== undefined) {
        for (let k = again; k < i; k++) placed.delete(list[k]!.id);
        free.length = again + 1;
        while (broken.length > 0 && broken.at(-1)!.at >= again) broken.pop();
        i = again - 1;
        continue;
      }
      const { spans, crew, end, follows } = best;
      placed.set(step.id, { step, start, end, spans, ...byOf(crew, resources), ...(follows ? { follows } : {}), state: 'waiting' });
      free.push(ready ? there : there.map((windows, k) => (crew.includes(k) ? takeOut(windows, spans) : windows)));
    }
    return { placed, broken };
  }

  function gathered(
    placed: ReadonlyMap<StepId, PlacedStep>,
    broken: readonly { job: JobId; one: Placement['broken'][number] }[],
  ): Solution {
    const solution = new Map<JobId, Placement | Unplaced>();
    for (const { job, steps: own } of problem.jobs) {
      const lost = unplaced.get(job);
      solution.set(
        job,
        lost !== undefined
          ? { unplaced: lost }
          : { steps: own.map((step) => placed.get(step.id)!), broken: broken.filter((one) => one.job === job).map(({ one }) => one) },
      );
    }
    return solution;
  }
}

/** The order in which a solution has the steps that wait: by their starts. Those of jobs without room come last, as they are listed. */
export function orderOf({ waiting }: Ready, solution: Solution): WorkStep[] {
  const starts = new Map<StepId, number>();
  for (const placed of solution.values())
    if (!('unplaced' in placed)) for (const { step, start } of placed.steps) starts.set(step.id, start);
  const listed = new Map(waiting.map((step, i) => [step.id, i]));
  return waiting.toSorted(
    (a, b) => (starts.get(a.id) ?? Infinity) - (starts.get(b.id) ?? Infinity) || listed.get(a.id)! - listed.get(b.id)!,
  );
}
