import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../../test/sampleJobs';
import { boxRegion, difference, growBox, boxOf, offset, regionInside, then, translation, type Point, type Region } from '../../geometry';
import { checkNesting } from './checkNesting';
import type { Nester, NestPart, Nesting } from './nester';
import { freeEnd, type Sheet } from './sheet';
import { asKept, copyKey, partsKey, placesOf, type NamedPart } from './keptLayout';
import { grownOutline } from './nestShape';
import { startByOutlines } from './fillSheet';
import { nestedLength } from './nestedLength';
import { separate } from './separateNester';
import { skyline } from './skyline';
import { Tightening } from './tightening';
import { QUARTERS } from './turns';
import { law } from '../../../test/depth';

const [film] = demoShop().films as [ReturnType<typeof demoShop>['films'][number]];
const OPTIONS = { gap: 3, holdDown: 10 };
const BUDGET = { rounds: 20, seed: 1 };

/** A star of so many points: its outline is far from its box. */
const star = (points: number, long: number, short: number): Region => [
  {
    outer: Array.from({ length: 2 * points }, (_, i): Point => {
      const r = i % 2 === 0 ? long : short;
      const angle = (Math.PI * i) / points;
      return [r * Math.cos(angle) + 7, r * Math.sin(angle) - 4];
    }),
    holes: [],
  },
];
const part: fc.Arbitrary<NestPart> = fc.record({
  region: fc.oneof(
    fc.tuple(fc.integer({ min: 3, max: 7 }), fc.integer({ min: 8, max: 40 })).map(([n, r]) => star(n, r, r * 0.4)),
    fc.tuple(fc.integer({ min: 4, max: 150 }), fc.integer({ min: 4, max: 300 })).map(([w, h]) => {
      const frame = boxRegion({ minX: 0, minY: 0, maxX: w, maxY: h });
      return w > 20 && h > 20 ? difference(frame, boxRegion(growBox(boxOf(frame), -5))) : frame;
    }),
  ),
  copies: fc.integer({ min: 1, max: 4 }),
  fixed: fc.boolean(),
});

/** Every way of laying parts on sheets: a new one is a new row. */
const NESTERS: [string, Nester][] = [
  ['skyline', skyline],
  ['separation', separate],
];

describe.each(NESTERS)('nesting by %s', (_name, nest) => {
  it('lays every copy once, apart and clear of the edges, by the true outlines', () => {
    fc.assert(
      fc.property(fc.array(part, { maxLength: 6 }), fc.integer({ min: 100, max: 600 }), (parts, width) => {
        const sheets = [freeEnd(film, width)];
        expect(checkNesting(nest(parts, sheets, OPTIONS, BUDGET), parts, sheets, OPTIONS)).toEqual([]);
      }),
      law(20, 200),
    );
  });
  it('gives the same layout for the same seed, and none without a sheet', () => {
    const parts = [{ region: star(5, 30, 12), copies: 4 }];
    const sheets = [freeEnd(film, 200)];
    expect(nest(parts, sheets, OPTIONS, BUDGET)).toEqual(nest(parts, sheets, OPTIONS, BUDGET));
    expect(nest(parts, [], OPTIONS, BUDGET)).toEqual({ nested: [], tooLarge: [0] });
  });
});

describe('the checker of nestings', () => {
  const square = boxRegion({ minX: -10, minY: -10, maxX: 10, maxY: 10 });
  const parts: NestPart[] = [{ region: square, copies: 2 }];
  const sheets: Sheet[] = [
    {
      film,
      outline: difference(boxRegion({ minX: 0, minY: 0, maxX: 100, maxY: 100 }), boxRegion({ minX: 60, minY: 60, maxX: 80, maxY: 80 })),
      from: { kind: 'offcut', id: 'o' },
    },
  ];
  const at = (x: number, y: number, copy = 0) => ({ part: 0, copy, sheet: 0, place: translation(x, y) });
  const faults = (...nested: Nesting['nested']) => checkNesting({ nested, tooLarge: [] }, parts, sheets, OPTIONS);
  it('is content with what is well laid, to a hundredth', () => {
    expect(faults(at(20, 20), at(43, 20, 1))).toEqual([]);
    expect(faults(at(20, 20), at(20, 80, 1))).toEqual([]);
  });
  it.each([
    ['too near each other', [at(20, 20), at(42.9, 20, 1)], '0/0 is too near 0/1'],
    ['on each other', [at(20, 20), at(20, 20, 1)], '0/0 is too near 0/1'],
    ['over the edge', [at(5, 20), at(43, 20, 1)], '0/0 is too near the edge of sheet 0'],
    ['held down', [at(19.9, 20), at(43, 20, 1)], '0/0 is too near the edge of sheet 0'],
    ['at a hole of the sheet', [at(20, 20), at(52, 52, 1)], '0/1 is too near the edge of sheet 0'],
    ['missing', [at(20, 20)], '0/1 is not laid'],
    ['twice', [at(20, 20), at(20, 80), at(43, 20, 1)], '0/0 is laid twice'],
  ])('sees what is %s', (_what, nested, fault) => expect(faults(...nested)).toEqual([fault]));
  it('lets a part lie in the hole of another, and no nearer than the gap', () => {
    const ring = difference(
      boxRegion({ minX: -30, minY: -30, maxX: 30, maxY: 30 }),
      boxRegion({ minX: -14, minY: -14, maxX: 14, maxY: 14 }),
    );
    const both: NestPart[] = [
      { region: ring, copies: 1 },
      { region: square, copies: 1 },
    ];
    const within = (dx: number): Nesting => ({
      nested: [
        { part: 0, copy: 0, sheet: 0, place: translation(45, 50) },
        { part: 1, copy: 0, sheet: 0, place: then(translation(dx, 0), translation(45, 50)) },
      ],
      tooLarge: [],
    });
    const whole = [freeEnd(film, 100)];
    expect(checkNesting(within(0), both, whole, OPTIONS)).toEqual([]);
    expect(checkNesting(within(2), both, whole, OPTIONS)).toEqual(['0/0 is too near 1/0']);
  });
});

describe('the outline that is moved about', () => {
  it('lies outside the true one grown by half the gap, and has few points', () => {
    fc.assert(
      fc.property(part, fc.double({ min: 1, max: 6, noNaN: true }), ({ region }, gap) => {
        const grown = grownOutline(region, gap);
        for (const one of [grown, grownOutline(region, gap, 'fine')])
          expect(regionInside(offset(region, gap / 2 - 0.02), one, 0.05)).toBe(true);
        expect(grown.reduce((sum, { outer }) => sum + outer.length, 0)).toBeLessThan(160);
      }),
      law(60, 200),
    );
  });
});

describe('a start by outlines', () => {
  it('is whole and without faults, no longer than the boxes, shorter where they stand open, and the same each time', () => {
    const sheets = [freeEnd(film, 200)];
    const stars: NestPart[] = [
      { region: star(3, 30, 10), copies: 8 },
      { region: star(5, 14, 6), copies: 6 },
    ];
    const plates: NestPart[] = [{ region: boxRegion({ minX: 0, minY: 0, maxX: 55, maxY: 30 }), copies: 9 }];
    for (const [parts, open] of [
      [stars, true],
      [plates, false],
    ] as const) {
      const boxes = skyline(parts, sheets, OPTIONS, BUDGET);
      const found = startByOutlines(parts, sheets[0]!, OPTIONS, { rounds: 6, seed: 4 }, boxes);
      expect(checkNesting(found, parts, sheets, OPTIONS)).toEqual([]);
      const [length, least] = [nestedLength(found, parts), nestedLength(boxes, parts)];
      if (open) expect(length).toBeLessThan(least);
      else expect(length).toBeLessThanOrEqual(least);
      expect(startByOutlines(parts, sheets[0]!, OPTIONS, { rounds: 6, seed: 4 }, boxes)).toEqual(found);
    }
  });
});

describe('a kept layout', () => {
  const parts: NamedPart[] = [
    { job: 'j', mark: 'a', region: star(5, 30, 12), copies: 3 },
    { job: 'j', mark: 'b', region: star(4, 18, 9), copies: 2 },
  ];
  const sheets = [freeEnd(film, 220)];
  const found = separate(parts, sheets, OPTIONS, BUDGET);
  it('is laid as it was, whatever else would lay it', () => {
    const places = placesOf(found, parts);
    const again = asKept({ places }, skyline)(parts, sheets, OPTIONS, BUDGET);
    expect(checkNesting(again, parts, sheets, OPTIONS)).toEqual([]);
    expect(nestedLength(again, parts)).toBeCloseTo(nestedLength(found, parts), 6);
  });
  it('is for just these parts: another count, another size or a part too many is laid in another way', () => {
    const places = placesOf(found, parts);
    const more = parts.map((part, i) => (i === 0 ? { ...part, copies: 4 } : part));
    for (const others of [more, parts.slice(0, 1)]) {
      expect(asKept({ places }, skyline)(others, sheets, OPTIONS, BUDGET)).toEqual(skyline(others, sheets, OPTIONS, BUDGET));
      expect(partsKey(others)).not.toBe(partsKey(parts));
    }
    expect(partsKey(parts.map((part, i) => (i === 1 ? { ...part, region: star(4, 18.1, 9) } : part)))).not.toBe(partsKey(parts));
  });
});

describe('separation', () => {
  it('is never longer than the boxes, and lays small parts into the holes of large ones', () => {
    const ring = difference(
      boxRegion({ minX: -60, minY: -60, maxX: 60, maxY: 60 }),
      boxRegion({ minX: -45, minY: -45, maxX: 45, maxY: 45 }),
    );
    const parts: NestPart[] = [
      { region: ring, copies: 1 },
      { region: boxRegion({ minX: 0, minY: 0, maxX: 60, maxY: 60 }), copies: 1 },
    ];
    const sheets = [freeEnd(film, 150)];
    const boxes = skyline(parts, sheets, OPTIONS, BUDGET);
    const found = separate(parts, sheets, OPTIONS, { rounds: 120, seed: 3 });
    expect(checkNesting(found, parts, sheets, OPTIONS)).toEqual([]);
    expect(nestedLength(boxes, parts)).toBeGreaterThan(190);
    expect(nestedLength(found, parts)).toBeLessThan(135);
  });
  it('does better than boxes with stars, which fill half of theirs, and turns nothing that may not be turned', () => {
    const parts: NestPart[] = [{ region: star(3, 30, 10), copies: 10, fixed: true }];
    const sheets = [freeEnd(film, 200)];
    const found = separate(parts, sheets, OPTIONS, { rounds: 60, seed: 2 });
    expect(checkNesting(found, parts, sheets, OPTIONS)).toEqual([]);
    expect(nestedLength(found, parts)).toBeLessThan(nestedLength(skyline(parts, sheets, OPTIONS, BUDGET), parts));
    for (const { place } of found.nested) expect([place[0], place[1]]).toEqual([1, 0]);
  });
});

describe('tightening', () => {
  it('makes what a search found shorter, without a fault, the same each time; none changes places, and what is locked stays', () => {
    const parts: NestPart[] = [
      // outlines of few points are followed closely as it is
      { region: star(24, 24, 19), copies: 6 },
      { region: star(22, 16, 14), copies: 6 },
    ];
    const sheet = freeEnd(film, 160);
    const search = separate(parts, [sheet], OPTIONS, { rounds: 80, seed: 4 }).nested;
    const locked = new Set([copyKey(search[0]!)]);
    const tightened = () => {
      const tightening = new Tightening(parts, sheet, OPTIONS, search, QUARTERS, locked);
      while (tightening.step());
      return tightening;
    };
    const [found, again] = [tightened(), tightened()];
    expect(again.nested()).toEqual(found.nested());
    for (const nested of [found.nested(), found.gathered()]) {
      expect(checkNesting({ nested, tooLarge: [] }, parts, [sheet], OPTIONS)).toEqual([]);
      expect(nestedLength({ nested }, parts)).toBeLessThan(nestedLength({ nested: search }, parts) - 0.1);
      expect(nested.map(copyKey)).toEqual(search.map(copyKey));
      nested.forEach(({ place }, i) => {
        const moved = Math.hypot(place[4] - search[i]!.place[4], place[5] - search[i]!.place[5]);
        if (locked.has(copyKey(nested[i]!))) expect(moved).toBeLessThan(1e-6);
        if (nested === found.nested()) expect(moved).toBeLessThan(12);
        expect(place.slice(0, 4)).toEqual(search[i]!.place.slice(0, 4));
      });
    }
  });
  it('leaves alone what overlaps', () => {
    const parts: NestPart[] = [{ region: star(5, 24, 10), copies: 2 }];
    const over = [0, 1].map((copy) => ({ part: 0, copy, sheet: 0, place: [1, 0, 0, 1, 60 + copy, 60] as const }));
    const tightening = new Tightening(parts, freeEnd(film, 160), OPTIONS, over);
    expect(tightening.step()).toBe(false);
    expect(nestedLength({ nested: tightening.nested() }, parts)).toBeCloseTo(nestedLength({ nested: over }, parts), 6);
  });
});
