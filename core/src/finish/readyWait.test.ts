import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readyWait } from './readyWait';

it('packed is at once, filled once water may come to it, washed when all of it has cured', () => {
  const wait = fc.record({ minutes: fc.nat(40_000), then: fc.constantFrom('water' as const, 'firstWash' as const, 'clothWash' as const) });
  fc.assert(
    fc.property(fc.array(wait, { maxLength: 5 }), (care) => {
      const [packed, filled, washed] = (['packed', 'filled', 'washed'] as const).map((as) => readyWait(as, care));
      expect([packed, readyWait(undefined, care)]).toEqual([0, 0]);
      expect(filled!).toBeLessThanOrEqual(washed!);
      expect(filled).toBe(Math.max(0, ...care.filter(({ then }) => then === 'water').map(({ minutes }) => minutes)));
      expect(washed).toBe(Math.max(0, ...care.map(({ minutes }) => minutes)));
    }),
  );
});
