import { describe, expect, it } from '@jest/globals';
import { difference, union } from './boolean';
import { boxRegion } from './box';
import { offset } from './offset';
import type { Point, Region } from './point';
import { thickness } from './thickness';

const box = (x: number, y: number, w: number, h: number): Region => boxRegion({ minX: x, minY: y, maxX: x + w, maxY: y + h });
const circle = (r: number, x = 0): Region => [
  {
    outer: Array.from({ length: 240 }, (_, i): Point => [x + r * Math.cos((i * Math.PI) / 120), r * Math.sin((i * Math.PI) / 120)]),
    holes: [],
  },
];

describe('thickness', () => {
  it.each([0.3, 0.5, 0.7, 0.9])('measures a bar %p mm wide', (width) => {
    expect(thickness(box(0, 0, 30, width), 1).least).toBeCloseTo(width, 1);
  });
  it('measures a ring at its wall', () => {
    const wall = thickness(difference(circle(10), circle(9.4)), 1);
    expect(Math.abs(wall.least - 0.6)).toBeLessThan(0.012);
  });
  it('finds the neck between two discs, and where it is', () => {
    const dumbbell = union(union(circle(5), circle(5, 20)), box(4, -0.3, 12, 0.6));
    const { least, places } = thickness(dumbbell, 1);
    expect(Math.abs(least - 0.6)).toBeLessThan(0.02);
    expect(places[0]!.at[0]).toBeGreaterThan(4);
    expect(places[0]!.at[0]).toBeLessThan(16);
  });
  it('does not take corners for strokes', () => {
    expect(thickness(box(0, 0, 20, 10), 2).least).toBe(Infinity);
    expect(
      thickness(
        [
          {
            outer: [
              [0, 0],
              [30, 0],
              [15, 26],
            ],
            holes: [],
          },
        ],
        1.2,
      ).least,
    ).toBe(Infinity);
    // a pointed tip of 30 degrees
    expect(
      thickness(
        [
          {
            outer: [
              [0, -5.36],
              [20, 0],
              [0, 5.36],
            ],
            holes: [],
          },
        ],
        1,
      ).least,
    ).toBe(Infinity);
    // a short hair on a stout body is a stroke all the same
    expect(thickness(union(box(0, 0, 10, 10), box(9, 4, 4, 0.4)), 1).least).toBeCloseTo(0.4, 1);
  });
  it('grows by twice what is added per side', () => {
    const bar = box(0, 0, 30, 0.5);
    expect(Math.abs(thickness(offset(bar, 0.1), 1).least - 0.7)).toBeLessThan(0.02);
  });
});
