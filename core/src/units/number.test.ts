import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { law } from '../../test/depth';
import { parseLength } from './length';
import { parseMoney } from './money';
import { numbersIn, parseNumber } from './number';

/** A number as it is written with a sign for decimals and one for thousands. */
const written = (n: number, point: string, group: string): string => {
  const [whole, rest] = String(n).split('.');
  return whole!.replace(/\B(?=(\d{3})+$)/g, group) + (rest ? point + rest : '');
};

describe('numbers as people write them', () => {
  it.each([
    ['12,5', [12.5]],
    ['1,200', [1200, 1.2]],
    ['0,125', [0.125]],
    ['1,20', [1.2]],
    ['1.200', [1.2]],
    ['1.234,5', [1234.5]],
    ['1,234.5', [1234.5]],
    ['1,234,567', [1_234_567]],
    ['1.234.567', [1_234_567]],
    ['1 234,5', [1234.5]],
    ['1\u202f200', [1200]],
    ['−4', [-4]],
    [',5', [0.5]],
    ['1,23,4', []],
    ['12,34.5', []],
    ['0x10', []],
    ['1e5', []],
    ['', []],
    ['12 mm', []],
  ])('%s is %p', (text, values) => {
    expect(numbersIn(text)).toEqual(values);
  });
  it('whatever the signs, a number is among its readings, and it is asked only where a comma stands before three digits', () => {
    const cents = fc.integer({ min: 0, max: 99_999_999 });
    fc.assert(
      fc.property(cents, fc.constantFrom(['.', ','], [',', '.'], [',', ' '], ['.', '\u00a0'], ['.', '']), (n, [point, group]) => {
        const text = written(n / 100, point!, group!);
        const found = numbersIn(text);
        // one point is always a decimal one
        if (/^\d{1,3}\.\d{3}$/.test(text)) expect(found).toHaveLength(1);
        else expect(found).toContain(n / 100);
        expect(found.length > 1).toBe(/^[1-9]\d{0,2},\d{3}$/.test(text));
      }),
      law(300),
    );
  });
  it('lengths, prices and plain numbers ask where it could be either, and take the only one that fits', () => {
    const asked = (result: ReturnType<typeof parseNumber>) =>
      result.ok ? result.value : `${result.problem.found} ${result.problem.wayOut}`;
    expect(asked(parseLength('1,200 mm', 'mm', 'Width'))).toBe('"1,200 mm" may be 1200 mm or 1.2 mm. Type 1200 mm or 1.2 mm.');
    expect(asked(parseLength('1,125', 'inch', 'Width'))).toContain('1125 in or 1.125 in');
    expect(asked(parseLength('1,200 m', 'mm', 'Width'))).toBe(1200);
    expect(asked(parseLength('1 200', 'mm', 'Width'))).toBe(1200);
    expect(asked(parseMoney('1,200', 'EUR', 'Price'))).toBe('"1,200" may be 1200.00 or 1.20. Type 1200.00 or 1.20.');
    expect(asked(parseMoney('1.200', 'EUR', 'Price'))).toContain('1200.00 or 1.20');
    expect(asked(parseMoney('€1,200.50', 'EUR', 'Price'))).toBe(120_050);
    expect(asked(parseNumber('1,200', 'Turn', { least: -360, most: 360, units: ['°'] }))).toBe(1.2);
    expect(asked(parseNumber('1,200', 'Count', { least: 1, most: 5000, whole: true }))).toBe(1200);
    expect(asked(parseNumber('12.5 %', 'Share', { least: 0, most: 100, units: ['%'] }))).toBe(12.5);
    expect(asked(parseNumber('', 'Count', { least: 0, most: 9 }))).toBe('"" does not fit here. Type a number from 0 to 9.');
  });
  it.each([
    ['2 feet', 609.6],
    ['1 foot', 304.8],
    ['1\'-2"', 355.6],
    ['1\' - 2 1/2"', 368.3],
  ])('%s is %d mm', (text, mm) => {
    const found = parseLength(text, 'mm', 'Width');
    expect(found.ok && found.value).toBeCloseTo(mm, 6);
  });
});
