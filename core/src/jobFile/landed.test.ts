import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import { compareWorkshops, isSameWorkshop } from './compareWorkshops';
import { readWorkshopFile, writeWorkshopFile } from './files';
import { FILE_VERSION } from './version';
import { law } from '../../test/depth';

const folder = new URL('../../test/landed/', import.meta.url);
const landed = readdirSync(folder).filter((name) => name.endsWith('.workshop.json'));

describe('workshop files of every version that landed', () => {
  it('are all here', () => {
    expect(landed.map((name) => Number.parseInt(name, 10)).toSorted((a, b) => a - b)).toEqual(
      Array.from({ length: FILE_VERSION }, (_, i) => i + 1),
    );
  });
  it.each(landed)('%s is read, with every job, log entry and roll, and written again as the newest', (name) => {
    const text = readFileSync(new URL(name, folder), 'utf8');
    const raw = JSON.parse(text) as { jobs: unknown[]; events: unknown[]; shop: { films: unknown[] } };
    const read = readWorkshopFile(text, name);
    if (!read.ok) throw new Error(read.problem.found);
    expect([read.value.jobs.length, read.value.events.length, read.value.shop.films.length]).toEqual([
      raw.jobs.length,
      raw.events.length,
      raw.shop.films.length,
    ]);
    const again = readWorkshopFile(writeWorkshopFile(read.value), 'again');
    expect(again.ok && isSameWorkshop(compareWorkshops(read.value, again.value))).toBe(true);
  });
});

describe('what a restore would change', () => {
  const demo = demoWorkshop();
  it('is nothing against itself, and swaps when the sides are swapped', () => {
    expect(isSameWorkshop(compareWorkshops(demo, demoWorkshop()))).toBe(true);
    fc.assert(
      fc.property(fc.subarray(demo.jobs), fc.subarray(demo.jobs), fc.subarray(demo.events), (some, others, events) => {
        const [a, b] = [
          { ...demo, jobs: some },
          { ...demo, jobs: others, events },
        ];
        const [there, back] = [compareWorkshops(a, b), compareWorkshops(b, a)];
        expect(there.jobsNew).toEqual(back.jobsGone);
        expect(there.eventsNew).toBe(back.eventsGone);
        expect(there.jobsNew.length - there.jobsGone.length).toBe(others.length - some.length);
        expect(there.eventsGone).toBe(demo.events.length - events.length);
      }),
      law(40),
    );
  });
  it('names what is changed: a job, a roll, the room', () => {
    const other = demoWorkshop();
    other.jobs[0]!.count += 1;
    other.shop.films[1]!.length -= 5;
    other.shop.climate.celsius += 1;
    const d = compareWorkshops(demo, other);
    expect(d.jobsChanged).toEqual([demo.jobs[0]!.name]);
    expect(d.stock).toEqual([`${demo.shop.films[1]!.name} (changed)`, 'room, hours and units']);
    expect(d.jobsNew.length + d.jobsGone.length + d.eventsNew + d.eventsGone).toBe(0);
  });
});
