import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { formatLength, parseLength } from './length';

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
  ] as const)('reads %s as typed in %s', (text, system, expected) => {
    expect(mm(text, system)).toBeCloseTo(expected, 9);
  });

  it.each(['', 'wide', '3 mm mm', '1/0', '-4', '200 m', 'NaN', '1e9'])('refuses %p with a way out', (text) => {
    const result = parseLength(text, 'mm', 'Width');
    expect(result.ok).toBe(false);
    if (!result.ok) {
      expect(result.problem.where).toBe('Width');
      expect(result.problem.wayOut).toMatch(/^(Type|Measure|Check)/);
    }
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
