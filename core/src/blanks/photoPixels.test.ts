import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Picture } from '../artwork';
import { boxHeight, boxOf, boxOfPoints, boxWidth, regionArea, regionOf, type Point, type Ring } from '../geometry';
import { outlineOf } from './outlineFrom';
import { ALIKE_USUAL, outlineUnder } from './outlineUnder';
import { inverseHomography, rectify, throughHomography } from './photo';
import { straighten, straightFrame } from './straighten';
import { law } from '../../test/depth';

type Paint = (place: Point) => readonly [number, number, number];
/** A picture of what `paint` says, each pixel the mean of nine places. */
function picture(width: number, height: number, paint: Paint): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const sum = [0, 0, 0];
    for (let k = 0; k < 9; k++) {
      const colour = paint([(i % width) + (k % 3) / 3 + 1 / 6, Math.floor(i / width) + Math.floor(k / 3) / 3 + 1 / 6]);
      for (let c = 0; c < 3; c++) sum[c]! += colour[c]! / 9;
    }
    data.set([...sum, 255], 4 * i);
  }
  return { width, height, data };
}
const WOOD = [188, 150, 108] as const;
const PLATE = [52, 70, 96] as const;
const WHITE = [250, 250, 246] as const;
const SIZE = [420, 320] as const;
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const ringOf = (found: ReturnType<typeof outlineUnder>): Ring => {
  if (!found.ok) throw new Error(found.problem.found);
  return found.value;
};

describe('the outline under a press', () => {
  it('of an ellipse has its area and its box to less than a pixel, wherever it is pressed', () => {
    fc.assert(
      fc.property(number(40, 90), number(30, 70), number(-0.6, 0.6), (a, b, off) => {
        const paint: Paint = ([x, y]) => (((x - 210) / a) ** 2 + ((y - 160) / b) ** 2 < 1 ? PLATE : WOOD);
        const ring = ringOf(outlineUnder(picture(...SIZE, paint), [210 + a * off, 160 + b * off], ALIKE_USUAL));
        const box = boxOfPoints(ring);
        // the picture is drawn by thirds of a pixel: a bow that ends within one loses it on both sides
        expect(Math.abs(boxWidth(box) - 2 * a)).toBeLessThan(0.75);
        expect(Math.abs(boxHeight(box) - 2 * b)).toBeLessThan(0.75);
        expect(Math.abs(regionArea(regionOf([ring])) / (Math.PI * a * b) - 1)).toBeLessThan(0.01);
      }),
      law(3, 20),
    );
  });
  it('takes what the piece encloses along with it: a screw, a shine, a word', () => {
    const paint: Paint = ([x, y]) => {
      if (Math.hypot(x - 180, y - 150) < 12) return WHITE;
      return Math.abs(x - 200) < 90 && Math.abs(y - 160) < 60 ? PLATE : WOOD;
    };
    const ring = ringOf(outlineUnder(picture(...SIZE, paint), [260, 180], ALIKE_USUAL));
    expect(Math.abs(regionArea(regionOf([ring])) - 180 * 120)).toBeLessThan(180);
  });
  it('is refused with the way out where the colour runs over the edge, or is a speck', () => {
    const plate = picture(...SIZE, ([x, y]) =>
      Math.hypot(x - 30, y - 160) < 80 ? PLATE : Math.hypot(x - 300, y - 100) < 8 ? WHITE : WOOD,
    );
    for (const [at, way] of [
      [[40, 160], 'more alike'],
      [[390, 300], 'another colour'],
      [[300, 100], 'Press on the plain face'],
    ] as const) {
      const found = outlineUnder(plate, at, ALIKE_USUAL);
      expect(found.ok ? '' : found.problem.wayOut).toContain(way);
    }
  });
});

describe('a photo seen from straight above', () => {
  const sheet: Point[] = [
    [0, 210],
    [297, 210],
    [297, 0],
    [0, 0],
  ];
  it('shows a plate that was photographed aslant upright and at its size, and its outline measures the same on both', () => {
    fc.assert(
      fc.property(number(-0.35, 0.35), number(-0.45, 0.45), (turn, tilt) => {
        const look = ([x, y]: Point): Point => {
          const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
          const depth = 900 + v * Math.sin(tilt);
          return [210 + (420 * (u - 150)) / depth, 180 - (420 * (v - 110) * Math.cos(tilt)) / depth];
        };
        const map = rectify(sheet.map(look), 297, 210);
        if (!map.ok) throw new Error(map.problem.found);
        const [w, h] = [120, 80];
        const photo = picture(...SIZE, (place) => {
          const [x, y] = throughHomography(map.value, place);
          return Math.abs(x - 140) < w / 2 && Math.abs(y - 100) < h / 2 ? PLATE : WOOD;
        });
        const known = { kind: 'sheet' as const, corners: sheet.map(look), width: 297, height: 210 };
        const frame = straightFrame({ width: SIZE[0], height: SIZE[1], known }, map.value);
        expect(Math.max(frame.width, frame.height)).toBe(1400);
        const straight = straighten(photo, map.value, frame);
        const at: Point = [(140 - frame.box.minX) * frame.perMm, (frame.box.maxY - 100) * frame.perMm];
        const found = boxOfPoints(ringOf(outlineUnder(straight, at, ALIKE_USUAL)));
        expect(Math.abs(boxWidth(found) / frame.perMm - w)).toBeLessThan(1.1);
        expect(Math.abs(boxHeight(found) / frame.perMm - h)).toBeLessThan(1.1);
        // pressed on the photo as it was taken, and measured through the map
        const aslant = ringOf(outlineUnder(photo, throughHomography(inverseHomography(map.value), [140, 100]), ALIKE_USUAL));
        const outline = outlineOf(regionOf([aslant.map((p) => throughHomography(map.value, p))]), 'plate');
        expect(outline.ok && Math.abs(outline.value.width - w) < 2 && Math.abs(outline.value.height - h) < 2).toBe(true);
      }),
      law(1, 6),
    );
  });
  it('ends before the horizon, and leaves clear what the photo does not show', () => {
    // a camera that looks far across a table: the upper part of the photo lies beyond the horizon
    const corners: Point[] = [
      [180, 200],
      [240, 200],
      [300, 300],
      [120, 300],
    ];
    const map = rectify(corners, 297, 210);
    if (!map.ok) throw new Error(map.problem.found);
    const photo = picture(...SIZE, () => WOOD);
    const frame = straightFrame({ width: SIZE[0], height: SIZE[1], known: { kind: 'sheet', corners, width: 297, height: 210 } }, map.value);
    expect(boxWidth(frame.box)).toBeLessThan(297 * 12);
    expect(boxHeight(frame.box)).toBeLessThan(210 * 12);
    const { data } = straighten(photo, map.value, frame);
    const seen = data.filter((_, i) => i % 4 === 3).reduce((sum, alpha) => sum + (alpha > 0 ? 1 : 0), 0);
    expect(seen).toBeGreaterThan(0);
    expect(seen).toBeLessThan(frame.width * frame.height);
    expect(boxOf(regionOf([sheet])).maxX).toBeLessThanOrEqual(frame.box.maxX);
  });
});
