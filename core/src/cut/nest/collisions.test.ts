import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxRegion, difference, growBox, boxOf, type Point, type Region } from '../../geometry';
import { edgesCross, overlap } from './collide';
import { Collisions } from './collisions';
import { nestBody } from './nestShape';
import { QUARTERS } from './turns';
import { law } from '../../../test/depth';

const star = (points: number, long: number, short: number): Region => [
  {
    outer: Array.from({ length: 2 * points }, (_, i): Point => {
      const r = i % 2 === 0 ? long : short;
      return [r * Math.cos((Math.PI * i) / points), r * Math.sin((Math.PI * i) / points)];
    }),
    holes: [],
  },
];
const frame = (width: number, height: number, wall: number): Region => {
  const whole = boxRegion({ minX: 0, minY: 0, maxX: width, maxY: height });
  return difference(whole, boxRegion(growBox(boxOf(whole), -wall)));
};
const region: fc.Arbitrary<Region> = fc.oneof(
  fc.tuple(fc.integer({ min: 3, max: 7 }), fc.integer({ min: 12, max: 40 })).map(([n, r]) => star(n, r, r * 0.5)),
  fc.tuple(fc.integer({ min: 40, max: 90 }), fc.integer({ min: 40, max: 90 })).map(([w, h]) => frame(w, h, 8)),
  fc.tuple(fc.integer({ min: 8, max: 60 }), fc.integer({ min: 8, max: 60 })).map(([w, h]) => star(4, w, h / 2)),
);
const CELLS = 40;
/** So much less than a cell's diagonal in all, either way. */
const OFF = 1.5;
const GAP = 2;

/** Two shapes in turns of theirs, one against the other. */
const pair = fc.record({
  a: region,
  b: region,
  turnA: fc.constantFrom(...QUARTERS),
  turnB: fc.constantFrom(...QUARTERS, 0.5, 3.2),
  dx: fc.double({ min: -90, max: 90, noNaN: true }),
  dy: fc.double({ min: -90, max: 90, noNaN: true }),
});

function laid({ a, b, turnA, turnB }: { a: Region; b: Region; turnA: number; turnB: number }) {
  const collisions = new Collisions();
  const [first, second] = [nestBody({ region: a }, GAP, [0, turnA]).shapes, nestBody({ region: b }, GAP, [0, turnB]).shapes];
  const one = collisions.add(first)[1]!;
  const other = collisions.add(second)[1]!;
  collisions.ready({ cells: CELLS, rim: 1.5 });
  const mean = [first[0]!, second[0]!].reduce((sum, { minX, maxX, minY, maxY }) => sum + maxX - minX + maxY - minY, 0) / 4;
  return { collisions, one, other, shapes: [first[1]!, second[1]!] as const, cell: Math.max(0.4, mean / CELLS) };
}

describe('outlines that cross', () => {
  it('are found by their chains as by every edge against every other', () => {
    const many = fc.tuple(fc.integer({ min: 3, max: 30 }), fc.integer({ min: 12, max: 40 })).map(([n, r]) => star(n, r, r * 0.6));
    fc.assert(
      fc.property(pair, fc.oneof(region, many), fc.oneof(region, many), ({ turnA, turnB, dx, dy }, one, other) => {
        const a = nestBody({ region: one }, GAP, [turnA]).shapes[0]!;
        const b = nestBody({ region: other }, GAP, [turnB]).shapes[0]!;
        const side = (px: number, py: number, qx: number, qy: number, x: number, y: number) =>
          (qx - px) * (y - py) - (qy - py) * (x - px) > 0;
        let cross = false;
        for (let i = 0; i < a.ax.length; i++)
          for (let j = 0; j < b.ax.length; j++) {
            const [ax, ay, bx, by] = [a.ax[i]!, a.ay[i]!, a.bx[i]!, a.by[i]!];
            const [px, py, qx, qy] = [b.ax[j]! + dx, b.ay[j]! + dy, b.bx[j]! + dx, b.by[j]! + dy];
            cross ||=
              side(ax, ay, bx, by, px, py) !== side(ax, ay, bx, by, qx, qy) &&
              side(px, py, qx, qy, ax, ay) !== side(px, py, qx, qy, bx, by);
          }
        expect(edgesCross(a, b, dx, dy)).toBe(cross);
      }),
      law(50, 600),
    );
  });
});

describe('collisions of shapes', () => {
  it('are found by grids but for about a cell, and by the outlines just so, either way round', () => {
    fc.assert(
      fc.property(pair, (at) => {
        const { collisions, one, other, shapes, cell } = laid(at);
        const { dx, dy } = at;
        const truly = overlap(shapes[0], shapes[1], dx, dy);
        expect(collisions.exactDepth(one, other, dx, dy) > 0 || collisions.missed(one, other, dx, dy)).toBe(truly);
        expect(collisions.exactDepth(one, other, dx, dy) > 0).toBe(truly);
        expect(collisions.exactDepth(other, one, -dx, -dy) > 0).toBe(truly);
        const depth = collisions.depth(one, other, dx, dy);
        expect(Math.abs(collisions.depth(other, one, -dx, -dy) - depth)).toBeLessThan(1e-6);
        // deeper than a cell is never mistaken: any step of less than the depth still overlaps
        const less = Math.max(0, depth * 0.9 - OFF * cell);
        if (less > 0)
          for (let way = 0; way < 8; way++) {
            const angle = (Math.PI * way) / 4;
            expect(overlap(shapes[0], shapes[1], dx + less * Math.cos(angle), dy + less * Math.sin(angle))).toBe(true);
          }
      }),
      law(100, 1600),
    );
  });
  it('are found where only a tip reaches over a side, wherever on its box that side lies', () => {
    const plate = boxRegion({ minX: 0, minY: 0, maxX: 31.7, maxY: 60.189 });
    const tip: Region = [
      {
        outer: [
          [0, 0],
          [53.84, -0.3],
          [65.696, 34.191],
          [0, 24.417],
        ],
        holes: [],
      },
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...QUARTERS),
        fc.double({ min: 0.02, max: 8, noNaN: true }),
        fc.double({ min: -10, max: 20, noNaN: true }),
        (turn, deep, along) => {
          const [a] = nestBody({ region: tip }, 0, [turn]).shapes;
          const [b] = nestBody({ region: plate }, 0, [turn]).shapes;
          // the tip points along the turned x axis: so deep in the plate's side
          const angle = (turn * Math.PI) / 2;
          const far = 65.696 / 2 + 31.7 / 2 - deep;
          const [dx, dy] = [far * Math.cos(angle) - along * Math.sin(angle), far * Math.sin(angle) + along * Math.cos(angle)];
          // for the last hundredth of it shapes are a little smaller than what they stand for
          expect([overlap(a!, b!, dx, dy), overlap(b!, a!, -dx, -dy)]).toEqual([true, true]);
        },
      ),
      law(800, 9000),
    );
  });
  it('show a near way out, which is one', () => {
    let out = 0;
    fc.assert(
      fc.property(pair, fc.double({ min: 0.1, max: 1.5, noNaN: true }), (at, deep) => {
        const { collisions, one, other, shapes, cell } = laid(at);
        // from where it lies towards the first, a little further than where they touch
        const far = Math.hypot(at.dx, at.dy) || 1;
        const touch = Array.from({ length: 400 }, (_, i) => 200 - i * 0.5).find((d) =>
          overlap(...shapes, (at.dx / far) * d, (at.dy / far) * d),
        );
        if (touch === undefined) return;
        const [dx, dy] = [(at.dx / far) * (touch - deep * cell), (at.dy / far) * (touch - deep * cell)];
        const way = collisions.wayOut(one, other, dx, dy);
        expect(way === undefined || overlap(...shapes, dx, dy)).toBe(true);
        if (!way) return;
        out += 1;
        expect(Math.hypot(...way)).toBeLessThanOrEqual(5 * cell);
        const [x, y] = [dx + way[0] * 1.0001, dy + way[1] * 1.0001];
        // a thin one may lie across it still, which the outlines then say
        expect(!overlap(...shapes, x, y) || collisions.missed(one, other, x, y)).toBe(true);
      }),
      law(120, 800),
    );
    expect(out).toBeGreaterThan(100);
  });
  it('lets a small one lie within a frame, and not in its wall', () => {
    const { collisions, one, other } = laid({ a: frame(80, 80, 8), b: star(4, 12, 8), turnA: 0, turnB: 1 });
    expect(collisions.depth(one, other, 0, 0)).toBe(0);
    expect(collisions.exactDepth(one, other, 0, 0)).toBe(0);
    expect(collisions.depth(one, other, 34, 0)).toBeGreaterThan(2);
    expect(collisions.depth(other, one, -34, 0)).toBeGreaterThan(2);
  });
});
