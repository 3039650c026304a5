import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { difference, union } from './boolean';
import { boxRegion } from './box';
import { offset } from './offset';
import type { Point, Region } from './point';
import { LIMITS } from '../facts';
import { spur } from '../../test/knownShapes';
import { thickness as measure } from './thickness';
import { applyToRegion, rotation } from './transform';
import { law } from '../../test/depth';

const box = (x: number, y: number, w: number, h: number): Region => boxRegion({ minX: x, minY: y, maxX: x + w, maxY: y + h });
const circle = (r: number, x = 0): Region => [
  {
    outer: Array.from({ length: 240 }, (_, i): Point => [x + r * Math.cos((i * Math.PI) / 120), r * Math.sin((i * Math.PI) / 120)]),
    holes: [],
  },
];

const thickness = (region: Region, under: number) => measure(region, under, LIMITS.tip);

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

describe('law: what is thin is found', () => {
  const turn = fc.double({ min: 0, max: 6.28, noNaN: true });
  const turned = (region: Region, by: number) => applyToRegion(rotation(by), region);

  it('a hair of any width on a stout part, however it lies', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: 2.6, max: 12, noNaN: true }),
        turn,
        (width, length, by) => {
          const { least } = thickness(turned(spur(width, width, length), by), 1.05);
          expect(Math.abs(least / width - 1)).toBeLessThan(0.02);
        },
      ),
    );
  });
  it('a hair between two stout parts, and at two corners that face each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        fc.double({ min: 0.05, max: 6, noNaN: true }),
        turn,
        (width, length, by) => {
          const bar = union(union(box(-6, -5, 6, 10), box(length, -5, 6, 10)), box(-1, -width / 2, length + 2, width));
          const cut = thickness(turned(bar, by), 1);
          expect(Math.abs(cut.least / (Math.round(width * 500) / 500) - 1)).toBeLessThan(0.12);
        },
      ),
    );
  });
  it('a stroke that tapers is thin where it is under the limit for 2 mm, and a tip where it is not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.1, max: 4, noNaN: true }),
        fc.double({ min: 3, max: 30, noNaN: true }),
        fc.double({ min: 0.6, max: 1.5, noNaN: true }),
        turn,
        (root, length, limit, by) => {
          fc.pre(root > limit * 1.3);
          const { least, tips } = thickness(turned(spur(root, 0.001, length), by), limit);
          const thinFor = (length * limit) / root;
          // looks are a fifth of the limit apart
          if (thinFor > 2 + limit / 4) expect(Math.abs(least - (2 * root) / length)).toBeLessThan(0.12 * limit + 0.02);
          else if (thinFor < 1.9) expect(least).toBe(Infinity);
          // blunter than some 40° it is a corner
          if (thinFor > 1 && thinFor < 1.9 && root / length < 0.65) expect(Math.abs(tips[0]!.length - thinFor)).toBeLessThan(0.35);
        },
      ),
      law(300),
    );
  });
  it('each of two mirrored parts has its places in itself', () => {
    const hook: Region = [
      {
        outer: [
          [0, 0],
          [10, 0],
          [10, 10],
          [4, 10],
          [4, 4.5],
          [9.5, 4.5],
          [9.5, 4.1],
          [0, 4.1],
        ],
        holes: [],
      },
    ];
    const twin: Region = hook.map((part) => ({
      outer: part.outer.map(([x, y]): Point => [40 - x, y]).toReversed(),
      holes: [],
    }));
    const alone = thickness(twin, 1).places.map(({ at }) => at);
    const after = thickness([...hook, ...twin], 1).places.map(({ at }) => at);
    expect(after).toHaveLength(2 * alone.length);
    for (const [x, y] of alone) expect(after.some((at) => Math.hypot(at[0] - x, at[1] - y) < 1e-6)).toBe(true);
  });
  it('a slim part alone is thin all over, without tips', () => {
    const hyphen = thickness(box(0, 0, 1.5, 0.6), 1);
    expect(hyphen.least).toBeCloseTo(0.6, 2);
  });
});
