import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../test/sampleJobs';
import { boxRegion, translation } from '../geometry';
import { filmSpent } from './filmSpent';
import { freeEnd } from './nest/sheet';
import { nestedLength } from './nest/nestedLength';
import type { Nested } from './nest/nester';
import { law } from '../../test/depth';

const WIDTH = 300;
const OPTIONS = { gap: 3, holdDown: 10 };
const sheet = freeEnd(demoShop().films[0]!, WIDTH);
const parts = [{ region: boxRegion({ minX: 0, minY: 0, maxX: 40, maxY: 40 }), copies: 3 }];
const at = (...places: readonly [number, number][]): Nested[] =>
  places.map(([x, y], copy) => ({ part: 0, copy, sheet: 0, place: translation(x, y) }));
const spent = (nested: Nested[]) => filmSpent(nested, parts, sheet, OPTIONS);

describe('what a layout on a roll spends', () => {
  it('is never more than the film that it takes, and never less than half of it', () => {
    const place = fc.tuple(fc.integer({ min: 10, max: 250 }), fc.integer({ min: 10, max: 400 }));
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 6 }), (places) => {
        const nested = at(...places);
        const takes = (nestedLength({ nested }, parts) + OPTIONS.holdDown) * WIDTH;
        expect(spent(nested)).toBeLessThanOrEqual(takes);
        expect(spent(nested)).toBeGreaterThan(takes / 2);
      }),
      law(60),
    );
  });
  it('is all of it where nothing that is left is worth keeping', () => {
    // three abreast, so that no free box is 50 mm both ways
    expect(spent(at([45, 10], [130, 10], [215, 10]))).toBeCloseTo(60 * WIDTH, 6);
  });
  it('of two layouts as long is less where what is left is in one piece, and may be less where one is a little longer', () => {
    const scattered = spent(at([10, 10], [130, 10], [250, 110]));
    const gathered = spent(at([10, 10], [10, 60], [10, 110]));
    expect(gathered).toBeLessThan(scattered);
    expect(spent(at([10, 10], [10, 60], [10, 115]))).toBeLessThan(scattered);
  });
});
