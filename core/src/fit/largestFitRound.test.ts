import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import {
  applyToRegion,
  boxRegion,
  difference,
  intersection,
  regionArea,
  regionInside,
  scaling,
  then,
  translation,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import type { Job, Mark } from '../job';
import { planWorkshop } from '../plan';
import { largestFitAnywhere } from './largestFitAnywhere';
import { largestFitRound, widestGap } from './largestFitRound';
import { law } from '../../test/depth';

const polygon = (n: number, r: number, [cx, cy]: Point = [0, 0]): Ring =>
  Array.from({ length: n }, (_, i): Point => [cx + r * Math.cos((2 * Math.PI * i) / n), cy + r * Math.sin((2 * Math.PI * i) / n)]);
/** A counter goes round the other way. */
const hole = (n: number, r: number): Ring => polygon(n, r).toReversed();
const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const disc = (r: number, at: Point): Region => [{ outer: polygon(300, r, at), holes: [] }];

describe('a mark laid round a keep-out', () => {
  it('a ring round a post is as large as the zone, wherever the post lets it be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.85, noNaN: true }),
        fc.double({ min: 0.1, max: 0.95, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        (inner, share, angle) => {
          // a post of radius p, d off the middle, lies within the ring at its largest when d + p is at most 50 times the inner radius
          const [p, off] = [50 * inner * share * 0.6, 50 * inner * (1 - share * 0.6) * 0.95];
          const post: Point = [off * Math.cos(angle), off * Math.sin(angle)];
          const zone = difference(box(-50, -50, 50, 50), disc(p, post));
          const found = largestFitRound([polygon(200, 1)], [hole(200, inner)], zone, 0);
          const parts: Region = [{ outer: polygon(200, 1), holes: [hole(200, inner)] }];
          expect(found?.scale).toBeGreaterThan(50 * 0.995);
          expect(found!.scale).toBeLessThan(50 * 1.001);
          expect(regionInside(applyToRegion(then(scaling(found!.scale), translation(...found!.at)), parts), zone, 0.05)).toBe(true);
        },
      ),
      law(25),
    );
  });
  it('goes round none that is too large for its gap, and round several where all have room', () => {
    const ring = [polygon(120, 1)];
    const counter = [hole(120, 0.5)];
    expect(largestFitRound(ring, counter, difference(box(-50, -50, 50, 50), disc(30, [0, 0])), 0)).toBeUndefined();
    const two = difference(difference(box(-50, -50, 50, 50), disc(5, [-10, 0])), disc(5, [10, 0]));
    expect(largestFitRound(ring, counter, two, 0)!.scale).toBeGreaterThan(49.7);
    expect(largestFitRound(ring, [], two, 0)).toBeUndefined();
    // it need not try where it would be no larger
    expect(largestFitRound(ring, counter, two, 60)).toBeUndefined();
  });
  it('keeps a place that is given', () => {
    const zone = difference(box(-50, -50, 50, 50), disc(8, [10, 0]));
    const found = largestFitRound([polygon(120, 1)], [hole(120, 0.6)], zone, 0, [10, 0]);
    expect(found?.at).toEqual([10, 0]);
    expect(found?.scale).toBeCloseTo(40, 1);
  });
  it('the widest gap of a ring is its counter, and there is none that is open to a side', () => {
    const gap = widestGap([polygon(100, 1), hole(100, 0.6)], 0.05)!;
    expect(gap.radius).toBeGreaterThan(0.53);
    const open = difference(difference(disc(1, [0, 0]), disc(0.6, [0, 0])), box(-2, -0.5, 0, 0.5));
    expect(
      widestGap(
        open.flatMap((part) => [part.outer, ...part.holes]),
        0.05,
      ),
    ).toBeUndefined();
  });
  it('words on a circle go round a knob, larger than beside it, and no letter on it', () => {
    const faces = shippedFaces();
    const words = (arc?: number): Mark =>
      textMark('TERN POINT ROWING CLUB · SINCE 1908 ·', {
        artwork: {
          kind: 'text',
          align: 'centre',
          lineSpacing: 1,
          ...(arc ? { arc } : {}),
          lines: [{ id: 'l', text: 'TERN POINT ROWING CLUB · SINCE 1908 ·', face: 'montserrat', scale: 1, spacing: 0 }],
        },
      });
    const base = plateJob(words(360));
    const job: Job = {
      ...base,
      piece: {
        ...base.piece,
        shape: { kind: 'flat', width: 160, height: 160 },
        features: [{ id: 'k', kind: 'fitting', x: 0, y: 62, width: 36, height: 36, round: true, clear: 3 }],
      },
      zones: [{ ...base.zones[0]!, x: 0, y: 0, width: 160, height: 160, breathing: 8 }],
    };
    const mark = planWorkshop([job], demoShop(), [], DEMO_START, faces).jobs.get(job.id)!.marks[0]!;
    const inked = mark.fitted.layers.flatMap((layer) => [...layer.region]);
    expect(mark.fitted.width).toBeGreaterThan(142);
    expect(regionArea(intersection(inked, disc(18, [0, 80])))).toBeLessThan(1e-6);
    const beside = largestFitAnywhere(
      inked.map((part) => part.outer.map(([x, y]): Point => [x - mark.fitted.at[0], y - mark.fitted.at[1]])),
      mark.usable.room!,
    );
    expect(beside.scale).toBeLessThan(0.6);
  });
});
