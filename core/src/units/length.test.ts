import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { formatArea, formatLength, parseLength } from './length';

const mm = (text: string, system: 'mm' | 'inch' = 'mm') => {
  const result = parseLength(text, system, 'Width');
  return result.ok ? result.value : result.problem.found;
};

describe('parseLength', () => {
  it.each([
    ['3 1/2', 'inch', 88.9],
    ['3.5in', 'mm', 88.9],
    ['3½"', 'mm', 88.9],
    ['9 cm', 'inch', 90],
    ['12,5', 'mm', 12.5],
    ['1/4', 'inch', 6.35],
    ['.5', 'mm', 0.5],
    ['0.6 m', 'mm', 600],
    ['3-1/2"', 'mm', 88.9],
    ['3 – 1/2', 'inch', 88.9],
    ['1\' 2 3/8"', 'mm', 365.125],
    ['1’ 2”', 'mm', 355.6],
    ['2 ft 6 in', 'mm', 762],
    ["1' 6", 'inch', 457.2],
    ['3 1/2”', 'mm', 88.9],
    ['3 ⅚', 'inch', 97.366666666],
    ['3⁄4', 'inch', 19.05],
    [',5', 'mm', 0.5],
    ["1''", 'mm', 25.4],
  ] as const)('reads %s as typed in %s', (text, system, expected) => {
    expect(mm(text, system)).toBeCloseTo(expected, 6);
  });

  it.each(['', 'wide', '3 mm mm', '1/0', '-4', '200 m', 'NaN', '1e9', "1' 14", '3-', '1/2/3'])('refuses %p with a way out', (text) => {
    const result = parseLength(text, 'mm', 'Width');
    expect(result.ok).toBe(false);
    if (!result.ok) {
      expect(result.problem.where).toBe('Width');
      expect(result.problem.wayOut).toMatch(/^(Type|Measure|Check)/);
    }
  });

  it('nothing that is not nought reads as nought, and fine measures keep their thousandths', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 4, noNaN: true }),
        fc.constantFrom('mm' as const, 'inch' as const),
        fc.constantFrom(0, 1, 2),
        (length, system, digits) => {
          expect(formatLength(length, system, { digits })).not.toMatch(/^−?0(\.0+)? /);
        },
      ),
    );
    expect(formatLength(0.15, 'inch')).toBe('0.006 in');
    expect(formatLength(0.8, 'inch')).toBe('0.031 in');
    expect(formatLength(0, 'inch')).toBe('0 in');
    expect(formatLength(25.4 / 32, 'inch')).toBe('1/32 in');
    expect(formatLength(0.01, 'inch')).toBe('under 0.001 in');
    expect(formatLength(3.5, 'inch')).toBe('1/8 in');
    expect(formatLength(0.02, 'mm')).toBe('0.02 mm');
    expect(formatLength(0.02, 'mm', { digits: 0 })).toBe('0.02 mm');
  });
  it('reads back what formatLength wrote, within its step', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 3000, noNaN: true }), fc.constantFrom('mm' as const, 'inch' as const), (length, system) => {
        const step = system === 'mm' ? 0.05 : 25.4 / 64;
        const back = parseLength(formatLength(length, system), system, 'x');
        expect(back.ok && Math.abs(back.value - length) <= step + 1e-9).toBe(true);
      }),
    );
  });
});

it('areas are said in the user’s unit, and what is not nought never reads as nought', () => {
  expect([formatArea(0.7, 'mm'), formatArea(3, 'mm'), formatArea(36.4, 'mm')]).toEqual(['0.7 mm²', '3 mm²', '36 mm²']);
  expect([formatArea(0.2, 'inch'), formatArea(3, 'inch'), formatArea(1300, 'inch')]).toEqual(['under 0.001 in²', '0.005 in²', '2 in²']);
});
