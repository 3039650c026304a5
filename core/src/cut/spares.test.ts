import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { demoShop, textMark } from '../../test/sampleJobs';
import { drawMark, readHpgl } from '../artwork';
import { SPARES } from '../facts';
import { applyToRegion, boxOf, boxRegion, difference, growBox, intersection, offset, regionArea, scaling, type Region } from '../geometry';
import type { FilmPiece } from '../job';
import {
  CUT_FILES,
  gapOf,
  layoutFilm,
  leftOf,
  overPieces,
  skyline,
  spareLines,
  withRelief,
  withSpares,
  type CutPart,
  type FilmLayout,
} from './index';
import { law } from '../../test/depth';

const { films, machines } = demoShop();
const film = films.find(({ kind }) => kind === 'permanent')!;
const faces = shippedFaces();
let words: readonly Region[];
beforeAll(() => {
  words = ['Skiff in tidiness', 'Jib', 'Oar', 'Würde'].map((text) => {
    const drawn = drawMark(textMark(text, {}, 'montserrat'), { width: 200, height: 100 }, faces).layers[0]!.region;
    const box = boxOf(drawn);
    return applyToRegion(scaling(((text === 'Oar' ? 20 : 7) * text.length) / (box.maxX - box.minX)), drawn);
  });
});
const partOf = (i: number, copies = 1): CutPart => ({ job: 'j', mark: `m${i}`, name: `m${i}`, copies, region: words[i]! });
const all = new Set(['j/m0', 'j/m1', 'j/m2', 'j/m3']);
const laidOut = (layout: FilmLayout) => layout.parts.map(({ outline, place }) => applyToRegion(place, layout.outlines[outline]!));

describe('spares of the smallest bits', () => {
  it('take no more film, keep the gap and the edges, and come nearer to nothing', () => {
    const some = fc.uniqueArray(fc.constantFrom(0, 1, 2, 3), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(some, fc.integer({ min: 1, max: 3 }), fc.constantFrom(2, 3, 5), (which, copies, gap) => {
        const layout = layoutFilm(
          film,
          which.map((i) => partOf(i, copies)),
          machines,
          skyline,
          gap,
        );
        const found = withSpares(layout, all);
        expect(found.taken).toBe(layout.taken);
        expect(found.parts).toBe(layout.parts);
        const spares = found.spares ?? [];
        const free = boxRegion(growBox({ minX: 0, minY: 0, maxX: layout.width, maxY: layout.taken }, -9.98));
        const others = laidOut(layout);
        spares.forEach((spare, i) => {
          expect(regionArea(spare)).toBeLessThanOrEqual(SPARES.area);
          expect(regionArea(difference(spare, free))).toBeLessThan(0.01);
          const wide = offset(spare, gapOf(layout) - 0.02);
          for (const other of [...others, ...spares.slice(i + 1)]) expect(regionArea(intersection(wide, other))).toBeLessThan(0.01);
        });
      }),
      law(8, 80),
    );
  });
  it('are one of each kind of small bit, of marks that are wanted, and none where none is small', () => {
    // the dots of three i and of a j are all alike
    const dots = withSpares(layoutFilm(film, [partOf(0)], machines), all);
    expect(dots.spares).toHaveLength(1);
    expect(withSpares(layoutFilm(film, [partOf(2)], machines), all).spares).toBeUndefined();
    expect(withSpares(layoutFilm(film, [partOf(0)], machines), new Set()).spares).toBeUndefined();
  });
  it('are in every file, clear of relief cuts, and gone from what is left', async () => {
    const plain = layoutFilm(film, [partOf(0, 3), partOf(3, 2)], machines);
    const layout = withRelief(withSpares(plain, all), 60);
    const n = spareLines(layout).length;
    expect(n).toBeGreaterThan(0);
    const machine = layout.machine!;
    const downs = (text: string) => {
      const read = readHpgl(text);
      return read.ok ? read.value.moves.filter((move, i, moves) => move.down && !moves[i - 1]?.down).length : -1;
    };
    const [svg, dxf, hpgl] = [CUT_FILES.svg, CUT_FILES.dxf, CUT_FILES.hpgl].map(
      (kind) => (of: FilmLayout) => kind.write(of, 't', machine) as string,
    );
    const without: FilmLayout = { ...layout, spares: [] };
    const paths = (text: string) => text.split('<path').length;
    expect(paths(svg!(layout)) - paths(svg!(without))).toBe(n);
    expect(dxf!(layout).split('POLYLINE').length - dxf!(without).split('POLYLINE').length).toBe(n);
    expect(downs(hpgl!(layout)) - downs(hpgl!(without))).toBe(n);
    expect((await CUT_FILES.pdf.write(layout, 't')).length).toBeGreaterThan(0);
    const near = (layout.spares ?? []).flatMap((spare) => offset(spare, 0.9));
    for (const { points, closed } of layout.relief!)
      if (!closed)
        for (const [i, b] of points.slice(1).entries()) {
          const a = points[i]!;
          const along = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
          const [dx, dy] = [((b[1] - a[1]) / along) * 0.01, ((a[0] - b[0]) / along) * 0.01];
          const thin: Region = [
            {
              outer: [
                [a[0] + dx, a[1] + dy],
                [a[0] - dx, a[1] - dy],
                [b[0] - dx, b[1] - dy],
                [b[0] + dx, b[1] + dy],
              ],
              holes: [],
            },
          ];
          expect(regionArea(intersection(thin, near))).toBeLessThan(1e-3);
        }
    const area = (of: FilmLayout) => leftOf({ ...of, taken: 200, relief: [] }).reduce((sum, { outline }) => sum + regionArea(outline), 0);
    expect(area(layout)).toBeLessThan(area(without));
  });
});

describe('a cut spread over sheets and offcuts', () => {
  it('cuts every part once, on pieces that hold it, and takes less of the roll with each', () => {
    const piece = fc
      .record({
        width: fc.integer({ min: 30, max: 280 }),
        length: fc.integer({ min: 30, max: 200 }),
        count: fc.integer({ min: 1, max: 2 }),
      })
      .map((size): FilmPiece => ({ id: `${size.width}x${size.length}`, kind: 'offcut', ...size }));
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 3 }), fc.integer({ min: 1, max: 6 }), fc.boolean(), (pieces, copies, narrow) => {
        const high = boxOf(words[2]!);
        const own = narrow ? { ...film, width: high.maxY - high.minY + 19 } : film;
        const layout = layoutFilm(own, [partOf(2, copies), partOf(1, copies), partOf(3, 1)], machines);
        expect(layout.noRoom?.map(({ mark }) => mark)).toEqual(narrow ? ['m2'] : undefined);
        const { sheets, roll } = overPieces([layout], pieces, machines, 1);
        const cut = [...sheets.map((one) => one.layout), ...(roll ? [roll] : [])];
        const wide = roll?.noRoom?.reduce((sum, one) => sum + one.copies, 0) ?? 0;
        if (!narrow) expect(wide).toBe(0);
        for (const mark of ['m1', 'm2', 'm3'])
          expect(cut.flatMap(({ parts }) => parts).filter((part) => part.mark === mark).length + (mark === 'm2' ? wide : 0)).toBe(
            mark === 'm3' ? 1 : copies,
          );
        expect(roll?.taken ?? 0).toBeLessThanOrEqual(layout.taken + 1e-6);
        // every sheet but the last says that the job goes on
        sheets.forEach(({ layout: sheet }, i) => expect(sheet.unfinished).toEqual(i < sheets.length - 1 || roll ? ['j'] : undefined));
        for (const { layout: sheet, piece: on } of sheets)
          for (const region of laidOut(sheet)) expect(boxOf(region).maxX).toBeLessThanOrEqual(Math.max(on.width, on.length));
        const used = new Map<string, number>();
        for (const { piece: on } of sheets) used.set(on.id, (used.get(on.id) ?? 0) + 1);
        for (const [id, n] of used)
          expect(n).toBeLessThanOrEqual(pieces.filter((one) => one.id === id).reduce((sum, { count }) => sum + count, 0));
      }),
      law(7, 60),
    );
  });
});
