import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { LEARNING } from '../facts';
import { PAINT_CAME_OFF, STAYED_ON_LINER, type StepOf, type WorkEvent } from '../job';
import { dryingLearnt, factorFor, gripFactor, learntFrom } from './learning';
import { workedMinutes } from '../logbook';

type Ended = Extract<WorkEvent, { kind: 'done' }>;
let count = 0;
const run = (unlearned: number, actual: number, over: Partial<Ended> = {}): Ended => ({
  ...{ id: `e${(count += 1)}`, at: count * 1000, kind: 'done', job: 'j', step: `j/s${count}`, title: 'Weed', planned: unlearned, actual },
  ...{ unlearned, work: 'weed', timed: true, of: { film: 'glitter' } },
  ...over,
});
const weeding: StepOf = { film: 'glitter' };
const kinds = fc.constantFrom('weed' as const, 'tape' as const, 'place' as const);
const about: fc.Arbitrary<StepOf> = fc.record(
  {
    film: fc.constantFrom('glitter' as const, 'foil' as const),
    ground: fc.constantFrom('glass' as const, 'oak' as never),
    who: fc.constantFrom('ann', 'bo'),
  },
  { requiredKeys: [] },
);

describe('learning how long work takes', () => {
  it('runs that equal the prediction change nothing, whatever they were about', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0.5, max: 90, noNaN: true }), kinds, about), { maxLength: 30 }),
        kinds,
        about,
        (runs, work, of) => {
          const learnt = learntFrom(runs.map(([minutes, kind, it]) => run(minutes, minutes, { work: kind, of: it })));
          expect(factorFor(learnt, work, of).value).toBe(1);
        },
      ),
    );
  });
  it('is drawn towards 1 by as many runs as its table says, and nears what is true', () => {
    const twice = (n: number) => learntFrom(Array.from({ length: n }, () => run(10, 20, { of: {} })));
    for (const n of [1, 4, 50]) expect(factorFor(twice(n), 'weed', {}).value).toBeCloseTo(2 ** (n / (n + LEARNING.towards)), 9);
    const [some, many] = [factorFor(twice(3), 'weed', {}).from[0]!, factorFor(twice(60), 'weed', {}).from[0]!];
    expect(many.high / many.low).toBeLessThan(some.high / some.low);
    expect(many.low).toBeLessThan(many.value);
  });
  it('a run that was not timed, failed, or was forgotten at the clock teaches nothing', () => {
    const silent = [
      run(10, 30, { timed: false }),
      run(10, 10 * LEARNING.most + 1),
      { ...run(10, 30), kind: 'wrong' as const, what: 'x', again: true },
    ];
    expect(learntFrom(silent).size).toBe(0);
    // an older entry does not say: it was timed when it is not just as planned
    const { timed: _, ...older } = run(10, 20);
    expect(factorFor(learntFrom([older]), 'weed', weeding).value).toBeGreaterThan(1);
    expect(factorFor(learntFrom([{ ...older, actual: 10 }]), 'weed', weeding).from).toEqual([]);
  });
  it('tells films, techniques, grounds and hands apart, and never counts the same time twice', () => {
    const events = [
      ...Array.from({ length: 12 }, () => run(10, 20, { of: { film: 'glitter' } })),
      ...Array.from({ length: 12 }, () => run(10, 10, { of: { film: 'permanent' } })),
    ];
    const learnt = learntFrom(events);
    const [glitter, plain] = [factorFor(learnt, 'weed', { film: 'glitter' }).value, factorFor(learnt, 'weed', { film: 'permanent' }).value];
    expect(glitter).toBeGreaterThan(1.5);
    expect(glitter).toBeLessThan(2);
    expect(plain).toBeLessThan(1.15);
    expect(plain).toBeGreaterThan(1);
    expect(factorFor(learnt, 'tape', { film: 'glitter' }).value).toBe(1);
  });
  it('forgetting brings back the unlearned figure, of one thing or of all; taking that back teaches again', () => {
    const events: WorkEvent[] = Array.from({ length: 5 }, () => run(10, 18));
    const value = (all: readonly WorkEvent[]) => factorFor(learntFrom(all), 'weed', weeding).value;
    const forgot = (key: string): WorkEvent => ({ id: 'f', at: 1e9, kind: 'forgotten', key });
    expect(value(events)).toBeGreaterThan(1.2);
    for (const key of ['work weed', 'all']) expect(value([...events, forgot(key)])).toBe(1);
    expect(value([...events, forgot('work weed'), { id: 'r', at: 2e9, kind: 'reversed', event: 'f' }])).toBe(value(events));
    const both = [...events, ...Array.from({ length: 5 }, () => run(10, 10, { of: { film: 'permanent' } }))];
    expect(value([...both, forgot('work weed film glitter')])).toBeLessThan(value(both));
    expect(value([...events, forgot('work weed'), run(10, 18, { at: 2e9 })])).toBeGreaterThan(1);
  });
  it('an entry put right teaches what it was put right to', () => {
    const one = run(10, 10, { id: 'one', timed: false });
    expect(learntFrom([one]).size).toBe(0);
    const put: WorkEvent = { id: 'a', at: 1e9, kind: 'amended', event: 'one', minutes: 20 };
    expect(factorFor(learntFrom([one, put]), 'weed', {}).value).toBeCloseTo(2 ** (1 / 5), 9);
    expect(learntFrom([one, put, { id: 'r', at: 2e9, kind: 'reversed', event: 'a' }]).size).toBe(0);
  });
});

describe('learning how coats dry and tapes hold', () => {
  const dried = (actual: number, tacky?: true): WorkEvent => ({
    ...{
      id: `d${(count += 1)}`,
      at: count * 1000,
      kind: 'dried',
      job: 'j',
      step: 'j/s',
      title: 'Clean',
      coat: 'waterStain',
      base: 'water',
    },
    ...{ unlearned: 100, actual, ...(tacky ? { tacky } : {}) },
  });
  it('a coat that is dry before makes the next waits shorter, one that is tacky still longer', () => {
    const value = (...events: WorkEvent[]) => dryingLearnt(learntFrom(events), 'waterStain', 'water');
    expect(value(dried(60))).toBeCloseTo(0.6 ** (1 / 5), 9);
    expect(value(dried(130, true))).toBeGreaterThan(1);
    expect(value(dried(100))).toBe(1);
    // tacky after less than was worked out says nothing against that
    expect(value(dried(50, true))).toBe(1);
    expect(dryingLearnt(learntFrom([dried(60)]), 'sealer', 'water')).toBe(1);
  });
  it('letters that stay on the liner make a tape weaker, paint that comes off stronger, and marks that go down well bring it back', () => {
    const of: StepOf = { tape: 'paperLow', finish: 'matt', ground: 'glass' };
    const failed = (what: string): WorkEvent => ({ ...run(5, 5, { of, work: 'place' }), kind: 'wrong', what, again: true });
    const well = () => run(5, 5, { of, work: 'place' });
    const value = (events: WorkEvent[]) => gripFactor(learntFrom(events), 'paperLow', 'matt', 'glass');
    expect(value([well(), well()])).toBe(1);
    expect(value([failed(STAYED_ON_LINER)])).toBeLessThan(1);
    expect(value([failed(PAINT_CAME_OFF)])).toBeGreaterThan(1);
    expect(value([failed(STAYED_ON_LINER), ...Array.from({ length: 20 }, well)])).toBeGreaterThan(value([failed(STAYED_ON_LINER)]));
    expect(value([failed('It sits crooked')])).toBe(1);
    expect(gripFactor(learntFrom([failed(STAYED_ON_LINER)]), 'clearMedium', 'matt', 'glass')).toBe(1);
  });
});

it('nights and pauses are no minutes of work; who goes on into a pause has worked in it', () => {
  const week: [number, number][][] = [
    [],
    [],
    ...Array.from({ length: 5 }, (): [number, number][] => [
      [540, 750],
      [810, 1080],
    ]),
  ];
  const hours = { zone: 'Europe/Dublin', week };
  const at = (day: number, hour: number, minute = 0) => Date.UTC(2026, 11, day, hour, minute);
  expect(workedMinutes(hours, at(1, 9, 30), at(1, 10))).toBe(30);
  expect(workedMinutes(hours, at(1, 12), at(1, 14))).toBe(60);
  expect(workedMinutes(hours, at(1, 17, 30), at(2, 9, 30))).toBe(60);
  expect(workedMinutes(hours, at(1, 12), at(1, 13))).toBe(60);
  expect(workedMinutes(hours, at(1, 20), at(1, 21))).toBe(60);
  // from Saturday to Tuesday two nights and two days lie between
  expect(workedMinutes(hours, at(5, 17), at(8, 10))).toBe(120);
});
