import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, flatten, regionArea, regionOf, type Region } from '../../geometry';
import type { DrawnPart } from '../../job';
import type { Picture } from './palette';
import { guessTrace } from './guessTrace';
import { TRACE_USUAL, tracePicture, type TraceOptions } from './tracePicture';
import { law } from '../../../test/depth';

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
      law(5, 40),
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
  it('corners of clean pictures lie within half a pixel: many-sided shapes, stars, plates, however turned', () => {
    type P = readonly [number, number];
    const inside = (polygon: readonly P[]) => (x: number, y: number) => {
      let within = false;
      polygon.forEach((a, i) => {
        const b = polygon[(i + 1) % polygon.length]!;
        if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) within = !within;
      });
      return within;
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 7 }),
        fc.boolean(),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 58, max: 62, noNaN: true }),
        (sides, star, turn, cx) => {
          const count = star ? 2 * sides : sides;
          const polygon = Array.from({ length: count }, (_, i): P => {
            const [angle, r] = [turn + (2 * Math.PI * i) / count, star && i % 2 ? 24 : 50];
            return [cx + r * Math.cos(angle), 60 + r * Math.sin(angle)];
          });
          const within = inside(polygon);
          const [part] = parts(picture(120, 120, (x, y) => (within(x, y) ? BLACK : WHITE)));
          const rings = flatten(part!.path, [1, 0, 0, -1, 0, 120], 0.01);
          for (const [x, y] of polygon) {
            const off = rings.flatMap((ring) =>
              ring.map((a, i) => {
                const b = ring[(i + 1) % ring.length]!;
                const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
                const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)));
                return Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy);
              }),
            );
            expect(Math.min(...off)).toBeLessThan(0.5);
          }
        },
      ),
      law(10, 100),
    );
  });
  it('which side is the mark is guessed: dark on light, light on dark, either on nothing', () => {
    const on = (mark: readonly [number, number, number], ground: readonly [number, number, number, number?]) =>
      picture(90, 90, (x, y) => (Math.hypot(x - 45, y - 45) < 25 ? mark : ground));
    for (const [mark, ground, side] of [
      [BLACK, WHITE, 'dark'],
      [WHITE, BLACK, 'light'],
      [BLACK, [0, 0, 0, 0], 'dark'],
      [WHITE, [0, 0, 0, 0], 'light'],
      [RED, [250, 240, 220], 'dark'],
      [[240, 220, 90], [40, 60, 50], 'light'],
    ] as const) {
      const guess = guessTrace(on(mark, ground));
      expect([guess.colours, guess.side]).toEqual([1, side]);
      const [part] = parts(on(mark, ground), guess);
      expect(regionArea(region(part!)) / (Math.PI * 625)).toBeCloseTo(1, 1);
      expect(part!.colour).toBe(`#${mark.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
    }
  });
  it('the clean colours of a logo are found, in the right number, soft edges and specks aside', () => {
    const all = [RED, BLUE, [240, 170, 40], [20, 110, 60], [30, 30, 30]] as const;
    for (let count = 2; count <= 5; count++) {
      const logo = picture(150, 60, (x, y) => {
        const i = Math.floor((x - 15) / 24);
        return i >= 0 && i < count && Math.hypot(x - 15 - 24 * i - 12, y - 30) < 10
          ? all[i]!
          : Math.round(x * 7 + y * 13) % 997 === 0
            ? BLACK
            : WHITE;
      });
      const guess = guessTrace(logo);
      expect(guess.colours).toBe(count);
      const wanted = all.slice(0, count).map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
      expect(
        parts(logo, guess)
          .map(({ colour }) => colour)
          .toSorted(),
      ).toEqual(wanted.toSorted());
    }
  });
  it('light that falls from one side is evened out: the mark is whole and nothing else is', () => {
    for (const [mark, ground] of [
      [0.15, 0.9],
      [0.9, 0.2],
    ] as const) {
      const lit = picture(160, 120, (x, y) => {
        const light = 255 * (1 - 0.62 * (x / 160)) * (1 - 0.15 * (y / 120) ** 2);
        const value = light * (Math.hypot(x - 80, y - 60) < 30 || Math.hypot(x - 140, y - 20) < 10 ? mark : ground);
        return [value, value, value];
      });
      const guess = guessTrace(lit);
      if (ground > mark) expect(guess.even).toBe(true);
      const area = regionArea(region(parts(lit, guess)[0]!));
      expect(Math.abs(area / (Math.PI * (900 + 100)) - 1)).toBeLessThan(0.05);
    }
    const even = guessTrace(picture(80, 80, (x) => (x > 30 && x < 50 ? BLACK : WHITE)));
    expect(even.even).toBe(false);
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
