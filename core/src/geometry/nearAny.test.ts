import { describe, expect, it } from '@jest/globals';
import { seeds } from '../../test/depth';
import { numbersFrom } from './numbers';
import { nearAny } from './nearAny';
import { distance, type Point } from './point';

describe('what is near any of some points', () => {
  it.each(seeds(4, 40, 7))('is what no point is further from than the reach, on either side of zero: points %i', (seed) => {
    const random = numbersFrom(seed);
    const some = (n: number): Point[] => Array.from({ length: n }, () => [random() * 60 - 30, random() * 60 - 30]);
    const points = some(40);
    for (const reach of [0.3, 4, 200]) {
      const near = nearAny(points, reach);
      const places = [...some(200), ...points];
      expect(places.map(near)).toEqual(places.map((place) => points.some((point) => distance(point, place) <= reach)));
    }
  });
  it('is nothing where there are none', () => expect(nearAny([], 1)([0, 0])).toBe(false));
});
