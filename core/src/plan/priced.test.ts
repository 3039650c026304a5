import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop, DEMO_START, plateJob, textMark } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import { costOf, pieceOf, shareAgain, type CostWork } from '../cost';
import { PRICING } from '../facts';
import type { WorkStep } from '../finish';
import { applyPatch } from '../job';
import { cheaperWays, priced } from './priced';

const { shop, jobs, events } = demoWorkshop();
const step = (hands: number, area: number, film = 'white-gloss'): WorkStep => ({
  ...{ id: 'j/cut', job: 'j', kind: 'cut', station: 'cut', hands, needs: ['hands'], after: [], cautions: [], mayPause: true },
  about: { kind: 'cut', film, taken: 1, first: true },
  takes: { film, length: 1, area, from: { kind: 'roll' } },
});
const workOf = (hands: number, area: number, knife: number, more: Partial<CostWork> = {}): CostWork => ({
  job: { count: 3 },
  steps: [step(hands, area)],
  by: new Map(),
  tapes: [],
  used: [],
  knife,
  ...more,
});
const amount = fc.integer({ min: 0, max: 500_000 });

describe('a price', () => {
  it('is the sum of its parts, in whole minor units, and never below 0', () => {
    fc.assert(
      fc.property(amount, amount, amount, fc.double({ min: 0, max: 1, noNaN: true }), fc.nat(200), (hands, area, knife, again, percent) => {
        const own = { ...shop, pricing: { overhead: percent, margin: percent / 2, tax: 23, knifeMetre: 3750 } };
        const cost = costOf(workOf(hands / 1000, area, knife), own, again);
        expect(cost.lines.reduce((sum, line) => sum + line.amount, 0)).toBe(cost.total);
        expect(cost.net + cost.tax).toBe(cost.total);
        for (const line of cost.lines) expect(Number.isInteger(line.amount) && line.amount >= 0).toBe(true);
        expect(pieceOf(cost) * cost.count).toBeGreaterThanOrEqual(cost.total);
        expect((pieceOf(cost) - 1) * cost.count).toBeLessThan(cost.total);
      }),
    );
  });
  it('more film, more work, more cutting or more that goes wrong never costs less', () => {
    fc.assert(
      fc.property(amount, amount, fc.nat(900), fc.nat(9000), amount, (area, waste, hands, more, knife) => {
        const total = (work: CostWork, again = 0.05) => costOf(work, shop, again).total;
        const base = total(workOf(hands, area, knife));
        expect(total(workOf(hands, area + waste, knife))).toBeGreaterThanOrEqual(base);
        expect(total(workOf(hands + more, area, knife))).toBeGreaterThanOrEqual(base);
        expect(total(workOf(hands, area, knife + waste))).toBeGreaterThanOrEqual(base);
        expect(total(workOf(hands, area, knife), 0.1)).toBeGreaterThanOrEqual(base);
      }),
    );
  });
  it('tape costs the share of its uses, film what its area costs, hands what theirs cost', () => {
    const tape = { name: 'Clear', price: 400, width: 300 };
    const one = costOf(workOf(0, 0, 0, { tapes: [{ tape, length: 1000, lifts: 3, uses: 12 }] }), shop, 0).lines[0];
    expect(one).toMatchObject({ kind: 'tape', amount: 30 });
    const all = costOf(workOf(0, 0, 0, { tapes: [{ tape, length: 1000, lifts: 12, uses: 12 }] }), shop, 0).lines[0];
    expect(all).toMatchObject({ amount: 120 });
    // white gloss at 14.50 a square metre, 24.00 an hour
    const lines = costOf(workOf(30, 100_000, 0), shop, 0).lines;
    expect(lines.find(({ kind }) => kind === 'film')?.amount).toBe(145);
    expect(lines.find(({ kind }) => kind === 'hands')?.amount).toBe(1200);
    const people = [
      { id: 'ann', name: 'Ann', rate: 3000 },
      { id: 'bo', name: 'Bo' },
    ];
    const byAnn = costOf(workOf(30, 0, 0, { by: new Map([['j/cut', ['ann', 'roll-cutter']]]) }), { ...shop, people }, 0).lines;
    expect(byAnn.find(({ kind }) => kind === 'hands')).toMatchObject({ name: 'Ann', amount: 1500 });
    // a step that needs two is paid twice
    const byTwo = costOf(workOf(30, 0, 0, { by: new Map([['j/cut', ['ann', 'bo']]]) }), { ...shop, people }, 0).lines;
    expect(byTwo.flatMap(({ kind, name, amount }) => (kind === 'hands' ? [[name, amount]] : []))).toEqual([
      ['Ann', 1500],
      ['Work', 1200],
    ]);
  });
  it('the rate of what goes wrong nears what the log says, and is what is usual without one', () => {
    expect(shareAgain(0, 0)).toBeCloseTo(PRICING.again, 12);
    expect(shareAgain(100, 1000)).toBeGreaterThan(0.09);
    expect(shareAgain(0, 1000)).toBeLessThan(0.001);
  });
});

describe('the price of a job of the demo', () => {
  const faces = shippedFaces();
  const own = jobs.find(({ id }) => id === 'bailer-buckets')!;
  const found = priced(own, shop, events, DEMO_START, faces)!;
  const ways = cheaperWays(own, shop, events, DEMO_START, faces);
  it('falls a piece with the run, and each way said to be cheaper is, by just so much', () => {
    expect(pieceOf(found.cost)).toBeLessThan(pieceOf(found.one));
    expect(found.one.count).toBe(1);
    expect(ways.length).toBeGreaterThan(0);
    for (const { patch, cost, less } of ways.filter(({ kind }) => kind !== 'offcut')) {
      expect(less).toBeGreaterThan(0);
      expect(found.cost.total - cost.total).toBe(less);
      // what the button does is what was priced
      expect(priced(applyPatch(own, patch).document, shop, events, DEMO_START, faces)!.cost.total).toBe(cost.total);
    }
  });
  it('is dearer in dearer hands, as the steps are planned and given', () => {
    const people = [
      { id: 'ann', name: 'Ann', rate: 3000 },
      { id: 'bo', name: 'Bo', rate: 3000 },
    ];
    const hands = (from: typeof shop, job = own) =>
      priced(job, from, events, DEMO_START, faces)!.cost.lines.filter(({ kind }) => kind === 'hands');
    const planned = hands({ ...shop, people });
    expect(planned.every(({ name }) => name === 'Ann' || name === 'Bo')).toBe(true);
    const sum = (lines: typeof planned) => lines.reduce((all, { amount }) => all + amount, 0);
    expect(sum(planned)).toBeGreaterThan(sum(hands(shop)));
    const given = [{ step: `${own.id}/pack`, who: 'bo' }];
    const packed =
      found.cost.lines.length > 0 && hands({ ...shop, people: [people[0]!, { ...people[1]!, rate: 60_000 }] }, { ...own, given });
    expect(packed && packed.find(({ name }) => name === 'Bo')!.amount).toBeGreaterThan(0);
  });
  it('is compared with another run, which costs what a job of so many pieces does', () => {
    const { run, cost } = priced(own, shop, events, DEMO_START, faces, 24)!;
    expect(run).toEqual(priced({ ...own, count: 24 }, shop, events, DEMO_START, faces)!.cost);
    expect(pieceOf(run!)).toBeLessThan(pieceOf(cost));
  });
  it('names what has no price in stock, and does not pass over it', () => {
    const bare = { ...shop, paints: shop.paints.map(({ price: _, ...paint }) => paint) };
    const board = jobs.find(({ id }) => id === 'honour-board')!;
    const lines = (from: typeof shop) => priced(board, from, events, DEMO_START, faces)!.cost.lines.filter(({ kind }) => kind === 'paint');
    expect(lines(bare).length).toBeGreaterThan(1);
    for (const line of lines(bare)) expect(line).toMatchObject({ amount: 0, unpriced: true });
    for (const line of lines(shop)) expect([line.unpriced, line.amount > 0]).toEqual([undefined, true]);
  });
  it('falls by what the film costs where all of it finds room on an offcut that lies there', () => {
    const pieces = [{ id: 'o', kind: 'offcut' as const, width: 250, length: 200, count: 1 }];
    const withOffcut = (some: typeof pieces) => ({
      ...shop,
      films: shop.films.map(({ pieces: _, ...film }) => ({ ...film, pieces: some })),
    });
    const door = jobs.find(({ id }) => id === 'tankards')!;
    const offcut = (own: typeof shop) => cheaperWays(door, own, events, DEMO_START, faces).find(({ kind }) => kind === 'offcut');
    const saved = offcut(withOffcut(pieces))!;
    expect(saved.patch).toEqual([]);
    expect(saved.cost.lines.some(({ kind }) => kind === 'film')).toBe(false);
    expect(offcut(withOffcut([{ ...pieces[0]!, width: 12, length: 12 }]))).toBeUndefined();
    expect(offcut(withOffcut([]))).toBeUndefined();
  });
  it('is none where nothing is planned; what a blank costs counts for each', () => {
    expect(priced({ ...own, marks: [] }, shop, events, DEMO_START, faces)).toBeUndefined();
    expect(cheaperWays({ ...own, marks: [] }, shop, events, DEMO_START, faces)).toEqual([]);
    const sign = plateJob(textMark('Skerry'), { count: 5 });
    const bare = priced(sign, shop, [], DEMO_START, faces)!.cost;
    const blanks = priced({ ...sign, blank: 350 }, shop, [], DEMO_START, faces)!.cost;
    expect(blanks.lines.find(({ kind }) => kind === 'blank')?.amount).toBe(1750);
    expect(blanks.total).toBeGreaterThan(bare.total + 1750);
  });
});
