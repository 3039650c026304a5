import { describe, expect, it } from '@jest/globals';
import { randomSchedule, withNews } from '../../test/randomSchedules';
import { bestSchedule } from './bestSchedule';
import { checkSolution } from './checkSolution';
import { endOf } from './cost';
import type { Problem } from './problem';
import { dryingAfter, fullUntil, overfull, rackPlaces, staysOf, type Stay } from './rackRoom';
import { seeds } from '../../test/depth';

const SEEDS = seeds(8, 50);
const workshop = (seed: number, rack: number): Problem =>
  randomSchedule({ seed, steps: 24, jobs: 6, people: 1 + (seed % 2), greatest: 0.1, rack });
const placedOf = (problem: Problem) =>
  new Map(
    [...bestSchedule(problem).values()].flatMap((one) => ('unplaced' in one ? [] : one.steps)).map((placed) => [placed.step.id, placed]),
  );

describe('the room on the rack', () => {
  it('is never overfull, with and without news, and would be without it', () => {
    let over = 0;
    for (const seed of SEEDS) {
      const problem = workshop(seed, 4);
      const plan = bestSchedule(problem);
      expect([seed, ...checkSolution(problem, plan)]).toEqual([seed]);
      over += overfull(problem, placedOf({ ...problem, room: undefined })).length;
      const news = withNews(problem, plan, 6, 'late');
      expect([seed, ...checkSolution(news, bestSchedule(news))]).toEqual([seed]);
    }
    expect(over).toBeGreaterThan(SEEDS.length);
  });

  it('that is larger never makes a single job later, and a set that is too large for it is planned all the same', () => {
    for (const seed of SEEDS) {
      const [job] = workshop(seed, 4).jobs;
      const one = (room: number): Problem => ({ ...workshop(seed, room), jobs: [{ ...job!, pieces: 3 }] });
      const end = (room: number) => endOf(bestSchedule(one(room)).get(job!.job)!);
      expect(end(6)).toBeLessThanOrEqual(end(3)!);
      expect(end(1)).toBe(end(100));
    }
  });

  it('is found by what stands there at each moment', () => {
    const stay = (step: string, pieces: number, start: number, end: number): Stay => ({ step, job: step, pieces, start, end });
    const stays = [stay('a', 3, 0, 10), stay('b', 2, 5, 20)];
    expect(fullUntil(stays, 6, { pieces: 1, start: 6, end: 8 })).toBeUndefined();
    expect(fullUntil(stays, 6, { pieces: 2, start: 6, end: 8 })).toBe(10);
    // full only later, when something else comes
    expect(fullUntil(stays, 4, { pieces: 1, start: 2, end: 8 })).toBe(10);
    expect(fullUntil(stays, 4, { pieces: 1, start: 2, end: 5 })).toBeUndefined();
  });

  it('is shared out among places: a set comes where it fits whole and stays there', () => {
    const places = [
      { id: 'shelf', name: 'Shelf', holds: 4 },
      { id: 'rack', name: 'Rack', holds: 6 },
    ];
    const stay = (step: string, pieces: number, start: number, end: number): Stay => ({ step, job: step, pieces, start, end });
    const stays = [stay('a', 3, 0, 10), stay('b', 2, 5, 20), stay('c', 4, 12, 30), stay('d', 9, 13, 40)];
    const on = rackPlaces(stays, places);
    expect(['a', 'b', 'c', 'd'].map((step) => on.get(step)?.id)).toEqual(['shelf', 'rack', 'shelf', 'rack']);
    // what has left before does not move what stands
    expect(rackPlaces(stays, places).get('b')).toEqual(on.get('b'));
    expect(rackPlaces([], places).size).toBe(0);
  });

  it('is asked for by what dries, not by other waits', () => {
    const { jobs } = workshop(1, 4);
    const steps = jobs.flatMap((job) => job.steps);
    const long = new Set(steps.flatMap(({ after }) => after.flatMap(({ step, least }) => (least >= 15 ? [step] : []))));
    expect(new Set(dryingAfter(steps).keys())).toEqual(long);
    expect(dryingAfter(steps.map((step) => ({ ...step, after: step.after.map((lag) => ({ ...lag, why: 'weeded' as const })) }))).size).toBe(
      0,
    );
    expect(staysOf(jobs, new Map())).toEqual([]);
  });
});
