import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { DEMO_START, demoShop, textMark } from '../../../test/sampleJobs';
import { MADE_JOBS, madeShop } from '../../../test/madeJobs';
import {
  applyToPoint,
  applyToRegion,
  edgeLength,
  offset,
  pointInside,
  rotation,
  scaling,
  then,
  union,
  type Point,
  type Region,
} from '../../geometry';
import { Memo, planWorkshop } from '../../plan';
import { moveLines, outlineLines, strokeLines, writtenLength } from './penLines';
import { law } from '../../../test/depth';

/** Bars of one thickness along lines, as a face of single strokes has them. */
const bars = (lines: readonly (readonly Point[])[], thick: number): Region =>
  union(
    ...lines.flatMap((line) =>
      line.slice(1).map(([bx, by], i): Region => {
        const [ax, ay] = line[i]!;
        const length = Math.hypot(bx - ax, by - ay);
        const [ux, uy] = [((bx - ax) / length) * (thick / 2), ((by - ay) / length) * (thick / 2)];
        return [
          {
            outer: [
              [ax - ux + uy, ay - uy - ux],
              [bx + ux + uy, by + uy - ux],
              [bx + ux - uy, by + uy + ux],
              [ax - ux - uy, ay - uy + ux],
            ],
            holes: [],
          },
        ];
      }),
    ),
  );
const lengthOf = (lines: readonly (readonly Point[])[]) =>
  lines.reduce((sum, line) => sum + line.slice(1).reduce((s, [x, y], i) => s + Math.hypot(x - line[i]![0], y - line[i]![1]), 0), 0);

/** An L, a T, an A, a ring of many corners, and a cross. */
const LETTERS: readonly (readonly (readonly Point[])[])[] = [
  [
    [
      [0, 10],
      [0, 0],
      [6, 0],
    ],
  ],
  [
    [
      [0, 10],
      [8, 10],
    ],
    [
      [4, 10],
      [4, 0],
    ],
  ],
  [
    [
      [0, 0],
      [4, 10],
      [8, 0],
    ],
    [
      [1.6, 4],
      [6.4, 4],
    ],
  ],
  [Array.from({ length: 25 }, (_, i): Point => [4 + 4 * Math.cos((i * Math.PI) / 12), 5 + 4 * Math.sin((i * Math.PI) / 12)])],
  [
    [
      [0, 5],
      [8, 5],
    ],
    [
      [4, 0],
      [4, 10],
    ],
  ],
];

describe('letters in single strokes', () => {
  it('are written once: as long as their strokes, near them everywhere, however large, thick or turned they are', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LETTERS),
        fc.double({ min: 0.4, max: 8, noNaN: true }),
        fc.double({ min: 0.004, max: 0.012, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (letter, size, share, turn) => {
          const place = then(scaling(size), rotation(turn));
          const thick = 10 * share * size;
          const region = applyToRegion(place, bars(letter, 10 * share));
          const lines = strokeLines(region);
          const wanted = lengthOf(letter) * size;
          const crossings = 40 * thick;
          expect(writtenLength(lines)).toBeGreaterThan(wanted - crossings);
          expect(writtenLength(lines)).toBeLessThan(wanted + crossings);
          // the pen leaves no stroke out, and goes nowhere else
          const near = offset(region, thick * 2);
          for (const { points } of lines) for (const point of points) expect(pointInside(point, near)).toBe(true);
          const strokes = letter.map((line) => line.map((point) => applyToPoint(place, point)));
          const inked = offset(
            bars(
              lines.map(({ points }) => points),
              thick,
            ),
            thick * 3,
          );
          for (const line of strokes)
            for (let i = 1; i < line.length; i++)
              for (let k = 1; k < 10; k++) {
                const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!];
                expect(pointInside([ax + ((bx - ax) * k) / 10, ay + ((by - ay) * k) / 10], inked)).toBe(true);
              }
        },
      ),
      law(30, 240),
    );
  });
  it('outlines go all round, closed, and both move along with their part', () => {
    const region = bars(LETTERS[2]!, 0.5);
    const lines = outlineLines(region);
    expect(writtenLength(lines)).toBeCloseTo(edgeLength(region), 6);
    expect(lines.every(({ closed }) => closed)).toBe(true);
    const moved = moveLines(strokeLines(region), then(rotation(1), [1, 0, 0, 1, 5, 6]));
    expect(writtenLength(moved)).toBeCloseTo(writtenLength(strokeLines(region)), 6);
  });
});

describe('a label written with the face of single strokes', () => {
  const faces = shippedFaces();
  const shop = madeShop(demoShop());
  const job = MADE_JOBS.find(({ id }) => id === 's')!;
  const planOf = (face: string) =>
    planWorkshop(
      [{ ...job, marks: [{ ...job.marks[0]!, artwork: textMark('{what}', {}, face).artwork }] }],
      shop,
      [],
      DEMO_START,
      faces,
      new Memo(),
    ).jobs.get('s')!;
  it('has less than half to write, in open lines, and letters may be as small as its strokes allow', () => {
    const [single, outlined] = [planOf('hershey-sans'), planOf('montserrat')].map((plan) =>
      plan.layouts[0]!.pens!.flatMap((pen) => pen ?? []),
    );
    expect(single!.length).toBeGreaterThan(10);
    expect(single!.every(({ closed }) => !closed)).toBe(true);
    expect(writtenLength(single!)).toBeLessThan(writtenLength(outlined!) / 1.5);
    expect(planOf('hershey-sans').readings.find(({ id }) => id === 'pen:label')).toMatchObject({ verdict: 'fine', limit: '3 mm high' });
    expect(planOf('montserrat').readings.find(({ id }) => id === 'pen:label')).toMatchObject({ limit: '5 mm high' });
  });
  it('has every letter of latin that names are written with', () => {
    for (const character of "ABCXYZabcxyz0189.,:;!?&-'éèêëàáâãäåçñöøœæłŁžščřůőűăğß")
      expect([character, faces.get('hershey-sans')!.file(0)!.has(character)]).toEqual([character, true]);
  });
});
