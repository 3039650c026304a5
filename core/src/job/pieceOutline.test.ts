import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, difference, faultsOfRegion, regionArea, regionOf, sidesCross, type Point } from '../geometry';
import { cornersFrom, MOST_CORNERS, pieceCorners, withCorners } from './pieceOutline';
import type { FilmPiece } from './shop';
import { law } from '../../test/depth';

const piece: FilmPiece = { id: 'p', kind: 'offcut', width: 200, length: 120, count: 1 };
const corner = fc
  .tuple(fc.double({ min: -300, max: 300, noNaN: true }), fc.double({ min: -300, max: 300, noNaN: true }))
  .map(([x, y]): Point => [x, y]);

describe('an offcut that is drawn in by its corners', () => {
  it('is a sound outline from its lower left corner, as large as its box says, whichever way round and wherever it was drawn; or it is refused', () => {
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 7 }), (corners) => {
        const found = withCorners(piece, corners);
        if (!found.ok) {
          expect(found.problem.wayOut).toMatch(/corner/);
          return;
        }
        const { width, length, outline } = found.value;
        expect(faultsOfRegion(outline!)).toEqual([]);
        expect(sidesCross(outline![0]!.outer)).toBe(false);
        const box = boxOf(outline!);
        expect([box.minX, box.minY]).toEqual([0, 0]);
        expect(box.maxX).toBeCloseTo(width, 6);
        expect(box.maxY).toBeCloseTo(length, 6);
        // drawn again from its own corners nothing changes
        expect(withCorners({ ...piece, ...found.value }, pieceCorners({ ...piece, ...found.value }))).toEqual(found);
      }),
    );
  });
  it('begins as its box; a corner is taken off, and holes stay where they are', () => {
    expect(pieceCorners(piece)).toEqual([
      [0, 0],
      [200, 0],
      [200, 120],
      [0, 120],
    ]);
    const hole: Point[] = [
      [20, 20],
      [20, 40],
      [40, 40],
      [40, 20],
    ];
    const holed: FilmPiece = { ...piece, outline: [{ outer: pieceCorners(piece), holes: [hole] }] };
    const found = withCorners(holed, [
      [0, 0],
      [200, 0],
      [200, 60],
      [140, 120],
      [0, 120],
    ]);
    expect(found.ok && regionArea(found.value.outline!)).toBeCloseTo(200 * 120 - (60 * 60) / 2 - 400, 6);
    expect(found.ok && found.value.outline![0]!.holes).toEqual([hole]);
  });
  it('from a photo it has few corners, none outside of what was seen, and nearly all of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 60, max: 140, noNaN: true }), { minLength: 5, maxLength: 9 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (radii, rough) => {
          // a many-sided piece whose edge is as rough as a photo's pixels
          const ring = Array.from({ length: 720 }, (_, i): Point => {
            const at = (i / 720) * radii.length;
            const [a, b] = [radii[Math.floor(at)]!, radii[(Math.floor(at) + 1) % radii.length]!];
            const r = a + (b - a) * (at % 1) + (i % 2 ? rough : 0);
            return [r * Math.cos((i / 360) * Math.PI), r * Math.sin((i / 360) * Math.PI)];
          });
          const corners = cornersFrom(ring);
          if (!corners.ok) throw new Error(corners.problem.found);
          expect(corners.value.length).toBeLessThanOrEqual(MOST_CORNERS);
          const found = [{ outer: corners.value, holes: [] }];
          expect(regionArea(difference(found, regionOf([ring]))) / regionArea(found)).toBeLessThan(0.002);
          expect(regionArea(found) / regionArea(regionOf([ring]))).toBeGreaterThan(0.93);
          expect(withCorners(piece, corners.value).ok).toBe(true);
        },
      ),
      law(40),
    );
    expect(
      cornersFrom([
        [0, 0],
        [5, 0],
        [5, 5],
      ]).ok,
    ).toBe(false);
  });
  it('says why not', () => {
    const crossed = withCorners(piece, [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ]);
    expect(crossed.ok ? '' : crossed.problem.found).toBe('The sides of the offcut would cross.');
    const tiny = withCorners(piece, [
      [0, 0],
      [5, 0],
      [0, 5],
    ]);
    expect(tiny.ok ? '' : tiny.problem.found).toBe('Next to nothing of the offcut would be left.');
  });
});
