import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { demoShop, textMark } from '../../test/sampleJobs';
import { drawMark } from '../artwork';
import { LAYOUT } from '../facts';
import {
  applyToRegion,
  boxOf,
  boxRegion,
  difference,
  intersection,
  offset,
  regionArea,
  scaling,
  translation,
  union,
  type Point,
  type Region,
} from '../geometry';
import type { Film, FilmPiece, KeptLayout, Machine } from '../job';
import {
  asLaid,
  checkNesting,
  copyKey,
  fillFrugally,
  FillSearch,
  fillSheet,
  largestBoxIn,
  layOnPiece,
  layoutFilm,
  leftOf,
  lyingOf,
  partsKeyOn,
  pieceSheet,
  withRelief,
  type CutPart,
  type NestPart,
  type Sheet,
} from './index';
import { law } from '../../test/depth';

const { films, machines } = demoShop();
const [film] = films as [Film];
const OPTIONS = { gap: 3, holdDown: 3 };
const box = (width: number, height: number): Region => boxRegion({ minX: 0, minY: 0, maxX: width, maxY: height });
const disc = (r: number, x = 0, y = 0): Region => [
  {
    outer: Array.from({ length: 40 }, (_, i): Point => [x + r * Math.cos((i * Math.PI) / 20), y + r * Math.sin((i * Math.PI) / 20)]),
    holes: [],
  },
];
const sheetOf = (outline: Region): Sheet => ({ film, outline, from: { kind: 'offcut', id: 'o' } });
let word: Region;
beforeAll(() => {
  const drawn = drawMark(textMark('Skerry', {}, 'pacifico'), { width: 200, height: 100 }, shippedFaces()).layers[0]!.region;
  const size = boxOf(drawn);
  word = applyToRegion(scaling(70 / (size.maxX - size.minX)), drawn);
});
const faults = (parts: readonly NestPart[], sheet: Sheet, nested: ReturnType<typeof fillSheet>['nested']) =>
  // what finds no room is not laid, and that is no fault here
  checkNesting({ nested, tooLarge: parts.map((_, i) => i) }, parts, [sheet], OPTIONS);

describe('parts on a sheet of any outline', () => {
  it('keep their gap, the edge and the holes, whatever the sheet and the parts; the same seed gives the same layout', () => {
    const side = fc.integer({ min: 8, max: 70 });
    const part = fc.tuple(fc.constantFrom('box', 'ring', 'word'), side, side, fc.boolean(), fc.integer({ min: 1, max: 4 }));
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 6 }),
        fc.array(fc.tuple(fc.integer({ min: 20, max: 180 }), fc.integer({ min: 20, max: 140 }), fc.integer({ min: 5, max: 40 })), {
          maxLength: 3,
        }),
        fc.integer({ min: 1, max: 99 }),
        (given, holes, seed) => {
          const parts = given.map(([kind, w, h, fixed, copies]): NestPart => ({
            region: kind === 'box' ? box(w, h) : kind === 'word' ? word : difference(disc(w / 2 + 6), disc(w / 3)),
            copies,
            ...(fixed ? { fixed } : {}),
          }));
          const slanted: Region = [
            {
              outer: [
                [0, 0],
                [190, 0],
                [200, 60],
                [150, 150],
                [10, 140],
              ],
              holes: [],
            },
          ];
          const sheet = sheetOf(holes.reduce((rest, [x, y, r]) => difference(rest, disc(r, x, y)), slanted));
          const found = fillSheet(parts, sheet, OPTIONS, { rounds: 2, seed });
          expect(faults(parts, sheet, found.nested)).toEqual([]);
          expect(fillSheet(parts, sheet, OPTIONS, { rounds: 2, seed })).toEqual(found);
          for (const { part: p, place } of found.nested) if (parts[p]!.fixed) expect(place.slice(0, 4)).toEqual([1, 0, 0, 1]);
          // more rounds are never worse, and what lies stays when it is held
          expect(fillSheet(parts, sheet, OPTIONS, { rounds: 4, seed }).area).toBeGreaterThan(found.area - 1e-6);
          const held = found.nested.slice(0, 2);
          const round = fillSheet(parts, sheet, OPTIONS, { rounds: 1, seed }, held);
          for (const one of held) expect(round.nested).toContainEqual(one);
          expect(faults(parts, sheet, round.nested)).toEqual([]);
          // looked for on, it never holds less, and what is held stays
          const locked = new Set(held.map(copyKey));
          const looked = () => {
            const search = new FillSearch(parts, sheet, OPTIONS, found.nested, seed, undefined, locked);
            for (let k = 0; k < 3; k++) search.round();
            return search;
          };
          const search = looked();
          expect([search.faults(), faults(parts, sheet, search.nested())]).toEqual([[], []]);
          expect(search.area).toBeGreaterThan(found.area - 1e-6);
          expect(looked().nested()).toEqual(search.nested());
          for (const one of held) {
            const now = search.nested().find((other) => copyKey(other) === copyKey(one))!;
            one.place.forEach((n, i) => expect(now.place[i]).toBeCloseTo(n, 6));
          }
          expect(faults(parts, sheet, fillFrugally(parts, sheet, OPTIONS, seed))).toEqual([]);
        },
      ),
      law(5, 60),
    );
  }, 120_000);
  it('find room for one more where others move aside, and a larger one takes the place of a smaller', () => {
    // two bars that lie in the way of a third
    const bars = [{ region: box(60, 18), copies: 3 }];
    const sheet = sheetOf(box(68, 74));
    const at = (y: number, copy: number) => ({ part: 0, copy, sheet: 0, place: [1, 0, 0, 1, 4, y] as const });
    const begun = [at(14, 0), at(42, 1)];
    expect(fillSheet(bars, sheet, OPTIONS, { rounds: 1, seed: 1 }, begun).nested).toHaveLength(2);
    const search = new FillSearch(bars, sheet, OPTIONS, begun, 1);
    for (let k = 0; k < 60 && search.nested().length < 3; k++) search.round();
    expect([search.nested().length, search.faults(), search.round()]).toEqual([3, [], false]);
    const discs = [
      { region: disc(15), copies: 1 },
      { region: disc(17), copies: 1 },
    ];
    const round = sheetOf(box(42, 42));
    const small = new FillSearch(discs, round, OPTIONS, [{ part: 0, copy: 0, sheet: 0, place: [1, 0, 0, 1, 20, 20] }], 1);
    for (let k = 0; k < 60 && small.nested()[0]!.part === 0; k++) small.round();
    expect(small.nested().map(({ part }) => part)).toEqual([1]);
  });
  it('that take more film of what they need are laid first where not all find room', () => {
    const star: Region = [
      {
        outer: Array.from({ length: 10 }, (_, i): Point => [
          (i % 2 ? 8 : 20) * Math.cos((i * Math.PI) / 5),
          (i % 2 ? 8 : 20) * Math.sin((i * Math.PI) / 5),
        ]),
        holes: [],
      },
    ];
    const parts = [
      { region: star, copies: 9 },
      { region: disc(16), copies: 9 },
    ];
    const nested = fillFrugally(parts, sheetOf(box(124, 124)), OPTIONS, 1);
    expect(nested.filter(({ part }) => part === 1)).toHaveLength(9);
  });
  it('fill what they can: equal boxes in a box, and a disc within a ring', () => {
    // a piece is measured by cells of half a mm: a mm is left for each box
    const boxes = [{ region: box(30, 20), copies: 20 }];
    const sheet = sheetOf(box(3 * 34 + 4, 4 * 24 + 4));
    expect(fillSheet(boxes, sheet, OPTIONS, { rounds: 2, seed: 1 }).nested).toHaveLength(12);
    // two lines that may nest into each other hold no fewer than plain rows of their boxes, lying or standing
    const [w, h] = [68.5, 31.5];
    const lines = [...boxRegion({ minX: 0, minY: 20, maxX: 67, maxY: 27 }), ...boxRegion({ minX: 20, minY: 0, maxX: 46, maxY: 30 })];
    const sides = fc.tuple(fc.integer({ min: 80, max: 200 }), fc.integer({ min: 80, max: 200 }));
    fc.assert(
      fc.property(sides, ([width, height]) => {
        const rows = (a: number, b: number) => Math.floor((width - 3) / (a + 3)) * Math.floor((height - 3) / (b + 3));
        const { nested } = fillSheet([{ region: lines, copies: 20 }], sheetOf(box(width, height)), OPTIONS, { rounds: 2, seed: 1 });
        expect(nested.length).toBeGreaterThanOrEqual(Math.min(20, Math.max(rows(w, h), rows(h, w))));
      }),
      law(25, 100),
    );
    const ring = [
      { region: difference(disc(40), disc(30)), copies: 1 },
      { region: disc(20), copies: 1 },
    ];
    expect(fillSheet(ring, sheetOf(box(90, 90)), OPTIONS, { rounds: 1, seed: 1 }).nested).toHaveLength(2);
    expect(fillSheet(ring, sheetOf(box(50, 50)), OPTIONS, { rounds: 1, seed: 1 }).nested.map(({ part }) => part)).toEqual([1]);
    expect(fillSheet(ring, sheetOf(box(4, 4)), OPTIONS, { rounds: 1, seed: 1 }).nested).toEqual([]);
  });
});

describe('a sheet or an offcut in the machine', () => {
  const machine = machines.find((one) => one.carriers?.length) ?? {
    ...machines[0]!,
    carriers: [{ id: 'c', grade: 'standard' as const, width: 300, length: 300, uses: 0 }],
  };
  const [carrier] = machine.carriers as [NonNullable<Machine['carriers']>[number]];
  const piece = (width: number, length: number): FilmPiece => ({ id: 'p', kind: 'offcut', width, length, count: 1 });
  it('goes on a carrier either way round, or not at all', () => {
    expect(boxOf(pieceSheet(film, piece(100, 150), machine)!.outline)).toEqual({ minX: 0, minY: 0, maxX: 100, maxY: 150 });
    expect(pieceSheet(film, piece(carrier.width + 1, carrier.length + 1), machine)).toBeUndefined();
    const long = { ...machine, carriers: [{ ...carrier, width: 200, length: 400 }] };
    expect(boxOf(pieceSheet(film, piece(390, 150), long)!.outline)).toEqual({ minX: 0, minY: 0, maxX: 150, maxY: 390 });
  });
  it('lies as it was kept, for just these marks on just this piece; else, and where it would not lie there without a fault, as at first', () => {
    const parts: CutPart[] = [{ job: 'j', mark: 'm', name: 'Mark', copies: 5, region: box(60, 60) }];
    const roll = layoutFilm(film, parts, [machine]);
    const own = pieceSheet(film, piece(140, 140), machine)!;
    const key = (sheet: Sheet, of = parts) => partsKeyOn(asLaid(film, of), sheet);
    const lying = [
      { part: 0, copy: 3, turn: 0, x: 34, y: 34 },
      { part: 0, copy: 1, turn: 1, x: 105, y: 103 },
    ];
    const keep = (places: KeptLayout['places'], as = key(own)): KeptLayout[] => [{ id: 'k', film: film.id, parts: as, places }];
    const laid = (kept: readonly KeptLayout[], on = piece(140, 140)) => layOnPiece([roll], on, [machine], undefined, kept)!;
    const { layout, rest } = laid(keep(lying));
    expect([rest, layout.unfinished]).toEqual([3, ['j']]);
    expect(layout.parts.map(({ outline, copy, place }) => ({ part: outline, copy, ...lyingOf(place, parts[0]!.region) }))).toEqual(lying);
    // other marks, another piece, over the edge, too near, a copy that is not wanted
    const others = [
      keep(lying, key(own, [{ ...parts[0]!, copies: 4 }])),
      keep(lying, key(pieceSheet(film, piece(150, 140), machine)!)),
      keep([{ ...lying[0]!, x: 30 }]),
      keep([lying[0]!, { ...lying[1]!, x: 80, y: 60 }]),
      keep([{ ...lying[0]!, copy: 5 }]),
    ];
    for (const kept of others) expect(laid(kept)).toEqual(laid([]));
    expect(laid(keep(lying), piece(150, 140))).toEqual(laid([], piece(150, 140)));
  });
  it('holds as many marks as find room, and says how many do not', () => {
    const parts: CutPart[] = [{ job: 'j', mark: 'm', name: 'Mark', copies: 5, region: box(60, 60) }];
    const roll = layoutFilm(film, parts, [machine]);
    const some = layOnPiece([roll], piece(140, 140), [machine])!;
    expect([some.layout.parts.length, some.rest, some.layout.unfinished]).toEqual([4, 1, ['j']]);
    expect(layOnPiece([roll], piece(210, 140), [machine])!.layout.unfinished).toBeUndefined();
    expect(some.layout).toMatchObject({ width: 140, taken: 140, sheet: { from: { kind: 'offcut', id: 'p' } } });
    expect(some.layout.knife).toBeCloseTo(4 * 240, 6);
    expect(layOnPiece([roll], piece(40, 40), [machine])!.layout.parts).toEqual([]);
  });
});

describe('what is left of film', () => {
  const layout = (copies: number) => layoutFilm(film, [{ job: 'j', mark: 'm', name: 'Mark', copies, region: box(90, 90) }], machines);
  it('lies on the film, off every part by its gap, and with those makes up all of it', () => {
    for (const copies of [1, 2, 4, 7]) {
      const one = layout(copies);
      const whole = box(one.width, one.taken);
      const grown = union(...one.parts.map(({ outline, place }) => applyToRegion(place, offset(one.outlines[outline]!, LAYOUT.gap))));
      const rest = difference(whole, grown);
      expect(regionArea(rest) + regionArea(intersection(whole, grown))).toBeCloseTo(regionArea(whole), 0);
      for (const { outline, width, length, box: free } of leftOf(one)) {
        expect(boxOf(outline)).toEqual({ minX: 0, minY: 0, maxX: width, maxY: length });
        expect(Math.min(free.width, free.length)).toBeGreaterThanOrEqual(LAYOUT.leastOffcut);
        expect(free.width * free.length).toBeLessThanOrEqual(regionArea(outline) * 1.03);
      }
    }
    // beside one mark on a wide roll lies an offcut; of film that is taken up nothing is left
    expect(leftOf(layout(1))).toHaveLength(1);
    const full = { ...layout(1), outlines: [applyToRegion(translation(150, 50), box(300, 100))] };
    expect(leftOf({ ...full, width: 300, taken: 100, parts: [{ ...full.parts[0]!, place: [1, 0, 0, 1, -150, -50] }] })).toEqual([]);
  });
  it('has its true outline, with holes where marks were taken; from it more can be cut', () => {
    const sheet: FilmPiece = { id: 's', kind: 'sheet', width: 250, length: 250, count: 1 };
    const cut = layOnPiece([layout(1)], sheet, machines)!.layout;
    const [left] = leftOf(cut);
    expect(regionArea(left!.outline)).toBeLessThan(250 * 250 - 90 * 90);
    const offcut: FilmPiece = { id: 'o', kind: 'offcut', count: 1, width: left!.width, length: left!.length, outline: left!.outline };
    const again = layOnPiece([layout(1)], offcut, machines)!;
    expect(again.rest).toBe(0);
    expect(regionArea(difference(applyToRegion(again.layout.parts[0]!.place, again.layout.outlines[0]!), left!.outline))).toBeLessThan(
      0.01,
    );
  });
  it('ends at the border of relief cuts: what they have parted is no offcut', () => {
    const one = layout(1);
    const [before] = leftOf(one);
    const relieved = withRelief(one, 60);
    for (const { outline } of leftOf(relieved)) {
      const border = relieved.relief!.find(({ closed }) => closed)!;
      // each lies where it was: beside the border, never over it
      const free = difference(box(one.width, one.taken), [{ outer: border.points, holes: [] }]);
      expect(regionArea(outline)).toBeLessThanOrEqual(regionArea(free) + 1);
    }
    expect(regionArea(before!.outline)).toBeGreaterThan(leftOf(relieved).reduce((sum, { outline }) => sum + regionArea(outline), 0));
  });
  it('the largest box in it is found', () => {
    expect(largestBoxIn(difference(box(100, 60), box(40, 60)))).toEqual({ width: 60, length: 60 });
  });
});
