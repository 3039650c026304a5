import { describe, expect, it } from '@jest/globals';
import { WORKDAY } from '../facts';
import { randomSchedule, SCHEDULE_NOW, withNews, type News } from '../../test/randomSchedules';
import { testStep } from '../../test/steps';
import { bestSchedule } from './bestSchedule';
import { checkSolution } from './checkSolution';
import { compareCosts, costOf } from './cost';
import { freed, standsOf } from './leastChange';
import { GRAIN_MS, type Problem, type Solution, type Stands } from './problem';
import { seeds } from '../../test/depth';

const MIN = 60_000;

const SEEDS = seeds(8, 80);
const FEW = SEEDS.slice(0, 3);
const workshop = (seed: number) => randomSchedule({ seed, steps: 36, jobs: 6, people: 1 + (seed % 2), greatest: 0.2 });
const NEWS: readonly News[] = ['none', 'late', 'early', 'failed', 'skipped'];

const startsOf = (solution: Solution): Stands => {
  const waiting = [...solution.values()].flatMap((one) => ('unplaced' in one ? [] : one.steps)).filter(({ state }) => state === 'waiting');
  const all = standsOf(solution);
  return new Map(waiting.map(({ step }) => [step.id, all.get(step.id)!]));
};
/** How many of the steps that stood begin at another time. */
function movedOf(stands: Stands, solution: Solution): number {
  const after = startsOf(solution);
  return [...after].filter(([id, { at }]) => stands.has(id) && Math.abs(stands.get(id)!.at - at) >= GRAIN_MS).length;
}
/** Whether a plan breaks, misses or delays less than another: what a person minds before what moves. */
function isBetter(problem: Problem, plan: Solution, than: Solution): boolean {
  const level = { last: 0, changes: 0 };
  return compareCosts({ ...costOf(problem, plan), ...level }, { ...costOf(problem, than), ...level }) < 0;
}
/** Whether a step that was to pause runs: it does not pause any more. */
const runsOn = (plan: Solution, { fixed }: Problem): boolean =>
  [...plan.values()].some((one) => !('unplaced' in one) && one.steps.some(({ step, spans }) => spans.length > 1 && fixed.has(step.id)));

describe('a plan made again', () => {
  it('without news changes nothing, unless less is late then', () => {
    let compared = 0;
    for (const seed of SEEDS) {
      const problem = workshop(seed);
      const plan = bestSchedule(problem);
      const again = bestSchedule({ ...problem, stands: standsOf(plan) });
      if (!isBetter(problem, again, plan)) expect([seed, movedOf(standsOf(plan), again)]).toEqual([seed, 0]);
      // nor does it when the time of the next step has come, unless less is late then, or all is done much sooner
      const later = withNews(problem, plan, 4, 'none');
      if (runsOn(plan, later)) continue;
      const then = bestSchedule(later);
      if (isBetter(later, then, plan) || costOf(later, then).last < costOf(later, plan).last - WORKDAY.sooner * 60_000) continue;
      compared += 1;
      expect([seed, movedOf(later.stands!, then)]).toEqual([seed, 0]);
    }
    expect(compared).toBeGreaterThan(SEEDS.length / 5);
  });

  it('with news is sound, and never later than one made anew', () => {
    for (const news of NEWS)
      for (const seed of FEW) {
        const problem = withNews(workshop(seed), bestSchedule(workshop(seed)), 3 + (seed % 9), news);
        const plan = bestSchedule(problem);
        expect([news, seed, ...checkSolution(problem, plan)]).toEqual([news, seed]);
        expect([news, seed, isBetter(problem, bestSchedule(freed(problem)), plan)]).toEqual([news, seed, false]);
      }
  });

  it('moves far fewer steps than one made anew', () => {
    let [kept, fresh, all] = [0, 0, 0];
    for (const news of ['late', 'failed', 'skipped'] as const)
      for (const seed of FEW) {
        // with dates that leave room, so that nothing has to move for them
        const roomy = workshop(seed);
        const easy = { ...roomy, jobs: roomy.jobs.map(({ deadline, ...job }) => ({ ...job, priority: 0, createdAt: deadline ?? 0 })) };
        const problem = withNews(easy, bestSchedule(easy), 3 + (seed % 9), news);
        kept += movedOf(problem.stands!, bestSchedule(problem));
        fresh += movedOf(problem.stands!, bestSchedule(freed(problem)));
        all += problem.jobs.flatMap(({ steps }) => steps).filter(({ id }) => !problem.fixed.has(id)).length;
      }
    expect(kept).toBeLessThan(fresh * 0.75);
    expect(kept).toBeLessThan(all / 3);
  });

  it('takes up what is ready at once when hands are idle', () => {
    let [pulled, tried] = [0, 0];
    for (const seed of SEEDS) {
      const alone = randomSchedule({ seed, steps: 36, jobs: 6, greatest: 0 });
      const before = bestSchedule(alone);
      const problem = withNews(alone, before, 3, 'early');
      if (runsOn(before, problem)) continue;
      tried += 1;
      const steps = [...bestSchedule(problem).values()].flatMap((one) => ('unplaced' in one ? [] : one.steps));
      const next = Math.min(...steps.flatMap(({ state, start }) => (state === 'waiting' ? [start] : [])));
      const stood = Math.min(
        ...steps.flatMap(({ state, step }) => (state === 'waiting' ? [problem.stands?.get(step.id)?.at ?? Infinity] : [])),
      );
      expect(next).toBeLessThanOrEqual(stood);
      if (next < stood) pulled += 1;
    }
    expect(pulled).toBeGreaterThan(tried / 4);
    expect(tried).toBeGreaterThan(SEEDS.length / 4);
  });
  it('leaves what has to move of a job in the order in which it stood', () => {
    const day = [{ start: SCHEDULE_NOW, end: SCHEDULE_NOW + 480 * MIN }];
    const job = (id: string, hands: readonly number[]) => ({
      ...{ job: id, name: id, priority: 0, createdAt: 0, care: [] },
      steps: hands.map((minutes, i) => testStep(`${id}${i}`, { job: id, hands: minutes })),
    });
    // the first job: long, long, short, none waiting for another; the second has gaps that only the short one fits
    const jobs = [job('a', [20, 20, 5]), job('b', [30, 30, 30])];
    const at = (minutes: number) => ({ at: SCHEDULE_NOW + minutes * MIN });
    const stands: Stands = new Map([
      ['a0', at(0)],
      ['a1', at(20)],
      ['a2', at(40)],
      ['b0', at(65)],
      ['b1', at(105)],
      ['b2', at(145)],
    ]);
    const away: Problem = {
      jobs,
      resources: [{ id: 'hands', kind: 'hands', calendar: [{ start: SCHEDULE_NOW + 60 * MIN, end: day[0]!.end }] }],
      fixed: new Map(),
      now: SCHEDULE_NOW,
      stands,
    };
    const plan = startsOf(bestSchedule(away));
    for (const id of ['b0', 'b1', 'b2']) expect([id, plan.get(id)!.at]).toEqual([id, stands.get(id)!.at]);
    const [first, second, third] = ['a0', 'a1', 'a2'].map((id) => plan.get(id)!.at);
    expect(first!).toBeLessThan(second!);
    expect(second!).toBeLessThan(third!);
  });
});
