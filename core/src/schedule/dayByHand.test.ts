import { describe, expect, it } from '@jest/globals';
import { SCHEDULE_NOW } from '../../test/randomSchedules';
import { testStep } from '../../test/steps';
import type { WorkStep } from '../finish';
import { dryOn } from './dryOn';
import { heldBack, heldBackWords } from './heldBack';
import { beforeNight, dayEnd } from './overnight';
import type { JobToPlace, Problem, StepFact } from './problem';
import { eveningsFor, isKept, promiseOf, withEvenings } from './promise';
import { solveSchedule } from './solve';
import { whatMoved } from './whatMoved';

const MIN = 60_000;
const DAY = 24 * 60 * MIN;
/** Ten days of nine hours with a break, from now on: 09:40 to 18:00 on the first. */
const HOURS = Array.from({ length: 10 }, (_, d) => {
  const nine = SCHEDULE_NOW - 40 * MIN + d * DAY;
  return [
    { start: Math.max(SCHEDULE_NOW, nine), end: nine + 210 * MIN },
    { start: nine + 270 * MIN, end: nine + 540 * MIN },
  ];
}).flat();
const job = (id: string, steps: readonly WorkStep[], more: Partial<JobToPlace> = {}): JobToPlace => ({
  ...{ job: id, name: id, priority: 0, createdAt: 0, care: [] },
  steps: steps.map((step) => ({ ...step, job: id })),
  ...more,
});
const problem = (jobs: readonly JobToPlace[], fixed: [string, StepFact][] = [], now = SCHEDULE_NOW): Problem => ({
  ...{ jobs, fixed: new Map(fixed), now },
  resources: [{ id: 'hands', kind: 'hands', calendar: HOURS }],
});
const say = (at: number) => `${Math.round((at - SCHEDULE_NOW) / MIN)} min`;

describe('why a step cannot begin at a moment', () => {
  const paint = testStep('paint', { hands: 20, kind: 'coat' });
  const pull = testStep('pull', { hands: 5, after: [{ step: 'paint', least: 60, most: 90, why: 'halfDry' }] });
  const wrap = testStep('wrap', { hands: 30, after: [{ step: 'pull', least: 0, why: 'pulled' }] });
  const { steps, windows } = solveSchedule(problem([job('a', [paint, pull, wrap])]));
  const why = (id: string, at: number, all = steps) => {
    const held = heldBack(
      all.find(({ step }) => step.id === id)!,
      SCHEDULE_NOW + at * MIN,
      all,
      windows,
    );
    return held && heldBackWords(held, say);
  };
  it('is what it waits for, the step before, or that nobody is there', () => {
    expect(why('pull', 30)).toBe('paint half dry only at 80 min');
    expect(why('wrap', 30)).toMatch(/^“.*” comes before it, and ends at 85 min$/);
    // 12:30, in the break; and shortly before it
    expect(why('wrap', 175)).toBe('nobody works then for as long as it takes');
    expect(why('paint', 165)).toBe('nobody works then for as long as it takes');
    expect(why('paint', 5)).toBeUndefined();
  });
  it('is a wait that may not be longer after what has begun, and hands that are busy', () => {
    const done: [string, StepFact][] = [['paint', { startedAt: SCHEDULE_NOW - 40 * MIN, doneAt: SCHEDULE_NOW - 20 * MIN }]];
    const later = solveSchedule(problem([job('a', [paint, pull, wrap])], done)).steps;
    expect(why('pull', 120, later)).toMatch(/^it may not come later than 70 min after/);
    const runs = solveSchedule(
      problem(
        [job('b', [testStep('other', { hands: 40 })]), job('c', [testStep('mine', { hands: 10 })])],
        [['other', { startedAt: SCHEDULE_NOW }]],
      ),
    ).steps;
    expect(why('mine', 10, runs)).toMatch(/^hands are at “.*” then$/);
    expect(why('mine', 40, runs)).toBeUndefined();
  });
});

describe('what moved', () => {
  it('counts what begins five minutes later or sooner, without the step that was moved, and jobs that are packed at another time', () => {
    const jobs = [job('a', [testStep('a1', { hands: 60 })]), job('b', [testStep('b1', { hands: 30 })], { createdAt: 1 })];
    const before = solveSchedule(problem(jobs));
    const after = solveSchedule({ ...problem(jobs), pinned: new Map([['b1', SCHEDULE_NOW]]) });
    expect(whatMoved(before, after, 'b1')).toEqual({
      later: ['a1'],
      sooner: [],
      packed: [
        { job: 'b', by: -60 },
        { job: 'a', by: 30 },
      ],
    });
    expect(whatMoved(before, before)).toEqual({ later: [], sooner: [], packed: [] });
    expect(whatMoved(after, before, 'b1').sooner).toEqual(['a1']);
  });
});

describe('an order, before it is taken', () => {
  const busy = job('busy', [testStep('long', { hands: 180, mayPause: true })], { deadline: SCHEDULE_NOW + 400 * MIN });
  const now = solveSchedule(problem([busy]));
  const order = (minutes: number, deadline?: number): JobToPlace =>
    job('order', [testStep('work', { hands: minutes, mayPause: true })], { createdAt: 9, ...(deadline === undefined ? {} : { deadline }) });
  it('is packed after what is open, and delays nothing, where there is no hurry', () => {
    const found = promiseOf(problem([busy]), now, order(60));
    expect(found.order.packed).toBeGreaterThan(now.jobs.get('busy')!.packed!);
    expect(found.delays).toEqual([]);
    expect(isKept(found, undefined)).toBe(true);
  });
  it('tells whom it delays, and is no promise where that one is late for it', () => {
    // the first to be wanted goes first: the other has its hands only after it
    const soon = SCHEDULE_NOW + 300 * MIN;
    const found = promiseOf(problem([{ ...busy, priority: -1 }]), now, order(240, soon));
    expect(found.order.packed).toBeLessThanOrEqual(soon);
    expect(found.delays).toMatchObject([{ job: 'busy', late: true }]);
    expect(isKept(found, soon)).toBe(false);
    expect(isKept(found, undefined)).toBe(false);
  });
  it('may be had with evenings, the fewest that do; with none where even five do not', () => {
    // ten hours are left until then, and eleven are wanted
    const noon = SCHEDULE_NOW + DAY + 120 * MIN;
    const much = order(11 * 60, noon);
    const alone = problem([]);
    expect(isKept(promiseOf(alone, solveSchedule(alone), much), noon)).toBe(false);
    const count = eveningsFor(alone, much, noon);
    expect(count).toBe(1);
    const more = withEvenings(alone, 1);
    expect(isKept(promiseOf(more, solveSchedule(more), much), noon)).toBe(true);
    expect(eveningsFor(alone, order(60 * 60, noon), noon)).toBeUndefined();
  });
});

describe('a piece that is still tacky', () => {
  const coat = testStep('coat', { hands: 20, kind: 'coat' });
  const wait = (least: number, most: number | undefined, why: 'recoat' | 'etched' = 'recoat') =>
    testStep('next', { hands: 5, after: [{ step: 'coat', least, why, ...(most === undefined ? {} : { most }) }] });
  const done: [string, StepFact][] = [['coat', { startedAt: SCHEDULE_NOW - 120 * MIN, doneAt: SCHEDULE_NOW - 80 * MIN }]];
  const until = (next: WorkStep) => {
    const { steps } = solveSchedule(problem([job('a', [coat, next])], done));
    const found = dryOn(
      steps.find(({ step }) => step.id === 'next')!,
      steps,
      SCHEDULE_NOW,
    );
    return found === undefined ? undefined : (found - SCHEDULE_NOW) / MIN;
  };
  it('dries on for a quarter of its wait, ten minutes at least, and never beyond its greatest wait', () => {
    expect(until(wait(80, undefined))).toBe(20);
    expect(until(wait(20, undefined))).toBe(10);
    expect(until(wait(80, 90))).toBe(10);
    expect(until(wait(80, 83))).toBeUndefined();
  });
  it('is none where cream etches, or nothing dries for long', () => {
    expect(until(wait(80, undefined, 'etched'))).toBeUndefined();
    expect(until(wait(5, undefined))).toBeUndefined();
  });
});

describe('what may not stand overnight', () => {
  const paint = testStep('paint', { hands: 20, kind: 'coat' });
  const pull = testStep('pull', { hands: 5, after: [{ step: 'paint', least: 30, most: 120, why: 'halfDry' }] });
  const late = SCHEDULE_NOW + 450 * MIN;
  it('is what has to be pulled before anybody is there again, by the end of the day at the latest', () => {
    const fixed: [string, StepFact][] = [['paint', { startedAt: late - 20 * MIN, doneAt: late }]];
    const schedule = solveSchedule(problem([job('a', [paint, pull])], fixed, late));
    expect(beforeNight(schedule, late).map(({ placed, by }) => [placed.step.id, by])).toEqual([['pull', HOURS[1]!.end]]);
  });
  it('is nothing where the wait is long, has not begun, or nobody is there', () => {
    const slow = testStep('pull', { hands: 5, after: [{ step: 'paint', least: 30, most: 3000, why: 'halfDry' }] });
    const fixed: [string, StepFact][] = [['paint', { startedAt: late - 20 * MIN, doneAt: late }]];
    expect(beforeNight(solveSchedule(problem([job('a', [paint, slow])], fixed, late)), late)).toEqual([]);
    expect(beforeNight(solveSchedule(problem([job('a', [paint, pull])])), SCHEDULE_NOW)).toEqual([]);
    expect(beforeNight(solveSchedule(problem([job('a', [paint, pull])], fixed, late)), late + 400 * MIN)).toEqual([]);
  });
  it('a day ends after its last hours, over breaks', () => {
    expect(dayEnd(HOURS, SCHEDULE_NOW)).toEqual({ end: HOURS[1]!.end, next: HOURS[2]!.start });
    expect(dayEnd(HOURS, HOURS[1]!.end)).toBeUndefined();
    expect(dayEnd(HOURS.slice(0, 2), SCHEDULE_NOW)).toEqual({ end: HOURS[1]!.end, next: Infinity });
  });
});
