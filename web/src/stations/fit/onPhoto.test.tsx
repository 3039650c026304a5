import { describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { diameterAt } from '@kolleta/core/blanks';
import type { Photo } from '@kolleta/core/job';
import { planWorkshop } from '@kolleta/core/plan';
import { shippedFaces } from '../../../../core/test/faces';
import { DEMO_START, demoWorkshop } from '../../../../core/test/sampleJobs';
import { OnPhoto } from './OnPhoto';

const demo = demoWorkshop();
const plan = planWorkshop(demo.jobs, demo.shop, [], DEMO_START, shippedFaces(), undefined, { effort: 'quick' });

/** A photo taken straight on, so many pixels a mm, with the piece's lower left at 100 mm, 60 mm from that of what is known. */
const photoOf = (width: number, height: number, perMm: number): Photo => ({
  name: 'bench.jpg',
  data: 'data:image/jpeg;base64,',
  width: 1200,
  height: 900,
  known: {
    kind: 'length',
    ends: [
      [0, 900],
      [100 * perMm, 900],
    ],
    length: 100,
  },
  face: { x: 100, y: 60, width, height },
});
function drawn(id: string, perMm: number, photo?: Photo) {
  const job = demo.jobs.find((j) => j.id === id)!;
  const { shape } = job.piece;
  const own = photo ?? photoOf(shape.kind === 'flat' ? shape.width : 100, shape.height, perMm);
  const { container } = render(<OnPhoto job={job} photo={own} marks={plan.jobs.get(id)!.marks} shop={demo.shop} />);
  const points = [...container.querySelectorAll('path')].map((path) =>
    [...path.getAttribute('d')!.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const),
  );
  const across = (all: (readonly [number, number])[]) => Math.max(...all.map((p) => p[0])) - Math.min(...all.map((p) => p[0]));
  return { job, points, across };
}

describe('marks on the photo of a piece', () => {
  it.each([1, 1.7])('are as wide as they are, at %d pixels a mm, and lie on the face', (perMm) => {
    const { points, across, job } = drawn('boat-numbers', perMm);
    const { marks } = plan.jobs.get('boat-numbers')!;
    const widths = marks.map((m) => m.fitted.width * perMm).toSorted((a, b) => a - b);
    const seen = points.map(across).toSorted((a, b) => a - b);
    seen.forEach((width, i) => expect(Math.abs(width - widths[i]!)).toBeLessThan(0.3));
    const { width } = job.piece.shape as { width: number };
    for (const [x, y] of points.flat()) {
      expect(x).toBeGreaterThanOrEqual(100 * perMm - 0.1);
      expect(x).toBeLessThanOrEqual((100 + width) * perMm + 0.1);
      expect(y).toBeLessThanOrEqual(900 - 60 * perMm + 0.1);
    }
  });
  it('turn out of sight round a wall: narrower than they are, and never beyond the piece', () => {
    const { points, across, job } = drawn('tankards', 2);
    const [mark] = plan.jobs.get('tankards')!.marks;
    const { shape } = job.piece;
    if (shape.kind === 'flat') throw new Error('tankards are round');
    const seen = Math.max(...points.map(across));
    // the chord of the arc that it takes up, on a face 200 pixels wide
    const chord = 200 * Math.sin(mark!.fitted.width / diameterAt(shape, mark!.fitted.at[1]));
    expect(seen / chord).toBeCloseTo(1, 1);
    expect(seen).toBeLessThan(chord + 0.5);
    for (const [x] of points.flat()) expect(x >= 200 - 0.1 && x <= 400 + 0.1).toBe(true);
  });
  it('wait until the photo says where the piece is', () => {
    const { face, ...bare } = photoOf(200, 120, 2);
    expect(face).toBeTruthy();
    expect(drawn('boat-numbers', 2, bare).points).toEqual([]);
    expect(screen.getByText(/Say on the photo in Measure where the piece is/)).toBeTruthy();
  });
});
