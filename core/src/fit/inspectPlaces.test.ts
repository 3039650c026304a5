import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../test/sampleJobs';
import { FILM_KINDS, LIMITS } from '../facts';
import { applyToRegion, boxRegion, difference, rotation, then, translation, union, type Point, type Region } from '../geometry';
import { inspectPlaces } from './inspectPlaces';
import { law } from '../../test/depth';

const shop = demoShop();
const film = shop.films.find((f) => f.kind === 'permanent')!;
const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const disc = (r: number, [x, y]: Point): Region => [
  {
    outer: Array.from({ length: 90 }, (_, i): Point => [x + r * Math.cos((i * Math.PI) / 45), y + r * Math.sin((i * Math.PI) / 45)]),
    holes: [],
  },
];
const look = (region: Region, technique: 'decal' | 'stencil' = 'decal') =>
  inspectPlaces([{ film: film.id, region }], { technique }, shop.films);
const limit = FILM_KINDS[film.kind].leastStroke.typical;

describe('an inspection in place', () => {
  it('finds a thin bar by its width, wherever it lies and however it is turned; a stout one not at all', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 3, noNaN: true }), fc.integer({ min: 0, max: 179 }), (share, degrees) => {
        fc.pre(Math.abs(share - 1) > 0.05 && Math.abs(share - 1.25) > 0.05);
        const width = limit * share;
        const bar = applyToRegion(then(rotation((degrees * Math.PI) / 180), translation(40, -7)), box(-30, -width / 2, 30, width / 2));
        const { strokes } = look(bar);
        if (share > 1.25) expect(strokes).toEqual([]);
        else {
          expect(strokes.length).toBeGreaterThan(0);
          expect(Math.min(...strokes.map((s) => s.width))).toBeCloseTo(width, 1);
          expect(strokes.every((s) => s.limit === limit)).toBe(true);
          // every place lies on the bar
          for (const { at } of strokes) expect(Math.hypot(at[0] - 40, at[1] + 7)).toBeLessThan(31);
        }
      }),
      law(40),
    );
  });
  it('rings dots that are lost and counters that stay closed, and counts islands and waste', () => {
    const small = Math.sqrt(LIMITS.smallPart / Math.PI) * 0.8;
    const shut = Math.sqrt(LIMITS.smallCounter / Math.PI) * 0.8;
    const plate = difference(difference(box(0, 0, 80, 40), disc(12, [20, 20])), disc(shut, [60, 20]));
    const region = union(plate, disc(5, [20, 20]), disc(small, [100, 20]));
    const map = look(region);
    expect(map.lost.map(({ at }) => at.map(Math.round))).toEqual([[100, 20]]);
    expect(map.closed.map(({ at }) => at.map(Math.round))).toEqual([[60, 20]]);
    expect(map).toMatchObject({ shapes: 3, counters: 2, islands: 1, waste: 3, overlaps: [] });
    for (const { radius } of [...map.lost, ...map.closed]) expect(radius).toBeLessThan(2);
  });
  it('of a stencil looks at the film that stays: what lies between openings may be thin, and openings are the waste', () => {
    const gap = limit * 0.6;
    const openings = union(box(0, 0, 30, 30), box(30 + gap, 0, 60, 30));
    const map = look(openings, 'stencil');
    expect(Math.min(...map.strokes.map((s) => s.width))).toBeCloseTo(gap, 1);
    expect(map.waste).toBe(2);
    expect(look(openings).strokes).toEqual([]);
  });
  it('of nothing, or of a film that the shop does not know, is empty', () => {
    const none = { strokes: [], lost: [], closed: [], islands: 0, shapes: 0, counters: 0, overlaps: [] };
    expect(look([])).toMatchObject(none);
    expect(inspectPlaces([{ film: 'nobody’s', region: box(0, 0, 9, 9) }], { technique: 'decal' }, shop.films)).toMatchObject(none);
  });
});
