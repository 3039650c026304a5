import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, flatten, regionArea, regionOf, type Region } from '../../geometry';
import type { DrawnPart } from '../../job';
import type { Picture } from './palette';
import { TRACE_USUAL, tracePicture, type TraceOptions } from './tracePicture';

type Shade = (x: number, y: number) => readonly [number, number, number, number?];
/** A picture of a function, each pixel the mean of sixteen places in it. */
function picture(width: number, height: number, shade: Shade): Picture {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0, 0];
      for (let k = 0; k < 16; k++) {
        const c = shade(x + ((k % 4) + 0.5) / 4, y + (Math.floor(k / 4) + 0.5) / 4);
        [c[0], c[1], c[2], c[3] ?? 255].forEach((v, j) => (sum[j]! += v / 16));
      }
      data.set(sum, 4 * (y * width + x));
    }
  }
  return { width, height, data };
}
const BLACK = [20, 20, 20] as const;
const WHITE = [255, 255, 255] as const;
const RED = [200, 30, 30] as const;
const BLUE = [30, 60, 190] as const;

let n = 0;
const trace = (p: Picture, options: Partial<TraceOptions> = {}) =>
  tracePicture(p, { ...TRACE_USUAL, ...options }, 'test.png', () => `t${++n}`);
function parts(p: Picture, options: Partial<TraceOptions> = {}): DrawnPart[] {
  const found = trace(p, options);
  if (!found.ok) throw new Error(found.problem.found);
  return found.value.parts;
}
const region = (part: DrawnPart): Region => regionOf(flatten(part.path, [1, 0, 0, 1, 0, 0], 0.02), part.fill);

describe('a traced picture', () => {
  it('a disc has the area and the place of the disc, with few curves', () => {
    fc.assert(
      fc.property(fc.double({ min: 15, max: 45, noNaN: true }), fc.double({ min: 50, max: 60, noNaN: true }), (r, cx) => {
        const [part] = parts(picture(110, 100, (x, y) => (Math.hypot(x - cx, y - 50) < r ? BLACK : WHITE)));
        const found = region(part!);
        expect(Math.abs(regionArea(found) - Math.PI * r * r)).toBeLessThan(2 * Math.PI * r * 0.25);
        const box = boxOf(found);
        expect(Math.abs((box.minX + box.maxX) / 2 - cx)).toBeLessThan(0.5);
        expect(part!.path.length).toBeLessThan(24);
      }),
      { numRuns: 12 },
    );
  });
  it('a square keeps its corners when they are wanted sharp, and loses them when not', () => {
    const square = picture(80, 80, (x, y) => (Math.abs(x - 40) < 25 && Math.abs(y - 40) < 25 ? BLACK : WHITE));
    const [sharp, round] = [0.9, 0].map((corners) => parts(square, { corners })[0]!);
    expect(regionArea(region(sharp!)) / 2500).toBeCloseTo(1, 2);
    const straight = (part: DrawnPart) => part.path.filter(([kind]) => kind === 'L').length;
    expect([straight(sharp!), straight(round!)]).toEqual([4, 0]);
  });
  it('a ring keeps its hole; what touches the edge is closed there', () => {
    const ring = picture(90, 90, (x, y) => (Math.abs(Math.hypot(x - 45, y - 45) - 30) < 8 ? BLACK : WHITE));
    expect(region(parts(ring)[0]!)[0]!.holes).toHaveLength(1);
    const bar = picture(60, 40, (x) => (x < 20 ? BLACK : WHITE));
    expect(regionArea(region(parts(bar)[0]!)) / 800).toBeCloseTo(1, 1);
  });
  it('specks go, and only they', () => {
    const speckled = picture(100, 60, (x, y) => (Math.hypot(x - 30, y - 30) < 18 || Math.hypot(x - 80, y - 20) < 1.5 ? BLACK : WHITE));
    expect(region(parts(speckled, { despeckle: 0 })[0]!)).toHaveLength(2);
    expect(region(parts(speckled, { despeckle: 20 })[0]!)).toHaveLength(1);
  });
  it('several colours part along their common edge: together they cover what they covered, the ground is left out', () => {
    const flag = picture(120, 80, (x, y) =>
      x > 20 && x < 60 && y > 20 && y < 60 ? RED : x >= 60 && x < 100 && y > 20 && y < 60 ? BLUE : WHITE,
    );
    const found = parts(flag, { colours: 2 });
    expect(found).toHaveLength(2);
    const areas = found.map((part) => regionArea(region(part)));
    expect(areas.reduce((a, b) => a + b) / 3200).toBeCloseTo(1, 1.5);
    expect(found.map((part) => part.colour).toSorted()).toEqual(['#1e3cbe', '#c81e1e']);
  });
  it('a clear ground counts as none', () => {
    const [only] = parts(
      picture(60, 60, (x, y) => (Math.hypot(x - 30, y - 30) < 20 ? [...RED, 255] : [0, 0, 0, 0])),
      { colours: 1 },
    );
    expect(regionArea(region(only!)) / (Math.PI * 400)).toBeCloseTo(1, 1);
  });
  it('says what is wrong, and how far it is', () => {
    const said = (p: Picture) => {
      const result = trace(p);
      return result.ok ? '' : result.problem.found;
    };
    expect(said(picture(20, 20, () => WHITE))).toMatch(/Nothing of "test.png" is left/);
    expect(said({ width: 0, height: 0, data: new Uint8ClampedArray() })).toMatch(/empty/);
    expect(said({ width: 3000, height: 3000, data: new Uint8ClampedArray(4 * 9_000_000) })).toMatch(/9 megapixels/);
    const shares: number[] = [];
    tracePicture(
      picture(40, 40, (x) => (x < 20 ? BLACK : WHITE)),
      { ...TRACE_USUAL, colours: 3 },
      't',
      () => 'x',
      (s) => shares.push(s),
    );
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares.at(-1)).toBe(1);
    const stop = () =>
      tracePicture(
        picture(20, 20, () => BLACK),
        TRACE_USUAL,
        't',
        () => 'x',
        () => {
          throw new Error('stop');
        },
      );
    expect(stop).toThrow('stop');
  });
});
