import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { demoShop, textMark } from '../../test/sampleJobs';
import { drawMark } from '../artwork';
import { applyToRegion, boxOf, difference, numbersFrom, pointInRing, scaling, type Point, type Region, type Ring } from '../geometry';
import { cutOutline, inCutOrder, insideFirst, layoutFilm, orderContours, strokesOf, travelOf, type CutPart } from './index';
import { law } from '../../test/depth';

const disc = (r: number, x: number, y: number, n = 24): Ring =>
  Array.from({ length: n }, (_, i): Point => [x + r * Math.cos((2 * Math.PI * i) / n), y + r * Math.sin((2 * Math.PI * i) / n)]);
/** Discs in cells of a grid, some with a smaller one in them, and some with another in that. */
function field(count: number, seed: number): Ring[] {
  const random = numbersFrom(seed);
  const rings: Ring[] = [];
  for (let cell = 0; rings.length < count; cell = (cell + 1 + Math.floor(random() * 5)) % 2000) {
    const [x, y] = [(cell % 40) * 20 + random() * 4, Math.floor(cell / 40) * 20 + random() * 4];
    if (rings.some(([p]) => Math.hypot(p![0] - x, p![1] - y) < 12)) continue;
    for (const r of [7, 4, 2].slice(0, 1 + Math.floor(random() * 3))) rings.push(disc(r, x, y));
  }
  return rings.slice(0, count);
}
/** Ten mm rows from left to right and back, the nearest end first. */
function inRows(rings: readonly Ring[]): number[] {
  const middles = rings.map((ring, i) => ({ i, box: boxOf([{ outer: ring, holes: [] }]) }));
  const rows = [...new Set(middles.map(({ box }) => Math.floor((box.minY + box.maxY) / 20)))].sort((a, b) => a - b);
  let x = 0;
  return rows.flatMap((row) => {
    const own = middles.filter(({ box }) => Math.floor((box.minY + box.maxY) / 20) === row).sort((a, b) => a.box.minX - b.box.minX);
    if (Math.abs(own.at(-1)!.box.minX - x) < Math.abs(own[0]!.box.minX - x)) own.reverse();
    x = own.at(-1)!.box.minX;
    return own.map(({ i }) => i);
  });
}

describe('the order of outlines', () => {
  it('has every one once, what lies in another before it, and travels less than rows do', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 120 }), fc.integer({ min: 1, max: 1e6 }), (count, seed) => {
        const rings = field(count, seed);
        const before = insideFirst(rings);
        const order = orderContours(rings, before);
        expect(order.map(({ contour }) => contour).sort((a, b) => a - b)).toEqual(rings.map((_, i) => i));
        const at = new Map(order.map(({ contour }, i) => [contour, i]));
        before.forEach((list, c) => {
          for (const b of list) expect(at.get(b)!).toBeLessThan(at.get(c)!);
        });
        for (const { contour, start } of order) expect(rings[contour]![start]).toBeDefined();
        const rows = travelOf(
          rings,
          inRows(rings).map((contour) => ({ contour, start: 0 })),
        );
        expect(travelOf(rings, order)).toBeLessThanOrEqual(rows + 1e-6);
      }),
      law(14, 120),
    );
  });
  it('is the shortest there is where that is plain: along a line, whatever order they come in', () => {
    const line = [3, 0, 5, 1, 4, 2].map((k) => disc(2, 10 + 10 * k, 2, 4));
    const order = orderContours(line);
    expect(order.map(({ contour }) => contour)).toEqual([1, 3, 5, 0, 4, 2]);
    // from the nearest point of the first, six mm from edge to edge, two of which lie on the far side of each
    expect(travelOf(line, order)).toBeLessThan(60);
  });
  it('of very many is as they come, inner ones first', () => {
    const many = Array.from({ length: 5200 }, (_, i) => disc(1, (i % 70) * 5, Math.floor(i / 70) * 5, 3));
    expect(
      orderContours(
        many,
        many.map((_, i) => (i === 0 ? [5199] : [])),
      ).slice(0, 3),
    ).toEqual([
      { contour: 5199, start: 0 },
      { contour: 0, start: 0 },
      { contour: 1, start: 0 },
    ]);
  }, 60_000);
});

describe('a layout in the order of the cut', () => {
  let parts: CutPart[];
  beforeAll(() => {
    const faces = shippedFaces();
    const sized = (region: Region, width: number): Region => {
      const box = boxOf(region);
      return applyToRegion(scaling(width / (box.maxX - box.minX)), region);
    };
    const word = (text: string) => sized(drawMark(textMark(text), { width: 200, height: 100 }, faces).layers[0]!.region, 60);
    const ring = difference([{ outer: disc(40, 0, 0), holes: [] }], [{ outer: disc(30, 0, 0), holes: [] }]);
    parts = [word('BOAT'), word('ROW'), ring].map((region, i) => ({ job: 'j', mark: `m${i}`, name: `m${i}`, copies: 4, region }));
  });
  it('is the same parts and outlines, each part in one go, and travels less', () => {
    const layout = layoutFilm(demoShop().films[0]!, parts, demoShop().machines);
    const ordered = inCutOrder(layout);
    const key = (part: { mark: string; copy: number }) => `${part.mark} ${part.copy}`;
    expect(ordered.parts.map(key).sort()).toEqual(layout.parts.map(key).sort());
    const points = (one: typeof layout) =>
      strokesOf(one)
        .map(({ ring }) => JSON.stringify(ring.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).sort()))
        .sort();
    expect(points(ordered)).toEqual(points(layout));
    const strokes = strokesOf(ordered);
    expect(strokes.map(({ part }) => part)).toEqual(strokes.map(({ part }) => part).sort((a, b) => a - b));
    expect(ordered.travel).toBeLessThan(layout.travel * 0.8);
    expect(ordered.minutes).toBeLessThan(layout.minutes);
    expect(inCutOrder({ ...layout, parts: [] }).parts).toEqual([]);
  });
  it('of a stencil the border is cut last and an island before its surround, whether an order was looked for or not', () => {
    const region = cutOutline(parts[0]!.region, { technique: 'stencil', seenThrough: false });
    const within = { ...parts[0]!, mark: 'stencil', region };
    const plain = layoutFilm(demoShop().films[0]!, [{ ...within, copies: 2 }, ...parts.slice(1)], demoShop().machines);
    for (const layout of [plain, inCutOrder(plain)]) {
      const strokes = strokesOf(layout);
      let around = 0;
      strokes.forEach(({ ring, part }, i) => {
        const own = strokes.filter((one) => one.part === part);
        for (const { ring: other } of strokes.slice(0, i)) expect(pointInRing(ring[0]!, other)).toBe(false);
        if (own.at(-1)!.ring === ring && own.length > 4) around += 1;
      });
      expect(around).toBeGreaterThan(0);
    }
  });
  it('what lies in the hole of another part comes before that part, and insides before the outline around them', () => {
    const [, , ring] = parts as [CutPart, CutPart, CutPart];
    const dot: CutPart = { ...ring, mark: 'dot', region: [{ outer: disc(10, 0, 0), holes: [disc(4, 0, 0).toReversed()] }] };
    const machines = demoShop().machines;
    const layout = layoutFilm(
      demoShop().films[0]!,
      [
        { ...ring, copies: 1 },
        { ...dot, copies: 1 },
      ],
      machines,
    );
    const [of, inner] = layout.parts;
    const within = { ...layout, parts: [of!, { ...inner!, place: of!.place }] };
    const strokes = strokesOf(inCutOrder(within)).map(({ ring: one }) => one);
    strokes.forEach((one, i) => {
      for (const later of strokes.slice(i + 1)) expect(pointInRing(later[0]!, one)).toBe(false);
    });
  });
});
