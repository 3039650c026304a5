import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { square } from '../../test/square';
import { flatten, regionArea, regionOf, union, type Path, type Point, type Region } from '../geometry';
import type { DrawnPart } from '../job';
import { SIMPLE_SHAPES, simpleShape, type SimpleShapeId } from './simpleShape';
import { keepTogether, takeApart } from './takeApart';
import { law } from '../../test/depth';

const regionOfPath = (path: Path, fill: 'nonzero' | 'evenodd' = 'evenodd'): Region =>
  regionOf(flatten(path, [1, 0, 0, 1, 0, 0], 0.01), fill);
const all = Object.keys(SIMPLE_SHAPES) as SimpleShapeId[];

describe('simple shapes', () => {
  it.each(all)('a %s is one shape of about 100 units around the origin', (id) => {
    const region = regionOfPath(simpleShape(id));
    expect(region).toHaveLength(1);
    const points = region[0]!.outer;
    const reach = Math.max(...points.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y))));
    expect(reach).toBeGreaterThan(45);
    expect(reach).toBeLessThan(56);
    expect(region[0]!.holes).toHaveLength(id === 'ring' ? 1 : 0);
  });
  it.each([
    ['disc', Math.PI * 50 ** 2],
    ['ring', Math.PI * (50 ** 2 - 38 ** 2)],
    ['box', 6000],
    ['rounded', 6000 - (4 - Math.PI) * 100],
    ['triangle', ((3 * Math.sqrt(3)) / 4) * 55 ** 2],
    ['hexagon', ((3 * Math.sqrt(3)) / 2) * 50 ** 2],
    // ten triangles from the middle to a tip and a notch beside it
    ['star', 10 * 0.5 * 50 * 20 * Math.sin(Math.PI / 5)],
    ['bar', 400],
    // a band of 12 whose edges wave alike
    ['wave', 1200],
  ] as [SimpleShapeId, number][])('a %s has the area that its formula gives', (id, area) => {
    expect(regionArea(regionOfPath(simpleShape(id))) / area).toBeCloseTo(1, 2);
  });
  it.each(['heart', 'disc', 'star', 'triangle', 'hexagon', 'box'] as const)('a %s is the same seen in a mirror', (id) => {
    const region = regionOfPath(simpleShape(id));
    const mirrored = regionOf(region.map(({ outer }) => outer.map(([x, y]): Point => [-x, y]).toReversed()));
    expect(regionArea(union(region, mirrored)) / regionArea(region)).toBeCloseTo(1, 4);
  });
});

const numbered = () => {
  let n = 0;
  return () => `n${++n}`;
};

describe('a drawing taken apart', () => {
  /** Squares in a row, each with a hole or none, and in some holes a dot. */
  const drawing = fc.array(fc.constantFrom('plain', 'hole', 'dot'), { minLength: 1, maxLength: 8 }).map((kinds) => ({
    kinds,
    part: {
      id: 'p',
      colour: '#123456',
      fill: 'evenodd' as const,
      path: kinds.flatMap((kind, i) => [
        ...square(i * 30, 0, 20),
        ...(kind === 'plain' ? [] : square(i * 30 + 5, 5, 10)),
        ...(kind === 'dot' ? square(i * 30 + 8, 8, 4) : []),
      ]),
    } satisfies DrawnPart,
  }));
  it('is every outline with its holes, a dot in a hole by itself; nothing is lost or gained', () => {
    fc.assert(
      fc.property(drawing, ({ kinds, part }) => {
        const parts = takeApart([part], numbered());
        const dots = kinds.filter((kind) => kind === 'dot').length;
        expect(parts).toHaveLength(kinds.length + dots);
        const areas = parts.map((p) => regionArea(regionOfPath(p.path, p.fill)));
        expect(areas.reduce((a, b) => a + b, 0)).toBeCloseTo(regionArea(regionOfPath(part.path)), 3);
        for (const area of areas) expect([400, 300, 16].some((known) => Math.abs(area - known) < 1e-2)).toBe(true);
        expect(parts.every((p) => p.colour === part.colour)).toBe(true);
        // what is apart stays as it is
        expect(takeApart(parts, numbered()).map((p) => p.path)).toEqual(parts.map((p) => p.path));
      }),
      law(40),
    );
  });
  it('kept together again paints what it painted, in the colour of the first', () => {
    fc.assert(
      fc.property(drawing, ({ part }) => {
        const parts = takeApart([part], numbered());
        fc.pre(parts.length > 1);
        const one = keepTogether(parts, new Set(parts.map((p) => p.id)));
        expect(one).toHaveLength(1);
        expect(one[0]!.colour).toBe('#123456');
        expect(regionArea(regionOfPath(one[0]!.path, one[0]!.fill))).toBeCloseTo(regionArea(regionOfPath(part.path)), 3);
      }),
    );
  });
  it('of one shape, of nothing and of more than anybody picks among stays whole', () => {
    const one: DrawnPart = { id: 'a', colour: '#000000', fill: 'nonzero', path: square(0, 0, 5) };
    expect(takeApart([one, { ...one, id: 'b', path: [] }], numbered()).map((p) => p.id)).toEqual(['a', 'b']);
    expect(keepTogether([one], new Set(['a']))).toEqual([one]);
    expect(keepTogether([one], new Set())).toEqual([one]);
    const many: DrawnPart = { ...one, path: Array.from({ length: 2001 }, (_, i) => square(i * 3, 0, 2)).flat() };
    expect(takeApart([many], numbered())).toEqual([many]);
  });
});
