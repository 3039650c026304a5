import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { FACES } from '../facts';
import { boxOf, boxWidth, faultsOfRegion, intersection, regionArea, regionInside } from '../geometry';
import type { Artwork, Mark } from '../job';
import { drawMark } from './drawMark';
import { applyEdits } from './edit/applyEdits';
import { importSvg } from './import/importSvg';
import { cutPieces } from './inspect/parts';
import { readFace, type Faces } from './text/face';
import { layoutText } from './text/layoutText';
import { law } from '../../test/depth';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
let next = 0;
const newId = () => `id${next++}`;
const text = (words: string[], face = 'montserrat', spacing = 0): Artwork => ({
  kind: 'text',
  align: 'centre',
  lineSpacing: 1,
  lines: words.map((word, i) => ({ id: `l${i}`, text: word, face, scale: 1, spacing })),
});
const mark = (artwork: Artwork, more: Partial<Mark> = {}): Mark => ({
  id: 'm',
  name: '',
  zone: 'z',
  technique: 'decal',
  artwork,
  edits: [],
  colourFilms: {},
  film: 'white',
  flip: false,
  seenThrough: false,
  size: { mode: 'largest' },
  offset: { x: 0, y: 0 },
  subtle: false,
  coats: 2,
  pullAt: 'halfDry',
  ...more,
});
const draw = (artwork: Artwork, more: Partial<Mark> = {}, reference = { width: 100, height: 60 }) =>
  drawMark(mark(artwork, more), reference, faces);
const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inner}</svg>`;
const drawing = (inner: string): Artwork => {
  const result = importSvg(svg(inner), 'test.svg', newId);
  if (!result.ok) throw new Error(result.problem.found);
  return { kind: 'drawing', name: 'test.svg', ...result.value };
};

describe('text as outlines', () => {
  it.each(FACES.map((face) => face.id))('%s has one outline a letter, its counters, and accents', (id) => {
    const drawn = draw(text(['Ostara'], id, 0.3));
    expect(drawn.missing).toEqual([]);
    expect(faultsOfRegion(drawn.layers[0]!.region)).toEqual([]);
    expect(layoutText(text(['Łódź Čerň éàü'], id) as Extract<Artwork, { kind: 'text' }>, faces).missing).toEqual([]);
  });
  it('counts counters: B has two, O one, L none', () => {
    const { shapes, counters } = cutPieces(draw(text(['BOL'], 'montserrat', 0.2)).layers[0]!.region);
    expect([shapes.length, counters.length]).toEqual([3, 3]);
  });
  it('script letters that touch become one outline', () => {
    const script = cutPieces(draw(text(['minnow'], 'pacifico')).layers[0]!.region);
    // the dot of the i stays by itself
    expect(script.shapes).toHaveLength(2);
    expect(cutPieces(draw(text(['minnow'], 'pacifico', 0.6)).layers[0]!.region).shapes.length).toBeGreaterThan(5);
  });
  it('a file that is no font is refused with a way out', () => {
    const bad = readFace('mine', [new ArrayBuffer(40)]);
    expect(!bad.ok && bad.problem.wayOut).toMatch(/another font/);
    expect(readFace('none', []).ok).toBe(false);
  });
  it('names letters that a face lacks', () => {
    const { missing } = draw(text(['A→水']));
    expect(missing.map((m) => m.character)).toEqual(['→', '水']);
  });
  it('a wider letter spacing never makes the line narrower', () => {
    fc.assert(
      fc.property(fc.constantFrom('REGATTA', 'Tern Point', 'wave'), fc.double({ min: 0, max: 0.5, noNaN: true }), (word, spacing) => {
        const width = (s: number) =>
          layoutText(text([word], 'montserrat', s) as Extract<Artwork, { kind: 'text' }>, faces)
            .glyphs.flat()
            .reduce((m, s2) => (s2[0] === 'Z' ? m : Math.max(m, ...s2.slice(1).map((p) => (p as [number, number])[0]))), -9);
        expect(width(spacing + 0.05)).toBeGreaterThan(width(spacing) - 1e-9);
      }),
      law(20),
    );
  });
  it('fills its reference and flips to its mirror image', () => {
    const drawn = draw(text(['Tern']));
    expect(drawn.width).toBeGreaterThan(97);
    expect(drawn.width).toBeLessThanOrEqual(100.01);
    const flipped = draw(text(['Tern']), { flip: true });
    expect(regionArea(flipped.layers[0]!.region)).toBeCloseTo(regionArea(drawn.layers[0]!.region), 6);
    expect(faultsOfRegion(flipped.layers[0]!.region)).toEqual([]);
    expect(flipped.layers[0]!.region[0]!.outer).not.toEqual(drawn.layers[0]!.region[0]!.outer);
  });
});

describe('SVG in', () => {
  it('takes shapes, groups and transforms, y turned up', () => {
    const art = drawing('<g transform="translate(10 0) scale(2)"><rect x="0" y="0" width="10" height="20"/></g>');
    const drawn = draw(art);
    expect(drawn.height / drawn.width).toBeCloseTo(2, 3);
    if (art.kind === 'drawing')
      expect(art.parts[0]!.path.slice(2, 4)).toEqual([
        ['L', [30, -40]],
        ['L', [10, -40]],
      ]);
  });
  it('areas of basic shapes are right', () => {
    const area = (inner: string) => {
      const drawn = draw(drawing(inner), {}, { width: 100, height: 100 });
      return regionArea(drawn.layers[0]!.region) / (drawn.width * drawn.height);
    };
    expect(area('<circle cx="5" cy="5" r="4"/>')).toBeCloseTo(Math.PI / 4, 3);
    expect(area('<ellipse cx="5" cy="5" rx="4" ry="4"/>')).toBeCloseTo(Math.PI / 4, 3);
    expect(area('<polygon points="0,0 10,0 5,10"/>')).toBeCloseTo(0.5, 3);
    expect(area('<rect width="10" height="10" rx="5"/>')).toBeCloseTo(Math.PI / 4, 3);
    expect(area('<path d="M0 0h10v10h-10z M2 2v6h6v-6z" />')).toBeCloseTo(0.64, 3);
    expect(area('<path d="M0 5a5 5 0 1 1 10 0a5 5 0 1 1-10 0z"/>')).toBeCloseTo(Math.PI / 4, 3);
  });
  it('fills become films; what is covered is not cut twice', () => {
    const art = drawing(
      '<rect width="100" height="100" fill="#0e5a61"/><circle cx="50" cy="50" r="30" style="fill:white"/><circle cx="50" cy="50" r="10" fill="rgb(14,90,97)"/>',
    );
    const drawn = draw(art, { colourFilms: { '#0e5a61': 'petrol', '#ffffff': 'white' } });
    expect(drawn.layers.map((l) => l.film)).toEqual(['petrol', 'white']);
    const [petrol, white] = drawn.layers.map((l) => l.region) as [never, never];
    expect(regionArea(intersection(petrol, white))).toBeLessThan(0.05);
    expect(cutPieces(petrol).shapes).toHaveLength(2);
    expect(cutPieces(white).counters).toHaveLength(1);
    expect(draw(art, { colourFilms: { '#0e5a61': 'petrol', '#ffffff': null } }).layers).toHaveLength(1);
  });
  it('names what is left out and runs nothing', () => {
    const result = importSvg(
      svg(
        '<script>throw 1</script><text>hi</text><image href="http://x/y.png"/><path d="M0 0h9v9z" fill="url(#g)"/><rect width="9" height="9" onclick="boom()"/>',
      ),
      'x.svg',
      newId,
    );
    expect(result.ok && result.value.parts).toHaveLength(1);
    expect(result.ok && result.value.leftOut.join(' ')).toMatch(/script, which was not run.*live text.*pictures.*gradients/);
  });
  it.each([
    ['broken', '<svg><rect width="9"', /not a whole SVG/],
    ['not SVG', '{"a":1}', /not a whole SVG/],
    ['empty', svg(''), /nothing to cut/],
    ['unpainted', svg('<path d="M0 0L9 9" fill="none"/><text>hi</text>'), /nothing to cut.*live text/],
    ['entities', '<!DOCTYPE svg [<!ENTITY a SYSTEM "b">]><svg>&a;</svg>', /entities/],
    ['huge', `<svg>${' '.repeat(20 * 1024 * 1024)}</svg>`, /20 MB/],
    ['deep', svg('<g>'.repeat(300) + '<rect width="9" height="9"/>' + '</g>'.repeat(300)), /200 deep/],
  ])('refuses a %s file with a way out', (_name, source, says) => {
    const result = importSvg(source, 'x.svg', newId);
    expect(result.ok).toBe(false);
    if (!result.ok) {
      expect(result.problem.found).toMatch(says);
      expect(result.problem.wayOut.length).toBeGreaterThan(10);
    }
  });
});

describe('changes at the real size', () => {
  it('thickening holds the old outline and grows its box by twice', () => {
    const { region } = draw(text(['wave'])).layers[0]!;
    const thick = applyEdits([{ film: 'f', region }], [{ id: 'e', kind: 'thicken', by: 0.4 }])[0]!.region;
    expect(regionInside(region, thick, 0.05)).toBe(true);
    expect(boxWidth(boxOf(thick)) - boxWidth(boxOf(region))).toBeCloseTo(0.8, 1);
  });
  it('dropping leaves no part and no counter below the limits', () => {
    const { region } = draw(text(['iBi.'], 'montserrat', 0.1)).layers[0]!;
    const kept = cutPieces(applyEdits([{ film: 'f', region }], [{ id: 'e', kind: 'dropSmall', below: 200, fillBelow: 1e6 }])[0]!.region);
    expect(kept.counters).toEqual([]);
    expect(kept.shapes.every((piece) => piece.area >= 200)).toBe(true);
    expect(kept.shapes.length).toBeLessThan(cutPieces(region).shapes.length);
  });
});
