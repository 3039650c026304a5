import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { testStep } from '../../test/steps';
import type { WorkStep } from '../finish';
import type { Hours } from '../job';
import { firstEndingAfter, freeOf, takeOut, workingWindows } from './calendar';
import { brokenWaits, checkSolution } from './checkSolution';
import { listSchedule } from './listSchedule';
import { placeSteps } from './placeSteps';
import type { JobToPlace, Placement, Problem, StepFact } from './problem';
import { formatMoment } from './scheduleReadings';
import { solveSchedule } from './solve';
import { law } from '../../test/depth';

const HOURS: Hours = {
  zone: 'Europe/Dublin',
  week: [
    [],
    [],
    ...Array.from({ length: 5 }, (): [number, number][] => [
      [540, 750],
      [810, 1080],
    ]),
  ],
};
const NOW = Date.parse('2026-12-01T09:40:00Z');
const MIN = 60_000;
const windows = workingWindows(HOURS, NOW, 60);
const step = (id: string, hands: number, after: WorkStep['after'] = [], mayPause = false): WorkStep =>
  testStep(id, { hands, after, mayPause });
const none: ReadonlyMap<string, StepFact> = new Map();
const place = (steps: WorkStep[], from = NOW) => placeSteps(steps, windows, from, none, NOW) as Placement;
const problem = (jobs: JobToPlace[], calendar = windows, fixed = none, now = NOW): Problem => ({
  jobs,
  resources: [{ id: 'hands', kind: 'hands', calendar }],
  fixed,
  now,
});
const solved = (...given: Parameters<typeof problem>) => solveSchedule(problem(...given));
const todo = (job: string, steps: WorkStep[], deadline?: number): JobToPlace => ({
  job,
  name: job,
  priority: 0,
  createdAt: 0,
  steps: steps.map((s) => ({ ...s, job })),
  care: [],
  ...(deadline === undefined ? {} : { deadline }),
});

describe('free time', () => {
  const span = fc
    .tuple(fc.integer({ min: -50, max: 900 }), fc.integer({ min: 0, max: 200 }))
    .map(([start, length]) => ({ start, end: start + length }));
  const days = [
    { start: 0, end: 100 },
    { start: 100, end: 220 },
    { start: 300, end: 301 },
    { start: 400, end: 800 },
  ];
  it('left when spans are taken out one by one is that left when all are taken out together', () => {
    fc.assert(
      fc.property(fc.array(span, { maxLength: 8 }), (busy) => {
        const step = busy.reduce<readonly { start: number; end: number }[]>((free, one) => takeOut(free, [one]), days);
        // a moment of no length parts a window in either
        expect(step).toEqual(takeOut(days, busy));
        const apart = busy.filter(({ start, end }) => end > start);
        expect(takeOut(days, apart)).toEqual(freeOf(days, apart));
      }),
    );
  });
  it('is found from a moment on without looking through what is before', () => {
    fc.assert(
      fc.property(fc.integer({ min: -10, max: 900 }), (at) => {
        const found = days.findIndex(({ end }) => end > at);
        expect(firstEndingAfter(days, at)).toBe(found < 0 ? days.length : found);
      }),
    );
  });
});

describe('working hours', () => {
  it('are those of the shop, in its own zone, with lunch', () => {
    expect(windows.slice(0, 3).map((w) => formatMoment(w.start, 'Europe/Dublin'))).toEqual([
      'Tue 1 Dec 09:40',
      'Tue 1 Dec 13:30',
      'Wed 2 Dec 09:00',
    ]);
  });
  it('what is worked beside the week is worked too: sorted, apart, joined with the hours that it meets', () => {
    const plain = workingWindows(HOURS, NOW, 4);
    const total = (all: readonly { start: number; end: number }[]) => all.reduce((sum, { start, end }) => sum + end - start, 0);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: -600, max: 4000 }), fc.integer({ min: 5, max: 600 })), { maxLength: 5 }), (spans) => {
        const extra = spans.map(([at, long], i) => ({ id: `x${i}`, start: NOW + at * MIN, end: NOW + (at + long) * MIN }));
        const all = workingWindows({ ...HOURS, extra }, NOW, 4);
        for (const [i, { start, end }] of all.entries()) {
          expect(start).toBeGreaterThanOrEqual(NOW);
          expect(end).toBeGreaterThan(start);
          if (i > 0) expect(start).toBeGreaterThan(all[i - 1]!.end);
        }
        const inside = (at: number, windows: readonly { start: number; end: number }[]) =>
          windows.some(({ start, end }) => at >= start && at < end);
        for (let m = 0; m < 4000; m += 37) {
          const at = NOW + m * MIN;
          expect(inside(at, all)).toBe(inside(at, plain) || inside(at, extra));
        }
        expect(total(all)).toBeGreaterThanOrEqual(total(plain));
      }),
      law(40),
    );
  });
  it('keep to the wall clock when the clocks change', () => {
    const spring = workingWindows(HOURS, Date.parse('2027-03-26T00:00:00Z'), 4);
    expect(spring.map((w) => formatMoment(w.start, 'Europe/Dublin').slice(-5))).toEqual([
      '09:00',
      '13:30',
      '09:00',
      '13:30',
      '09:00',
      '13:30',
    ]);
    expect(new Date(spring.at(-1)!.start).getUTCHours()).toBe(12);
  });
  it('are the same whatever the zone does in between, day by day against the zone itself', () => {
    for (const zone of ['Europe/Dublin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata']) {
      const year = workingWindows(
        { zone, week: Array.from({ length: 7 }, (): [number, number][] => [[540, 750]]) },
        Date.parse('2026-12-31T12:00:00Z'),
        364,
      );
      expect(new Set(year.slice(1).map((w) => formatMoment(w.start, zone).slice(-5)))).toEqual(new Set(['09:00']));
      expect(new Set(year.slice(1).map((w) => formatMoment(w.end, zone).slice(-5)))).toEqual(new Set(['12:30']));
      expect(new Set(year.map((w) => formatMoment(w.end, zone).slice(0, -6))).size).toBe(year.length);
    }
  });
  it('taken time is not free', () => {
    expect(
      freeOf(
        [{ start: 0, end: 10 }],
        [
          { start: 2, end: 4 },
          { start: 6, end: 12 },
        ],
      ),
    ).toEqual([
      { start: 0, end: 2 },
      { start: 4, end: 6 },
    ]);
  });
});

describe('placing steps', () => {
  const chain = fc.array(
    fc.record({
      hands: fc.integer({ min: 1, max: 90 }),
      least: fc.integer({ min: 0, max: 600 }),
      width: fc.option(fc.integer({ min: 30, max: 900 })),
      pause: fc.boolean(),
    }),
    { minLength: 1, maxLength: 7 },
  );
  it('keeps every wait that hours allow, never doubles hands, never works at night', () => {
    fc.assert(
      fc.property(chain, (links) => {
        const steps = links.map((l, i) =>
          step(
            `s${i}`,
            l.hands,
            i === 0
              ? []
              : [
                  {
                    step: `s${i - 1}`,
                    least: l.least,
                    ...(l.width === null ? {} : { most: l.least + l.width }),
                    why: 'recoat',
                  },
                ],
            l.pause,
          ),
        );
        const placed = place(steps);
        const broken = new Set(placed.broken.map((b) => b.step));
        expect(brokenWaits(placed.steps).filter((fault) => ![...broken].some((id) => fault.startsWith(`${id} `)))).toEqual([]);
        for (const span of placed.steps.flatMap((s) => s.spans))
          expect(windows.some((w) => w.start <= span.start && span.end <= w.end)).toBe(true);
      }),
      law(150),
    );
  });
  it('puts a coat off to the morning when its stencil could only be pulled at night', () => {
    const steps = [step('coat', 10), step('pull', 5, [{ step: 'coat', least: 30, most: 60, why: 'halfDry' }])];
    const late = Date.parse('2026-12-01T17:30:00Z');
    const placed = place(steps, late);
    expect(placed.broken).toEqual([]);
    expect(formatMoment(placed.steps[0]!.start, 'Europe/Dublin')).toBe('Wed 2 Dec 09:00');
  });
  it('a wait that no working time can keep is said, not hidden', () => {
    const steps = [step('coat', 10), step('pull', 5, [{ step: 'coat', least: 10 * 60, most: 10 * 60 + 20, why: 'dry' }])];
    expect(place(steps).broken.map((b) => b.step)).toEqual(['pull']);
  });
  it('work longer than any opening goes on after the break', () => {
    const [weed] = place([step('weed', 400, [], true)]).steps;
    expect(weed!.spans.length).toBeGreaterThan(1);
    expect(weed!.spans.reduce((sum, s) => sum + s.end - s.start, 0)).toBe(400 * MIN);
  });
});

describe('solving for the workshop', () => {
  it('gives the nearer date the hands first and uses waits for other work', () => {
    const a = todo('a', [step('a1', 20), step('a2', 20, [{ step: 'a1', least: 120, why: 'recoat' }])], NOW + 8 * 60 * MIN);
    const b = todo('b', [step('b1', 60)], NOW + 2 * 60 * MIN);
    const { jobs, steps } = solved([a, b]);
    expect(brokenWaits(steps)).toEqual([]);
    expect(jobs.get('b')!.packed).toBeLessThanOrEqual(NOW + 2 * 60 * MIN);
    expect(jobs.get('a')!.packed).toBeLessThanOrEqual(NOW + 8 * 60 * MIN);
  });
  it('says the latest start, and from five minutes later it is too late', () => {
    const steps = [step('s1', 30), step('s2', 30, [{ step: 's1', least: 90, why: 'recoat' }])];
    const deadline = Date.parse('2026-12-03T12:30:00Z');
    const job = solved([todo('a', steps, deadline)]).jobs.get('a')!;
    expect(formatMoment(job.latestStart!, 'Europe/Dublin')).toBe('Thu 3 Dec 10:00');
    const late = place(steps, job.latestStart! + 5 * MIN);
    expect(Math.max(...late.steps.map((s) => s.end))).toBeGreaterThan(deadline);
  });
  it('names what makes a date impossible: a wait, closed hours, or other jobs', () => {
    const soon = NOW + 60 * MIN;
    const waits = solved([todo('a', [step('s1', 5), step('s2', 5, [{ step: 's1', least: 150, why: 'recoat' }])], soon)]).jobs.get('a')!;
    expect(waits.holdup).toMatchObject({ kind: 'waits', minutes: 150, until: { why: 'recoat' } });
    const weekend = Date.parse('2026-12-05T17:50:00Z');
    const closed = solved([todo('a', [step('s1', 30)], weekend + 60 * MIN)], workingWindows(HOURS, weekend, 20), none, weekend).jobs.get(
      'a',
    )!;
    expect(closed.holdup?.kind).toBe('hours');
    const others = solved([todo('a', [step('a1', 50)], soon), todo('b', [step('b1', 50)], soon)]);
    expect([...others.jobs.values()].filter((j) => j.holdup?.kind === 'others')).toHaveLength(1);
  });
  it('what runs keeps its start, what is done its end', () => {
    const steps = [step('s1', 30), step('s2', 30, [{ step: 's1', least: 60, why: 'recoat' }])];
    const facts = new Map([['s1', { startedAt: NOW - 50 * MIN, doneAt: NOW - 20 * MIN }]]);
    const { steps: placed } = solved([todo('a', steps)], windows, facts);
    expect(placed[0]).toMatchObject({ state: 'done', end: NOW - 20 * MIN });
    expect(placed[1]!.start).toBe(NOW + 40 * MIN);
  });
  it('a job that finds no room is said, with the step that finds none, and costs more than any that is late', () => {
    const day = windows.slice(0, 2);
    const long = todo('long', [step('l1', 10), step('l2', 10, [{ step: 'l1', least: 3 * 24 * 60, why: 'recoat' }])]);
    const short = todo('short', [step('s1', 30)], NOW - 60 * MIN);
    const { jobs } = solved([long, short], day);
    expect(jobs.get('long')).toMatchObject({ job: 'long', steps: [], unplaced: { id: 'l2' }, care: [], broken: [] });
    expect(jobs.get('long')!.packed).toBeUndefined();
    expect(jobs.get('short')!.packed).toBe(NOW + 30 * MIN);
    // the late one gives way where the other would else find no room
    const fills = todo('fills', [step('f1', 420, [], true)]);
    const tight = solved([fills, todo('b', [step('b1', 20)], NOW + 10 * MIN)], windows.slice(0, 2));
    expect([...tight.jobs.values()].filter((job) => job.unplaced !== undefined).length).toBe(0);
  });
});

describe('the law of solutions', () => {
  const job = fc.record({
    hands: fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 5 }),
    least: fc.integer({ min: 0, max: 300 }),
    width: fc.option(fc.integer({ min: 30, max: 900 })),
    pause: fc.boolean(),
    deadline: fc.option(fc.integer({ min: -100, max: 5000 })),
    // which step runs, how long, and whether the ones before are done
    runs: fc.option(fc.nat(4), { freq: 1 }),
    since: fc.integer({ min: 0, max: 120 }),
    doneBefore: fc.boolean(),
  });
  it('whatever runs, is done or is late: every step once, in hours, hands in one place, and no wait broken without saying so', () => {
    fc.assert(
      fc.property(fc.array(job, { minLength: 1, maxLength: 5 }), (made) => {
        const fixed = new Map<string, StepFact>();
        const jobs = made.map((one, j) => {
          const steps = one.hands.map((hands, i) =>
            step(
              `${j}/${i}`,
              hands,
              i === 0
                ? []
                : [
                    {
                      step: `${j}/${i - 1}`,
                      least: one.least,
                      ...(one.width === null ? {} : { most: one.least + one.width }),
                      why: 'recoat',
                    },
                  ],
              one.pause,
            ),
          );
          if (one.runs !== null && one.runs < steps.length) {
            const startedAt = NOW - one.since * MIN;
            fixed.set(steps[one.runs]!.id, { startedAt });
            if (one.doneBefore)
              steps
                .slice(0, one.runs)
                .forEach(({ id }, i) => fixed.set(id, { startedAt: startedAt - (10 - i) * MIN, doneAt: startedAt - (9 - i) * MIN }));
          }
          return todo(`${j}`, steps, one.deadline === null ? undefined : NOW + one.deadline * MIN);
        });
        const given = problem(jobs, windows, fixed);
        expect(checkSolution(given, listSchedule(given))).toEqual([]);
      }),
      law(200),
    );
  });
  it('the checker sees what is wrong: hands in two places, also of what runs, a wait cut short, a step outside the hours, one left out', () => {
    const [a, b] = [step('a', 30), step('b', 30, [{ step: 'a', least: 60, why: 'recoat' }])];
    const one = (steps: Placement['steps'], fixed = none) =>
      checkSolution(problem([todo('j', [a, b])], windows, fixed), new Map([['j', { steps, broken: [] }]]));
    const at = (s: WorkStep, from: number, state: 'waiting' | 'running' = 'waiting') => {
      const span = { start: NOW + from * MIN, end: NOW + (from + 30) * MIN };
      return { step: s, ...span, spans: [span], state };
    };
    expect(one([at(a, 0), at(b, 90)])).toEqual([]);
    expect(one([at(a, 0), at(b, 20)])).toHaveLength(2);
    expect(one([at(a, 0)])).toEqual(['j has not each step once']);
    expect(one([at(a, 0), at(b, 150)])).toEqual(['b is outside the hours']);
    const running = new Map([['b', { startedAt: NOW + 10 * MIN }]]);
    expect(one([at(a, 0), at(b, 10, 'running')], running)).toEqual(['a and b need the same hands']);
  });
});
