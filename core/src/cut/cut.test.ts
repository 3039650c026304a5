import { describe, expect, it } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import fc from 'fast-check';
import { demoShop, textMark } from '../../test/sampleJobs';
import { importSvg } from '../artwork';
import { applyToRegion, boxOf, boxRegion, boxWidth, difference, flatten, numbersFrom, regionArea, regionOf } from '../geometry';
import type { KeptLayout, Machine } from '../job';
import { asKept } from './nest/keptLayout';
import { skyline } from './nest/skyline';
import { marginOf } from './holdDown';
import { cutOutline, layoutFilm, machineFor } from './layout';
import { packBoxes, packingFaults } from './nest/packBoxes';
import { svgCutFile } from './toolpath/svgCutFile';
import { keptOf, smallness, weedingOf } from './weeding';
import { law } from '../../test/depth';

const shop = demoShop();
const white = shop.films[0]!;
const ring = difference(boxRegion({ minX: -20, minY: -10, maxX: 30, maxY: 10 }), boxRegion({ minX: -5, minY: -5, maxX: 5, maxY: 5 }));

describe('packing', () => {
  const item = fc.record({
    width: fc.double({ min: 3, max: 200, noNaN: true }),
    height: fc.double({ min: 3, max: 200, noNaN: true }),
    fixed: fc.boolean(),
  });
  it('every box once, none nearer than the gap, all on the film', () => {
    fc.assert(
      fc.property(
        fc.array(item, { maxLength: 25 }),
        fc.double({ min: 60, max: 280, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (items, across, gap) => {
          const packing = packBoxes(
            items.map((it2, i) => ({ ...it2, id: `${i}` })),
            across,
            gap,
          );
          expect(packingFaults(packing, across, gap)).toEqual([]);
          expect([...packing.boxes.map((b) => b.id), ...packing.tooWide].sort()).toEqual(items.map((_, i) => `${i}`).sort());
          for (const id of packing.tooWide)
            expect(Math.min(items[+id]!.width, items[+id]!.fixed ? Infinity : items[+id]!.height) > across || items[+id]!.fixed).toBe(true);
          for (const box of packing.boxes) expect(box.turned && items[+box.id]!.fixed).toBeFalsy();
        },
      ),
      law(200),
    );
  });
  it('of sixty rectangles cut into boxes, whose shortest strip is known, takes a tenth more at the mean and a quarter at the most', () => {
    const cut = (width: number, height: number, n: number, random: () => number): [number, number][] => {
      if (n <= 1) return [[width, height]];
      const first = Math.max(1, Math.min(n - 1, Math.round(n * (0.3 + 0.4 * random()))));
      const upright = random() < (width > height ? 0.8 : 0.2);
      const [a, b] = upright
        ? ([
            [(width * first) / n, height],
            [width - (width * first) / n, height],
          ] as const)
        : ([
            [width, (height * first) / n],
            [width, height - (height * first) / n],
          ] as const);
      return [...cut(...a, first, random), ...cut(...b, n - first, random)];
    };
    const shares = Array.from({ length: 60 }, (_, seed) => {
      const random = numbersFrom(seed + 1);
      const gap = 3;
      const [n, across, length] = [6 + Math.floor(random() * 25), 240 + random() * 200, 150 + random() * 300];
      const items = cut(across + gap, length + gap, n, random)
        .map(([w, h], i) => ({ id: `${i}`, width: w - gap, height: h - gap }))
        .filter(({ width, height }) => width > 1 && height > 1);
      const packing = packBoxes(items, across, gap);
      expect(packingFaults(packing, across, gap)).toEqual([]);
      return packing.length / length;
    });
    expect(shares.reduce((sum, share) => sum + share, 0) / shares.length).toBeLessThan(1.11);
    expect(Math.max(...shares)).toBeLessThan(1.26);
  });
  it('fills rows: twelve of 66 × 29 on 280 go four abreast', () => {
    const packing = packBoxes(
      Array.from({ length: 12 }, (_, i) => ({ id: `${i}`, width: 66, height: 29 })),
      280,
      3,
    );
    expect(packing.length).toBeLessThanOrEqual(29 * 3 + 6 + 1e-9);
  });
});

describe('layouts', () => {
  const part = (copies: number) => ({ job: 'j', mark: 'm', name: 'mark', copies, region: ring });
  it('take the film between two hold-down margins and count the knife for every copy', () => {
    const layout = layoutFilm(white, [part(3)], shop.machines);
    expect(layout.parts).toHaveLength(3);
    expect(layout.taken).toBeGreaterThanOrEqual(20 + 20);
    expect(layout.knife).toBeCloseTo(3 * (2 * 50 + 2 * 20 + 40), 3);
    expect(layout.minutes).toBeGreaterThan(4 + layout.knife / 60 / 60);
    expect(layoutFilm(white, [], shop.machines)).toMatchObject({ taken: 0, minutes: 0 });
  });
  it('keep the margin of rollers where rollers hold the film, and that of a carrier where a machine takes none from a roll', () => {
    const parts = [{ job: 'j', mark: 'm', name: 'm', copies: 7, region: ring }];
    const [cutter] = shop.machines.filter(({ rollFed }) => rollFed);
    const bed = { ...cutter!, rollFed: false, carriers: [{ id: 'c', grade: 'standard' as const, width: 280, length: 300, uses: 0 }] };
    const machines: [Machine, number][] = [
      [cutter!, 10],
      [bed, 3],
      [{ ...bed, rollFed: true }, 10],
      [{ ...bed, carriers: [] }, 10],
    ];
    for (const [machine, margin] of machines) {
      const laid = layoutFilm({ ...white, width: 280 }, parts, [machine]);
      const boxes = laid.parts.map(({ outline, place }) => boxOf(applyToRegion(place, laid.outlines[outline]!)));
      expect(marginOf(laid)).toBe(margin);
      expect(Math.min(...boxes.flatMap(({ minX, minY }) => [minX, minY]))).toBeCloseTo(margin, 6);
      expect(Math.max(...boxes.map(({ maxX }) => maxX))).toBeLessThanOrEqual(280 - margin + 1e-6);
      expect(laid.taken - Math.max(...boxes.map(({ maxY }) => maxY))).toBeCloseTo(margin, 6);
    }
  });
  it('a stencil gets its border, a mark seen through is mirrored', () => {
    const stencil = cutOutline(ring, textMark('x', { technique: 'stencil' }));
    expect(boxWidth(boxOf(stencil))).toBe(50 + 30);
    const mirrored = cutOutline(ring, textMark('x', { seenThrough: true }));
    expect(boxOf(mirrored)).toMatchObject({ minX: -30, maxX: 20 });
    expect(regionArea(mirrored)).toBeCloseTo(regionArea(ring), 6);
  });
  it('of film with a pattern or a grain turn no part, however much film that takes', () => {
    const long = { ...part(1), region: boxRegion({ minX: 0, minY: 0, maxX: 40, maxY: 250 }) };
    for (const kind of ['permanent', 'patterned', 'textured'] as const) {
      const film = { ...white, kind };
      const [laid] = layoutFilm(film, [long], shop.machines).parts;
      expect([kind, Math.abs(laid!.place[0])]).toEqual([kind, kind === 'permanent' ? 0 : 1]);
      const kept: KeptLayout['places'] = [{ part: 0, copy: 0, turn: 1, x: 150, y: 40 }];
      const again = layoutFilm(film, [long], shop.machines, asKept({ places: kept }, skyline)).parts[0]!;
      expect(Math.abs(again.place[0])).toBe(kind === 'permanent' ? 0 : 1);
    }
  });
  it('picks the narrowest machine that takes the roll whole', () => expect(machineFor(white, shop.machines)!.id).toBe('roll-cutter'));
});

describe('the SVG cut file', () => {
  it('is in mm, and reads back as the same outlines in the same places', () => {
    const layout = layoutFilm(white, [{ job: 'j', mark: 'm', name: 'A & B', copies: 2, region: ring }], shop.machines);
    const text = svgCutFile(layout, 'Tern "Point" <1>');
    const root = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement!;
    expect(root.getAttribute('width')).toBe(`${layout.width}mm`);
    expect(root.getAttribute('viewBox')).toBe(`0 0 ${layout.width} ${+layout.taken.toFixed(3)}`);
    const back = importSvg(text.replaceAll('fill="none"', 'fill="#000"').replaceAll('stroke="#000"', ''), 'cut.svg', () => 'x');
    if (!back.ok) throw new Error(back.problem.found);
    const areas = back.value.parts.map((p) => regionArea(regionOf(flatten(p.path), 'evenodd')));
    // one path an outline, what lies inside before what lies around it
    expect(areas).toHaveLength(4);
    for (const i of [0, 2]) expect(areas[i + 1]! - areas[i]!).toBeCloseTo(regionArea(ring), 1);
    const first = boxOf(regionOf(flatten(back.value.parts[1]!.path)));
    expect(boxWidth(first) === 50 || boxWidth(first) === 20).toBe(true);
    // SVG runs down the page: turned up again and shifted by the page it lies where the layout has it
    expect(first.minY + layout.taken).toBeCloseTo(10, 2);
  });
});

describe('weeding', () => {
  const piece = (area: number) => ({ area, at: [0, 0] as const });
  it('follows the formula', () => {
    const w = weedingOf({ shapes: [piece(100)], counters: [piece(50), piece(2)] }, 400, 'permanent', 'shapes');
    expect(w).toMatchObject({ wastePieces: 3, smallPieces: 1, onCarrier: false, kept: 'shapes' });
    expect(w.minutes).toBeCloseTo(0.4 + 0.06 * 3 + 0.12 + 0.25 * 0.4, 9);
    expect(weedingOf({ shapes: [piece(100)], counters: [] }, 400, 'permanent', 'surround').wastePieces).toBe(1);
  });
  it('what is kept follows from the technique and from what is wanted of the mark', () => {
    const plate = [{ id: 'e', kind: 'showGround', plate: 'box', margin: 4 } as const];
    const backing = [{ id: 'b', kind: 'backing', film: 'petrol', by: 2 } as const];
    expect(keptOf(textMark('x'), 'white-gloss')).toBe('shapes');
    expect(keptOf(textMark('x', { edits: plate }), 'white-gloss')).toBe('plate');
    expect(keptOf(textMark('x', { edits: backing }), 'petrol')).toBe('backing');
    expect(keptOf(textMark('x', { edits: backing }), 'white-gloss')).toBe('shapes');
    expect(keptOf(textMark('x', { technique: 'stencil' }), 'white-gloss')).toBe('surround');
    expect(keptOf(textMark('x', { technique: 'stencil', edits: plate }), 'white-gloss')).toBe('maskShapes');
  });
  it('rises smoothly with smallness and with days, seven at most', () => {
    expect([smallness(20), smallness(15), smallness(4), smallness(1)]).toEqual([0, 0, 1, 1]);
    expect(smallness(9.5)).toBeCloseTo(0.5, 9);
    const at = (days: number) => weedingOf({ shapes: [], counters: [] }, 100, 'glitter', 'shapes', days).minutes;
    expect(at(4)).toBeCloseTo(at(0) * 2, 9);
    expect(at(30)).toBe(at(7));
  });
});
