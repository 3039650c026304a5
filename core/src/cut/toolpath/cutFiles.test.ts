import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import { shippedFaces } from '../../../test/faces';
import { demoShop, textMark } from '../../../test/sampleJobs';
import { drawMark } from '../../artwork';
import { boxOf, pointInRing, type Ring } from '../../geometry';
import { CUT_FILES, dxfCutFile, inCutOrder, layoutFilm, pdfCutFile, strokesOf, type FilmLayout } from '../index';

let layout: FilmLayout;
beforeAll(() => {
  const { films, machines } = demoShop();
  const region = drawMark(textMark('BOAT 8'), { width: 120, height: 60 }, shippedFaces()).layers[0]!.region;
  const box = boxOf(region);
  const k = 80 / (box.maxX - box.minX);
  const small = region.map(({ outer, holes }) => ({
    outer: outer.map(([x, y]) => [x * k, y * k] as const),
    holes: holes.map((hole) => hole.map(([x, y]) => [x * k, y * k] as const)),
  }));
  layout = inCutOrder(layoutFilm(films[0]!, [{ job: 'j', mark: 'm', name: 'm', copies: 3, region: small }], machines));
});

/** The greatest distance from points of one ring to the other, at whichever of its points it is begun. */
const apart = (a: Ring, b: Ring): number => Math.max(...a.map(([x, y]) => Math.min(...b.map(([bx, by]) => Math.hypot(bx - x, by - y)))));

describe('files of a layout', () => {
  it('a DXF of release 12 is read back by another reader: in mm, closed, in our order, a thousandth of a mm true', () => {
    const text = dxfCutFile(layout);
    const read = new DxfParser().parseSync(text)!;
    expect(read.header.$ACADVER).toBe('AC1009');
    expect(read.header.$INSUNITS).toBe(4);
    const strokes = strokesOf(layout);
    const entities = read.entities as unknown as { type: string; layer: string; shape: boolean; vertices: { x: number; y: number }[] }[];
    expect(entities).toHaveLength(strokes.length);
    entities.forEach(({ type, layer, shape, vertices }, i) => {
      expect([type, layer, shape]).toEqual(['POLYLINE', 'KNIFE', true]);
      expect(
        apart(
          vertices.map(({ x, y }) => [x, y] as const),
          strokes[i]!.ring,
        ),
      ).toBeLessThan(0.001);
    });
  });
  it('a PDF at 1:1 is drawn by another program: its page is the film, and the lines lie where the layout has them', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'kolleta-pdf-'));
    writeFileSync(join(folder, 'cut.pdf'), await pdfCutFile(layout, 'Boat'));
    // ten dots a mm
    const { error, status } = spawnSync('pdftoppm', ['-r', '254', '-gray', '-singlefile', join(folder, 'cut.pdf'), join(folder, 'cut')]);
    if (error) throw new Error('This test needs pdftoppm. Install it (Debian: apt-get install poppler-utils), then run it again.');
    expect(status).toBe(0);
    const image = readFileSync(join(folder, 'cut.pgm'));
    const [, w, h] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(image.subarray(0, 40).toString('latin1'))!.map(Number);
    const data = image.subarray(image.length - w! * h!);
    expect(Math.abs(w! - layout.width * 10)).toBeLessThanOrEqual(1);
    expect(Math.abs(h! - layout.taken * 10)).toBeLessThanOrEqual(1);
    const dark = ([x, y]: readonly [number, number]) => {
      const [cx, cy] = [Math.round(x * 10), Math.round(h! - y * 10)];
      for (let dy = -2; dy <= 2; dy++) for (let dx = -2; dx <= 2; dx++) if ((data[(cy + dy) * w! + cx + dx] ?? 255) < 200) return true;
      return false;
    };
    for (const { ring } of strokesOf(layout)) for (const point of ring) expect(dark(point)).toBe(true);
    // and nothing is filled: a point well within a letter's stroke is light
    const box = boxOf(layout.outlines[0]!);
    expect(pointInRing([box.minX - 1, box.minY - 1], strokesOf(layout)[0]!.ring)).toBe(false);
    expect(data.filter((level) => level < 200).length / data.length).toBeLessThan(0.05);
  });
  it('film that is longer than a page of PDF says where else it can go', async () => {
    await expect(pdfCutFile({ ...layout, taken: 6000 }, 'Long')).rejects.toThrow(/Save it as SVG or HPGL/);
  });
  it('each kind has a name and an extension of its own', () => {
    const kinds = Object.values(CUT_FILES);
    expect(new Set(kinds.map(({ extension }) => extension)).size).toBe(kinds.length);
    expect(new Set(kinds.map(({ name }) => name)).size).toBe(kinds.length);
  });
});
