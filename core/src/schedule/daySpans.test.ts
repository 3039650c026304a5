import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { formatSpans, parseSpans, tidySpans } from './daySpans';

const read = (text: string) => {
  const result = parseSpans(text, 'Monday');
  return result.ok ? result.value : result.problem.found;
};

describe('the hours of a day', () => {
  it.each([
    [
      '9-12:30, 13:30-18',
      [
        [540, 750],
        [810, 1080],
      ],
    ],
    ['7pm–9:30pm', [[1140, 1290]]],
    ['9.15 to noon', [[555, 720]]],
    ['20:00-midnight', [[1200, 1440]]],
    ['12am-1am', [[0, 60]]],
    ['10-12, 11-14', [[600, 840]]],
    ['off', []],
    ['', []],
  ])('%s', (text, spans) => expect(read(text)).toEqual(spans));
  it.each(['9', '18-9', 'nine to five', '9-25', '13pm-14pm', '9-10-11'])('“%s” is refused with the way out', (text) => {
    expect(read(text)).toEqual(expect.any(String));
  });
  it('what is written is read again as it was', () => {
    const minute = fc.integer({ min: 0, max: 1440 });
    fc.assert(
      fc.property(fc.array(fc.tuple(minute, minute), { maxLength: 6 }), (spans) => {
        const tidy = tidySpans(spans);
        expect(read(formatSpans(tidy))).toEqual(tidy);
        for (const [i, [start, end]] of tidy.entries()) {
          expect(start).toBeLessThan(end);
          if (i > 0) expect(start).toBeGreaterThan(tidy[i - 1]![1]);
        }
      }),
    );
  });
});
