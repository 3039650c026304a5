import { describe, expect, it } from '@jest/globals';
import { formatClock, formatDuration } from './duration';
import { formatMoney, parseMoney } from './money';
import { formatTemperature, parseTemperature } from './temperature';

describe('durations and clocks', () => {
  it.each([
    [0.4, 'under 1 min'],
    [12, '12 min'],
    [170, '2 h 50'],
    [1800, '30 h'],
    [19.2 * 1440, '19 d'],
    [-5, '0 min'],
  ])('%p minutes read as %p', (minutes, text) => expect(formatDuration(minutes)).toBe(text));
  it('counts down to nothing and no further', () => {
    expect(formatClock(222)).toBe('03:42');
    expect(formatClock(3822)).toBe('1:03:42');
    expect(formatClock(-3)).toBe('00:00');
  });
});

describe('temperature and money', () => {
  it('reads either unit whatever is shown', () => {
    const f = parseTemperature('64.4 F', 'C', 'Room');
    expect(f.ok && f.value).toBeCloseTo(18, 6);
    expect(parseTemperature('hot', 'C', 'Room').ok).toBe(false);
    expect(parseTemperature('400', 'C', 'Room').ok).toBe(false);
    expect(formatTemperature(18, 'F')).toBe('64 °F');
    const hot = { least: 80, most: 230, beyond: 'is no heat', wayOut: 'Type more.' };
    const press = parseTemperature('302 F', 'C', 'Press', hot);
    expect(press.ok && press.value).toBeCloseTo(150, 6);
    const cold = parseTemperature('18', 'C', 'Press', hot);
    expect(!cold.ok && cold.problem.found).toBe('18 is no heat.');
  });
  it.each([
    ['12', 1200],
    ['12.4', 1240],
    ['€12,40', 1240],
    ['1,200.50', 120_050],
    ['1.200,50', 120_050],
    ['0', 0],
  ])('reads “%s” as a price', (text, minor) => {
    const read = parseMoney(text, 'EUR', 'Price');
    expect(read.ok && read.value).toBe(minor);
  });
  it('what is shown as a price is read again as it was, and words are refused', () => {
    for (const currency of ['EUR', 'USD', 'INR'])
      for (const minor of [0, 5, 99, 1240, 123_456, 99_999_999]) {
        const read = parseMoney(formatMoney(minor, currency), currency, 'Price');
        expect([currency, minor, read.ok && read.value]).toEqual([currency, minor, minor]);
      }
    expect(parseMoney('cheap', 'EUR', 'Price').ok).toBe(false);
    expect(parseMoney('-3', 'EUR', 'Price').ok).toBe(false);
  });
  it('keeps money in whole minor units', () => expect(formatMoney(1240, 'EUR')).toBe('€12.40'));
});
