import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { square } from '../../test/square';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import { boxAround, boxOf, boxWidth, regionArea, regionInside } from '../geometry';
import type { Artwork, Job, Mark } from '../job';
import { planWorkshop } from '../plan';
import { overlapsOn } from './overlapsOn';
import { law } from '../../test/depth';

const faces = shippedFaces();
/** Squares of 10, each given by its corner and colour. */
const squares = (...at: [number, number, string][]): Artwork => ({
  kind: 'drawing',
  name: 'squares',
  dropped: [],
  leftOut: [],
  parts: at.map(([x, y, colour], i) => ({ id: `p${i}`, colour, path: square(x, y, 10), fill: 'nonzero' as const })),
});
const planned = (mark: Mark, job: Job = plateJob(mark)) =>
  planWorkshop([{ ...job, marks: [mark] }], demoShop(), [], DEMO_START, faces).jobs.get(job.id)!.marks[0]!;
const on = (mark: Mark, job?: Job) => {
  const plan = planned(mark, job);
  return {
    plan,
    found: overlapsOn({ ...mark, artwork: plan.artwork }, plan.fitted, plan.turn, (job ?? plateJob(mark)).piece.shape, faces),
  };
};

describe('overlaps', () => {
  it('of two squares are the rectangle that both cover, at any size and turn, inside the outline', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 20, max: 80, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        (dx, dy, width, turn) => {
          const mark: Mark = {
            ...textMark('x'),
            artwork: squares([0, 0, '#111111'], [dx, dy, '#111111']),
            size: { mode: 'width', width },
            turn,
          };
          const { plan, found } = on(mark);
          const whole = regionArea(plan.flat[0]!.region);
          const both = (10 - dx) * (10 - dy);
          expect(regionArea(found) / whole).toBeCloseTo(both / (200 - both), 3);
          expect(regionInside(found, plan.flat[0]!.region, 1e-3)).toBe(true);
        },
      ),
      law(12, 100),
    );
  });
  it('are none between shapes that only touch, or of different films, or where changes move the shapes', () => {
    const touching: Mark = { ...textMark('x'), artwork: squares([0, 0, '#111111'], [10, 0, '#111111']) };
    expect(on(touching).found).toEqual([]);
    const films: Mark = {
      ...touching,
      artwork: squares([0, 0, '#111111'], [5, 5, '#222222']),
      colourFilms: { '#222222': demoShop().films[1]!.id },
    };
    expect(on(films).found).toEqual([]);
    const over: Mark = { ...touching, artwork: squares([0, 0, '#111111'], [5, 5, '#111111']) };
    expect(on(over).found).toHaveLength(1);
    const edits = [{ id: 'r', kind: 'repeat', across: 2, up: 1, gap: 3 }] as const;
    expect(on({ ...over, edits: [...edits] }).found).toEqual([]);
    expect(on({ ...over, edits: [{ id: 't', kind: 'thicken', by: 0.3 }] }).found).toHaveLength(1);
  });
  it('of script that runs together lie on the wall as it is laid flat, on a taper too', () => {
    const mark = textMark('Orla', {
      artwork: {
        kind: 'text',
        align: 'left',
        lineSpacing: 1,
        lines: [{ id: 'l', text: 'Orla', face: 'dancing-script', scale: 1, spacing: 0, joined: true }],
      },
    });
    const base = plateJob(mark);
    const taper: Job = {
      ...base,
      piece: { ...base.piece, shape: { kind: 'taper', rim: 88, foot: 60, height: 150 } },
      zones: [{ ...base.zones[0]!, x: 0, y: 60, width: 90, height: 60 }],
    };
    for (const job of [base, taper]) {
      const { plan, found } = on(mark, job);
      expect(found.length).toBeGreaterThan(0);
      expect(regionInside(found, plan.flat[0]!.region, 0.02)).toBe(true);
      expect(boxWidth(boxOf(found))).toBeLessThan(boxWidth(boxAround(plan.flat.map((l) => boxOf(l.region)))));
    }
  });
});
