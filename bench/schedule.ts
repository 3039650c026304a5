import { randomSchedule, withNews } from '../core/test/randomSchedules';
import {
  bestOfAll,
  bestSchedule,
  checkSolution,
  compareCosts,
  costOf,
  GRAIN_MS,
  lateInAll,
  searchSchedule,
  standsOf,
  type Problem,
  type ScheduleCost,
  type Stands,
} from '../core/src/schedule';
import { atMost, median, type Figure } from './figure';

/** So many small cases, whose best plan is known. */
const CASES = 400;

/** Small, heavily loaded cases of one or two people, with and without a machine. */
const small = (seed: number): Problem =>
  randomSchedule({
    seed,
    steps: 5 + (seed % 3),
    jobs: 2 + (seed % 2),
    people: seed % 2 ? 1 : 2,
    cutters: seed % 4 === 0 ? 1 : 0,
    days: 20,
  });

/** Ten jobs of forty steps each. */
const large = (seed: number): Problem =>
  randomSchedule({ seed, steps: 400, jobs: 10, people: 1 + (seed % 2), cutters: seed % 2, days: 200, greatest: 0.08, room: 1200 });

/** Whether one is later, breaks more or packs later; what hands turn to is a matter of taste. */
const worse = (a: ScheduleCost, b: ScheduleCost): boolean => compareCosts({ ...a, changes: 0 }, { ...b, changes: 0 }) > 0;

function ms(run: () => unknown): number {
  const start = performance.now();
  run();
  return performance.now() - start;
}

/** The first plan and the search against the best plan there is, and how long a large workshop takes. */
export function scheduleFigures(): Figure[] {
  let [later, faults, searched, over, broken] = [0, 0, 0, 0, 0];
  for (let seed = 1; seed <= CASES; seed++) {
    const problem = small(seed);
    const best = bestOfAll(problem)!;
    const first = bestSchedule(problem);
    const found = searchSchedule(problem, first, { rounds: 150, seed: 1 });
    faults += checkSolution(problem, first).length + checkSolution(problem, found.solution).length;
    const cost = costOf(problem, first);
    if (lateInAll(cost) > lateInAll(best.cost) * 1.05 + 1e-6 || cost.broken > best.cost.broken) later += 1;
    if (lateInAll(found.cost) > lateInAll(best.cost) * 1.05 + 1e-6 || found.cost.broken > best.cost.broken) over += 1;
    if (worse(found.cost, best.cost)) searched += 1;
  }
  for (let seed = 1; seed <= CASES; seed++) {
    const problem = randomSchedule({ seed: 1000 + seed, steps: 4 + (seed % 4), jobs: 1, days: 60, greatest: 0.6 });
    if (costOf(problem, bestSchedule(problem)).broken > bestOfAll(problem)!.cost.broken) broken += 1;
  }
  const firsts = Array.from({ length: 6 }, (_, i) => ms(() => bestSchedule(large(i + 1))));
  // a step that has to be done again, where dates leave room: what it takes, and how much else moves for it
  const failures = Array.from({ length: 8 }, (_, i) => {
    const whole = large(i + 1);
    const roomy = { ...whole, jobs: whole.jobs.map((job) => ({ ...job, deadline: whole.now + 150 * 24 * 3_600_000 })) };
    const problem = withNews(roomy, bestSchedule(roomy), 20 + 10 * i, 'failed');
    let after = new Map() as Stands;
    const took = ms(() => (after = standsOf(bestSchedule(problem))));
    const stood = [...after].filter(([id]) => problem.stands!.has(id));
    const moved = stood.filter(([id, { at }]) => Math.abs(at - problem.stands!.get(id)!.at) >= GRAIN_MS);
    return { took, share: moved.length / stood.length };
  });
  return [
    atMost('schedule/10-jobs-400-steps/failed-step-again', median(failures.map(({ took }) => took)), 300, 'ms'),
    atMost('schedule/10-jobs-400-steps/failed-step-moves', Math.max(...failures.map(({ share }) => share)), 1 / 3, 'of the other steps'),
    atMost('schedule/small/first-later-than-best-by-5%', later, 0, 'of 400'),
    atMost('schedule/small/search-later-than-best-by-5%', over, 0, 'of 400'),
    atMost('schedule/small/search-not-the-very-best', searched, 20, 'of 400'),
    atMost('schedule/single/breaks-a-wait-that-can-be-kept', broken, 0, 'of 400'),
    atMost('schedule/small/faults', faults, 0, ''),
    atMost('schedule/10-jobs-400-steps/first', median(firsts), 200, 'ms'),
    atMost('schedule/10-jobs-400-steps/first-slowest', Math.max(...firsts), 400, 'ms'),
  ];
}
