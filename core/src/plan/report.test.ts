import { expect, it } from '@jest/globals';
import { demoWorkshop, DEMO_START } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import { priced } from './priced';
import { planWorkshop } from './planWorkshop';
import { reportOf } from './report';

const { shop, jobs, events } = demoWorkshop();
const faces = shippedFaces();
const plan = planWorkshop(jobs, shop, events, DEMO_START, faces);
const day = (at: number) => new Date(at).toISOString().slice(0, 10);

it.each(jobs.filter(({ id }) => id !== 'kit-labels').map(({ id }) => id))(
  'the report of %s says what was made, from what, its time, its care and its price',
  (id) => {
    const job = jobs.find((one) => one.id === id)!;
    const cost = priced(job, shop, events, DEMO_START, faces)!.cost;
    const parts = reportOf(job, plan.jobs.get(id)!, cost, { shop, events, whom: 'client', day });
    expect(parts.map(({ heading }) => heading)).toEqual(['What was made', 'From what', 'Time', 'Care', 'Price']);
    for (const { lines } of parts) {
      expect(lines.length).toBeGreaterThan(0);
      for (const line of lines) expect(line).not.toMatch(/undefined|NaN|\b1 \w+s\b(?<! 1 times)/);
    }
    // a client reads no rates
    expect(JSON.stringify(parts)).not.toMatch(/Margin|Overhead|went wrong/);
    const own = reportOf(job, plan.jobs.get(id)!, cost, { shop: { ...shop, lengths: 'inch' }, events, whom: 'self', day });
    expect(own.at(-1)!.lines.some((line) => /^Margin: €/.test(line))).toBe(true);
    expect(JSON.stringify(own[0])).not.toMatch(/\d mm/);
  },
  60_000,
);

it('a report for oneself tells what was done and noted; without a price there is none', () => {
  const job = jobs.find(({ id }) => id === 'honour-board')!;
  const parts = reportOf(job, plan.jobs.get(job.id)!, undefined, { shop, events, whom: 'self', day });
  expect(parts.map(({ heading }) => heading)).toEqual(['What was made', 'Time', 'How it went', 'Care']);
  expect(parts[2]!.lines[0]).toMatch(/^Stain the oak board.*: 9 min \(planned 8 min\)\.$/);
});
