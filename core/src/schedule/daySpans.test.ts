import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { dragSpan, formatSpans, parseSpans, SPAN_STEP, tidySpans, type SpanEdge } from './daySpans';

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
  it('dragged by an end or whole, a span stays in the day, keeps its length or its other end, and is never empty', () => {
    const step = fc.integer({ min: 0, max: 95 }).map((n) => n * SPAN_STEP);
    const span = fc
      .tuple(step, fc.integer({ min: 1, max: 96 }))
      .map(([start, long]): [number, number] => [start, Math.min(1440, start + long * SPAN_STEP)]);
    fc.assert(
      fc.property(
        span,
        fc.constantFrom<SpanEdge>('start', 'end', 'both'),
        fc.integer({ min: -2000, max: 2000 }),
        ([start, end], edge, by) => {
          const [from, to] = dragSpan([start, end], edge, by);
          expect([from >= 0, to <= 1440, to - from >= SPAN_STEP]).toEqual([true, true, true]);
          expect([from % SPAN_STEP, to % SPAN_STEP]).toEqual([0, 0]);
          if (edge === 'start') expect(to).toBe(end);
          if (edge === 'end') expect(from).toBe(start);
          if (edge === 'both') expect(to - from).toBe(end - start);
          // as far as it was dragged, where there is room
          const wanted = edge === 'end' ? end + by : start + by;
          const reached = edge === 'end' ? to : from;
          if (reached > 0 && reached < 1440 && from > 0 && to < 1440 && to - from > SPAN_STEP)
            expect(Math.abs(reached - wanted)).toBeLessThanOrEqual(SPAN_STEP / 2);
        },
      ),
    );
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
