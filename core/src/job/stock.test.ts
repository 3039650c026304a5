import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import { emptyShop } from './emptyShop';
import { USUAL_WEEKS } from '../facts';
import { filmTaken, type WorkEvent } from './event';
import { filmColours } from './filmColours';
import { applyPatch } from './patch';
import { amountOf, asCounted, countedBy, type StockKindId } from './stockCounts';
import { takeInstead, usesOf } from './stockUses';
import { law } from '../../test/depth';

const demo = demoWorkshop();
const { shop, jobs } = demo;
const items: [StockKindId, string][] = [
  ['film', 'white-gloss'],
  ['tape', 'clear-medium'],
  ['paint', 'cream'],
  ['supply', 'hooks'],
];

describe('counting stock', () => {
  it('what was counted last is what there is, whatever is cut and counted before and between', () => {
    const amount = fc.integer({ min: 0, max: 5000 });
    const happening = fc.oneof(
      fc.record({ kind: fc.constant('count' as const), item: fc.constantFrom(...items), is: amount }),
      fc.record({ kind: fc.constant('cut' as const), length: amount }),
    );
    fc.assert(
      fc.property(fc.array(happening, { maxLength: 12 }), (all) => {
        const events: WorkEvent[] = [];
        const should = new Map(items.map(([stock, item]) => [item, amountOf(shop, [], stock, item)!.amount]));
        for (const [i, one] of all.entries()) {
          const base = { id: `e${i}`, at: i };
          if (one.kind === 'cut') {
            events.push({ ...base, kind: 'cut', job: 'j', step: 's', film: 'white-gloss', length: one.length });
            should.set('white-gloss', should.get('white-gloss')! - one.length);
          } else {
            const [stock, item] = one.item;
            const { name, amount: was } = amountOf(shop, events, stock, item)!;
            events.push({ ...base, kind: 'counted', stock, item, name, was, is: one.is, reason: 'counted anew' });
            should.set(item, one.is);
          }
        }
        for (const [stock, item] of items) expect(amountOf(shop, events, stock, item)!.amount).toBe(should.get(item));
        const counted = asCounted(shop, events);
        const is = (n: number) => Math.max(0, n);
        expect(counted.tapes.find(({ id }) => id === 'clear-medium')!.length).toBe(is(should.get('clear-medium')!));
        expect(counted.paints.find(({ id }) => id === 'cream')!.volume).toBe(is(should.get('cream')!));
        expect(counted.supplies!.find(({ id }) => id === 'hooks')!.amount).toBe(is(should.get('hooks')!));
        const white = shop.films.find(({ id }) => id === 'white-gloss')!;
        expect(white.length - (filmTaken(events).get('white-gloss') ?? 0)).toBe(should.get('white-gloss'));
      }),
      law(100),
    );
  });
  it('a count that is taken back never was', () => {
    const count: WorkEvent = {
      id: 'c',
      at: 1,
      kind: 'counted',
      stock: 'tape',
      item: 'paper-low',
      name: 'x',
      was: 22_000,
      is: 5,
      reason: '',
    };
    const back: WorkEvent = { id: 'r', at: 2, kind: 'reversed', event: 'c' };
    expect(countedBy([count])('tape', 'paper-low')).toBe(-21_995);
    expect(countedBy([count, back])('tape', 'paper-low')).toBe(0);
    expect(amountOf(shop, [], 'film', 'nowhere')).toBeUndefined();
  });
});

describe('what uses a thing in stock', () => {
  it('is named, and nothing uses it any more once another is taken instead', () => {
    for (const [stock, list] of [
      ['film', shop.films],
      ['paint', shop.paints],
    ] as const) {
      for (const { id } of list) {
        const other = list.find((one) => one.id !== id)!.id;
        const uses = usesOf(jobs, stock, id);
        const changed = jobs.map((job) => applyPatch(job, takeInstead(job, stock, id, other)).document);
        expect(usesOf(changed, stock, id)).toEqual([]);
        // whoever used it uses the other now, and nobody else has changed
        for (const [i, job] of jobs.entries()) {
          const did = uses.some((use) => use.job === job.id);
          expect(JSON.stringify(changed[i]) !== JSON.stringify(job)).toBe(did);
        }
      }
    }
    expect(usesOf(jobs, 'film', 'white-gloss').map(({ job }) => job)).toContain('regatta-prizes');
    expect(usesOf(jobs, 'film', 'frost')).toEqual([]);
  });
  it('a tape that is gone is chosen by nobody any more', () => {
    const job = { ...jobs[0]!, marks: jobs[0]!.marks.map((mark) => ({ ...mark, tape: 'paper-low' })) };
    expect(usesOf([job], 'tape', 'paper-low')[0]!.marks).toEqual(job.marks.map(({ name }) => name));
    const { document } = applyPatch(job, takeInstead(job, 'tape', 'paper-low', undefined));
    expect(document.marks.every((mark) => !('tape' in mark))).toBe(true);
  });
  it('closed jobs do not count', () =>
    expect(
      usesOf(
        jobs.map((job) => ({ ...job, closed: true })),
        'film',
        'white-gloss',
      ),
    ).toEqual([]));
});

describe('an empty workshop', () => {
  it('is empty, in the device’s zone, with units and money that are usual there', () => {
    const chicago = emptyShop('America/Chicago', 'en-US');
    expect(chicago).toMatchObject({ films: [], tapes: [], machines: [], lengths: 'inch', temperatures: 'F', currency: 'USD' });
    expect(chicago.hours.zone).toBe('America/Chicago');
    expect(emptyShop('Asia/Kolkata', 'en-IN')).toMatchObject({ lengths: 'mm', temperatures: 'C', currency: 'INR' });
    expect(emptyShop('Europe/Dublin', 'de')).toMatchObject({ currency: 'EUR' });
    expect(JSON.stringify(chicago).toLowerCase()).not.toContain('demo');
  });
  it('every usual week has hours, each ending after it begins', () => {
    for (const { week } of Object.values(USUAL_WEEKS)) {
      expect(week).toHaveLength(7);
      expect(week.flat().length).toBeGreaterThan(0);
      for (const [start, end] of week.flat()) expect(start).toBeLessThan(end);
    }
  });
});

it('a patterned film shows all its colours, once each', () => {
  expect(filmColours({ colour: '#ffffff' })).toEqual(['#ffffff']);
  expect(filmColours({ colour: '#ffffff', colours: ['#ffffff', '#000000'] })).toEqual(['#ffffff', '#000000']);
});
