import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  difference,
  distance,
  intersection,
  offset,
  regionArea,
  regionInside,
  type Point,
  type Region,
} from '../../geometry';
import type { Change } from '../../job';
import type { Layer } from '../drawMark';
import { flatten, regionOf, IDENTITY, type Path } from '../../geometry';
import { simpleShape } from '../simpleShape';
import { applyEdits } from './applyEdits';
import { scatterPlaces } from './scatter';
import { law } from '../../../test/depth';

const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const regionOfPath = (path: Path, fill: 'nonzero' | 'evenodd'): Region => regionOf(flatten(path, IDENTITY, 0.005), fill);
/** A letter with a counter and a dot beside it, around the origin. */
const letter = (film = 'white'): Layer[] => [
  { film, region: [...difference(box(-20, -10, 10, 10), box(-10, -4, 0, 4)), ...box(14, -10, 20, -4)] },
];
const change = (...changes: Change[]) =>
  applyEdits(
    letter(),
    changes.map((c, i) => ({ id: `${i}`, ...c })),
  );
const only = (...changes: Change[]): Region => change(...changes)[0]!.region;
const whole = letter()[0]!.region;

describe('what is wanted of a mark', () => {
  it('nothing asked for changes nothing', () => expect(applyEdits(letter(), [])).toEqual(letter()));
  it('the silhouette fills the counters and keeps the edge', () => {
    const found = only({ kind: 'silhouette' });
    expect(found.every((part) => part.holes.length === 0)).toBe(true);
    expect(boxOf(found)).toEqual(boxOf(whole));
  });
  it('one outline closes gaps under the width given, and no others', () => {
    expect(only({ kind: 'oneOutline', gap: 5 })).toHaveLength(1);
    expect(only({ kind: 'oneOutline', gap: 3 })).toHaveLength(2);
    expect(regionInside(whole, only({ kind: 'oneOutline', gap: 5 }), 0.5)).toBe(true);
  });
  it.each(['box', 'rounded', 'ellipse'] as const)('taken out of %s, plate and mark never overlap and together fill the plate', (plate) => {
    const plateLess = only({ kind: 'showGround', plate, margin: 6 });
    const b = boxOf(plateLess);
    const mark = applyEdits(letter(), [])[0]!.region;
    // the plate is centred anew: so is the mark in it
    expect(regionArea(intersection(plateLess, mark))).toBeLessThan(0.1);
    const area = plate === 'box' ? 52 * 32 : plate === 'ellipse' ? (Math.PI * 52 * 32) / 2 : undefined;
    if (area) expect((regionArea(plateLess) + regionArea(mark)) / area).toBeCloseTo(1, 2);
    expect(boxWidth(b)).toBeCloseTo(plate === 'ellipse' ? 52 * Math.SQRT2 : 52, 1);
  });
  it('taken out of any shape, mark and shape never overlap, and together they fill the shape', () => {
    const triangle = { name: 'triangle', fill: 'evenodd' as const, path: simpleShape('triangle') };
    fc.assert(
      fc.property(fc.double({ min: 2.5, max: 6, noNaN: true }), (by) => {
        const left = only({ kind: 'outOf', ...triangle, by, right: 0, up: 0 });
        const [plain] = applyEdits(letter(), []);
        const box0 = boxOf(left);
        const own = regionOfPath(triangle.path, triangle.fill);
        const scale = boxWidth(box0) / boxWidth(boxOf(own));
        expect((regionArea(left) + regionArea(plain!.region)) / (regionArea(own) * scale ** 2)).toBeCloseTo(1, 3);
        // at 1 it would just hold the mark's box
        expect(by).toBeCloseTo(Math.min(boxWidth(box0) / 40, boxHeight(box0) / 20), 4);
      }),
      law(30),
    );
  });
  it('a drawing is cut by another one, and moved in it', () => {
    const disc = { name: 'disc', fill: 'evenodd' as const, path: simpleShape('disc') };
    const middle = only({ kind: 'outOf', ...disc, by: 2, right: 0, up: 0 });
    const right = only({ kind: 'outOf', ...disc, by: 2, right: 0.2, up: 0 });
    expect(regionArea(right)).toBeCloseTo(regionArea(middle), 0);
    const hole = (region: Region) => Math.max(...region.flatMap(({ holes }) => holes.flatMap((ring) => ring.map(([x]) => x))));
    expect(hole(right) - hole(middle)).toBeCloseTo(0.2 * 40, 1);
  });
  it('shapes beside it stand off as far as is wanted, of the size that is wanted, and erase nothing', () => {
    const star = { name: 'star', fill: 'evenodd' as const, path: simpleShape('star') };
    const sides = ['left', 'right', 'leftRight', 'above', 'below', 'aboveBelow'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...sides),
        fc.double({ min: 0.2, max: 1.5, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (side, share, gap) => {
          const level = side === 'left' || side === 'right' || side === 'leftRight';
          const found = only({ kind: 'beside', ...star, side, share, gap });
          const copies = side === 'leftRight' || side === 'aboveBelow' ? 2 : 1;
          const own = regionOfPath(star.path, star.fill);
          const scale = (share * (level ? 20 : 40)) / (level ? boxHeight(boxOf(own)) : boxWidth(boxOf(own)));
          const long = (level ? boxWidth(boxOf(own)) : boxHeight(boxOf(own))) * scale;
          expect(regionArea(found)).toBeCloseTo(regionArea(whole) + copies * regionArea(own) * scale ** 2, 0);
          expect(level ? boxWidth(boxOf(found)) : boxHeight(boxOf(found))).toBeCloseTo((level ? 40 : 20) + copies * (long + gap), 1);
        },
      ),
      law(60),
    );
    const inFilm = change({ kind: 'beside', ...star, side: 'left', share: 0.5, gap: 2, film: 'red' });
    expect(inFilm.map((layer) => layer.film).toSorted()).toEqual(['red', 'white']);
  });
  it('copies that are scattered with a size have that size, whatever the mark’s own', () => {
    const found = only({ kind: 'scatter', count: 5, width: 200, height: 150, least: 2, turn: false, over: false, seed: 1, copy: 12 });
    expect(regionArea(found)).toBeCloseTo(5 * regionArea(whole) * (12 / 40) ** 2, 1);
  });
  it('a backing lies beneath in its film, larger by as much all round', () => {
    const [under, over] = change({ kind: 'backing', film: 'petrol', by: 2 });
    expect([under!.film, over!.film]).toEqual(['petrol', 'white']);
    expect(regionInside(over!.region, under!.region)).toBe(true);
    expect(regionArea(difference(under!.region, offset(over!.region, 2)))).toBeLessThan(0.1);
  });
  it('parted, its halves keep their area and stand so far apart', () => {
    const found = only({ kind: 'part', at: 0.5, gap: 7 });
    expect(regionArea(found)).toBeCloseTo(regionArea(whole), 1);
    expect(boxHeight(boxOf(found))).toBeCloseTo(27, 2);
    expect(regionArea(intersection(found, box(-50, -3.4, 50, 3.4)))).toBeLessThan(0.01);
  });
  it('bridges hold every inside on what lies around, no narrower than they are wide, and take nothing else', () => {
    const ring = (x: number): Region => difference(box(x - 10, -10, x + 10, 10), box(x - 6, -6, x + 6, 6));
    // an inside over an inside, as in a B, and a ring within a ring
    const b = difference(box(-8, -12, 8, 12), [...box(-5, 1, 5, 9), ...box(-5, -9, 5, -1)]);
    const circle = (r: number): Region => [
      {
        outer: Array.from({ length: 90 }, (_, i): Point => [
          r * Math.cos((i * Math.PI) / 45 + 0.01),
          r * Math.sin((i * Math.PI) / 45 + 0.01),
        ]),
        holes: [],
      },
    ];
    const round = difference(circle(10), circle(6));
    // on both sides, so that what hangs on them cannot turn
    expect(applyEdits([{ film: 'white', region: round }], [{ id: 'b', kind: 'bridges', width: 1.5 }])[0]!.region).toHaveLength(2);
    const rings = [...difference(box(-20, -20, 20, 20), box(-16, -16, 16, 16)), ...ring(0)];
    fc.assert(
      fc.property(fc.constantFrom(ring(0), round, b, rings, whole), fc.double({ min: 0.5, max: 3, noNaN: true }), (region, width) => {
        const [found] = applyEdits([{ film: 'white', region }], [{ id: 'b', kind: 'bridges', width }]);
        const open = found!.region;
        expect(open.every((part) => part.holes.length === 0)).toBe(true);
        // nothing is added, and what goes are strips of that width through strokes of 4 mm at most, two an inside
        expect(regionArea(difference(open, offset(region, 0.01)))).toBeLessThan(0.01);
        const holes = region.reduce((n, part) => n + part.holes.length, 0);
        const gone = regionArea(region) - regionArea(open);
        expect(gone).toBeGreaterThan(holes * width * 0.99);
        expect(gone).toBeLessThanOrEqual(2 * holes * width * 10 + 0.01);
      }),
      law(30),
    );
  });
  it('a frame keeps its distance and its width', () => {
    const found = only({ kind: 'frame', plate: 'box', margin: 5, width: 2 });
    expect(boxWidth(boxOf(found))).toBeCloseTo(40 + 2 * 7, 1);
    expect(regionArea(found) - regionArea(whole)).toBeCloseTo(54 * 34 - 50 * 30 - (4 - Math.PI) * 4, 0);
    const inFilm = change({ kind: 'frame', plate: 'box', margin: 5, width: 2, film: 'red' });
    expect(inFilm.map((l) => l.film)).toEqual(['red', 'white']);
  });
  it('stretching scales the area, repeats multiply it at equal distances', () => {
    expect(regionArea(only({ kind: 'stretch', across: 1.5, up: 0.8 })) / regionArea(whole)).toBeCloseTo(1.2, 6);
    const many = only({ kind: 'repeat', across: 3, up: 2, gap: 4 });
    expect(regionArea(many) / regionArea(whole)).toBeCloseTo(6, 6);
    expect([boxWidth(boxOf(many)), boxHeight(boxOf(many))]).toEqual([3 * 40 + 8, 2 * 20 + 4]);
  });
  it('in whatever order, the result is a sound region around its own middle, and the artwork is untouched', () => {
    const changes: Change[] = [
      { kind: 'thicken', by: 0.5 },
      { kind: 'silhouette' },
      { kind: 'bridges', width: 2 },
      { kind: 'backing', film: 'petrol', by: 2 },
      { kind: 'frame', plate: 'rounded', margin: 4, width: 2 },
      { kind: 'part', at: 0.4, gap: 3 },
      { kind: 'repeat', across: 2, up: 1, gap: 3 },
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(changes, { minLength: 1 }), (some) => {
        const layers = change(...some);
        for (const { region } of layers) expect(regionArea(region)).toBeGreaterThan(0);
        if (some.some((c) => !['thicken', 'silhouette', 'bridges'].includes(c.kind))) {
          const b = boxOf(layers.flatMap((l) => l.region));
          expect(Math.abs(b.minX + b.maxX) + Math.abs(b.minY + b.maxY)).toBeLessThan(0.01);
        }
        // the artwork itself is as it was
        const before = letter();
        applyEdits(
          before,
          some.map((c, i) => ({ id: `${i}`, ...c })),
        );
        expect(before).toEqual(letter());
      }),
      law(40),
    );
  });
});

describe('a scatter', () => {
  const scatter = (more: Partial<Extract<Change, { kind: 'scatter' }>> = {}) =>
    ({ kind: 'scatter', count: 20, width: 300, height: 200, least: 5, turn: true, over: false, seed: 3, ...more }) as const;
  it('keeps its distances and its field, is the same for a seed and another for another', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 1e6 }), fc.boolean(), (count, seed, over) => {
        const places = scatterPlaces(scatter({ count, seed, over }), 30);
        expect(places.length).toBeLessThanOrEqual(count);
        places.forEach((a, i) => places.slice(0, i).forEach((b) => expect(distance(a.at, b.at)).toBeGreaterThanOrEqual(35)));
        const inset = over ? 0 : 15;
        for (const { at } of places) {
          expect(Math.abs(at[0])).toBeLessThanOrEqual(150 - inset);
          expect(Math.abs(at[1])).toBeLessThanOrEqual(100 - inset);
        }
        expect(scatterPlaces(scatter({ count, seed, over }), 30)).toEqual(places);
      }),
      law(60),
    );
    expect(scatterPlaces(scatter(), 30)).not.toEqual(scatterPlaces(scatter({ seed: 4 }), 30));
  });
  it('over the edge it is trimmed at the edge', () => {
    const found = only(scatter({ over: true, count: 8, width: 120, height: 90 }));
    expect(boxWidth(boxOf(found))).toBeLessThanOrEqual(120.01);
  });
});
