import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../test/sampleJobs';
import { readHpgl } from '../artwork';
import { BLADE, CARRIER_GRADES, CUT_OUTCOMES, type CutOutcome } from '../facts';
import { regionArea } from '../geometry';
import type { WorkEvent } from '../job';
import {
  asTested,
  bladeMetres,
  carrierUses,
  cutSetting,
  lastLoaded,
  layoutFilm,
  nextTrial,
  hpglCutFile,
  strokesOf,
  testCutLayout,
  testCutsOf,
} from './index';

const { films, machines } = demoShop();
const [film] = films as [(typeof films)[number]];
const [machine] = machines as [(typeof machines)[number]];
const test = (at: number, force: number, outcome: CutOutcome, more: { speed?: number; film?: string } = {}): WorkEvent => ({
  ...{ id: `t${at}`, at, kind: 'testCut', film: film.id, machine: machine.id, name: film.name, force, outcome },
  ...more,
});
const blade = (at: number): WorkEvent => ({ id: `b${at}`, at, kind: 'bladeChanged', machine: machine.id, name: machine.name });

describe('what lies in a machine, and what its carrier sheets and blades have done', () => {
  const cut = (at: number, of: string, more: Partial<Extract<WorkEvent, { kind: 'cut' }>> = {}): WorkEvent => ({
    ...{ id: `c${at}`, at, kind: 'cut', job: 'j', step: 'j/cut', film: of, length: 10, machine: machine.id },
    ...more,
  });
  const back = (event: string): WorkEvent => ({ id: `r${event}`, at: 1e6, kind: 'reversed', event });
  it('is the film that was last cut or tested on it, of what stands', () => {
    expect(lastLoaded([], machine.id)).toBeUndefined();
    const events = [cut(3, 'a'), test(5, 9, 'scored'), cut(7, 'b', { machine: 'other' })];
    expect(lastLoaded(events, machine.id)).toBe(film.id);
    expect(lastLoaded([...events, back('t5')], machine.id)).toBe('a');
  });
  it('counts the uses of a carrier sheet from those that were typed, anew once it is renewed, and learns how long it lasts', () => {
    const carrier = { id: 'mat', grade: 'standard' as const, width: 300, length: 300, uses: 3 };
    const renewed = (at: number): WorkEvent => ({
      id: `n${at}`,
      at,
      kind: 'carrierRenewed',
      machine: machine.id,
      carrier: 'mat',
      name: 'x',
    });
    const used = (from: number, n: number) => Array.from({ length: n }, (_, i) => cut(from + i, 'a', { carrier: 'mat' }));
    expect(carrierUses(used(0, 4), machine.id, carrier)).toEqual({ uses: 7, lasts: CARRIER_GRADES.standard.lasts, spent: false });
    expect(carrierUses(used(0, 40), machine.id, carrier).spent).toBe(true);
    const learnt = [...used(0, 7), renewed(50), ...used(60, 9)];
    expect(carrierUses(learnt, machine.id, carrier)).toEqual({ uses: 9, lasts: 10, spent: true });
    expect(carrierUses([...learnt, back('n50')], machine.id, carrier)).toMatchObject({ uses: 19, spent: false });
    expect(carrierUses(used(0, 4), 'other', carrier).uses).toBe(3);
  });
  it('says that a blade is worn by what those before it did', () => {
    const far = (at: number, metres: number) => cut(at, 'a', { knife: metres * 1000 });
    expect(bladeMetres([far(1, 100)], machine.id)).toMatchObject({ now: 100, worn: false, lasts: BLADE.lasts });
    expect(bladeMetres([far(1, 100), blade(2), far(3, 95)], machine.id)).toMatchObject({ now: 95, worn: true, lasts: 100 });
  });
});

describe('the ladder of test cuts', () => {
  it('comes to a force that goes through and leaves the liner whole, wherever it begins, and never asks again what is known', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 400 }),
        fc.integer({ min: 3, max: 60 }),
        fc.integer({ min: 1, max: 500 }),
        fc.boolean(),
        (through, room, start, tears) => {
          const tests: { force: number; speed?: number; outcome: CutOutcome }[] = [];
          let [low, high] = [-Infinity, Infinity];
          for (let i = 0; i < 40; i++) {
            const trial = nextTrial(tests, { force: start, speed: 30 });
            if (trial.done) break;
            expect(trial.force).toBeGreaterThan(low);
            expect(trial.force).toBeLessThan(high);
            const outcome =
              trial.force < through
                ? 'notThrough'
                : trial.force > through + room + 5
                  ? 'linerCut'
                  : trial.force > through + room
                    ? 'scored'
                    : tears && trial.speed! > 15
                      ? 'torn'
                      : 'clean';
            if (CUT_OUTCOMES[outcome].force === 'more') low = trial.force;
            if (CUT_OUTCOMES[outcome].force === 'less') high = trial.force;
            tests.push({ force: trial.force, ...(trial.speed === undefined ? {} : { speed: trial.speed }), outcome });
          }
          const last = nextTrial(tests);
          expect(last.done).toBe(true);
          expect(last.force).toBeGreaterThanOrEqual(through);
          expect(last.force).toBeLessThanOrEqual(through + room);
          // from 1 by steps of 1.3 to 400, then by halves
          expect(tests.length).toBeLessThanOrEqual(29);
        },
      ),
    );
  });
  it.each([
    ['nothing is known', [], { force: 10, done: false, narrow: false }],
    ['a bed that is not level is no matter of force', [['oneSide', 14]], { force: 14, done: false, narrow: false }],
    [
      'between two that are next to each other',
      [
        ['notThrough', 12],
        ['scored', 13],
      ],
      { force: 12.5, done: false, narrow: true },
    ],
    [
      'a worn blade: what was too much goes through no more',
      [
        ['scored', 13],
        ['notThrough', 14],
      ],
      { force: 18, done: false, narrow: false },
    ],
    [
      'one that was right',
      [
        ['notThrough', 10],
        ['clean', 13],
      ],
      { force: 13, done: true, narrow: false },
    ],
  ] as [string, [CutOutcome, number][], object][])('%s', (_name, tests, trial) => {
    expect(nextTrial(tests.map(([outcome, force]) => ({ outcome, force })))).toEqual(trial);
  });
});

describe('the cut book', () => {
  it('keeps what was right for a film on a machine until a test fails, the blade is changed, or it is taken back', () => {
    const right = test(1, 14, 'clean', { speed: 20 });
    const setting = (events: readonly WorkEvent[]) => cutSetting(events, film.id, machine.id)?.force;
    expect(setting([])).toBeUndefined();
    expect(setting([right])).toBe(14);
    expect(setting([right, test(2, 14, 'notThrough')])).toBeUndefined();
    expect(setting([right, blade(3)])).toBeUndefined();
    expect(setting([right, blade(3), test(4, 11, 'clean')])).toBe(11);
    expect(setting([right, { id: 'x', at: 5, kind: 'reversed', event: 't1' }])).toBeUndefined();
    expect(testCutsOf([right, test(2, 9, 'clean', { film: 'other' })], film.id, machine.id)).toHaveLength(1);
  });
  it('sets the machine of a cut and its file', () => {
    const layout = layoutFilm(
      film,
      [
        {
          job: 'j',
          mark: 'm',
          name: 'm',
          copies: 1,
          region: [
            {
              outer: [
                [0, 0],
                [9, 0],
                [9, 9],
              ],
              holes: [],
            },
          ],
        },
      ],
      machines,
    );
    const [by] = [layout.machine!.id];
    const right: WorkEvent = { ...(test(1, 14, 'clean', { speed: 20 }) as Extract<WorkEvent, { kind: 'testCut' }>), machine: by };
    expect(hpglCutFile(layout, asTested(layout, [right]).machine!)).toContain('VS20;\nFS14;');
    expect(asTested(layout, [])).toBe(layout);
  });
  it('counts the metres of a blade from what was really cut, and starts anew with the next', () => {
    const cut = (at: number, mm?: number): WorkEvent => ({
      ...{ id: `c${at}`, at, kind: 'cut', job: 'j', step: 's', film: film.id, length: 10, machine: machine.id },
      ...(mm === undefined ? {} : { knife: mm }),
    });
    const events = [cut(1, 4000), cut(2), cut(3, 6000), blade(4), cut(5, 2500)];
    expect(bladeMetres(events, machine.id)).toMatchObject({ now: 2.5, before: [10] });
    expect(bladeMetres(events, 'another')).toMatchObject({ now: 0, before: [] });
    expect(bladeMetres([...events, { id: 'x', at: 6, kind: 'reversed', event: 'c5' }], machine.id).now).toBe(0);
  });
  it('a test cut is a square with a circle in it, with the force of the trial', () => {
    const layout = testCutLayout(film, machine, { force: 12, speed: 18 });
    const [circle, square] = strokesOf(layout).map(({ ring }) =>
      regionArea([{ outer: ring.length > 4 ? ring.toReversed() : ring, holes: [] }]),
    );
    expect([Math.round(circle!), square]).toEqual([50, 144]);
    const sent = readHpgl(hpglCutFile(layout, layout.machine!));
    expect(sent.ok && [sent.value.force, sent.value.speed]).toEqual([12, 18]);
  });
});
