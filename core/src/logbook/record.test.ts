import { describe, expect, it } from '@jest/globals';
import type { WorkEvent } from '../job';
import { logOf, logTotals } from './record';

const done = (id: string, at: number, planned: number, actual: number, job = 'a'): WorkEvent => ({
  id,
  at,
  kind: 'done',
  job,
  step: `${job}/${id}`,
  title: id,
  planned,
  actual,
});
const events: WorkEvent[] = [
  done('one', 1, 10, 12),
  done('two', 5, 5, 4, 'b'),
  { ...done('three', 3, 8, 20), kind: 'wrong', what: 'A part was lost', again: true } as WorkEvent,
  { id: 'r', at: 9, kind: 'reversed', event: 'one' },
];

describe('the log', () => {
  it('is newest first, of one job or all, without what was reversed', () => {
    expect(logOf(events).map((r) => r.title)).toEqual(['two', 'three']);
    expect(logOf(events, 'a')).toMatchObject([{ outcome: 'wrong', what: 'A part was lost' }]);
  });
  it('has a line for stock that was counted, in the log of the workshop only, until it is taken back', () => {
    const count: WorkEvent = {
      id: 'c',
      at: 8,
      kind: 'counted',
      stock: 'tape',
      item: 't',
      name: 'Clear',
      was: 900,
      is: 40,
      reason: 'spoiled',
    };
    const [first] = logOf([...events, count]);
    expect(first).toMatchObject({ title: 'Clear, spoiled', outcome: 'counted', count: { stock: 'tape', was: 900, is: 40 }, timed: false });
    expect(logOf([...events, count], 'a')).toHaveLength(1);
    expect(logOf([...events, count, { id: 'x', at: 9, kind: 'reversed', event: 'c' }])).toHaveLength(2);
  });
  it('says which film a step took, and how much of it', () => {
    const cut: WorkEvent = { id: 'two-film', at: 5, kind: 'cut', job: 'b', step: 'b/two', film: 'white', length: 62 };
    expect(logOf([...events, cut])[0]).toMatchObject({ title: 'two', used: { film: 'white', length: 62, pieces: 0 } });
    // of several pieces each counts, and the roll by what it gave
    const piece = (id: string): WorkEvent => ({ ...cut, id, length: 280, from: { kind: 'sheet', id: 's' } });
    expect(logOf([...events, piece('p'), piece('q'), cut])[0]!.used).toEqual({ film: 'white', length: 62, pieces: 2 });
    expect(logOf([...events, piece('p')])[0]!.used).toEqual({ film: 'white', length: 0, pieces: 1 });
    expect(logOf([...events, cut])[1]!.used).toBeUndefined();
  });
  it('adds up planned and actual', () => expect(logTotals(logOf(events))).toEqual({ planned: 13, actual: 24, timed: 2, wrong: 1 }));
  it('leaves out of it what was not timed, and of older entries what is just as planned', () => {
    const untimed = { ...done('four', 7, 30, 30), timed: false } as WorkEvent;
    const typed = { ...done('five', 8, 10, 10), timed: true } as WorkEvent;
    expect(logTotals(logOf([...events, untimed, done('old', 9, 6, 6), typed]))).toEqual({ planned: 23, actual: 34, timed: 3, wrong: 1 });
    expect(logOf([untimed])[0]!.timed).toBe(false);
  });
});
