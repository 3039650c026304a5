import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { CutPiece } from '../artwork';
import { WEEDING } from '../facts';
import { weedStages, type WeedingOf } from '../words';
import { weedSpots } from './weedSpots';
import { weedingOf, type Kept } from './weeding';

const KEPT: readonly Kept[] = ['shapes', 'plate', 'backing', 'surround', 'maskShapes'];
const piece = fc.record({
  area: fc.double({ min: 0.2, max: 60, noNaN: true }),
  at: fc.tuple(fc.double({ min: -80, max: 80, noNaN: true }), fc.double({ min: -30, max: 30, noNaN: true })),
}) as fc.Arbitrary<CutPiece>;

describe('where the danger is', () => {
  it('every small piece has its number once, the least before others; as many come out as the model counts minutes for', () => {
    fc.assert(
      fc.property(
        fc.array(piece, { maxLength: 40 }),
        fc.array(piece, { maxLength: 40 }),
        fc.constantFrom(...KEPT),
        (shapes, counters, kept) => {
          const spots = weedSpots({ shapes, counters }, kept);
          expect(spots.map(({ number }) => number)).toEqual(spots.map((_, i) => i + 1));
          for (const { area, comes } of spots) expect(area).toBeLessThan(comes === 'out' ? WEEDING.smallFrom : WEEDING.smallFull);
          const mask = kept === 'surround' || kept === 'maskShapes';
          const [out, stays] = mask ? [shapes, counters] : [counters, shapes];
          const all = [...out.filter(({ area }) => area < WEEDING.smallFrom), ...stays.filter(({ area }) => area < WEEDING.smallFull)];
          expect(spots).toHaveLength(Math.min(60, all.length));
          if (all.length <= 60) {
            const counted = weedingOf({ shapes, counters }, 100, 'permanent', kept).smallPieces;
            expect(spots.filter(({ comes }) => comes === 'out')).toHaveLength(counted);
          }
        },
      ),
    );
  });
  it('they are come to row by row from the top, from left to right', () => {
    const at = (x: number, y: number): CutPiece => ({ area: 2, at: [x, y] });
    const spots = weedSpots({ shapes: [at(30, 1), at(-30, 0), at(0, -20)], counters: [{ area: 9, at: [0, 1] }] }, 'shapes');
    expect(spots.map(({ at: [x], comes }) => [x, comes])).toEqual([
      [-30, 'stays'],
      [0, 'out'],
      [30, 'stays'],
      [0, 'stays'],
    ]);
  });
});

describe('how it is weeded', () => {
  const plain: WeedingOf = {
    kept: 'shapes',
    letters: true,
    onCarrier: false,
    mat: false,
    dark: false,
    hot: false,
    relief: false,
    width: 50,
    smallOut: 0,
    smallStays: 0,
  };
  it('says what holds for this mark and film, and nothing else', () => {
    const text = (more: Partial<WeedingOf>) => weedStages({ ...plain, ...more }).join(' ');
    expect(text({})).not.toMatch(/below|strips|ringed|carrier/);
    expect(text({ dark: true })).toMatch(/Light from below/);
    expect(text({ width: 200 })).toMatch(/In 4 strips/);
    expect(text({ width: 200, relief: true })).toMatch(/Relief cuts part the waste: pull strip by strip/);
    expect(text({ width: 200, kept: 'surround' })).not.toMatch(/strips/);
    expect(text({ smallOut: 1 })).toMatch(/the 1 small piece ringed in red, by number, and count it/);
    expect(text({ smallStays: 3 })).toMatch(/the 3 small parts ringed in amber while the film around them/);
    expect(text({ hot: true })).toMatch(/on its carrier/);
    // what came straight off the roll never lay on a mat
    expect(text({})).not.toMatch(/mat/);
    expect(text({ onCarrier: true })).toMatch(/Tape the corners of its liner to the table/);
    expect(text({ mat: true })).toMatch(/Take it off the cutting mat/);
    expect(text({ mat: true, onCarrier: true })).toMatch(/Leave it on the cutting mat/);
    expect(text({ hot: true, mat: true, onCarrier: true })).not.toMatch(/cutting mat|table/);
  });
  it('in whole sentences', () => {
    for (const kept of KEPT)
      for (const letters of [true, false])
        for (const line of weedStages({ ...plain, kept, letters, dark: true, width: 130, smallOut: 2, smallStays: 1 }))
          expect(line).toMatch(/^[A-Z].*\.$/);
  });
});
