import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { readJobFile, writeJobFile } from '../jobFile';
import { copyJob, copyMark, copyZone, missingColumns, nameOfCopy } from './copies';
import { applyPatch } from './patch';

const demo = demoWorkshop();
const counter = () => {
  let n = 0;
  return () => `new${n++}`;
};
const sound = (job: unknown) => {
  const read = readJobFile(writeJobFile(job as never), 'copy');
  if (!read.ok) throw new Error(read.problem.found);
  return read.value;
};

describe('copies', () => {
  it('of every job of the demo are sound jobs that begin anew', () => {
    for (const job of demo.jobs) {
      const copy = sound(
        copyJob({ ...job, pins: [{ step: `${job.id}/pack`, at: 1_800_000_000_000 }] }, 'copy', 'Another', 1_800_000_000_000),
      );
      expect(copy).toMatchObject({ name: 'Another', marks: job.marks, zones: job.zones, overrides: [], closed: false });
      expect([copy.deadline, copy.pins]).toEqual([undefined, undefined]);
      expect(copy.createdAt).toBe(1_800_000_000_000);
    }
  });
  it('of every mark fit into every job, under a name of their own', () => {
    const mark = demo.jobs[0]!.marks[0]!;
    for (const job of demo.jobs) {
      const { document } = applyPatch(job, copyMark(mark, job, job.zones.at(-1)!.id, 'copied'));
      sound(document);
      expect(document.marks).toHaveLength(job.marks.length + 1);
      expect(new Set(document.marks.map(({ name }) => name)).size).toBe(new Set(job.marks.map(({ name }) => name)).size + 1);
    }
  });
  it('of zones lie beside them where the piece has room, with their marks where these are wanted', () => {
    for (const job of demo.jobs) {
      const [zone] = job.zones;
      for (const withMarks of [false, true]) {
        const { zone: id, patch } = copyZone(job, zone!, 10_000, withMarks, counter());
        const { document } = applyPatch(job, patch);
        sound(document);
        const copy = document.zones.find((one) => one.id === id)!;
        expect(Math.abs(copy.x - zone!.x)).toBeGreaterThanOrEqual(zone!.width);
        const own = job.marks.filter((mark) => mark.zone === zone!.id).length;
        expect(document.marks.length - job.marks.length).toBe(withMarks ? own : 0);
      }
      // no room beside it: over it
      const { zone: over, patch } = copyZone(job, zone!, zone!.width, false, counter());
      expect(applyPatch(job, patch).document.zones.find((one) => one.id === over)!.x).toBe(zone!.x);
    }
  });
  it('names count on', () => {
    expect(nameOfCopy('Prizes', [])).toBe('Prizes, second');
    expect(nameOfCopy('Prizes, second', ['Prizes', 'Prizes, second'])).toBe('Prizes, third');
  });
  it('says which columns a mark will miss', () => {
    const flasks = demo.jobs.find(({ id }) => id === 'crew-flasks')!;
    const other = demo.jobs.find(({ list }) => !list)!;
    const named = flasks.marks.find((mark) => mark.artwork.kind === 'text' && mark.artwork.lines.some(({ text }) => text.includes('{')))!;
    expect(missingColumns(named, flasks)).toEqual([]);
    expect(missingColumns(named, other).length).toBeGreaterThan(0);
  });
});
