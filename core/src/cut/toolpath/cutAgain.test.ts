import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { demoShop, textMark } from '../../../test/sampleJobs';
import { drawMark, importDxf, importHpgl, importSvg, type ImportedDrawing } from '../../artwork';
import {
  applyToRegion,
  boxOf,
  difference,
  flatten,
  IDENTITY,
  regionArea,
  regionOf,
  scaling,
  translation,
  type Region,
} from '../../geometry';
import type { Result } from '../../units';
import { dxfCutFile, hpglCutFile, layoutFilm, svgCutFile, type CutPart, type FilmLayout } from '../index';
import { law } from '../../../test/depth';

const { films, machines } = demoShop();
const film = films.find(({ kind }) => kind === 'permanent')!;
const ids = () => {
  let n = 0;
  return () => `p${++n}`;
};
let word: Region;
beforeAll(() => {
  const drawn = drawMark(textMark('Boa 8', {}, 'montserrat'), { width: 200, height: 100 }, shippedFaces()).layers[0]!.region;
  const box = boxOf(drawn);
  word = applyToRegion(scaling(60 / (box.maxX - box.minX)), drawn);
});
/** What lies on the film, from its own lower left corner. */
const laidOut = (layout: FilmLayout): Region => {
  const all = layout.parts.flatMap(({ outline, place }) => applyToRegion(place, layout.outlines[outline]!));
  const box = boxOf(all);
  return applyToRegion(translation(-box.minX, -box.minY), all);
};
/** What a file that was taken in holds at the size that it says, mm. */
function takenIn(read: Result<ImportedDrawing>): Region {
  if (!read.ok) throw new Error(read.problem.found);
  const { parts, asDrawn } = read.value;
  const all = parts.flatMap(({ path, fill }) => regionOf(flatten(path, IDENTITY, 0.01), fill));
  const box = boxOf(all);
  const k = asDrawn!.width / (box.maxX - box.minX);
  expect((box.maxY - box.minY) * k).toBeCloseTo(asDrawn!.height, 1);
  return applyToRegion(scaling(k), applyToRegion(translation(-box.minX, -box.minY), all));
}
const differ = (a: Region, b: Region) => regionArea(difference(a, b)) + regionArea(difference(b, a));

describe('a cut file that is taken in again', () => {
  it('is what was cut, at its size: HPGL with its overcut, SVG with its hairlines, DXF with its units', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), (copies) => {
        const part: CutPart = { job: 'j', mark: 'm', name: 'm', copies, region: word };
        const layout = layoutFilm(film, [part], machines);
        const wanted = laidOut(layout);
        const edge = 0.06 * regionArea(wanted);
        const machine = machines.find(({ rollFed }) => rollFed)!;
        expect(differ(takenIn(importHpgl(hpglCutFile(layout, machine), 'a.hpgl', ids())), wanted)).toBeLessThan(edge);
        expect(differ(takenIn(importSvg(svgCutFile(layout, 'a'), 'a.svg', ids())), wanted)).toBeLessThan(edge);
        expect(differ(takenIn(importDxf(dxfCutFile(layout), 'a.dxf', ids())), wanted)).toBeLessThan(edge);
      }),
      law(3, 20),
    );
  });
  it('says what it left out, and why it takes nothing from what is broken', () => {
    const square = 'PU0,0;PD400,0,400,400,0,400,0,0;';
    const read = importHpgl(`IN;${square}PU1000,0;PD1400,0;SP2;PU0,900;PD90,900;PU0,0;SP0;`, 'a.plt', ids());
    expect(read.ok && [read.value.asDrawn, read.value.leftOut]).toEqual([
      { width: 10, height: 10 },
      ['1 open line', '1 line that a pen wrote'],
    ]);
    for (const [text, why] of [
      ['IN;PU0,0;PD400,0,400;', /cut short/],
      // a job that breaks off behind a comma does not go on to 0
      ['IN;PU0,0;PD400,0,400,', /does not understand "PD400,0,400,"/],
      ['hello', /does not understand/],
      ['IN;PU0,0;PD400,0;', /no closed outline/],
      ['', /nothing to cut/],
    ] as const) {
      const found = importHpgl(text, 'a.plt', ids());
      expect(found.ok ? '' : found.problem.found).toMatch(why);
      expect(found.ok ? '' : found.problem.wayOut).toMatch(/take it in again|Take in/);
    }
  });
  it('a drawing with thick lines, or one whose lines mostly stay open, stays film', () => {
    const svg = (inner: string) =>
      importSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inner}</svg>`, 'a.svg', ids());
    const line = (d: string, width: number) => `<path d="${d}" fill="none" stroke="#000" stroke-width="${width}"/>`;
    const square = 'M10 10H90V90H10Z';
    const area = (read: Result<ImportedDrawing>) =>
      read.ok ? regionArea(read.value.parts.flatMap(({ path, fill }) => regionOf(flatten(path, IDENTITY, 0.01), fill))) : 0;
    expect(area(svg(line(square, 0.1)))).toBeCloseTo(6400, 3);
    expect(area(svg(line(square, 2)))).toBeCloseTo(4 * 80 * 2, 0);
    expect(area(svg(line(square, 0.1) + line('M10 10L50 50', 0.1) + line('M10 90L50 50', 0.1)))).toBeLessThan(100);
    // lines that meet are joined, with gaps of up to a twentieth of a millimetre; what was drawn twice counts once, and is told
    const pieces = [line('M10 10H90V90', 0.1), line('M10 10.005V90Q50 90 90 90', 0.1)].join('');
    expect(area(svg(pieces))).toBeCloseTo(6400, 0);
    const twice = svg(line(square, 0.1) + line('M90 90H10V10H90Z', 0.1) + line('M30 30H50V50H30Z', 0.1));
    expect(area(twice)).toBeCloseTo(6400 - 400, 3);
    expect(twice.ok && twice.value.leftOut).toEqual(['1 outline that was there twice']);
    const inMm = (by: number) =>
      importSvg(
        `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">${line(`M10 10H90V90H10V${10 + by}`, 0.1)}</svg>`,
        'a.svg',
        ids(),
      );
    expect(area(inMm(0.045))).toBeCloseTo(6400, 0);
    expect(area(inMm(0.5))).toBeLessThan(100);
    // a filled shape beside it: the lines are meant to be seen, and may be taken for outlines
    const beside = svg(`<rect width="10" height="10"/>${line(square, 0.1)}`);
    expect(area(beside)).toBeLessThan(200);
    if (!beside.ok) throw new Error(beside.problem.found);
    expect(beside.value.thin).toBe('strips');
    expect(area({ ok: true, value: { ...beside.value, parts: beside.value.otherwise! } })).toBeCloseTo(100 + 6400, 3);
    // and a drawing of lines alone the other way round
    const alone = svg(line(square, 0.1));
    if (!alone.ok) throw new Error(alone.problem.found);
    expect(alone.value.thin).toBe('outlines');
    expect(area({ ok: true, value: { ...alone.value, parts: alone.value.otherwise! } })).toBeCloseTo(32, 0);
    const sized = importSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" width="5cm" height="5cm" viewBox="0 0 100 100"><rect width="40" height="20"/></svg>`,
      'a.svg',
      ids(),
    );
    expect(sized.ok && sized.value.asDrawn).toEqual({ width: expect.closeTo(20, 6), height: expect.closeTo(10, 6) });
    const bare = svg('<rect width="40" height="20"/>');
    expect(bare.ok && bare.value.asDrawn).toBeUndefined();
  });
});
