import { describe, expect, it } from '@jest/globals';
import { randomSchedule, withNews } from '../../test/randomSchedules';
import { bestSchedule } from './bestSchedule';
import { checkSolution } from './checkSolution';
import { compareCosts, costOf } from './cost';
import { standsOf } from './leastChange';
import type { Problem, Solution } from './problem';
import { sameTogether, savedIn } from './sameSetup';
import { seeds } from '../../test/depth';

const SEEDS = seeds(8, 60);
const workshop = (seed: number): Problem => randomSchedule({ seed, steps: 30, jobs: 6, people: 1 + (seed % 2), greatest: 0.2, setups: 3 });
/** The same work, where everything is got ready every time. */
const apart = (problem: Problem): Problem => ({
  ...problem,
  jobs: problem.jobs.map((job) => ({ ...job, steps: job.steps.map(({ setup, ...step }) => (setup ? step : step)) })),
});
const stepsOf = (solution: Solution) => [...solution.values()].flatMap((one) => ('unplaced' in one ? [] : one.steps));

describe('what the same is got ready for', () => {
  it('comes together in an order in which nothing comes before what it waits for', () => {
    for (const seed of SEEDS) {
      const steps = workshop(seed).jobs.flatMap((job) => job.steps);
      const order = sameTogether(steps);
      expect(new Set(order)).toEqual(new Set(steps));
      const at = new Map(order.map(({ id }, i) => [id, i]));
      for (const step of order) for (const lag of step.after) expect(at.get(lag.step)!).toBeLessThan(at.get(step.id)!);
    }
  });

  it('is spared only straight after it and by the same hands, breaks no wait, and makes nothing later', () => {
    let saved = 0;
    for (const seed of SEEDS) {
      const problem = workshop(seed);
      const plan = bestSchedule(problem);
      expect([seed, ...checkSolution(problem, plan)]).toEqual([seed]);
      saved += savedIn(plan);
      // the plan of the same work without anything shared is one of those that were to be had
      const without = bestSchedule(apart(problem));
      const level = { last: 0, changes: 0, late: [] };
      expect(compareCosts({ ...costOf(problem, plan), ...level }, { ...costOf(problem, without), ...level })).toBeLessThanOrEqual(0);
    }
    expect(saved).toBeGreaterThan(SEEDS.length * 20);
  });

  it('stays together in a plan made again, with and without news', () => {
    for (const seed of SEEDS) {
      const problem = workshop(seed);
      const plan = bestSchedule(problem);
      const again = bestSchedule({ ...problem, stands: standsOf(plan) });
      // unless less is broken or late so
      const [was, is] = [costOf(problem, plan), costOf(problem, again)];
      if (compareCosts({ ...is, changes: 0 }, { ...was, changes: 0 }) >= 0) expect([seed, savedIn(again)]).toEqual([seed, savedIn(plan)]);
      const news = withNews(problem, plan, 5, 'late');
      expect([seed, ...checkSolution(news, bestSchedule(news))]).toEqual([seed]);
    }
  });

  it('is missed by the checker where it was not got ready', () => {
    const problem = SEEDS.map(workshop).find((one) => savedIn(bestSchedule(one)) > 0)!;
    const plan = bestSchedule(problem);
    const spared = stepsOf(plan).find(({ follows }) => follows)!;
    const other = stepsOf(plan).find(({ step }) => step.setup?.key !== spared.step.setup?.key)!;
    const wrong: Solution = new Map(
      [...plan].map(([job, one]) => [
        job,
        'unplaced' in one
          ? one
          : { ...one, steps: one.steps.map((s) => (s === spared ? { ...s, follows: { ...s.follows!, step: other.step.id } } : s)) },
      ]),
    );
    expect(checkSolution(problem, wrong)).toContain(`${spared.step.id} is spared what was not got ready for it`);
  });
});
