import { describe, expect, it } from '@jest/globals';
import { filmTaken, type WorkEvent } from './event';

const cut = (id: string, length: number, from?: Extract<WorkEvent, { kind: 'cut' }>['from']): WorkEvent => ({
  ...{ id, at: 1, kind: 'cut', job: 'j', step: 'j/cut:white', film: 'white', length },
  ...(from ? { from } : {}),
});

describe('film taken from its roll', () => {
  it('is what was cut from the roll, and of older entries, which do not say; sheets and offcuts leave it alone', () => {
    const events = [
      cut('a', 100),
      cut('b', 20, { kind: 'roll' }),
      cut('c', 40, { kind: 'offcut', id: 'o' }),
      cut('d', 8, { kind: 'sheet', id: 's' }),
    ];
    expect(filmTaken(events)).toEqual(new Map([['white', 120]]));
  });
  it('goes back when the cut is undone', () => {
    const undone: WorkEvent = { id: 'u', at: 2, kind: 'reversed', event: 'a' };
    expect(filmTaken([cut('a', 100), cut('b', 20), undone]).get('white')).toBe(20);
  });
});
