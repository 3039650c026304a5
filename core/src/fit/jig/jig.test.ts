import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { DEMO_START, demoWorkshop, plateJob, textMark } from '../../../test/sampleJobs';
import { diameterAt } from '../../blanks';
import { boxHeight, boxOfPoints, boxWidth, distance } from '../../geometry';
import { jigOfZone, planWorkshop } from '../../plan';
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
const say = (mm: number) => `${mm.toFixed(1)} mm`;
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
  it('of a list is one a row: its own words, and its own zone where the piece is unlike the others', () => {
    const rows = ['Ada', 'Maximiliana', 'Finn'].map((name, i) => ({ id: `r${i}`, cells: [name], ...(i === 2 ? { height: 30 } : {}) }));
    const job = { ...plateJob(textMark('{name}', { sizes: 'each' })), count: 3, list: { columns: ['name'], rows } };
    const own = planWorkshop([job], demo.shop, [], DEMO_START, shippedFaces()).jobs.get(job.id)!;
    const heightOf = (row: string | undefined) =>
      boxHeight(boxOfPoints(jigOfZone(job, own, job.zones[0]!, row, say).lines.find((l) => l.kind === 'zone')!.points));
    own.marks[0]!.variants.forEach((v) => {
      const jig = jigOfZone(job, own, job.zones[0]!, v.row, say);
      expect(jig.words.some(({ text }) => text.startsWith(`${v.words}: stop `))).toBe(true);
      const drawn = boxOfPoints(jig.lines.filter((l) => l.kind === 'mark').flatMap((l) => [...l.points]));
      expect(boxWidth(drawn)).toBeCloseTo(v.fitted.width, 3);
    });
    expect(heightOf('r2')).toBeCloseTo(30, 6);
    expect(heightOf('r0')).toBeCloseTo(job.zones[0]!.height, 6);
    expect(heightOf(undefined)).toBeCloseTo(job.zones[0]!.height, 6);
  });
  it('of a scatter is its placing map: each number lies on a copy, and there are as many as copies', () => {
    const scatter = { id: 's', kind: 'scatter', count: 9, width: 120, height: 60, least: 4, turn: true, over: false, seed: 3 } as const;
    const job = plateJob(textMark('o', { size: { mode: 'width', width: 8 }, edits: [scatter] }));
    const own = planWorkshop([job], demo.shop, [], DEMO_START, shippedFaces()).jobs.get(job.id)!;
    const [mark] = own.marks;
    const jig = jigOfZone(job, own, job.zones[0]!, undefined, say);
    const numbers = jig.words.filter(({ text }) => /^\d+$/.test(text));
    const copies = mark!.fitted.layers.flatMap((layer) => layer.region).map((part) => boxOfPoints([...part.outer]));
    expect(numbers.map(({ text }) => text)).toEqual(copies.map((_, i) => `${i + 1}`));
    numbers.forEach(({ at: [x, y] }) => {
      const on = copies.filter((b) => x > b.minX && x < b.maxX && y > b.minY && y < b.maxY);
      expect(on).toHaveLength(1);
    });
    // a change that moves them takes the numbers away rather than leave them where no copy is
    const moved = { ...job, marks: [{ ...job.marks[0]!, edits: [scatter, { id: 't', kind: 'stretch', across: 1.2, up: 1 } as const] }] };
    const later = planWorkshop([moved], demo.shop, [], DEMO_START, shippedFaces()).jobs.get(job.id)!;
    expect(jigOfZone(moved, later, job.zones[0]!, undefined, say).words.some(({ text }) => /^\d+$/.test(text))).toBe(false);
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
