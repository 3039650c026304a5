import { describe, expect, it } from '@jest/globals';
import { testStep } from '../../test/steps';
import type { WorkStep } from '../finish';
import { checkSolution } from './checkSolution';
import type { PlacedStep, Placement, Problem, Solution, StepFact } from './problem';

const MIN = 60_000;
const NOW = Date.parse('2026-12-01T09:40:00Z');
/** Two hours, a break of one, two hours. */
const HANDS = [
  { start: NOW, end: NOW + 120 * MIN },
  { start: NOW + 180 * MIN, end: NOW + 300 * MIN },
];
const step = (id: string, hands: number, after: WorkStep['after'] = []): WorkStep => testStep(id, { hands, after });
/** A step in one or more spans, minutes from now. */
const at = (s: WorkStep, spans: [number, number][], more: Partial<PlacedStep> = {}): PlacedStep => {
  const times = spans.map(([from, to]) => ({ start: NOW + from * MIN, end: NOW + to * MIN }));
  return { step: s, start: times[0]!.start, end: times.at(-1)!.end, spans: times, state: 'waiting', ...more };
};
const check = (steps: WorkStep[], placed: PlacedStep[], fixed: [string, StepFact][] = [], broken: Placement['broken'] = []) => {
  const problem: Problem = {
    jobs: [{ job: 'j', name: 'j', priority: 0, createdAt: 0, steps, care: [] }],
    resources: [{ id: 'hands', kind: 'hands', calendar: HANDS }],
    fixed: new Map(fixed),
    now: NOW,
  };
  return checkSolution(problem, new Map([['j', { steps: placed, broken }]]));
};
const a = step('a', 30);
const b = step('b', 30, [{ step: 'a', least: 60, most: 90, why: 'recoat' }]);

describe('the checker of schedules', () => {
  it('is content with steps in their hours, paused over a break, at the very bounds of their waits', () => {
    expect(check([a, b], [at(a, [[0, 30]]), at(b, [[90, 120]])])).toEqual([]);
    expect(check([a, b], [at(a, [[60, 90]]), at(b, [[180, 210]])])).toEqual([]);
    const long = step('l', 60);
    expect(
      check(
        [long],
        [
          at(long, [
            [90, 120],
            [180, 210],
          ]),
        ],
      ),
    ).toEqual([]);
    // a step of no minutes takes one
    const quick = step('q', 0);
    expect(check([quick], [at(quick, [[0, 1]])])).toEqual([]);
  });
  it.each<[string, WorkStep[], PlacedStep[], string[]]>([
    ['a wait cut short', [a, b], [at(a, [[0, 30]]), at(b, [[89, 119]])], ['b begins 59 min after a, at least 60']],
    ['a wait too long', [a, b], [at(a, [[0, 30]]), at(b, [[190, 220]])], ['b begins 160 min after a, at most 90']],
    ['a step twice', [a], [at(a, [[0, 30]]), at(a, [[40, 70]])], ['j has not each step once']],
    ['another step instead', [a], [at(b, [[0, 30]])], ['j has not each step once']],
    ['one of two left out', [a, b], [at(a, [[0, 30]])], ['j has not each step once']],
    ['too few minutes', [a], [at(a, [[0, 29]])], ['a has 29 of 30 minutes']],
    ['too many minutes', [a], [at(a, [[0, 31]])], ['a has 31 of 30 minutes']],
    ['before now', [a], [at(a, [[-10, 20]])], ['a has no true start or end', 'a is outside the hours']],
    ['a start that is none', [a], [at(a, [[10, 40]], { start: NOW })], ['a has no true start or end']],
    ['an end that is none', [a], [at(a, [[10, 40]], { end: NOW + 50 * MIN })], ['a has no true start or end']],
    ['partly outside the hours', [a], [at(a, [[110, 140]])], ['a is outside the hours']],
    [
      'one of its spans outside the hours',
      [a],
      [
        at(a, [
          [90, 105],
          [130, 145],
        ]),
      ],
      ['a is outside the hours'],
    ],
    ['done without having been', [a], [at(a, [[0, 30]], { state: 'done' })], ['a is done']],
  ])('sees %s', (_what, steps, placed, faults) => expect(check(steps, placed)).toEqual(faults));
  it('sees what is said to wait though it is done, and a start that was another', () => {
    const done: [string, StepFact][] = [['a', { startedAt: NOW - 40 * MIN, doneAt: NOW - 10 * MIN }]];
    expect(check([a], [at(a, [[0, 30]])], done)).toEqual(['a is waiting', 'a began at another time']);
    expect(check([a], [at(a, [[-40, -10]], { state: 'done' })], done)).toEqual([]);
  });
  it('sees hands in two places: of what waits and what runs, not of two that were both begun, nor of what is done', () => {
    const c = step('c', 30);
    const both = ['a and c need the same hands'];
    expect(check([a, c], [at(a, [[0, 30]]), at(c, [[29, 59]])])).toEqual(both);
    expect(check([a, c], [at(a, [[0, 30]]), at(c, [[30, 60]])])).toEqual([]);
    const began = (id: string, minute: number): [string, StepFact] => [id, { startedAt: NOW + minute * MIN }];
    const running = (s: WorkStep, from: number) => at(s, [[from, from + 30]], { state: 'running' });
    expect(check([a, c], [running(a, -20), at(c, [[0, 30]])], [began('a', -20)])).toEqual(both);
    expect(check([a, c], [running(a, -20), running(c, -10)], [began('a', -20), began('c', -10)])).toEqual([]);
    const over: [string, StepFact] = ['a', { startedAt: NOW, doneAt: NOW + 30 * MIN }];
    expect(check([a, c], [at(a, [[0, 30]], { state: 'done' }), at(c, [[10, 40]])], [over])).toEqual([]);
  });
  it('lets a wait be broken where that is said, and only there', () => {
    const placed = [at(a, [[0, 30]]), at(b, [[190, 220]])];
    expect(check([a, b], placed, [], [{ step: 'b', after: 'a', why: 'recoat' }])).toEqual([]);
    expect(check([a, b], placed, [], [{ step: 'a', after: 'b', why: 'recoat' }])).toHaveLength(1);
  });
  it('asks of every job an answer, which may be that it has no room', () => {
    const jobs = ['j', 'k'].map((job) => ({ job, name: job, priority: 0, createdAt: 0, steps: [a], care: [] }));
    const problem: Problem = { jobs, resources: [{ id: 'hands', kind: 'hands', calendar: HANDS }], fixed: new Map(), now: NOW };
    const solution: Solution = new Map([['j', { unplaced: 'a' }]]);
    expect(checkSolution(problem, solution)).toEqual(['k has no answer']);
    expect(
      checkSolution(
        { ...problem, resources: [] },
        new Map([
          ['j', { steps: [at(a, [[0, 30]])], broken: [] }],
          ['k', { unplaced: 'a' }],
        ]),
      ),
    ).toEqual(['a is outside the hours']);
  });
  it('passes over waits on steps of other jobs that are not there', () => {
    const alone = step('z', 30, [{ step: 'elsewhere', least: 500, why: 'recoat' }]);
    expect(check([alone], [at(alone, [[0, 30]])])).toEqual([]);
  });
});
