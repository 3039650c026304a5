import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { convexHull, pointInRing, type Point, type Ring } from '../geometry';
import { contrastOf } from './contrast';
import { handySizeBelow } from './handySize';
import { largestFit } from './largestFit';
import { law } from '../../test/depth';

const square: Ring = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
];
const polygon = (n: number, r: number, turn = 0): Point[] =>
  Array.from({ length: n }, (_, i) => [r * Math.cos(turn + (2 * Math.PI * i) / n), r * Math.sin(turn + (2 * Math.PI * i) / n)] as Point);
const circle = polygon(720, 50);

describe('largest fit, where the answer is known', () => {
  it('a square in a circle of radius 50 has sides of 50√2', () =>
    expect(largestFit(square, circle, 0).scale * 2).toBeCloseTo(50 * Math.SQRT2, 1));
  it('a circle in a square of 100 with 10 of margin has a radius of 40', () =>
    expect(
      largestFit(
        polygon(720, 1),
        [
          [0, 0],
          [100, 0],
          [100, 100],
          [0, 100],
        ],
        10,
      ).scale,
    ).toBeCloseTo(40, 3));
  it('a square in a triangle with base and height 60 has sides of 30', () =>
    expect(
      largestFit(
        square,
        [
          [0, 0],
          [60, 0],
          [30, 60],
        ],
        0,
      ).scale * 2,
    ).toBeCloseTo(30, 6));
  it('a wide rectangle in a circle: r = √(w² + h²)', () =>
    expect(
      largestFit(
        [
          [-3, -1],
          [3, -1],
          [3, 1],
          [-3, 1],
        ],
        circle,
        0,
      ).scale,
    ).toBeCloseTo(50 / Math.sqrt(10), 2));
  it('a zone smaller than its margin takes nothing', () =>
    expect(
      largestFit(
        square,
        [
          [0, 0],
          [10, 0],
          [10, 4],
          [0, 4],
        ],
        2.5,
      ).scale,
    ).toBe(0));
  it('an outline whose origin lies on the edge of the zone still has its size', () => {
    const art: Point[] = [
      [0, 0],
      [42, -3],
      [41, 6],
    ];
    const zone: Ring = [
      [0, 0],
      [0, -24],
      [-70, 85],
    ];
    const { scale, at } = largestFit(art, zone, 0);
    expect(scale).toBeGreaterThan(0);
    expect(largestFit(art, zone, 0, at).scale).toBeCloseTo(scale, 4);
  });
  it('with room to spare one way it lies in the middle', () => {
    const { at, scale } = largestFit(
      square,
      [
        [0, 0],
        [100, 0],
        [100, 20],
        [0, 20],
      ],
      2,
    );
    expect(scale).toBeCloseTo(8, 6);
    expect(at[0]).toBeCloseTo(50, 3);
    expect(at[1]).toBeCloseTo(10, 3);
  });
});

describe('largest fit, whatever the shapes', () => {
  const points = fc.array(fc.tuple(fc.integer({ min: -90, max: 90 }), fc.integer({ min: -90, max: 90 })) as fc.Arbitrary<Point>, {
    minLength: 5,
    maxLength: 12,
  });
  it('lies inside, and one percent more does not fit there', () => {
    fc.assert(
      fc.property(points, points, (art, zonePoints) => {
        const zone = convexHull(zonePoints.map(([x, y]): Point => [x * 10, y * 10]));
        const hull = convexHull(art);
        fc.pre(zone.length >= 3 && hull.length >= 3);
        const { scale, at } = largestFit(art, zone, 0);
        fc.pre(scale > 1e-3);
        const inside = (s: number) => art.every(([x, y]) => pointInRing([at[0] + x * s, at[1] + y * s], zone));
        expect(inside(scale * 0.9999)).toBe(true);
        expect(inside(scale * 1.01)).toBe(false);
        expect(largestFit(art, zone, 0, at).scale).toBeCloseTo(scale, 4);
      }),
      law(150),
    );
  });
});

describe('handy sizes and contrast', () => {
  it('are the next whole ones down', () => {
    expect(handySizeBelow(74, 'mm')).toBe(70);
    expect(handySizeBelow(70, 'mm')).toBe(65);
    expect(handySizeBelow(12.4, 'mm')).toBe(12);
    expect(handySizeBelow(90, 'inch')).toBeCloseTo(88.9, 6);
  });
  it.each([
    ['#ffffff', '#000000', 'fine'],
    ['#1f4e79', '#21384a', 'stop'],
    ['#d98e16', '#fbfbf8', 'watch'],
  ])('%s on %s is %s', (a, b, verdict) => {
    expect(contrastOf(a, b).verdict).toBe(verdict);
    expect(contrastOf(b, a).ratio).toBeCloseTo(contrastOf(a, b).ratio, 9);
  });
  it('black on white is 21 : 1', () => expect(contrastOf('#000000', '#ffffff').ratio).toBeCloseTo(21, 6));
});
