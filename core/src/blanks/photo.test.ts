import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Point } from '../geometry';
import { inverseHomography, photoMap, rectify, scaledBy, throughHomography } from './photo';
import { law } from '../../test/depth';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A pinhole camera looking at a plane: where a place of the plane, mm, is on the photo, pixels (turned, tilted, so far off). */
const camera =
  (turn: number, tilt: number, far: number) =>
  ([x, y]: Point): Point => {
    const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
    const depth = far + v * Math.sin(tilt);
    return [700 + (1200 * u) / depth, 500 - (1200 * v * Math.cos(tilt)) / depth];
  };
const sheet: Point[] = [
  [0, 210],
  [297, 210],
  [297, 0],
  [0, 0],
];

describe('a photo with a sheet of paper', () => {
  it('measures truly whatever way the camera looked', () => {
    fc.assert(
      fc.property(
        number(-3, 3),
        number(-0.9, 0.9),
        number(700, 2500),
        fc.array(fc.tuple(number(-150, 400), number(-150, 400)), { minLength: 2, maxLength: 2 }),
        (turn, tilt, far, [a, b]) => {
          const look = camera(turn, tilt, far);
          const map = rectify(sheet.map(look), 297, 210);
          if (!map.ok) throw new Error(map.problem.found);
          const [p, q] = [a!, b!].map((place) => throughHomography(map.value, look(place)));
          expect(Math.hypot(p![0] - q![0], p![1] - q![1])).toBeCloseTo(Math.hypot(a![0] - b![0], a![1] - b![1]), 4);
          const back = throughHomography(inverseHomography(map.value), p!);
          expect(back[0]).toBeCloseTo(look(a!)[0], 4);
        },
      ),
      law(200),
    );
  });
  it('corners that cross or lie in a line are refused, and told how to mend it', () => {
    const [a, b, c, d] = [
      [0, 0],
      [100, 0],
      [100, 80],
      [0, 80],
    ] as Point[] as [Point, Point, Point, Point];
    for (const corners of [
      [a, c, b, d],
      [a, b, d, c],
      [a, [50, 0], b, [150, 0]],
      [a, a, b, c],
    ] as Point[][]) {
      const found = rectify(corners, 297, 210);
      expect(!found.ok && found.problem.wayOut).toMatch(/Drag the corners so that they go round/);
    }
    expect(rectify([a, b, c, d], 297, 210).ok).toBe(true);
  });
});

describe('a photo with a known length', () => {
  it('only scales', () => {
    const map = scaledBy([100, 100], [300, 100], 50);
    expect(map.ok && throughHomography(map.value, [500, 60])).toEqual([100, 10]);
    expect(scaledBy([0, 0], [3, 3], 50).ok).toBe(false);
    const photo = {
      name: 'p',
      data: '',
      width: 10,
      height: 10,
      known: {
        kind: 'length',
        ends: [
          [0, 0],
          [100, 0],
        ],
        length: 25,
      },
    } as const;
    const own = photoMap(photo);
    expect(own.ok && throughHomography(own.value, [40, 0])[0]).toBeCloseTo(10, 9);
  });
});
