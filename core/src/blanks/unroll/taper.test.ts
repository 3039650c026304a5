import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { DEMO_START, demoWorkshop } from '../../../test/sampleJobs';
import { offItsCurve } from '../../../test/knownShapes';
import { regionArea, type Point } from '../../geometry';
import { planWorkshop } from '../../plan';
import { bendAt, bendRegion, checkTaper, diameterAt, rhoAt, sagOf, sectorOf, slantOf, uprightOf, type Taper } from './taper';

const tapers: fc.Arbitrary<Taper> = fc
  .record({
    rim: fc.double({ min: 30, max: 400, noNaN: true }),
    foot: fc.double({ min: 30, max: 400, noNaN: true }),
    more: fc.double({ min: 10, max: 300, noNaN: true }),
  })
  .filter(({ rim, foot }) => Math.abs(rim - foot) > 2)
  .map(({ rim, foot, more }) => ({ kind: 'taper', rim, foot, height: Math.abs(rim - foot) / 2 + more }));

/** A place on the cone itself, by turning about its axis: an independent way from wall to space. */
function onCone(taper: Taper, angle: number, along: number): [number, number, number] {
  const r = diameterAt(taper, along) / 2;
  return [r * Math.sin(angle), r * Math.cos(angle), (along * uprightOf(taper)) / taper.height];
}

describe('the ring that a taper unrolls to', () => {
  it('is the one of the handbook’s glass: 88 and 61 over 148 upright', () => {
    const height = slantOf(88, 61, 148);
    expect(height).toBeCloseTo(148.6, 1);
    const glass: Taper = { kind: 'taper', rim: 88, foot: 61, height };
    const sector = sectorOf(glass)!;
    expect(rhoAt(sector, glass, height)).toBeCloseTo(484.4, 0);
    expect(rhoAt(sector, glass, 0)).toBeCloseTo(335.8, 0);
    expect(sector.angle).toBeCloseTo(0.5708, 3);
  });
  it('has arcs as long as the wraps at every height, whichever end is up', () => {
    fc.assert(
      fc.property(tapers, fc.double({ min: 0, max: 1, noNaN: true }), (taper, share) => {
        const sector = sectorOf(taper);
        if (!sector) return;
        const along = share * taper.height;
        expect(rhoAt(sector, taper, along) * sector.angle).toBeCloseTo(Math.PI * diameterAt(taper, along), 6);
      }),
    );
  });
  it('keeps lengths: a short way on the film is as long as on the cone', () => {
    fc.assert(
      fc.property(
        tapers,
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
        (taper, share, across, way) => {
          if (!sectorOf(taper)) return;
          const at = taper.height / 2;
          const [u, v] = [across * 40, share * taper.height];
          const d = 1e-3;
          const [du, dv] = [d * Math.cos(way), d * Math.sin(way)];
          const bend = bendAt(taper, at);
          const [a, b] = [bend([u, v]), bend([u + du, v + dv])];
          const radius = diameterAt(taper, at) / 2;
          const [p, q] = [onCone(taper, u / radius, v), onCone(taper, (u + du) / radius, v + dv)];
          const flat = Math.hypot(b[0] - a[0], b[1] - a[1]);
          const cone = Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]);
          expect(Math.abs(flat - cone) / d).toBeLessThan(1e-4);
        },
      ),
    );
  });
  it('keeps widths at its own height, and leaves the middle line where it is', () => {
    fc.assert(
      fc.property(
        tapers,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (taper, share, width) => {
          const sector = sectorOf(taper);
          if (!sector) return;
          const at = share * taper.height;
          const bend = bendAt(taper, at);
          expect(bend([0, at])).toEqual([0, at]);
          const [end] = [bend([width / 2, at])];
          const rho = rhoAt(sector, taper, at);
          // the chord of an arc of that length
          expect(2 * end[0]).toBeCloseTo(2 * rho * Math.sin(width / 2 / rho), 6);
          expect(Math.abs(end[1] - at)).toBeCloseTo(rho - rho * Math.cos(width / 2 / rho), 6);
        },
      ),
    );
  });
  it('nearly straight ones are cylinders, and bending leaves them alone', () => {
    const straight: Taper = { kind: 'taper', rim: 80.0001, foot: 80, height: 120 };
    expect(sectorOf(straight)).toBeUndefined();
    const square = [
      {
        outer: [
          [-9, 1],
          [9, 1],
          [9, 9],
          [-9, 9],
        ] as Point[],
        holes: [],
      },
    ];
    expect(bendRegion(square, straight, 5)).toBe(square);
  });
  it('parts long edges so that a bent box keeps its area on the cone', () => {
    const glass: Taper = { kind: 'taper', rim: 88, foot: 61, height: 148.6 };
    const at = 74.3;
    const box = [
      {
        outer: [
          [-40, 50],
          [40, 50],
          [40, 98.6],
          [-40, 98.6],
        ] as Point[],
        holes: [],
      },
    ];
    // what lies at one height is stretched by ρ/ρ(at): symmetric about it, so the area stays
    expect(regionArea(bendRegion(box, glass, at)) / regionArea(box)).toBeCloseTo(1, 4);
  });
  it('law: no chord of a bent edge, however it runs, leaves its curve by more than 0.01 mm', () => {
    const size = fc.double({ min: 30, max: 250, noNaN: true });
    const across = fc.double({ min: -120, max: 120, noNaN: true });
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const corner = fc.tuple(across, share);
    fc.assert(
      fc.property(size, size, size, share, fc.tuple(corner, corner, corner), (rim, foot, height, at, corners) => {
        const taper: Taper = { kind: 'taper', rim, foot, height };
        fc.pre(checkTaper(taper).ok && sectorOf(taper) !== undefined);
        const edge = corners.map(([x, y]): Point => [x, y * height]);
        expect(offItsCurve(taper, edge, at * height)).toBeLessThan(0.0105);
      }),
    );
  });
  it('refuses a wall too short to reach', () => {
    const bad = checkTaper({ kind: 'taper', rim: 88, foot: 61, height: 13 });
    expect(bad.ok ? '' : bad.problem.found).toMatch(/13\.0 mm cannot reach from 61\.0 mm .* to 88\.0 mm/);
    expect(checkTaper({ kind: 'taper', rim: 88, foot: 61, height: 14 }).ok).toBe(true);
  });
});

describe('marks on a taper', () => {
  const demo = demoWorkshop();
  const faces = shippedFaces();
  const prizes = demo.jobs[0]!;
  const plan = (straight: boolean) =>
    planWorkshop([{ ...prizes, marks: prizes.marks.map((m) => ({ ...m, straight })) }], demo.shop, [], DEMO_START, faces).jobs.get(
      prizes.id,
    )!;
  it('are cut bent: the middle of the film hangs lower than its ends rise', () => {
    const [bent, straight] = [plan(false).marks[0]!, plan(true).marks[0]!];
    const foot = (m: typeof bent, x: number) =>
      Math.min(...m.flat.flatMap((l) => l.region.flatMap((p) => p.outer)).flatMap(([px, py]) => (Math.abs(px - x) < 2 ? [py] : [])));
    const sector = sectorOf(prizes.piece.shape as Taper)!;
    const sag = sagOf(bent.fitted.width, rhoAt(sector, prizes.piece.shape as Taper, bent.fitted.at[1]));
    const half = bent.fitted.width / 2 - 4;
    // the apex lies below: the ends of a line lie lower on the film laid flat
    expect(foot(bent, 0) - foot(bent, -half)).toBeGreaterThan(sag * 0.5);
    expect(Math.abs(foot(straight, 0) - foot(straight, -half))).toBeLessThan(0.3);
  });
  it('read level by choice: left straight beyond a millimetre is a watch with a remedy', () => {
    const bend = (p: ReturnType<typeof plan>) => p.readings.find((r) => r.id.startsWith('bend:'))!;
    expect(bend(plan(false)).verdict).toBe('fine');
    expect(bend(plan(true))).toMatchObject({ verdict: 'watch', remedies: [{ label: expect.stringMatching(/level/) }] });
  });
});
