import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop, plateJob, textMark } from '../../test/sampleJobs';
import { readJobFile, readWorkshopFile, writeJobFile, writeWorkshopFile } from './files';

const demo = demoWorkshop();
const refusal = (text: string, read: typeof readJobFile | typeof readWorkshopFile = readJobFile) => {
  const result = read(text, 'x.json');
  expect(result.ok).toBe(false);
  if (result.ok) throw new Error('taken');
  expect(result.problem.wayOut.length).toBeGreaterThan(10);
  return `${result.problem.found} @ ${result.problem.where}`;
};

describe('files', () => {
  it('survive a round trip', () => {
    expect(readWorkshopFile(writeWorkshopFile(demo), 'demo')).toEqual({ ok: true, value: demo });
    for (const job of demo.jobs) expect(readJobFile(writeJobFile(job), job.name)).toEqual({ ok: true, value: job });
  });
  it('survive it with any words, sizes and dates', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60, unit: 'grapheme' }),
        fc.double({ min: 0.1, max: 5000, noNaN: true }),
        fc.option(fc.date({ min: new Date(0), max: new Date(4e12), noInvalidDate: true })),
        fc.integer({ min: 1, max: 500 }),
        (name, width, date, count) => {
          const job = plateJob(
            textMark(name, {
              name,
              size: { mode: 'width', width },
              edits: [{ id: 'e', kind: 'thicken', by: -0.3 }],
              colourFilms: { '#aabbcc': null },
            }),
            { name, count, ...(date ? { deadline: date.getTime() } : {}) },
          );
          expect(readJobFile(writeJobFile(job), 'x')).toEqual({ ok: true, value: job });
        },
      ),
    );
  });
  const file = JSON.parse(writeJobFile(demo.jobs[0]!)) as {
    version: number;
    job: Record<string, unknown> & { marks: Record<string, unknown>[] };
  };
  const changed = (change: (f: typeof file) => void) => {
    const copy = JSON.parse(JSON.stringify(file)) as typeof file;
    change(copy);
    return JSON.stringify(copy);
  };
  it.each<[string, string, RegExp]>([
    ['newer', changed((f) => void (f.version = 3)), /newer Kolleta \(version 3.*\/version/],
    ['truncated', JSON.stringify(file).slice(0, 400), /breaks off after 400/],
    ['with an unknown field', changed((f) => void (f.job['colourr'] = 1)), /does not know: \/job\/colourr/],
    ['with an unknown field deep inside', changed((f) => void (f.job.marks[0]!['glow'] = 1)), /\/job\/marks\/0\/glow/],
    ['without a field', changed((f) => void delete f.job['count']), /\/job.*count/],
    ['with a negative count', changed((f) => void (f.job['count'] = -1)), /\/job\/count/],
    ['with a mark on no zone', changed((f) => void (f.job.marks[0]!['zone'] = 'nowhere')), /\/job\/marks\/0\/zone/],
    ['with an absurd date', changed((f) => void (f.job['deadline'] = 'tomorrow')), /\/job\/deadline/],
    ['of another program', '{"a":1}', /not a Kolleta file/],
    ['that is no JSON', 'hello', /not a Kolleta file/],
    ['that is empty', '', /not a Kolleta file/],
    ['that is null', 'null', /not a Kolleta file/],
  ])('refuses a job file %s, with the place', (_name, text, says) => expect(refusal(text)).toMatch(says));
  it('a workshop is not a job, and a zone on no map is refused', () => {
    expect(refusal(writeWorkshopFile(demo))).toMatch(/whole workshop/);
    expect(refusal(writeJobFile(demo.jobs[0]!), readWorkshopFile)).toMatch(/one job/);
    const text = writeWorkshopFile({
      ...demo,
      shop: { ...demo.shop, hours: { ...demo.shop.hours, zone: 'Sea/Atlantis' } },
    });
    expect(refusal(text, readWorkshopFile)).toMatch(/\/shop\/hours\/zone/);
  });
});
