import { expect, it } from '@jest/globals';
import Papa from 'papaparse';
import { demoWorkshop } from '../../test/sampleJobs';
import type { WorkEvent } from '../job';
import { logOf } from '../logbook';
import { writeLogList } from './logList';

const { events, jobs } = demoWorkshop({ past: true });

it('the list for a spreadsheet is read back row for row, whatever was noted', () => {
  const odd: WorkEvent = {
    ...events.find((event) => event.kind === 'done')!,
    id: 'odd',
    note: 'a "quote", a comma;\nand a new line',
  } as WorkEvent;
  const all = [...events, odd];
  const text = writeLogList(all, (id) => jobs.find((job) => job.id === id)?.name ?? '');
  const read = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  expect(read.errors).toEqual([]);
  expect(read.data).toHaveLength(logOf(all).length);
  expect(read.data.some((row) => row['note'] === 'a "quote", a comma;\nand a new line')).toBe(true);
  expect(read.data.map((row) => Date.parse(row['when']!))).toEqual(
    read.data.map((row) => Date.parse(row['when']!)).toSorted((a, b) => a - b),
  );
});
