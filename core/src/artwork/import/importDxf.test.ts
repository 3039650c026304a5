import { beforeAll, describe, expect, it, jest } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, flatten, regionArea, regionOf, type Region } from '../../geometry';
import type { DrawnPart } from '../../job';
import { importDxf } from './importDxf';
import { law } from '../../../test/depth';

/** Pairs of code and value as a DXF writes them. */
const pairs = (...values: (string | number)[]) => values.join('\n');
const dxf = (entities: string[], blocks: string[] = [], layers: string[] = []) =>
  [
    ...(layers.length > 0 ? [pairs(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LAYER'), ...layers, pairs(0, 'ENDTAB', 0, 'ENDSEC')] : []),
    ...(blocks.length > 0 ? [pairs(0, 'SECTION', 2, 'BLOCKS'), ...blocks, pairs(0, 'ENDSEC')] : []),
    pairs(0, 'SECTION', 2, 'ENTITIES'),
    ...entities,
    pairs(0, 'ENDSEC', 0, 'EOF'),
    '',
  ].join('\n');
const line = (x1: number, y1: number, x2: number, y2: number) => pairs(0, 'LINE', 8, '0', 10, x1, 20, y1, 11, x2, 21, y2);
const circle = (x: number, y: number, r: number, layer = '0') => pairs(0, 'CIRCLE', 8, layer, 10, x, 20, y, 40, r);
const arc = (x: number, y: number, r: number, from: number, to: number) => pairs(0, 'ARC', 8, '0', 10, x, 20, y, 40, r, 50, from, 51, to);
const poly = (closed: boolean, ...vertices: [number, number, number?][]) =>
  pairs(
    0,
    'LWPOLYLINE',
    8,
    '0',
    90,
    vertices.length,
    70,
    closed ? 1 : 0,
    ...vertices.flatMap(([x, y, bulge]) => [10, x, 20, y, ...(bulge ? [42, bulge] : [])]),
  );

// the reader talks about broken files
beforeAll(() => {
  for (const way of ['log', 'error'] as const) jest.spyOn(console, way).mockImplementation(() => undefined);
});

let n = 0;
const read = (text: string) => importDxf(text, 'test.dxf', () => `p${++n}`);
function partsOf(text: string): DrawnPart[] {
  const found = read(text);
  if (!found.ok) throw new Error(found.problem.found);
  return found.value.parts;
}
const region = (part: DrawnPart): Region => regionOf(flatten(part.path, [1, 0, 0, 1, 0, 0], 0.001), part.fill);
const area = (text: string) => regionArea(region(partsOf(text)[0]!));

describe('a DXF drawing', () => {
  it('outlines drawn twice count once, those that overlap are joined, an island in a hole stays; it is told', () => {
    const box = (x: number, y: number, w: number, h: number) => poly(true, [x, y], [x + w, y], [x + w, y + h], [x, y + h]);
    expect(area(dxf([box(0, 0, 10, 10), box(0, 0, 10, 10)]))).toBeCloseTo(100, 6);
    const back = poly(true, [10, 0], [0, 0], [0, 10], [10, 10]);
    const found = read(dxf([box(0, 0, 10, 10), back]));
    expect(found.ok && found.value.leftOut).toEqual(['1 outline that was there twice']);
    expect(area(dxf([box(0, 0, 10, 10), box(5, 5, 10, 10)]))).toBeCloseTo(175, 6);
    expect(area(dxf([box(0, 0, 10, 10), back, box(5, 5, 10, 10)]))).toBeCloseTo(175, 6);
    expect(area(dxf([box(0, 0, 30, 30), box(5, 5, 20, 20), box(10, 10, 5, 5)]))).toBeCloseTo(900 - 400 + 25, 6);
    // a hole that another plate reaches into is closed there only
    expect(area(dxf([box(0, 0, 30, 30), box(5, 5, 20, 20), box(20, 10, 30, 5)]))).toBeCloseTo(900 - 400 + 25 + 100, 6);
  });
  it('ends meet within five hundredths of a millimetre where it says its units, and a speck of a line is no outline', () => {
    const header = (unit: number) => pairs(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, unit, 0, 'ENDSEC');
    const gap = (by: number) => [line(0, 0, 10, 0), line(10 + by, 0, 10, 10), line(10, 10, 0, 10 + by), line(0, 10, 0, 0)];
    const mm = (entities: string[]) => `${header(4)}\n${dxf(entities)}`;
    expect(area(mm(gap(0.04)))).toBeGreaterThan(99);
    const healed = read(mm(gap(0.04)));
    expect(healed.ok && healed.value.leftOut).toEqual(['2 small gaps between lines, which are closed']);
    const exact = read(mm(gap(0)));
    expect(exact.ok && exact.value.leftOut).toEqual([]);
    expect(read(mm(gap(0.2))).ok).toBe(false);
    const speck = read(mm([...gap(0), line(50, 50, 50.02, 50)]));
    expect(speck.ok && speck.value.leftOut).toEqual(['1 open line']);
  });
  it('circles, arcs and bulges have the areas that formulas give', () => {
    expect(area(dxf([circle(5, 5, 10)])) / (Math.PI * 100)).toBeCloseTo(1, 3);
    expect(area(dxf([arc(0, 0, 10, 0, 180), line(-10, 0, 10, 0)])) / (Math.PI * 50)).toBeCloseTo(1, 3);
    // two half circles: a bulge of 1 is a half turn
    expect(area(dxf([poly(true, [0, 0, 1], [20, 0, 1])])) / (Math.PI * 100)).toBeCloseTo(1, 3);
    // a bulge of tan(1/4 of 90°) on a chord of a square
    const quarter = Math.tan(Math.PI / 8);
    expect(area(dxf([poly(true, [0, 0, quarter], [10, 0, quarter], [10, 10, quarter], [0, 10, quarter])])) / (Math.PI * 50)).toBeCloseTo(
      1,
      3,
    );
  });
  it('an ellipse: π·a·b, turned or not', () => {
    const ellipse = pairs(0, 'ELLIPSE', 8, '0', 10, 3, 20, 4, 11, 12, 21, 5, 40, 0.5, 41, 0, 42, 2 * Math.PI);
    expect(area(dxf([ellipse])) / (Math.PI * 13 * 6.5)).toBeCloseTo(1, 3);
  });
  it('lines that meet become one outline in whatever order and direction they come', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([0, 1, 2, 3, 4], { minLength: 5 }),
        fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }),
        (order, turned) => {
          const corners: [number, number][] = [
            [0, 0],
            [40, 0],
            [50, 20],
            [20, 45],
            [0, 30],
          ];
          const lines = order.map((i) => {
            const [a, b] = [corners[i]!, corners[(i + 1) % 5]!];
            return turned[i] ? line(...b, ...a) : line(...a, ...b);
          });
          expect(area(dxf(lines))).toBeCloseTo(1625, 1);
        },
      ),
      law(30),
    );
  });
  it('what lies within is a hole, and colours part', () => {
    expect(area(dxf([circle(0, 0, 10), circle(0, 0, 5)])) / (Math.PI * 75)).toBeCloseTo(1, 3);
    const red = pairs(0, 'LAYER', 2, 'red', 70, 0, 62, 1, 6, 'CONTINUOUS');
    expect(partsOf(dxf([circle(0, 0, 10), circle(30, 0, 5, 'red')], [], [red])).map((p) => p.colour)).toEqual(['#000000', '#ff0000']);
  });
  it('a closed spline of degree 1 is its polygon; of degree 3 it stays inside it', () => {
    const square = [
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
      [0, 0],
    ] as const;
    const spline = (degree: number, knots: number[]) =>
      pairs(
        0,
        'SPLINE',
        8,
        '0',
        70,
        9,
        71,
        degree,
        72,
        knots.length,
        73,
        5,
        74,
        0,
        ...knots.flatMap((k) => [40, k]),
        ...square.flatMap(([x, y]) => [10, x, 20, y]),
      );
    expect(area(dxf([spline(1, [0, 0, 1, 2, 3, 4, 4])]))).toBeCloseTo(100, 3);
    const cubic = region(partsOf(dxf([spline(3, [0, 0, 0, 0, 1, 2, 2, 2, 2])]))[0]!);
    expect(regionArea(cubic)).toBeLessThan(100);
    expect(regionArea(cubic)).toBeGreaterThan(30);
    expect(boxOf(cubic).minX).toBeGreaterThanOrEqual(0);
  });
  it('a rational spline is the circle that its weights make it, and curves are followed to a hundredth of a millimetre', () => {
    const w = Math.SQRT1_2;
    // nine points round a square: the usual way of writing a circle
    const control = [
      [1, 0],
      [1, 1],
      [0, 1],
      [-1, 1],
      [-1, 0],
      [-1, -1],
      [0, -1],
      [1, -1],
      [1, 0],
    ].map(([x, y]) => [x! * 150, y! * 150]);
    const knots = [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4];
    const weights = [1, w, 1, w, 1, w, 1, w, 1];
    const circled = (weighed: boolean) =>
      pairs(
        ...[0, 'SPLINE', 8, '0', 70, 13, 71, 2, 72, knots.length, 73, 9, 74, 0],
        ...knots.flatMap((k) => [40, k]),
        ...(weighed ? weights.flatMap((one) => [41, one]) : []),
        ...control.flatMap(([x, y]) => [10, x!, 20, y!]),
      );
    const header = pairs(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC');
    const rings = (text: string) => flatten(partsOf(text)[0]!.path, [1, 0, 0, 1, 0, 0], 0.001).flat();
    const edge = rings(`${header}\n${dxf([circled(true)])}`);
    // its corners lie on the circle, and the middles of its edges no further in than that
    edge.forEach(([x, y], i) => {
      const [a, b] = edge[(i + 1) % edge.length]!;
      expect(Math.abs(Math.hypot(x, y) - 150)).toBeLessThan(0.01);
      expect(Math.abs(Math.hypot((x + a) / 2, (y + b) / 2) - 150)).toBeLessThan(0.01);
    });
    expect(Math.abs(Math.hypot(...rings(`${header}\n${dxf([circled(false)])}`)[40]!) - 150)).toBeGreaterThan(1);
  });
  it('polylines are as wide as they say: of one width mitred, of changing ones tapered', () => {
    const wide = pairs(0, 'LWPOLYLINE', 8, '0', 90, 3, 70, 0, 43, 2, 10, 0, 20, 0, 10, 30, 20, 0, 10, 30, 20, 20);
    expect(area(dxf([wide]))).toBeCloseTo(30 * 2 + 20 * 2, 1);
    const arrow = pairs(0, 'LWPOLYLINE', 8, '0', 90, 2, 70, 0, 10, 0, 20, 0, 40, 6, 41, 0, 10, 10, 20, 0);
    expect(area(dxf([arrow]))).toBeCloseTo(30, 1);
    const closed = pairs(
      0,
      'LWPOLYLINE',
      8,
      '0',
      90,
      4,
      70,
      1,
      43,
      2,
      ...[
        [0, 0],
        [20, 0],
        [20, 20],
        [0, 20],
      ].flatMap(([x, y]) => [10, x!, 20, y!]),
    );
    expect(area(dxf([closed]))).toBeCloseTo(22 * 22 - 18 * 18, 1);
    const vertex = (x: number, y: number, ...more: number[]) => pairs(0, 'VERTEX', 8, '0', 10, x, 20, y, 30, 0, ...more);
    const old = [pairs(0, 'POLYLINE', 8, '0', 66, 1, 70, 0, 40, 3, 41, 3), vertex(0, 0), vertex(10, 0), pairs(0, 'SEQEND', 8, '0')].join(
      '\n',
    );
    expect(area(dxf([old]))).toBeCloseTo(30, 1);
  });
  it('solid hatches are taken with their islands, hatches of lines and kinds that are not read are named', () => {
    const loop = (x: number, y: number, side: number) => [
      ...[92, 3, 72, 0, 73, 1, 93, 4],
      ...[
        [x, y],
        [x + side, y],
        [x + side, y + side],
        [x, y + side],
      ].flatMap(([a, b]) => [10, a!, 20, b!]),
      ...[97, 0],
    ];
    const hatch = (solid: number, ...loops: (string | number)[][]) =>
      pairs(
        ...[0, 'HATCH', 8, '0', 10, 0, 20, 0, 30, 0, 2, solid ? 'SOLID' : 'ANSI31', 70, solid, 71, 0, 91, loops.length],
        ...loops.flat(),
        ...[75, 0, 76, 1, 98, 0],
      );
    expect(area(dxf([hatch(1, loop(0, 0, 20), loop(5, 5, 10))]))).toBeCloseTo(300, 6);
    // a half disc of an arc that runs clockwise and a line
    const half = [92, 1, 93, 2, 72, 2, 10, 0, 20, 0, 40, 10, 50, 0, 51, 180, 73, 1, 72, 1, 10, -10, 20, 0, 11, 10, 21, 0, 97, 0];
    expect(area(dxf([hatch(1, half)])) / (Math.PI * 50)).toBeCloseTo(1, 3);
    const turned = [92, 1, 93, 2, 72, 2, 10, 0, 20, 0, 40, 10, 50, 0, 51, 180, 73, 0, 72, 1, 10, -10, 20, 0, 11, 10, 21, 0, 97, 0];
    expect(boxOf(region(partsOf(dxf([hatch(1, turned)]))[0]!)).maxY).toBeCloseTo(0, 6);
    const named = read(
      dxf([circle(0, 0, 5), hatch(0, loop(0, 0, 20)), pairs(0, 'WIPEOUT', 8, '0', 10, 0, 20, 0), pairs(0, 'RAY', 8, '0', 10, 0, 20, 0)]),
    );
    expect(named.ok && named.value.leftOut).toEqual(['1 × hatch', '1 × wipeout', '1 × ray']);
    expect(area(dxf([pairs(0, 'TRACE', 8, '0', 10, 0, 20, 0, 11, 10, 21, 0, 12, 0, 22, 5, 13, 10, 23, 5)]))).toBeCloseTo(50, 6);
  });
  it('what lies in a plane that is seen from behind is mirrored: circles, arcs, ellipses, polylines', () => {
    const behind = [210, 0, 220, 0, 230, -1];
    const x = (entity: string) => {
      const box = boxOf(region(partsOf(dxf([entity, circle(0, 60, 1)]))[0]!));
      return [box.minX, box.maxX].map(Math.round);
    };
    expect(x(pairs(0, 'CIRCLE', 8, '0', 10, 30, 20, 0, 40, 5, ...behind))).toEqual([-35, 1]);
    expect(x(pairs(0, 'LWPOLYLINE', 8, '0', 90, 3, 70, 1, 10, 20, 20, 0, 10, 30, 20, 0, 10, 30, 20, 10, ...behind))).toEqual([-30, 1]);
    // half an ellipse whose angles run the other way: the lower half
    const ellipse = (z: number) =>
      pairs(0, 'ELLIPSE', 8, '0', 10, 0, 20, 0, 11, 10, 21, 0, 210, 0, 220, 0, 230, z, 40, 0.5, 41, 0, 42, Math.PI);
    const high = (z: number) => boxOf(region(partsOf(dxf([ellipse(z), line(-10, 0, 10, 0)]))[0]!));
    expect(high(1).maxY).toBeCloseTo(5, 2);
    expect(high(-1).minY).toBeCloseTo(-5, 2);
  });
  it('layers of one colour are one drawing, and can be taken one by one', () => {
    const result = read(dxf([circle(0, 0, 10, 'plate'), circle(0, 0, 5, 'holes'), circle(40, 0, 3, 'plate')]));
    if (!result.ok) throw new Error(result.problem.found);
    expect(result.value.parts).toHaveLength(1);
    expect(regionArea(region(result.value.parts[0]!)) / (Math.PI * (100 - 25 + 9))).toBeCloseTo(1, 3);
    const { otherwise: layered = [] } = result.value;
    expect(layered.map(({ layer }) => layer)).toEqual(['plate', 'holes']);
    expect(new Set(layered.map(({ colour }) => colour)).size).toBe(2);
    expect(regionArea(region(layered[1]!)) / (Math.PI * 25)).toBeCloseTo(1, 3);
    const one = read(dxf([circle(0, 0, 10, 'plate')]));
    expect(one.ok && one.value.otherwise).toBeUndefined();
  });
  it('blocks repeat, scaled, turned and in rows', () => {
    const block = pairs(0, 'BLOCK', 8, '0', 2, 'dot', 70, 0, 10, 1, 20, 1, 3, 'dot', 0, 'CIRCLE', 8, '0', 10, 1, 20, 1, 40, 1, 0, 'ENDBLK');
    const insert = pairs(0, 'INSERT', 8, '0', 2, 'dot', 10, 100, 20, 50, 41, 2, 42, 2, 50, 90, 70, 3, 71, 2, 44, 10, 45, 20);
    const found = region(partsOf(dxf([insert], [block]))[0]!);
    expect(found).toHaveLength(6);
    expect(regionArea(found) / (6 * Math.PI * 4)).toBeCloseTo(1, 2);
    // three columns of 10 turned by a quarter run upward, two rows of 20 to the left
    const box = boxOf(found);
    expect([box.minX, box.maxX, box.minY, box.maxY].map(Math.round)).toEqual([78, 102, 48, 72]);
  });
  it('names what it leaves out, and refuses what is no drawing', () => {
    const found = read(dxf([circle(0, 0, 5), line(20, 0, 30, 0), pairs(0, 'TEXT', 8, '0', 10, 0, 20, 0, 40, 5, 1, 'hello')]));
    expect(found.ok && found.value.leftOut).toEqual(['1 × text', '1 open line']);
    const said = (text: string) => {
      const result = read(text);
      return result.ok ? 'taken' : `${result.problem.found} ${result.problem.wayOut}`;
    };
    expect(said('hello')).toMatch(/not a whole DXF/);
    expect(said(dxf([line(0, 0, 10, 0)]))).toMatch(/no closed outline: its 1 line stays open.*ends meet/);
    expect(said('AutoCAD Binary DXF\r\n')).toMatch(/binary/);
    const endless = pairs(0, 'BLOCK', 8, '0', 2, 'b', 70, 0, 10, 0, 20, 0, 3, 'b', 0, 'INSERT', 8, '0', 2, 'b', 10, 1, 20, 1, 0, 'ENDBLK');
    expect(said(dxf([pairs(0, 'INSERT', 8, '0', 2, 'b', 10, 0, 20, 0)], [endless]))).toMatch(/blocks within blocks|no closed/);
  });
  it.each([Number.NaN, Infinity, 1e200])('a bulge of %s is none', (bulge) =>
    expect(area(dxf([poly(true, [0, 0, bulge], [10, 0], [10, 10], [0, 10])]))).toBeCloseTo(100, 6),
  );
  it('a broken one is refused or read, never worse', () => {
    const whole = dxf([circle(0, 0, 10), poly(true, [0, 0, 1], [20, 0, 1]), line(0, 0, 1, 1)]);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: whole.length }),
        fc.integer({ min: 0, max: whole.length }),
        fc.string({ maxLength: 4 }),
        (at, to, put) => {
          const [a, b] = [Math.min(at, to), Math.max(at, to)];
          const result = read(whole.slice(0, a) + put + whole.slice(b));
          if (result.ok)
            for (const part of result.value.parts)
              for (const s of part.path) for (const p of s.slice(1)) expect(Number.isFinite((p as [number, number])[0])).toBe(true);
          else expect(result.problem.wayOut).not.toBe('');
        },
      ),
      law(150, undefined, 9),
    );
  });
});
