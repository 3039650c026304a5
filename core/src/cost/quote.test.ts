import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Cost } from './cost';
import { quoteOf, quoteText } from './quote';

const costOf = (net: number, count: number): Cost => ({ count, lines: [], net, tax: 0, total: net });

it('a quote adds up: pieces times their price, the lines, the tax; it never asks for less than was worked out, nor for a cent a piece more', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(900_000), fc.integer({ min: 1, max: 90 })), { minLength: 1, maxLength: 5 }),
      fc.nat(30),
      (jobs, tax) => {
        const quote = quoteOf(
          jobs.map(([net, count]) => ({ name: 'Mugs', piece: 'mug', made: 'decal in silver', cost: costOf(net, count) })),
          tax,
        );
        for (const { pieces, each, amount } of quote.lines) expect(pieces * each).toBe(amount);
        expect(quote.lines.reduce((sum, { amount }) => sum + amount, 0)).toBe(quote.net);
        expect(quote.net + quote.tax).toBe(quote.total);
        quote.lines.forEach(({ amount, pieces }, i) => {
          expect(amount).toBeGreaterThanOrEqual(jobs[i]![0]);
          expect(amount - jobs[i]![0]).toBeLessThan(pieces);
        });
      },
    ),
  );
});

it('reads as one would write it, one or many, with and without tax', () => {
  const item = { name: 'Gig mugs', piece: 'mug', made: 'decal in silver' };
  const head = {
    kind: 'quote' as const,
    maker: 'Saltmarsh Marks',
    client: 'Gig club',
    day: '1 December 2026',
    ready: 'Fri 4 Dec',
    currency: 'EUR',
  };
  expect(quoteText(quoteOf([{ ...item, cost: costOf(6000, 6) }], 23), head)).toEqual([
    'Quote from Saltmarsh Marks',
    'For Gig club, 1 December 2026',
    '',
    'Gig mugs: 6 mugs, decal in silver: €10.00 each, €60.00',
    '',
    'Without tax: €60.00',
    'Tax 23 %: €13.80',
    'In all: €73.80',
    'Can be packed by Fri 4 Dec.',
    'Holds for 30 days.',
  ]);
  const bill = quoteText(quoteOf([{ ...item, cost: costOf(1999, 1) }], 0), { ...head, kind: 'invoice', client: '', ready: undefined });
  expect(bill).toEqual([
    'Invoice from Saltmarsh Marks',
    '1 December 2026',
    '',
    'Gig mugs: 1 mug, decal in silver: €19.99',
    '',
    'To pay: €19.99',
  ]);
});
