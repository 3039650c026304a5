import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { randomSchedule, SCHEDULE_NOW, withNews } from '../../test/randomSchedules';
import type { Pace } from '../finish';
import { bestSchedule } from './bestSchedule';
import { checkSolution } from './checkSolution';
import { endOf } from './cost';
import type { Problem } from './problem';
import { minutesAfter, shortestMost, waitCloses, waitOver } from './waitOver';
import { seeds } from '../../test/depth';

const MIN = 60_000;
const HOUR = 60 * MIN;
/** Days of 24 h with a pace each. */
const paces = fc
  .array(fc.integer({ min: 5, max: 40 }), { maxLength: 5 })
  .map((list) => list.map((tenths, day): Pace => ({ from: day * 24 * HOUR, until: (day + 1) * 24 * HOUR, slower: tenths / 10 })));
const moment = fc.integer({ min: -2 * 24 * 60, max: 6 * 24 * 60 }).map((minute) => minute * MIN);
const long = fc.integer({ min: 0, max: 4 * 24 * 60 });

describe('a wait over days with air of their own', () => {
  it('takes as long as it says where the room is as usual', () => {
    fc.assert(
      fc.property(moment, long, (at, minutes) => {
        expect(minutesAfter(at, minutes)).toBe(at + minutes * MIN);
        expect(minutesAfter(at, minutes, [{ from: at - 9 * HOUR, until: at, slower: 3 }])).toBe(at + minutes * MIN);
      }),
    );
  });
  it('is worked off piece by piece: two waits one after the other are one', () => {
    fc.assert(
      fc.property(moment, long, long, paces, (at, a, b, own) => {
        expect(minutesAfter(minutesAfter(at, a, own), b, own)).toBeCloseTo(minutesAfter(at, a + b, own), 3);
      }),
    );
  });
  it('never ends sooner for beginning later, and lies between the slowest and the fastest day', () => {
    fc.assert(
      fc.property(moment, fc.integer({ min: 0, max: 600 }), long, paces, (at, later, minutes, own) => {
        expect(minutesAfter(at + later * MIN, minutes, own)).toBeGreaterThanOrEqual(minutesAfter(at, minutes, own) - 1e-3);
        const all = [1, ...own.map(({ slower }) => slower)];
        const took = (minutesAfter(at, minutes, own) - at) / MIN;
        expect(took).toBeLessThanOrEqual(minutes * Math.max(...all) + 1e-6);
        expect(took).toBeGreaterThanOrEqual(minutes * Math.min(...all) - 1e-6);
        const lag = { least: minutes, most: minutes + 60, paces: own };
        // by the clock once the least is over, or all of it by the coat
        expect(waitCloses(at, lag)).toBe(waitOver(at, lag) + 60 * MIN);
        expect(shortestMost(lag)).toBeLessThanOrEqual(took + 60 + 1e-6);
        const byCoat = { ...lag, closesDry: true as const };
        expect(waitCloses(at, byCoat)).toBe(minutesAfter(at, minutes + 60, own));
        expect(shortestMost(byCoat)).toBeLessThanOrEqual((waitCloses(at, byCoat) - at) / MIN + 1e-6);
        expect(waitCloses(at, byCoat)).toBeGreaterThanOrEqual(waitOver(at, byCoat));
      }),
    );
  });
  it('has no end where there is no hurry', () => {
    expect(waitCloses(5, { least: 3 })).toBe(Infinity);
    expect(shortestMost({ least: 3 })).toBe(Infinity);
  });
  it('is kept by every plan, with and without news', () => {
    let moved = 0;
    for (const seed of seeds(6, 40)) {
      const usual = randomSchedule({ seed, steps: 24, jobs: 4, people: 1 + (seed % 2), greatest: 0.2 });
      const own = [0, 1, 2].map((day): Pace => ({
        ...{ from: SCHEDULE_NOW + (day * 24 - 9) * HOUR, until: SCHEDULE_NOW + (day * 24 + 15) * HOUR, slower: [1.8, 0.7, 2.5][day]! },
      }));
      const problem: Problem = {
        ...usual,
        jobs: usual.jobs.map((job) => ({
          ...job,
          steps: job.steps.map((step) => ({
            ...step,
            after: step.after.map((lag, i) => ({ ...lag, paces: own, ...(i === 0 ? { closesDry: true as const } : {}) })),
          })),
        })),
      };
      const plan = bestSchedule(problem);
      expect([seed, ...checkSolution(problem, plan)]).toEqual([seed]);
      const other = bestSchedule(usual);
      if ([...plan].some(([job, one]) => endOf(one) !== endOf(other.get(job)!))) moved += 1;
      const news = withNews(problem, plan, 5, 'late');
      expect([seed, ...checkSolution(news, bestSchedule(news))]).toEqual([seed]);
    }
    expect(moved).toBeGreaterThan(5);
  });
});
