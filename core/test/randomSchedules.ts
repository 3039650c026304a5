import type { Need } from '../src/facts';
import type { WorkStep } from '../src/finish';
import { numbersFrom } from '../src/geometry';
import { standsOf, type JobToPlace, type Problem, type Resource, type Solution, type StepFact } from '../src/schedule';
import { testStep } from './steps';

const MIN = 60_000;
const DAY = 24 * 60 * MIN;

/** A Tuesday morning. */
export const SCHEDULE_NOW = Date.parse('2026-12-01T09:40:00Z');

/** What a random problem is like. */
export interface RandomSchedule {
  readonly seed: number;
  /** Steps in all. */
  readonly steps: number;
  readonly jobs: number;
  readonly people?: number;
  readonly cutters?: number;
  readonly days?: number;
  /** How many of its waits may not be too long, from 0 to 1, and how much room those leave, minutes. */
  readonly greatest?: number;
  readonly room?: number;
  /** So many kinds of things are got ready for steps; none are where it is left out. */
  readonly setups?: number;
  /** So many pieces dry at a time; each job has one to four. */
  readonly rack?: number;
}

/** Working days of two spans, for somebody who begins a little later than the one before. */
const days = (count: number, person: number) =>
  Array.from({ length: count }, (_, d) => {
    const nine = SCHEDULE_NOW - 40 * MIN + d * DAY;
    const late = person * 60 * MIN;
    return [
      { start: Math.max(SCHEDULE_NOW, nine + late), end: nine + 210 * MIN },
      { start: nine + 270 * MIN, end: nine + 540 * MIN },
    ];
  }).flat();

/**
 * A heavily loaded workshop: jobs of few steps with least and greatest waits, dates that are hard to keep, now and then a step that two do or
 * that a machine is needed for, one that runs and some that are done.
 */
export function randomSchedule({
  seed,
  steps,
  jobs,
  people = 1,
  cutters = 0,
  days: horizon = 60,
  greatest = 0.35,
  room = 150,
  setups = 0,
  rack,
}: RandomSchedule): Problem {
  const random = numbersFrom(seed);
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const fixed = new Map<string, StepFact>();
  const counts = Array.from({ length: jobs }, (_, j) => Math.floor(steps / jobs) + (j < steps % jobs ? 1 : 0));
  const list = counts.map((count, j): JobToPlace => {
    const own: WorkStep[] = [];
    for (let i = 0; i < count; i++) {
      const id = `${j}:${i}`;
      const hands = whole(1, 24) * 5;
      const after: WorkStep['after'][number][] = [];
      // most steps follow the one before, some an earlier one, a few two of them
      const names =
        i === 0 || random() < 0.15 ? [] : random() < 0.2 && i > 1 ? [i - 1, whole(0, i - 2)] : [random() < 0.75 ? i - 1 : whole(0, i - 1)];
      for (const k of names) {
        const least = random() < 0.5 ? 0 : whole(1, 60) * 5;
        const most = random() < greatest ? least + whole(1, room / 5) * 5 : undefined;
        after.push({ step: `${j}:${k}`, least, why: 'recoat', ...(most === undefined ? {} : { most }) });
      }
      const needs: Need[] = ['hands'];
      if (people > 1 && random() < 0.12) needs.push('hands');
      if (cutters > 0 && random() < 0.3) needs.push('cutter');
      const setup = setups > 0 && hands > 10 ? { setup: { key: `s${whole(1, setups)}`, minutes: whole(1, 2) * 5 } } : {};
      own.push(testStep(id, { hands, after, needs, job: `j${j}`, mayPause: setups === 0 && random() < 0.2, ...setup }));
    }
    const work = own.reduce((sum, step) => sum + step.hands, 0);
    const slack = random() < 0.8 ? SCHEDULE_NOW + (work + whole(0, 30) * 30) * MIN * (1 + random()) : undefined;
    return {
      ...{ job: `j${j}`, name: `j${j}`, priority: random() < 0.1 ? 1 : 0, createdAt: j, steps: own, care: [] },
      ...(slack === undefined ? {} : { deadline: slack }),
      ...(rack === undefined ? {} : { pieces: whole(1, 4) }),
    };
  });
  const resources: Resource[] = [
    ...Array.from({ length: people }, (_, p): Resource => ({ id: `person${p}`, kind: 'hands', calendar: days(horizon, p) })),
    ...Array.from({ length: cutters }, (_, c): Resource => ({ id: `cutter${c}`, kind: 'cutter', calendar: days(horizon, 0) })),
  ];
  return { jobs: list, resources, fixed, now: SCHEDULE_NOW, room: rack };
}

/** What can happen to the step that is to begin next after a while. */
export type News = 'none' | 'late' | 'early' | 'failed' | 'skipped';

/**
 * A problem after so many of its steps were done by a plan, and something happened to the next one: it is done late by 40 minutes, done early
 * after five, has to be done again, or was left out.
 */
export function withNews(problem: Problem, plan: Solution, steps: number, news: News): Problem {
  const all = [...plan.values()]
    .flatMap((one) => ('unplaced' in one ? [] : one.steps))
    .filter(({ state }) => state === 'waiting')
    .toSorted((a, b) => a.start - b.start);
  const next = all[Math.min(steps, all.length - 1)]!;
  const took = { none: 0, late: 40, early: 5 - next.step.hands, failed: 0, skipped: -next.step.hands }[news];
  const now = news === 'none' ? next.start : Math.max(next.start, next.end + took * MIN);
  const fixed = new Map(problem.fixed);
  for (const { step, start, end } of all)
    if (end <= next.start && step.id !== next.step.id) fixed.set(step.id, { startedAt: start, doneAt: end });
  if (news !== 'none') fixed.set(next.step.id, { startedAt: next.start, doneAt: now });
  // others that overlap it run
  for (const { step, start, end } of all)
    if (start < now && end > next.start && !fixed.has(step.id)) fixed.set(step.id, { startedAt: start });
  const again = testStep(`${next.step.id}again`, { ...next.step, id: `${next.step.id}again`, after: next.step.after });
  const jobs = problem.jobs.map((job) =>
    news !== 'failed' || job.job !== next.step.job
      ? job
      : {
          ...job,
          steps: job.steps.flatMap((step) => [
            { ...step, after: step.after.map((lag) => (lag.step === next.step.id ? { ...lag, step: again.id } : lag)) },
            ...(step.id === next.step.id ? [again] : []),
          ]),
        },
  );
  const resources = problem.resources.map((one) => ({
    ...one,
    calendar: one.calendar.flatMap(({ start, end }) => (end - now >= MIN ? [{ start: Math.max(now, start), end }] : [])),
  }));
  return { ...problem, jobs, fixed, resources, now, stands: standsOf(plan) };
}
