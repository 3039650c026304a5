import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { FIRST_FILL, FIRST_WASH } from '../facts';
import { readyWait } from './readyWait';

it('packed is at once, filled never later than washed; a coat has to cure for either, film only dwells for a day', () => {
  const wait = fc.record({ minutes: fc.nat(40_000), coat: fc.constantFrom(undefined, 'sealer' as const, 'acrylic' as const) });
  fc.assert(
    fc.property(fc.array(wait, { maxLength: 5 }), (care) => {
      const [packed, filled, washed] = (['packed', 'filled', 'washed'] as const).map((as) => readyWait(as, care));
      expect(packed).toBe(0);
      expect(readyWait(undefined, care)).toBe(0);
      expect(filled!).toBeLessThanOrEqual(washed!);
      expect(washed).toBe(Math.max(0, ...care.map(({ minutes }) => minutes)));
    }),
  );
  expect(readyWait('filled', [{ minutes: FIRST_WASH }])).toBe(FIRST_FILL);
  expect(readyWait('filled', [{ minutes: 600, coat: 'sealer' }])).toBe(600);
});
