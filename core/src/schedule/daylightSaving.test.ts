import { describe, expect, it } from '@jest/globals';
import { testStep } from '../../test/steps';
import { bestSchedule } from './bestSchedule';
import { workingWindows } from './calendar';
import { checkSolution } from './checkSolution';
import { formatTime } from './scheduleReadings';
import type { PlacedStep, Problem, Solution } from './problem';

const MIN = 60_000;
const HOUR = 60 * MIN;
/** In the evening before clocks change, in zones where that is an hour and where it is half of one; and on a day on which they do not. */
const NIGHTS: readonly (readonly [zone: string, evening: string])[] = [
  ['Europe/Dublin', '2027-03-27T18:00:00Z'],
  ['Europe/Dublin', '2026-10-24T17:00:00Z'],
  ['America/Chicago', '2027-03-13T23:00:00Z'],
  ['Australia/Lord_Howe', '2026-10-03T07:30:00Z'],
  ['Australia/Lord_Howe', '2027-04-03T07:00:00Z'],
  ['Europe/Dublin', '2026-12-01T18:00:00Z'],
];
const EVERY_DAY = Array.from({ length: 7 }, () => [[9 * 60, 17 * 60] as [number, number], [17.5 * 60, 18.5 * 60] as [number, number]]);
const stepsOf = (solution: Solution): PlacedStep[] => [...solution.values()].flatMap((one) => ('unplaced' in one ? [] : one.steps));

describe('the night in which clocks change', () => {
  it.each(NIGHTS)('in %s, %s: a day begins at its hour by the clock, and a wait is as long as it is', (zone, evening) => {
    const now = Date.parse(evening);
    const calendar = workingWindows({ zone, week: EVERY_DAY }, now, 4).flatMap((window) =>
      window.end > now ? [{ start: Math.max(now, window.start), end: window.end }] : [],
    );
    // a coat that dries for twelve hours, and film that may not wait longer than four after
    const steps = [
      testStep('coat', { hands: 20 }),
      testStep('film', { hands: 30, after: [{ step: 'coat', least: 12 * 60, most: 18 * 60, why: 'recoat' }] }),
      testStep('pack', { hands: 30, after: [{ step: 'film', least: 30, why: 'firm' }] }),
    ];
    const problem: Problem = {
      jobs: [{ job: 'j', name: 'j', priority: 0, createdAt: 0, care: [], steps }],
      resources: [{ id: 'hands', kind: 'hands', calendar }],
      fixed: new Map(),
      now,
    };
    const solution = bestSchedule(problem);
    expect(checkSolution(problem, solution)).toEqual([]);
    const [coat, film] = stepsOf(solution);
    // it opens at nine by the clock on the wall whatever the night was long
    const opens = calendar.find(({ start }) => start > coat!.end + 6 * HOUR)!.start;
    expect(formatTime(opens, zone)).toBe('09:00');
    expect(film!.start).toBe(Math.max(opens, Math.ceil((coat!.end + 12 * HOUR) / (5 * MIN)) * 5 * MIN));
    expect(film!.start - coat!.end).toBeGreaterThanOrEqual(12 * HOUR);
  });
});
