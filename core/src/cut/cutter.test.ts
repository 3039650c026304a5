import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { drawnByHp2xx } from '../../test/hp2xx';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import { planWorkshop } from '../plan';
import { cutResult, type SentRun } from './cutResult';
import { orderCutter, reportOf, switchedOn, type CutterMachine, type CutterOrder, type CutterState } from './cutter';
import type { FilmLayout } from './layout';
import { fromMachine, hpglCutFile, toMachine } from './toolpath/hpglCutFile';
import { readHpgl } from '../artwork';
import { strokesOf, strokesPerPart } from './toolpath/strokes';
import { law } from '../../test/depth';

const shop = demoShop();
const faces = shippedFaces();
const job = plateJob(textMark('Bo', { size: { mode: 'width', width: 40 } }), { count: 3 });
const layout: FilmLayout = planWorkshop([job], shop, [], DEMO_START, faces).layouts[0]!;
const machines = [shop.machines[0]!, shop.machines[1]!, { ...shop.machines[1]!, origin: { x: 4, y: 7 }, step: 0.0254 }];
const machine: CutterMachine = { rollFed: true, step: 0.025, origin: { x: 0, y: 0 }, knife: 60, travel: 180 };
const film = { width: layout.width, length: 500 };
const ready = (): CutterState => orderCutter(switchedOn(machine), { kind: 'load', film });
const sent = (): CutterState => orderCutter(ready(), { kind: 'send', run: 'r', hpgl: hpglCutFile(layout, shop.machines[0]!) });
const time = (ms: number): CutterOrder => ({ kind: 'time', ms });

describe('HPGL', () => {
  it('brings every point back within half a step, whatever step, origin and feed the machine has', () => {
    for (const m of machines) {
      const [there, back] = [toMachine(layout, m), fromMachine(layout.width, m)];
      fc.assert(
        fc.property(fc.double({ min: 0, max: 300, noNaN: true }), fc.double({ min: 0, max: 3000, noNaN: true }), (x, y) => {
          const [bx, by] = back(there([x, y]));
          expect(Math.max(Math.abs(bx - x), Math.abs(by - y))).toBeLessThanOrEqual((m.step ?? 0.025) / 2 + 1e-9);
        }),
      );
    }
  });
  it('is turned for the feed, never mirrored', () => {
    for (const m of machines) {
      const place = toMachine(layout, m);
      const [o, a, b] = [place([10, 10]), place([20, 10]), place([10, 20])];
      expect((a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])).toBeGreaterThan(0);
    }
  });
  it('has one pen-down run an outline, closed, and sets force and speed only where they are known', () => {
    const read = readHpgl(hpglCutFile(layout, { ...machines[1]!, force: 90, speed: 12 }));
    if (!read.ok) throw new Error(read.problem.found);
    expect(read.value).toMatchObject({ force: 90, speed: 12 });
    expect(hpglCutFile(layout, machines[1]!)).not.toMatch(/VS|FS/);
    const runs = read.value.moves.filter((move, i, all) => move.down && !all[i + 1]?.down).length;
    expect(runs).toBe(strokesOf(layout).length);
    expect(strokesPerPart(layout).reduce((a, b) => a + b, 0)).toBe(runs);
  });
  it.each(machines.map((m, i) => [i === 0 ? 'roll-fed' : i === 1 ? 'flat-bed' : 'with an origin', m] as const))(
    'drawn by hp2xx is the layout, %s',
    (_, m) => {
      // a tick at the machine's own zero, since hp2xx crops to what is drawn; it reads every step as 0.025 mm
      const picture = drawnByHp2xx(hpglCutFile(layout, m).replace('SP1;', 'SP1;PU0,0;PD0,20,0,0;'));
      const place = toMachine(layout, m);
      const wanted = strokesOf(layout).map(({ ring }) => ring.map((p) => place(p).map((n) => n * 0.025) as [number, number]));
      wanted.push([
        [0, 0],
        [0, 0.5],
      ]);
      const near = new Set<string>();
      let missing = 0;
      for (const ring of wanted)
        ring.forEach((a, i) => {
          const b = ring[(i + 1) % ring.length]!;
          const pieces = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / 0.2));
          for (let k = 0; k <= pieces; k++) {
            const [x, y] = [a[0] + ((b[0] - a[0]) * k) / pieces, a[1] + ((b[1] - a[1]) * k) / pieces];
            if (!picture.inked(x, y)) missing += 1;
            for (let dy = -1; dy <= 1; dy++)
              for (let dx = -1; dx <= 1; dx++) near.add(`${Math.round(x * 2) + dx},${Math.round(y * 2) + dy}`);
          }
        });
      expect(missing).toBe(0);
      const strays = picture.places().filter(([x, y]) => !near.has(`${Math.round(x * 2)},${Math.round(y * 2)}`));
      expect(strays).toEqual([]);
    },
  );
  it.each([
    ['XX12,3;', /does not understand "XX12,3"/],
    ['PU0,0;PD1,2,3;', /cut short/],
    ['PU0,0;PD1,foo;', /does not understand/],
    ['IN;PU0,0;', /nothing to cut/],
    ['', /nothing to cut/],
  ])('%j is refused with a sentence', (text, words) => {
    const read = readHpgl(text);
    expect(read.ok ? '' : read.problem.found).toMatch(words);
  });
});

describe('the simulated cutter', () => {
  it('ends the same however time is parted', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 1, maxLength: 12 }), (parts) => {
        const whole = orderCutter(sent(), time(parts.reduce((a, b) => a + b, 0)));
        const bits = parts.reduce((state, ms) => orderCutter(state, time(ms)), sent());
        expect(bits.strokes).toBe(whole.strokes);
        expect(bits.cut).toBeCloseTo(whole.cut, 4);
        expect(bits.used).toBeCloseTo(whole.used, 4);
      }),
      law(60),
    );
  });
  it('cuts every outline of the job, as long as the layout says', () => {
    const end = orderCutter(sent(), time(3_600_000));
    expect(end.phase).toBe('done');
    expect(end.strokes).toBe(strokesOf(layout).length);
    expect(end.cut).toBeCloseTo(end.toCut, 6);
    expect(Math.abs(end.cut - layout.knife) / layout.knife).toBeLessThan(0.03);
    expect(end.used).toBeLessThanOrEqual(layout.taken);
  });
  it('never cuts more by any run of orders, and never throws', () => {
    const order: fc.Arbitrary<CutterOrder> = fc.oneof(
      fc.integer({ min: 0, max: 20_000 }).map(time),
      fc.constantFrom<CutterOrder>(
        { kind: 'pause' },
        { kind: 'resume' },
        { kind: 'stop' },
        { kind: 'openLid' },
        { kind: 'closeLid' },
        { kind: 'runOut' },
        { kind: 'load', film: { width: 10, length: 5 } },
        { kind: 'send', run: 'r', hpgl: hpglCutFile(layout, shop.machines[0]!) },
        { kind: 'send', run: 'other', hpgl: 'PU0,0;PD40,0,40,40,0,0;' },
      ),
    );
    fc.assert(
      fc.property(fc.array(order, { maxLength: 25 }), (orders) => {
        let state = sent();
        for (const one of orders) {
          const next = orderCutter(state, one);
          // the knife goes on only while it cuts, and only with time
          if (next.run === state.run) expect(next.cut).toBeGreaterThanOrEqual(state.cut);
          if (one.kind === 'time' && state.phase !== 'cutting') expect(next).toEqual(state);
          if (one.kind !== 'time' && next.run === state.run) expect(next.strokes).toBe(state.strokes);
          state = next;
        }
        expect(state.cut).toBeLessThanOrEqual(state.toCut + 1e-6);
      }),
    );
  });
  it('takes the same job once, however often it is sent', () => {
    const half = orderCutter(sent(), time(4000));
    const again = orderCutter(half, { kind: 'send', run: 'r', hpgl: hpglCutFile(layout, shop.machines[0]!) });
    expect(reportOf(again)).toEqual(reportOf(half));
    const end = orderCutter(half, time(3_600_000));
    expect(orderCutter(end, { kind: 'send', run: 'r', hpgl: 'PU0,0;PD9,9;' }).phase).toBe('done');
  });
  it('refuses a job longer or wider than its film, one without film, and one while it works', () => {
    const hpgl = hpglCutFile(layout, shop.machines[0]!);
    const tell = (state: CutterState) => orderCutter(state, { kind: 'send', run: 'x', hpgl });
    expect(tell(switchedOn(machine))).toMatchObject({ phase: 'idle', refusal: expect.stringMatching(/No film/) });
    expect(tell(orderCutter(switchedOn(machine), { kind: 'load', film: { ...film, length: 15 } })).refusal).toMatch(/only 15 mm of film/);
    const narrow = { width: 30, length: 500 };
    const wide = { ...hpglLayout(), hpgl: hpglCutFile({ ...layout, width: 30 }, shop.machines[0]!) };
    expect(orderCutter(orderCutter(switchedOn(machine), { kind: 'load', film: narrow }), wide).refusal).toMatch(/wider than the 30 mm/);
    expect(tell(sent()).refusal).toMatch(/still at another job/);
  });
  it('an open lid pauses, film that ran out stops when the next roll is loaded', () => {
    const lid = orderCutter(orderCutter(sent(), time(2000)), { kind: 'openLid' });
    expect(orderCutter(lid, { kind: 'resume' }).phase).toBe('lidOpen');
    expect(orderCutter(orderCutter(lid, { kind: 'closeLid' }), { kind: 'resume' }).phase).toBe('cutting');
    const out = orderCutter(orderCutter(sent(), time(2000)), { kind: 'runOut' });
    expect(orderCutter(out, { kind: 'load', film })).toMatchObject({ phase: 'stopped', film });
  });
});
const hpglLayout = () => ({ kind: 'send' as const, run: 'w' });

describe('what became of a run', () => {
  const runs: fc.Arbitrary<SentRun> = fc.record({
    run: fc.constant('r'),
    film: fc.constant('f'),
    taken: fc.double({ min: 21, max: 900, noNaN: true }),
    parts: fc.array(
      fc.record({ job: fc.constantFrom('a', 'b'), mark: fc.constantFrom('m', 'n'), strokes: fc.integer({ min: 1, max: 9 }) }),
      { minLength: 1, maxLength: 12 },
    ),
  });
  it('shares all the film that is gone among the jobs, and all of it when every outline is cut', () => {
    fc.assert(
      fc.property(runs, fc.integer({ min: 0, max: 120 }), fc.double({ min: 0, max: 900, noNaN: true }), (run, strokes, used) => {
        const all = run.parts.reduce((sum, p) => sum + p.strokes, 0);
        const result = cutResult(run, strokes, used);
        const gone = result.reduce((sum, r) => sum + r.length, 0);
        expect(gone).toBeLessThanOrEqual(run.taken + 1e-6);
        if (strokes >= all) {
          expect(gone).toBeCloseTo(run.taken, 6);
          expect(result.every((r) => r.whole)).toBe(true);
        } else expect(result.every((r) => r.whole)).toBe(false);
        const marks = result.flatMap((r) => r.marks).reduce((sum, m) => sum + m.copies, 0);
        const wanted = run.parts.reduce(({ left, n }, p) => ({ left: left - p.strokes, n: n + (left >= p.strokes ? 1 : 0) }), {
          left: strokes,
          n: 0,
        }).n;
        if (strokes < all && strokes <= run.parts[0]!.strokes) expect(marks).toBe(wanted > 0 && strokes >= run.parts[0]!.strokes ? 1 : 0);
      }),
    );
  });
  it('of film that was cut off the roll first all is gone once the knife was down, however far it came', () => {
    fc.assert(
      fc.property(runs, fc.integer({ min: 0, max: 120 }), fc.double({ min: 0, max: 900, noNaN: true }), (run, strokes, used) => {
        const gone = cutResult({ ...run, cutOff: true }, strokes, used).reduce((sum, { length }) => sum + length, 0);
        const all = run.parts.reduce((sum, part) => sum + part.strokes, 0);
        expect(gone).toBeCloseTo(used > 0 || strokes >= all ? run.taken : 0, 6);
      }),
    );
  });
  it('takes nothing from the roll when the knife never went down', () => {
    expect(cutResult({ run: 'r', film: 'f', taken: 100, parts: [{ job: 'a', mark: 'm', strokes: 2 }] }, 0, 0)).toEqual([
      { job: 'a', marks: [], length: 0, whole: false, asSent: false },
    ]);
  });
  it('refuses a job for other film than lies in it, and takes it once the right film is loaded', () => {
    const machine = { rollFed: true, step: 0.025, origin: { x: 0, y: 0 }, knife: 60, travel: 180 };
    const hpgl = 'IN;PU0,0;PD400,0,400,400,0,0;';
    const loaded = (name?: string) =>
      orderCutter(switchedOn(machine), { kind: 'load', film: { width: 100, length: 200, ...(name ? { name } : {}) } });
    const sent = orderCutter(loaded('Petrol gloss'), { kind: 'send', run: 'r', hpgl, film: 'White gloss' });
    expect([sent.phase, sent.refusal]).toEqual([
      'idle',
      'Petrol gloss lies in the cutter, and this cut is for White gloss. Load White gloss, and say so below.',
    ]);
    const right = orderCutter(orderCutter(sent, { kind: 'load', film: { width: 100, length: 200, name: 'White gloss' } }), {
      kind: 'send',
      run: 'r',
      hpgl,
      film: 'White gloss',
    });
    expect([right.phase, right.refusal]).toEqual(['cutting', undefined]);
    expect(orderCutter(loaded(), { kind: 'send', run: 'r', hpgl, film: 'White gloss' }).phase).toBe('cutting');
  });
  it('a job of which not all was sent is not cut whole, also where all that was sent was cut', () => {
    const parts = ['a', 'b'].map((job) => ({ job, mark: 'm', strokes: 2 }));
    const found = cutResult({ run: 'r', film: 'f', taken: 100, unfinished: ['a'], parts }, 4, 90);
    expect(found.map(({ job, whole, asSent }) => [job, whole, asSent])).toEqual([
      ['a', false, true],
      ['b', true, true],
    ]);
  });
});
