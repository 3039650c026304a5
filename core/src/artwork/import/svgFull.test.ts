import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../../test/faces';
import { FACES } from '../../facts';
import { setTextIn } from '../text/setTextIn';
import {
  boxAround,
  boxHeight,
  boxOf,
  boxWidth,
  boxOfPaths,
  dashed,
  flatten,
  regionArea,
  regionOf,
  strokeOutline,
  union,
  type Line,
  type Region,
} from '../../geometry';
import { arcBetween } from './arc';
import { importSvg } from './importSvg';
import { law } from '../../../test/depth';

const svg = (inner: string, attributes = 'viewBox="0 0 100 100"') => `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inner}</svg>`;
function take(inner: string, attributes?: string) {
  let n = 0;
  const result = importSvg(svg(inner, attributes), 'x.svg', () => `p${++n}`);
  if (!result.ok) throw new Error(result.problem.found);
  return result.value;
}
/** What a colour paints in all, in the drawing's own units times ten. */
const painted = (inner: string, colour = '#000000', attributes?: string): Region =>
  union(
    ...take(inner, attributes)
      .parts.filter((part) => part.colour === colour)
      .map((part) => regionOf(flatten(part.path, [10, 0, 0, 10, 0, 0]), part.fill)),
  );
const area = (inner: string, colour?: string, attributes?: string) => regionArea(painted(inner, colour, attributes)) / 100;
const line = (more: string) => `<path d="M10 50H90" fill="none" stroke="#000" stroke-width="10" ${more}/>`;

describe('strokes become outlines', () => {
  it('as long and wide as they are drawn, with each cap', () => {
    expect(area(line(''))).toBeCloseTo(800, 0);
    expect(area(line('stroke-linecap="square"'))).toBeCloseTo(900, 0);
    expect(area(line('stroke-linecap="round"'))).toBeCloseTo(800 + Math.PI * 25, 0);
    expect(area('<line x1="10" y1="50" x2="90" y2="50" stroke="#000" stroke-width="10"/>')).toBeCloseTo(800, 0);
  });
  it('with each join: a mitre reaches out, a bevel is cut off, a limit cuts a mitre', () => {
    const corner = (more: string) => area(`<path d="M10 90V10H90" fill="none" stroke="#000" stroke-width="10" ${more}/>`);
    const bevel = corner('stroke-linejoin="bevel"');
    expect(corner('') - bevel).toBeCloseTo(12.5, 0);
    expect(corner('stroke-linejoin="round"') - bevel).toBeCloseTo((Math.PI * 25) / 4 - 12.5, 0);
    expect(corner('stroke-miterlimit="1"')).toBeLessThan(corner(''));
  });
  it('closed ones are rings, and a fill below them stays its own colour', () => {
    const ring = area('<rect x="20" y="20" width="60" height="60" fill="none" stroke="#000" stroke-width="4"/>');
    expect(ring).toBeCloseTo(64 * 64 - 56 * 56, 0);
    const both = take('<circle cx="50" cy="50" r="30" fill="#ad3f27" stroke="#000" stroke-width="6"/>');
    expect(both.parts.map((p) => p.colour)).toEqual(['#ad3f27', '#000000']);
    expect(take('<circle cx="50" cy="50" r="30" fill="#ad3f27" stroke="#000" paint-order="stroke"/>').parts.map((p) => p.colour)).toEqual([
      '#000000',
      '#ad3f27',
    ]);
  });
  it('dashes paint their share, wherever they begin', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 9 }),
        fc.double({ min: -20, max: 20, noNaN: true }),
        (on, off, from) => {
          const way: Line = {
            points: [
              [0, 0],
              [1000, 0],
            ],
            closed: false,
          };
          const dashes = dashed([way], [on, off], from);
          const inked = dashes.reduce((sum, { points }) => sum + points.at(-1)![0] - points[0]![0], 0);
          expect(Math.abs(inked - (1000 * on) / (on + off))).toBeLessThanOrEqual(on + off);
          for (const { points } of dashes.slice(1, -1)) expect(points.at(-1)![0] - points[0]![0]).toBeCloseTo(on, 6);
        },
      ),
    );
    expect(area(line('stroke-dasharray="5 5"'))).toBeCloseTo(400, 0);
  });
  it('a pen never leaves less than the way it followed, and ways that turn straight back do not hang', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 })), { minLength: 2, maxLength: 12 }),
        fc.boolean(),
        (points, closed) => {
          const region = strokeOutline([{ points, closed }], { width: 1, cap: 'round', join: 'round', miterLimit: 4 });
          const far = Math.max(...points.map(([x, y]) => Math.hypot(x - points[0]![0], y - points[0]![1])));
          if (far > 0) expect(regionArea(region)).toBeGreaterThan(far * 0.95);
        },
      ),
      law(40, 600),
    );
  });
  it('scales and skews with its group', () => {
    expect(area(`<g transform="scale(2 0.5)">${'<path d="M5 50H45" fill="none" stroke="#000" stroke-width="10"/>'}</g>`)).toBeCloseTo(
      400,
      0,
    );
    expect(area(`<g transform="translate(100 0) scale(-1 1)">${line('')}</g>`)).toBeCloseTo(800, 0);
  });
});

describe('arcs', () => {
  it('lie on their circle to a few parts in a million, whichever way they run', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 5, max: 355, noNaN: true }),
        fc.boolean(),
        (from, over, sweep) => {
          const at = (degrees: number): [number, number] => [
            50 + 40 * Math.cos((degrees * Math.PI) / 180),
            50 + 40 * Math.sin((degrees * Math.PI) / 180),
          ];
          const end = from + (sweep ? over : -over);
          const cubics = arcBetween(at(from), at(end), [40, 40], 0, over > 180, sweep);
          const lines = flatten([['M', at(from)], ...cubics, ['L', [50, 50]], ['Z']], [1, 0, 0, 1, 0, 0], 1e-5)[0]!.slice(0, -1);
          for (const [x, y] of lines) expect(Math.abs(Math.hypot(x - 50, y - 50) - 40)).toBeLessThan(40 * 6e-6);
          expect(regionArea(regionOf([[...lines, [50, 50]]]))).toBeCloseTo((over / 360) * Math.PI * 1600, 0);
        },
      ),
      law(20, 300),
    );
  });
});

describe('symbols, frames, clips, masks and style sheets', () => {
  it('what is used twice is there twice, moved; symbols are framed', () => {
    expect(
      area('<defs><rect id="r" width="10" height="10"/></defs><use href="#r" x="5"/><use href="#r" x="50" transform="scale(1 2)"/>'),
    ).toBeCloseTo(300, 0);
    expect(
      area('<symbol id="s" viewBox="0 0 2 2"><rect width="2" height="2"/></symbol><use href="#s" width="30" height="30"/>'),
    ).toBeCloseTo(900, 0);
    const inner = painted('<svg x="10" y="10" width="40" height="20" viewBox="0 0 10 10"><rect width="10" height="10"/></svg>');
    expect([boxWidth(boxOf(inner)), boxHeight(boxOf(inner))].map((n) => Math.round(n))).toEqual([200, 200]);
  });
  it('symbols that repeat themselves come to an end', () => {
    const bomb = `<g id="a"><rect width="9" height="9"/><use href="#a"/></g>`;
    const result = importSvg(svg(bomb), 'x.svg', () => 'p');
    expect(result.ok ? 'taken' : result.problem.found).toMatch(/nests groups|taken/);
  });
  it('clips and masks let through what they say', () => {
    expect(
      area('<clipPath id="c"><circle cx="50" cy="50" r="10"/></clipPath><rect width="100" height="100" clip-path="url(#c)"/>'),
    ).toBeCloseTo(Math.PI * 100, 0);
    expect(
      area(
        '<clipPath id="c" clipPathUnits="objectBoundingBox"><rect width="0.5" height="1"/></clipPath><rect width="80" height="10" clip-path="url(#c)"/>',
      ),
    ).toBeCloseTo(400, 0);
    expect(
      area(
        '<mask id="m"><rect width="100" height="100" fill="white"/><rect width="50" height="100" fill="black"/></mask><g mask="url(#m)"><rect width="100" height="10"/></g>',
      ),
    ).toBeCloseTo(500, 0);
  });
  it('style sheets go by weight: id over class over tag, its own style over all, attributes under all', () => {
    const style = '<style>/* c */ rect, .b{fill:#0e5a61} .a{fill:#ad3f27} #k{fill:#4c7231} g .in{fill:#d98e16}</style>';
    const colour = (inner: string) => take(style + inner).parts[0]!.colour;
    expect(colour('<rect width="9" height="9" fill="#111111"/>')).toBe('#0e5a61');
    expect(colour('<rect class="a" width="9" height="9"/>')).toBe('#ad3f27');
    expect(colour('<rect class="a" id="k" width="9" height="9"/>')).toBe('#4c7231');
    expect(colour('<rect class="a" id="k" style="fill:#222222" width="9" height="9"/>')).toBe('#222222');
    expect(colour('<g><circle class="in" r="9"/></g>')).toBe('#d98e16');
    expect(colour('<circle r="9" fill="#333333"/>')).toBe('#333333');
  });
  it('colour words, currentColor and inheritance are followed; what is hidden is not cut', () => {
    expect(take('<g color="#123456" fill="currentColor"><circle r="9"/></g>').parts[0]!.colour).toBe('#123456');
    expect(take('<g stroke="red" fill="none" stroke-width="2"><path d="M0 0L9 9"/></g>').parts.map((p) => p.colour)).toEqual(['#ff0000']);
    const some = take('<rect width="9" height="9" visibility="hidden"/><rect width="9" height="9" opacity="0"/><circle r="9"/>');
    expect(some.parts).toHaveLength(1);
  });
  it('what lies outside the frame of an inner drawing is cut off', () => {
    const cut = painted('<svg width="10" height="10"><rect width="50" height="50"/></svg>');
    expect(boxWidth(boxAround([boxOf(cut)]))).toBeCloseTo(100, 0);
  });
});

describe('live text', () => {
  const faces = shippedFaces();
  const named = FACES.flatMap(({ id, name }) => (faces.get(id) ? [{ name, face: faces.get(id)! }] : []));
  const read = (inner: string) => {
    const found = importSvg(
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 100">${inner}</svg>`,
      't.svg',
      () => 'p',
      setTextIn(named),
    );
    if (!found.ok) throw new Error(found.problem.found);
    const box = boxOfPaths(found.value.parts.map(({ path }) => path));
    return { ...found.value, box };
  };
  const text = (attributes: string, words = 'HEN') =>
    `<text y="50" font-family="Nobody, 'Montserrat'" font-size="40" ${attributes}>${words}</text>`;
  it('is set in the first face of its list that is here, as large as it says, on its own baseline', () => {
    const { box, parts } = read(text('x="10" fill="#123456"'));
    expect(parts[0]!.colour).toBe('#123456');
    expect(box.minY).toBeCloseTo(-50, 0);
    // capitals of this face are seven tenths of the em
    expect((box.maxY - box.minY) / 40).toBeCloseTo(0.7, 1);
    expect(box.minX).toBeGreaterThan(10);
  });
  it('begins, ends or has its middle at its place', () => {
    const [start, middle, end] = ['start', 'middle', 'end'].map((anchor) => read(text(`x="200" text-anchor="${anchor}"`)).box);
    expect(middle!.minX + middle!.maxX).toBeCloseTo(400, -1);
    expect(start!.minX).toBeGreaterThan(199);
    expect(end!.maxX).toBeLessThan(201);
    expect(start!.maxX - start!.minX).toBeCloseTo(end!.maxX - end!.minX, 6);
  });
  it('spans go on where the words before them end, or at places of their own', () => {
    const one = read(text('x="10"', 'HENS')).box;
    const two = read(text('x="10"', 'HE<tspan fill="#ff0000">NS</tspan>'));
    expect(two.box.maxX).toBeCloseTo(one.maxX, 0);
    expect(new Set(two.parts.map((part) => part.colour))).toEqual(new Set(['#000000', '#ff0000']));
    expect(read(text('x="10"', 'H<tspan x="300">H</tspan>')).box.maxX).toBeGreaterThan(300);
  });
  it('in a face that is not here, or with letters that it lacks, is named', () => {
    const other = '<rect width="5" height="5"/><text font-family="Elsewhere" x="1" y="1">hi</text>';
    expect(read(other).leftOut[0]).toMatch(/live text in Elsewhere, a font that is not here/);
    expect(read(`<rect width="5" height="5"/>${text('x="1"', '水')}`).leftOut[0]).toMatch(/letters that its font lacks: 水/);
  });
});
