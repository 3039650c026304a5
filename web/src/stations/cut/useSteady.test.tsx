import { expect, it } from '@jest/globals';
import { renderHook } from '@testing-library/react';
import { useSteady } from './useSteady';

it('is the first of equal values, and each that is another', () => {
  const first = [{ film: 'white', parts: [1, 2] }];
  const { result, rerender } = renderHook(({ value }) => useSteady(value), { initialProps: { value: first } });
  rerender({ value: [{ film: 'white', parts: [1, 2] }] });
  expect(result.current).toBe(first);
  const other = [{ film: 'white', parts: [1, 3] }];
  rerender({ value: other });
  expect(result.current).toBe(other);
});
