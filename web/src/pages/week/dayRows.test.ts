import { expect, test } from '@jest/globals';
import { midnightOf, solveSchedule, workingWindows } from '@kolleta/core/schedule';
import { demoShop, plateJob, textMark } from '../../../../core/test/sampleJobs';
import { testStep } from '../../../../core/test/steps';
import { dayRows, hoursShown } from './dayRows';

const HOUR = 3_600_000;
const at = (iso: string) => Date.parse(iso);

test('midnight is the zone’s, also on days of twenty-three and of twenty-five hours', () => {
  expect(midnightOf(at('2026-12-01T09:40:00Z'), 'Europe/Dublin')).toBe(at('2026-12-01T00:00:00Z'));
  expect(midnightOf(at('2026-12-01T01:00:00Z'), 'America/Chicago')).toBe(at('2026-11-30T06:00:00Z'));
  // clocks go forward on 28 March 2027 and back on 25 October 2026
  const spring = at('2027-03-28T12:00:00Z');
  expect(midnightOf(spring, 'Europe/Dublin', 1) - midnightOf(spring, 'Europe/Dublin')).toBe(23 * HOUR);
  const autumn = at('2026-10-25T12:00:00Z');
  expect(midnightOf(autumn, 'Europe/Dublin', 1) - midnightOf(autumn, 'Europe/Dublin')).toBe(25 * HOUR);
});

test('a week has each minute of work once, its waits in rows that do not overlap, what is wanted on its day, and hours around it all', () => {
  const now = at('2026-12-01T09:40:00Z');
  const { hours } = demoShop();
  const off = [{ id: 'o', start: at('2026-12-02T13:30:00Z'), end: at('2026-12-03T00:00:00Z'), name: 'Meeting' }];
  const own = { ...hours, off };
  const steps = [
    testStep('a', { job: 'one', hands: 400, mayPause: true }),
    testStep('b', { job: 'one', hands: 30, after: [{ step: 'a', least: 900, why: 'recoat' }] }),
    testStep('c', { job: 'one', hands: 30, after: [{ step: 'a', least: 100, why: 'recoat' }] }),
  ];
  const schedule = solveSchedule({
    jobs: [{ job: 'one', name: 'One', priority: 0, createdAt: 0, steps, care: [], deadline: at('2026-12-02T09:10:00Z') }],
    resources: [{ id: 'hands', kind: 'hands', calendar: workingWindows(own, now, 30) }],
    fixed: new Map(),
    now,
  });
  const jobs = [{ ...plateJob(textMark('One')), id: 'one', name: 'One', deadline: at('2026-12-02T09:10:00Z') }];
  const rows = dayRows(schedule, jobs, own, midnightOf(now, hours.zone), 7);
  const minutes = rows.flatMap(({ blocks }) => blocks).reduce((sum, { start, end }) => sum + (end - start) / 60_000, 0);
  expect(minutes).toBe(460);
  // nothing lies in the time off
  for (const { blocks } of rows) for (const { start, end } of blocks) expect(end <= off[0]!.start || start >= off[0]!.end).toBe(true);
  expect(rows[1]!.off.map(({ name }) => name)).toEqual(['Meeting']);
  expect(rows.map(({ wanted }) => wanted.map(({ late }) => late))).toEqual([[], [true], [], [], [], [], []]);
  for (const { waits } of rows)
    for (const [i, one] of waits.entries())
      for (const other of waits.slice(i + 1)) if (other.row === one.row) expect(other.start).toBeGreaterThanOrEqual(one.end);
  expect(rows.flatMap(({ waits }) => waits).length).toBeGreaterThan(2);
  expect(hoursShown(rows)).toEqual({ from: 9 * HOUR, until: 18 * HOUR });
  expect(hoursShown([])).toEqual({ from: 9 * HOUR, until: 18 * HOUR });
});
