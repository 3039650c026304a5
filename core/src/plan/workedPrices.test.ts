import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { demoWorkshop, DEMO_START } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import { priced } from './priced';

/** A row of a table of the document: what it is for, how much, what one costs in minor units, and the amount in whole currency. */
interface Row {
  readonly name: string;
  readonly quantity: number;
  readonly each: number;
  readonly amount: number;
}

const text = readFileSync(new URL('../../../docs/worked-prices.md', import.meta.url), 'utf8');
const tables = new Map(
  text
    .split(/^## /m)
    .slice(1)
    .map((part) => [
      /\(`([a-z-]+)`\)/.exec(part)![1]!,
      [...part.matchAll(/^\| ([^|]+) \| ([\d.]+) [^|]* \| ([\d.]+) [^|]* \| ([\d.]+) \|$/gm)].map(
        ([, name, quantity, each, amount]): Row => ({
          ...{ name: name!.trim(), quantity: Number(quantity), each: Number(each), amount: Math.round(Number(amount) * 100) },
        }),
      ),
    ]),
);
const totals = [...text.matchAll(/^Together: ([\d.]+)$/gm)].map(([, sum]) => Math.round(Number(sum) * 100));
const { shop, jobs, events } = demoWorkshop({ past: true });
const faces = shippedFaces();

describe.each([...tables.keys()].map((id, i) => [id, i] as const))('the worked price of %s', (id, i) => {
  const rows = tables.get(id)!;
  it('is right by the figures that it gives: how much, times what one costs, to the cent', () => {
    expect(rows.length).toBeGreaterThan(5);
    for (const { name, quantity, each, amount } of rows)
      expect([name, Math.abs(quantity * each - amount) <= 0.5 + 1e-6]).toEqual([name, true]);
    expect(rows.reduce((sum, { amount }) => sum + amount, 0)).toBe(totals[i]);
  });
  it('is what Kolleta works out', () => {
    const { cost } = priced(
      jobs.find((job) => job.id === id)!,
      shop,
      events,
      DEMO_START,
      faces,
    )!;
    expect(cost.lines.map(({ name, amount }) => [name, amount])).toEqual(rows.map(({ name, amount }) => [name, amount]));
    expect(cost.total).toBe(totals[i]);
  });
});

it('covers three jobs', () => expect(tables.size).toBe(3));
