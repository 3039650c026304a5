import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { orderCutter, reportOf, switchedOn, type CutterReport, type CutterState } from './cutter';
import { contradicts, readCutterReport } from './readCutterReport';
import { law } from '../../test/depth';

const MACHINE = { rollFed: true, step: 0.025, origin: { x: 0, y: 0 }, knife: 60, travel: 180 };
/** A cutter that was given a square and so much time. */
const after = (ms: number): CutterState =>
  [
    { kind: 'load', film: { width: 300, length: 900, name: 'White gloss' } } as const,
    { kind: 'send', run: 'r', hpgl: 'PU400,400;PD2400,400,2400,2400,400,2400,400,400;PU0,0;' } as const,
    { kind: 'time', ms } as const,
  ].reduce<CutterState>((state, order) => orderCutter(state, order), switchedOn(MACHINE));
const sentAs = (report: CutterReport): unknown => JSON.parse(JSON.stringify(report));

it('takes whatever the cutter can tell, at any moment, and finds it no contradiction', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60_000 }), fc.integer({ min: 0, max: 60_000 }), (first, more) => {
      const [before, report] = [after(first), reportOf(after(first + more))];
      expect(readCutterReport(sentAs(report))).toEqual(report);
      expect(contradicts(report, { run: 'r', all: 1, strokes: before.strokes })).toBe(false);
    }),
  );
});

it('takes no nonsense: of any value it is given it returns a report of counts and lengths, or nothing', () => {
  const told = sentAs(reportOf(after(500))) as Record<string, unknown>;
  const field = fc.constantFrom(...Object.keys(told));
  fc.assert(
    fc.property(
      fc.oneof(
        fc.jsonValue(),
        fc.record({ field, value: fc.jsonValue() }).map((one) => ({ ...told, [one.field]: one.value })),
      ),
      (value) => {
        const read = readCutterReport(value);
        for (const n of read ? [read.strokes, read.used, read.cut, read.toCut, ...read.knife] : []) expect(Number.isFinite(n)).toBe(true);
        if (read) expect(read.cut).toBeLessThanOrEqual(read.toCut + 1);
      },
    ),
    law(500),
  );
  for (const wrong of [
    null,
    'It cuts.',
    {},
    { ...told, phase: 'dancing' },
    { ...told, phase: 'toString' },
    { ...told, strokes: -1 },
    { ...told, strokes: 0.5 },
    { ...told, used: 'all of it' },
    { ...told, knife: [1] },
    { ...told, cut: 1e9 },
    { ...told, film: { width: 'wide' } },
  ])
    expect(readCutterReport(wrong)).toBeUndefined();
});

it('contradicts itself where it has cut more than was sent, less than before, or more film than lies in it', () => {
  const report = reportOf(after(500));
  const sent = { run: 'r', all: 1, strokes: 0 };
  expect(contradicts({ ...report, strokes: 2 }, sent)).toBe(true);
  expect(contradicts({ ...report, strokes: 0 }, { ...sent, strokes: 1 })).toBe(true);
  expect(contradicts({ ...report, used: 5000 }, sent)).toBe(true);
  // of another job nothing is known
  expect(contradicts({ ...report, run: 'another', strokes: 2 }, sent)).toBe(false);
});
