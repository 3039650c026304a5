import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { plateJob, textMark } from '../../test/sampleJobs';
import { checkMeasure, diameterFrom, seenWidth, wallOf } from './wall';
import { usableOf, usualZone } from './zone';

describe('round pieces', () => {
  it('diameter and wrap give each other, and disagreement is refused', () => {
    fc.assert(
      fc.property(fc.double({ min: 6, max: 900, noNaN: true }), (diameter) => {
        const back = diameterFrom({ wrap: Math.PI * diameter });
        expect(back.ok && Math.abs(back.value - diameter) < 1e-9).toBe(true);
        expect(diameterFrom({ diameter, wrap: Math.PI * diameter }).ok).toBe(true);
        const wrong = diameterFrom({ diameter, wrap: Math.PI * (diameter * 1.05 + 2) });
        expect(wrong.ok).toBe(false);
        if (!wrong.ok) expect(wrong.problem.wayOut).toMatch(/string/);
      }),
    );
    expect(diameterFrom({}).ok).toBe(false);
  });
  it('looks narrower than it is, and never wider than the piece', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 400, noNaN: true }), fc.double({ min: 20, max: 200, noNaN: true }), (arc, d) => {
        expect(seenWidth(arc, d)).toBeLessThanOrEqual(Math.min(arc, d) + 1e-9);
        expect(seenWidth(arc + 1, d)).toBeGreaterThanOrEqual(seenWidth(arc, d) - 1e-9);
      }),
    );
    expect(wallOf({ kind: 'cylinder', diameter: 100, height: 50 }).width).toBeCloseTo(314.159, 3);
  });
});

describe('zones', () => {
  it.each([-1, 0, 4, 6000, NaN, Infinity])('a measure of %p is refused with a way out', (mm) => {
    const result = checkMeasure(mm, 'Height');
    expect(result.ok).toBe(false);
  });
  it('leave the lip band and the breathing room, or nothing', () => {
    const { piece } = plateJob(textMark('x'));
    const zone = { id: 'z', name: 'Front', x: 0, y: 0, width: 200, height: 120, breathing: 10, lipBand: 20 };
    expect(usableOf(zone, piece).inner).toEqual({ minX: -90, maxX: 90, minY: 10, maxY: 90 });
    expect(usableOf({ ...zone, breathing: 60 }, piece).inner).toBeUndefined();
    const usual = usualZone('z', {
      ...piece,
      use: { ...piece.use, drink: true },
      shape: { kind: 'cylinder', diameter: 80, height: 100 },
    });
    expect(usual).toMatchObject({ lipBand: 20, breathing: 10 });
  });
});
