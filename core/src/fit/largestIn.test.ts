import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  applyToRegion,
  boxOf,
  boxRegion,
  difference,
  offset,
  regionArea,
  rotation,
  then,
  scaling,
  translation,
  union,
  type Region,
} from '../geometry';
import { largestIn } from './largestIn';
import type { Edit } from '../job';
import { placeMark, sizeMark } from './fitMark';
import { outlinePoints, shapeMark } from './shapeMark';
import { bestTurn, turnDrawn } from './turnMark';
import { law } from '../../test/depth';

const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const usableOf = (room: Region) => ({ clear: boxOf(room), inner: boxOf(room), free: room, room });
const marked = (region: Region) => {
  const { minX, maxX, minY, maxY } = boxOf(region);
  const middle = applyToRegion(translation(-(minX + maxX) / 2, -(minY + maxY) / 2), region);
  return { layers: [{ film: 'f', region: middle }], width: maxX - minX, height: maxY - minY };
};
const drawnOf = (region: Region) => ({ ...marked(region), missing: [] }) as unknown as Parameters<typeof turnDrawn>[0];

describe('largest in a zone', () => {
  it('law: a notch however small keeps its breathing room', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (x, wide, deep) => {
          const zone = difference(box(-100, -60, 100, 60), box(x, 60 - deep, x + wide, 61));
          const { layers, width } = marked(box(0, 0, 40, 24));
          const { scale, at } = largestIn(outlinePoints(drawnOf(layers[0]!.region)), layers, usableOf(zone), 3);
          expect(scale * width).toBeGreaterThan(100);
          const placed = applyToRegion(then(scaling(scale), translation(...at!)), layers[0]!.region);
          expect(regionArea(difference(placed, offset(zone, -3)))).toBeLessThan(0.06 * 200);
          // no point of the notch lies nearer than the breathing room
          const grown = offset(placed, 2.9);
          expect(regionArea(difference(grown, zone))).toBeLessThan(0.01);
        },
      ),
      law(8, 80),
    );
  });
  it('law: a mark with a backing is as large as the same mark stouter by as much, and all of it lies in its place', () => {
    fc.assert(
      fc.property(
        ...([fc.integer({ min: 10, max: 60 }), fc.integer({ min: -30, max: 30 }), fc.double({ min: 0.5, max: 8, noNaN: true })] as const),
        (tall, x, by) => {
          const zone = difference(box(-75, -100, 75, 100), box(x, -6, x + 12, 6));
          const art = drawnOf(union(box(0, 0, 60, tall / 2), box(0, 0, 20, tall)));
          const sized = (edit: Edit) => {
            const mark = { edits: [edit], size: { mode: 'largest' as const }, offset: { x: 0, y: 0 }, optical: false };
            return { mark, sizing: sizeMark(art, outlinePoints(art), mark, usableOf(zone)) };
          };
          const { mark, sizing } = sized({ id: 'b', kind: 'backing', film: 'g', by });
          expect(sizing.scale).toBe(sized({ id: 't', kind: 'thicken', by }).sizing.scale);
          const [backing] = placeMark(shapeMark(art, sizing.scale, mark), sizing).layers;
          expect(backing!.film).toBe('g');
          expect(regionArea(difference(backing!.region, zone))).toBeLessThan(0.5);
          // and no smaller than beside the hole, on the wider side of it
          const beside = (63 + Math.abs(x + 6) - 2 * by) / art.width;
          const high = (200 - 2 * by) / art.height;
          expect(sizing.scale).toBeGreaterThan(Math.min(beside, high) * 0.98);
        },
      ),
      law(10, 100),
    );
  });
  it('law: turned for the best it is never smaller than upright', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const n = (k: number) => ((seed * (k * 7919 + 13)) % 997) / 997;
        const zone = union(box(0, 0, 60 + 60 * n(1), 30 + 30 * n(2)), box(20 * n(3), 0, 30 + 20 * n(4), 60 + 60 * n(5)));
        const art = drawnOf(applyToRegion(rotation(6 * n(6)), union(box(0, 0, 10 + 30 * n(7), 4), box(0, 0, 4, 5 + 20 * n(8)))));
        const usable = usableOf(zone);
        const scaleOf = (drawn: typeof art) => largestIn(outlinePoints(drawn), drawn.layers, usable, 0).scale;
        const turned = scaleOf(turnDrawn(art, bestTurn(outlinePoints(art), art, usable)));
        expect(turned).toBeGreaterThanOrEqual(scaleOf(art) * (1 - 1e-6));
      }),
      law(7, 60),
    );
  });
});
