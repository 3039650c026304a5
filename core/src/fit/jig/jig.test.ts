import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { DEMO_START, demoWorkshop } from '../../../test/sampleJobs';
import { diameterAt } from '../../blanks';
import { boxHeight, boxOfPoints, boxWidth, distance } from '../../geometry';
import { planWorkshop } from '../../plan';
import { CHECK_MM, jigFor } from './jig';
import { svgJig } from './svgJig';
import { PRINT_MARGIN, scaleFromCheck, SHEET_OVERLAP, SHEETS, tileSheets } from './tiles';

const demo = demoWorkshop();
const plan = planWorkshop(demo.jobs, demo.shop, [], DEMO_START, shippedFaces());
const jigOf = (i: number) => {
  const job = demo.jobs[i]!;
  const marks = plan.jobs.get(job.id)!.marks.map((m) => ({ name: m.mark.name, flat: m.flat, foot: m.fitted.box.minY, at: m.fitted.at[1] }));
  return { job, jig: jigFor(job.piece, job.zones[0]!, marks, (mm) => `${mm.toFixed(1)} mm`) };
};
const lengthOf = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).reduce((sum, p, i) => sum + distance(points[i]!, p), 0);

describe('a jig', () => {
  it('of every demo job has a cut line, its marks, a stop and a check line of 100 mm inside its box', () => {
    demo.jobs.forEach((_, i) => {
      const { jig } = jigOf(i);
      for (const kind of ['cut', 'zone', 'mark', 'centre', 'stop', 'check'] as const)
        expect(jig.lines.some((l) => l.kind === kind)).toBe(true);
      const check = jig.lines.find((l) => l.kind === 'check')!;
      expect(lengthOf(check.points)).toBeCloseTo(CHECK_MM, 9);
      const all = boxOfPoints(jig.lines.flatMap((l) => [...l.points]));
      expect(all.minX).toBeGreaterThanOrEqual(jig.box.minX - 1e-9);
      expect(all.maxX).toBeLessThanOrEqual(jig.box.maxX + 1e-9);
      expect(all.minY).toBeGreaterThanOrEqual(jig.box.minY - 1e-9);
    });
  });
  it('of a taper is cut as a part of a ring whose ends are as far apart as the wrap, and a tab more', () => {
    const { job, jig } = jigOf(0);
    const cut = jig.lines.find((l) => l.kind === 'cut')!;
    const foot = cut.points.slice(0, cut.points.length / 2);
    const wrap = Math.PI * diameterAt(job.piece.shape as never, 0);
    const shared = diameterAt(job.piece.shape as never, 0) / diameterAt(job.piece.shape as never, 74.3);
    // the foot's arc runs from the first corner to the second
    const arc = foot.findIndex((p, i) => i > 0 && Math.abs(distance(foot[i - 1]!, p)) > 50);
    expect(lengthOf(arc > 0 ? foot.slice(0, arc) : foot)).toBeGreaterThan(wrap * 0.98);
    expect(lengthOf(arc > 0 ? foot.slice(0, arc) : foot)).toBeLessThan(wrap + 12 * shared + 8);
  });
  it('as SVG is as large as its box, in mm', () => {
    const { jig } = jigOf(3);
    const text = svgJig(jig, 'A & B');
    expect(text).toContain(`width="${boxWidth(jig.box).toFixed(3)}mm" height="${boxHeight(jig.box).toFixed(3)}mm"`);
    expect(text).toContain('<title>A &amp; B</title>');
  });
});

describe('sheets', () => {
  const side = fc.double({ min: 5, max: 900, noNaN: true });
  it('cover the whole drawing, overlap by what is promised, and fit their paper', () => {
    fc.assert(
      fc.property(
        side,
        side,
        fc.constantFrom(SHEETS.A4, SHEETS.Letter),
        fc.double({ min: 0.95, max: 1.05, noNaN: true }),
        (w, h, sheet, scale) => {
          const box = { minX: -w / 3, maxX: (2 * w) / 3, minY: 0, maxY: h };
          const tiling = tileSheets(box, sheet, scale);
          if (!tiling.ok) throw new Error(tiling.problem.found);
          const { tiles, columns, rows, across } = tiling.value;
          expect(tiles).toHaveLength(columns * rows);
          expect(tiles[0]!.box.minX).toBeCloseTo(box.minX, 9);
          expect(tiles[0]!.box.maxY).toBeCloseTo(box.maxY, 9);
          expect(tiles.at(-1)!.box.maxX).toBeGreaterThanOrEqual(box.maxX - 1e-6);
          expect(tiles.at(-1)!.box.minY).toBeLessThanOrEqual(box.minY + 1e-6);
          for (const tile of tiles) {
            expect(boxWidth(tile.box) * scale + 2 * PRINT_MARGIN).toBeCloseTo(across ? sheet.height : sheet.width, 6);
            const left = tiles.find((t) => t.row === tile.row && t.column === tile.column - 1);
            if (left) expect(left.box.maxX - tile.box.minX).toBeCloseTo(SHEET_OVERLAP, 6);
          }
        },
      ),
    );
  });
  it('too many are refused with a way out; a measured check line corrects the scale, an absurd one is refused', () => {
    const many = tileSheets({ minX: 0, maxX: 9000, minY: 0, maxY: 9000 }, SHEETS.A4);
    expect(many.ok ? '' : many.problem.wayOut).toMatch(/SVG/);
    const scale = scaleFromCheck(98, 100);
    expect(scale.ok && scale.value * 98).toBeCloseTo(100, 9);
    expect(scaleFromCheck(50, 100).ok).toBe(false);
    expect(scaleFromCheck(0, 100).ok).toBe(false);
  });
});
