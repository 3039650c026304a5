import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { demoShop, textMark } from '../../test/sampleJobs';
import { drawMark, readHpgl } from '../artwork';
import { LAYOUT } from '../facts';
import { applyToRegion, boxOf, regionArea, scaling, type Region } from '../geometry';
import type { Machine } from '../job';
import { beforeCutWords } from '../words';
import { beforeCutOf, freeEnd, hpglCutFile, inLoads, oneLoad, layoutFilm, svgCutFile, type CutPart, type FilmLayout } from './index';
import { law } from '../../test/depth';

const { films, machines } = demoShop();
const film = films.find(({ kind }) => kind === 'permanent')!;
const roll = machines.find(({ rollFed }) => rollFed)!;
const short = (most: number): Machine[] => [{ ...roll, most }];
let word: Region;
beforeAll(() => {
  const drawn = drawMark(textMark('HINMUN HIMNUM', {}, 'montserrat'), { width: 900, height: 200 }, shippedFaces()).layers[0]!.region;
  const box = boxOf(drawn);
  // upright along the film
  word = applyToRegion([0, 1, -1, 0, 0, 0], applyToRegion(scaling(800 / (box.maxX - box.minX)), drawn));
});
const part = (copies: number): CutPart => ({ job: 'j', mark: 'm', name: 'm', copies, region: word });
const laidOut = (layout: FilmLayout) => layout.parts.flatMap(({ outline, place }) => applyToRegion(place, layout.outlines[outline]!));

describe('a layout in loads', () => {
  it('is parted where no letter is: every shape is cut once, within the machine, and loads are as few as can be', () => {
    fc.assert(
      fc.property(fc.integer({ min: 180, max: 900 }), fc.integer({ min: 1, max: 2 }), (most, copies) => {
        const layout = layoutFilm(film, [part(copies)], short(most));
        const loads = inLoads(layout)!;
        const all = laidOut(layout);
        const cut = loads.flatMap(laidOut);
        expect(cut).toHaveLength(all.length);
        expect(regionArea(cut)).toBeCloseTo(regionArea(all), 3);
        expect(loads.length).toBeGreaterThanOrEqual(Math.ceil((layout.taken - 2 * LAYOUT.holdDown) / (most - 2 * LAYOUT.holdDown)));
        for (const load of loads) {
          expect(load.taken).toBeLessThanOrEqual(most + 1e-6);
          for (const shape of laidOut(load)) {
            const box = boxOf([shape]);
            expect(box.minY).toBeGreaterThan(LAYOUT.holdDown - 0.01);
            expect(box.maxY).toBeLessThan(load.taken - LAYOUT.holdDown + 0.01);
          }
        }
        // a shape is as far from its tick in one load as the next shape is in the next: laid together they are where they were
        const first = loads[0]!;
        if (loads.length > 1 && first.register) {
          const join = first.register.at(-1)!.points[0]![1];
          expect(loads[1]!.register![0]!.points[0]![1]).toBeCloseTo(LAYOUT.holdDown, 6);
          expect(join).toBeCloseTo(first.taken - LAYOUT.holdDown, 6);
        }
      }),
      law(25),
    );
  });
  it('is as large as a carrier sheet holds where the machine takes none from a roll', () => {
    const carrier = (width: number, length: number) => ({ id: `${width}`, grade: 'standard' as const, width, length, uses: 0 });
    const bed: Machine = { ...roll, rollFed: false, width: 300, most: 600 };
    const carried = { ...bed, carriers: [carrier(200, 300), carrier(280, 400), carrier(900, 100)] };
    expect([roll, bed, carried].map(oneLoad)).toEqual([
      { width: roll.width, length: roll.most },
      { width: 300, length: 600 },
      { width: 280, length: 400 },
    ]);
    const layout = layoutFilm(film, [part(1)], [carried]);
    expect(layout.width).toBe(Math.min(film.width, 280));
    const loads = inLoads(layout)!;
    expect(Math.max(...loads.map(({ taken }) => taken))).toBeLessThanOrEqual(400);
    expect(loads.length).toBeGreaterThan(inLoads(layoutFilm(film, [part(1)], [bed]))!.length);
    // where there is another that takes it from the roll that one cuts it
    expect(layoutFilm(film, [part(1)], [carried, { ...roll, width: 2000 }]).machine!.rollFed).toBe(true);
    const say = (mm: number) => `${mm} mm`;
    expect(beforeCutWords(beforeCutOf({ film, machine: carried, sheet: freeEnd(film, 280) }).before, say)).toContain(
      '400 mm at a time at most, and press it flat on a carrier',
    );
    expect(beforeCutWords(beforeCutOf({ film: { ...film, width: 280 }, machine: bed, sheet: freeEnd(film, 280) }).before, say)).toBe(
      'Cut it off the roll, 600 mm at a time at most: this cutter takes none straight from a roll. ',
    );
    // of a sheet and an offcut nothing is cut off or trimmed
    const piece = { ...freeEnd(film, 280), from: { kind: 'offcut' as const, id: 'p' } };
    expect(beforeCutWords(beforeCutOf({ film: { ...film, width: 900 }, machine: carried, sheet: piece }).before, say)).toBe(
      'Press it flat on a carrier sheet, from one side to the other. ',
    );
    expect(beforeCutOf({ film: { ...film, width: 900 }, machine: bed, sheet: piece })).toEqual({});
  });
  it('is itself where one load is enough, and cannot be where a letter is longer than a load', () => {
    const layout = layoutFilm(film, [part(1)], short(3000));
    expect(inLoads(layout)).toEqual([layout]);
    const disc: CutPart = { ...part(1), region: [{ outer: word[0]!.outer.map(([x, y]) => [x * 6, y * 6] as const), holes: [] }] };
    expect(inLoads(layoutFilm({ ...film, width: 4000 }, [disc], [{ ...roll, width: 4000, most: 200 }]))).toBeUndefined();
  });
  it('has its ticks in the files', () => {
    const layout = layoutFilm(film, [part(1)], short(500));
    const [first] = inLoads(layout)!;
    expect(first!.register).toHaveLength(2);
    expect(svgCutFile(first!, 'a')).toContain('id="register"');
    const downs = (of: FilmLayout) => {
      const read = readHpgl(hpglCutFile(of, roll));
      return read.ok ? read.value.moves.filter((move, i, all) => move.down && !all[i - 1]?.down).length : -1;
    };
    expect(downs(first!) - downs({ ...first!, register: [] })).toBe(2);
  });
});
