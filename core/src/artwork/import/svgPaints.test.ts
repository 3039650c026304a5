import { describe, expect, it } from '@jest/globals';
import { boxHeight, boxWidth, boxOfPaths, flatten, IDENTITY, regionArea, regionOf } from '../../geometry';
import { partsShown } from '../partsShown';
import { meltedColours } from '../meltedColours';
import { importSvg, type ImportedDrawing } from './importSvg';
import { mixed, readPaint } from './colour';

const take = (inner: string): ImportedDrawing => {
  let n = 0;
  const read = importSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inner}</svg>`, 'a.svg', () => `p${(n += 1)}`);
  if (!read.ok) throw new Error(read.problem.found);
  return read.value;
};
const paints = (inner: string) => take(inner).parts.map(({ colour, opacity, middle }) => [colour, opacity, middle]);
const box = (attributes: string, x = 0) => `<rect x="${x}" width="9" height="9" ${attributes}/>`;

describe('how opaque things are', () => {
  it.each([
    ['said of the fill', box('fill="#102030" fill-opacity=".4"'), 0.4],
    ['said of the whole', box('fill="#102030" opacity="40%"'), 0.4],
    ['said of a group and in it', `<g opacity=".5">${box('fill="#102030" style="opacity:.8"')}</g>`, 0.4],
    ['in the colour', box('fill="rgba(16,32,48,.4)"'), 0.4],
    ['in the colour and its four pairs', box('fill="#10203066" '), 0.4],
    ['of what is used', `<defs><g id="u">${box('fill="#102030"')}</g></defs><use href="#u" opacity=".4"/>`, 0.4],
    ['of a stroke', '<path d="M0 0L50 0" fill="none" stroke="#102030" stroke-width="9" stroke-opacity=".4"/>', 0.4],
    ['not at all', box('fill="#102030"'), undefined],
    ['nearly', box('fill="#102030" opacity=".999"'), undefined],
  ])('is kept: %s', (_how, inner, opacity) => {
    const [[colour, own] = []] = paints(inner + box('fill="#000000"', 30));
    expect(colour).toBe('#102030');
    if (opacity === undefined) expect(own).toBeUndefined();
    else expect(own).toBeCloseTo(opacity, 2);
  });
  it('of a group of things that cannot be seen is nothing', () => {
    expect(paints(`<g opacity=".1">${box('fill="#f00" opacity=".1"')}</g>${box('fill="#000"', 20)}`)).toHaveLength(1);
  });
  it('decides what is cut: shades are left out, the others solid, or in their colour on white', () => {
    const { parts } = take(box('fill="#000000"') + box('fill="#ff0000" opacity=".3"', 20) + box('fill="#0000ff" opacity=".6"', 40));
    const shown = (more: object) => partsShown({ parts, ...more }).map(({ colour }) => colour);
    expect(shown({})).toEqual(['#000000', '#0000ff']);
    expect(shown({ shades: { under: 0 } })).toEqual(['#000000', '#ff0000', '#0000ff']);
    expect(shown({ shades: { under: 1 } })).toEqual(['#000000']);
    expect(shown({ shades: { under: 0, mixed: true } })).toEqual(['#000000', '#ffb3b3', '#6666ff']);
    expect(shown({ dropped: [parts[0]!.id] })).toEqual(['#0000ff']);
    // nothing but what one sees through: that is what is meant
    expect(shown({ dropped: [parts[0]!.id, parts[2]!.id] })).toEqual(['#ff0000']);
  });
});

describe('the size of a drawing', () => {
  it('is that of what is cut, without shades', () => {
    const read = importSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="50mm" viewBox="0 0 100 100"><rect width="60" height="40"/><rect width="90" height="90" opacity=".2"/></svg>',
      'a.svg',
      () => 'x',
    );
    expect(read.ok && read.value.asDrawn).toEqual({ width: 30, height: 20 });
  });
});

describe('gradients', () => {
  const stops = (...all: [offset: string, colour: string, more?: string][]) =>
    all.map(([offset, colour, more = '']) => `<stop offset="${offset}" stop-color="${colour}" ${more}/>`).join('');
  it('are one flat colour, the one that covers most, and know the one halfway; it is told', () => {
    const inner = `<linearGradient id="g">${stops(['0', '#ff0000'], ['20%', '#000000'], ['1', '#0000ff'])}</linearGradient>${box('fill="url(#g)"')}`;
    expect(paints(inner)).toEqual([['#000000', undefined, mixed('#000000', '#0000ff', 0.375)]]);
    expect(take(inner).leftOut).toEqual(['what runs from colour to colour (one gradient is flat now)']);
    expect(partsShown({ parts: take(inner).parts, gradients: 'middle' }).map(({ colour }) => colour)).toEqual(['#000060']);
  });
  it('take their stops from another, and styles; one colour only is that colour', () => {
    const inner = `<style>.s{stop-color:#00ff00}</style><radialGradient id="a" href="#b"/><linearGradient id="b"><stop class="s" offset="0"/><stop offset="1" style="stop-color:#00ff00"/></linearGradient>${box('fill="url(#a)"')}`;
    expect(paints(inner)).toEqual([['#00ff00', undefined, undefined]]);
  });
  it('that fade are as opaque as they are on the whole; a ring of gradients that take from each other is told, as are patterns', () => {
    const fading = `<linearGradient id="g">${stops(['0', '#000000'], ['1', '#000000', 'stop-opacity="0"'])}</linearGradient>${box('fill="url(#g)"')}`;
    expect(paints(fading)[0]![1]).toBeCloseTo(0.5, 6);
    const ring = `<linearGradient id="a" href="#b"/><linearGradient id="b" href="#a"/>${box('fill="url(#a)"')}${box('fill="#000"', 20)}`;
    expect(take(ring).leftOut).toEqual(['patterns, and gradients without colours']);
    expect(take(`<pattern id="p"/>${box('fill="url(#p)"')}${box('fill="#000"', 20)}`).leftOut).toEqual([
      'patterns, and gradients without colours',
    ]);
  });
  it('that are not there are what is written behind them', () => {
    expect(paints(box('fill="url(#none) #123456"'))).toEqual([['#123456', undefined, undefined]]);
    expect(paints(box('fill="url(#none) none"') + box('fill="#000"', 20))).toHaveLength(1);
  });
});

describe('colours that melt', () => {
  const marks = (inner: string, colourFilms: Record<string, string | null> = {}) =>
    meltedColours({ artwork: { kind: 'drawing', name: 'a', ...take(inner) }, film: 'f', colourFilms }).map(({ lower, upper }) => [
      lower,
      upper,
    ]);
  const on = '<rect width="60" height="60" fill="#000000"/><rect x="20" y="20" width="20" height="20" fill="#ffffff"/>';
  it('are those of one film that lie on each other or side by side', () => {
    expect(marks(on)).toEqual([['#000000', '#ffffff']]);
    expect(marks('<rect width="60" height="60"/><rect x="60" width="20" height="60" fill="#fff"/>')).toEqual([['#000000', '#ffffff']]);
  });
  it('and not those apart, of films of their own, left to the ground, or of one colour', () => {
    expect(marks('<rect width="60" height="60"/><rect x="70" width="20" height="60" fill="#fff"/>')).toEqual([]);
    expect(marks(on, { '#ffffff': 'g' })).toEqual([]);
    expect(marks(on, { '#ffffff': null })).toEqual([]);
    expect(marks(on.replace('#ffffff', '#000000'))).toEqual([]);
  });
});

describe('colours as they are written', () => {
  it.each([
    ['#abc', '#aabbcc', 1],
    ['rgb(10% 0% 0% / 50%)', '#1a0000', 0.5],
    ['hsl(120, 100%, 25%)', '#008000', 1],
    ['transparent', '#000000', 0],
  ])('%s', (text, colour, opacity) => expect(readPaint(text)).toEqual({ colour, opacity }));
  it('are no colours where they are none', () => expect(readPaint('icc-color(x)')).toBeUndefined());
});

describe('lengths of shapes', () => {
  const extent = (inner: string, frame = 'viewBox="0 0 200 100"') => {
    const read = importSvg(`<svg xmlns="http://www.w3.org/2000/svg" ${frame}>${inner}</svg>`, 'a.svg', () => 'x');
    if (!read.ok) throw new Error(read.problem.found);
    const box = boxOfPaths(read.value.parts.map(({ path }) => path));
    return [boxWidth(box), boxHeight(box)].map((n) => Math.round(n * 1000) / 1000);
  };
  it.each([
    ['<rect width="50%" height="50%"/>', [100, 50]],
    ['<rect width="1in" height="2.54cm"/>', [96, 96]],
    ['<rect width="72pt" height="25.4mm"/>', [96, 96]],
    ['<circle r="10%"/>', [(2 * Math.round((100 * Math.hypot(2, 1)) / Math.SQRT2)) / 10, undefined]],
    ['<ellipse rx="10" ry="1e1"/>', [20, 20]],
    ['<rect width="20" height="10" rx="auto" ry="2"/>', [20, 10]],
  ])('%s', (inner, [width, height]) => {
    const [w, h] = extent(inner);
    expect(w).toBeCloseTo(width!, 0);
    if (height !== undefined) expect(h).toBeCloseTo(height, 3);
  });
  it('that are none are told, not guessed', () => {
    const read = importSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><rect width="9" height="9"/><rect width="calc(1px)" height="9"/></svg>',
      'a.svg',
      () => 'x',
    );
    expect(read.ok && read.value.leftOut).toEqual(['an outline that cannot be read']);
  });
});

describe('a frame that is filled without keeping the shape', () => {
  it('stretches the drawing, and keeps its size', () => {
    const found = importSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" width="40mm" height="10mm" viewBox="0 0 10 10" preserveAspectRatio="none"><rect x="2" y="2" width="6" height="6"/></svg>',
      'a.svg',
      () => 'p',
    );
    if (!found.ok) throw new Error(found.problem.found);
    expect(found.value.asDrawn?.width).toBeCloseTo(24, 6);
    expect(found.value.asDrawn?.height).toBeCloseTo(6, 6);
    expect(found.value.dropped).toBeUndefined();
  });
});

describe('what is told as left out', () => {
  it('is not what programs keep for themselves; and markers are drawn', () => {
    const { leftOut } = take(
      '<defs><marker id="m"><path d="M0 0L9 9L0 9Z"/></marker></defs><p:guide xmlns:p="urn:p"><p:x/></p:guide><path d="M0 0L50 0" stroke="#000" stroke-width="9" marker-end="url(#m)"/>',
    );
    expect(leftOut).toEqual([]);
  });
});

describe('the page of a drawing', () => {
  const laid = (frame: string, inner: string) => {
    let n = 0;
    const read = importSvg(`<svg xmlns="http://www.w3.org/2000/svg" ${frame}>${inner}</svg>`, 'a.svg', () => `p${(n += 1)}`);
    if (!read.ok) throw new Error(read.problem.found);
    return read.value;
  };
  const inside = '<rect x="10" y="10" width="40" height="20"/>';
  const beyond = '<rect x="400" y="10" width="9" height="9" fill="#ff0000"/>';
  it.each(['viewBox="0 0 100 50"', 'width="100" height="50"', 'viewBox="-20 -20 200 90" width="200mm" height="90mm"'])(
    'is kept to: what lies wholly off it is there and not cut, and told (%s)',
    (frame) => {
      const found = laid(frame, inside + beyond);
      expect(found.parts).toHaveLength(2);
      expect(found.dropped).toEqual(['p2']);
      expect(found.leftOut.join()).toMatch(/1 shape off the page/);
      expect(partsShown(found).map(({ colour }) => colour)).toEqual(['#000000']);
      if (found.asDrawn) expect(found.asDrawn.width).toBeCloseTo(40, 6);
    },
  );
  it('is not meant where all lies off it, where there is none, and where a shape reaches over its edge', () => {
    expect(laid('viewBox="0 0 100 50"', beyond).dropped).toBeUndefined();
    expect(laid('', inside + beyond).dropped).toBeUndefined();
    expect(laid('width="100%" height="100%"', inside + beyond).dropped).toBeUndefined();
    expect(laid('viewBox="0 0 20 20"', inside + inside).dropped).toBeUndefined();
  });
});

describe('what programs write', () => {
  const area = (text: string) => {
    const read = importSvg(text, 'a.svg', () => 'p');
    if (!read.ok) throw new Error(read.problem.found);
    return read.value.parts.reduce((sum, { path, fill }) => sum + regionArea(regionOf(flatten(path, IDENTITY, 0.01), fill)), 0);
  };
  const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${inner}</svg>`;
  it('names of their own for addresses and colours are written out; fetched or nested ones are refused', () => {
    const entity = (defined: string, used = '&ink;') =>
      `<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd" [ ${defined} ]><svg xmlns="&ns;" viewBox="0 0 9 9"><rect width="4" height="2" fill="${used}"/></svg>`;
    const ns = '<!ENTITY ns "http://www.w3.org/2000/svg">';
    expect(area(entity(`${ns}<!ENTITY ink '#ff0000'>`))).toBeCloseTo(8, 6);
    for (const bad of [
      '<!ENTITY ink SYSTEM "file:///etc/passwd">',
      '<!ENTITY a "#ff"><!ENTITY ink "&a;0000">',
      '<!ENTITY % p "x"><!ENTITY ink "#ff0000">',
      `<!ENTITY ink "${'9'.repeat(3000)}">`,
    ]) {
      const read = importSvg(entity(ns + bad), 'a.svg', () => 'p');
      expect(read.ok ? '' : read.problem.found).toMatch(/entities/);
    }
    const long = importSvg(entity(`${ns}<!ENTITY ink "${'9'.repeat(1900)}">`, '&ink;'.repeat(12_000)), 'a.svg', () => 'p');
    expect(long.ok ? '' : long.problem.found).toMatch(/entities/);
  });
  it('what is said of a mask holds in it, clips are clipped themselves, and a ring of clips ends', () => {
    const box = '<rect width="100" height="100"/>';
    expect(area(svg(`<mask id="m" fill="#ffffff"><rect width="10" height="10"/></mask><g mask="url(#m)">${box}</g>`))).toBeCloseTo(100, 3);
    const clips = `<clipPath id="a" clip-path="url(#b)"><rect width="50" height="10"/></clipPath><clipPath id="b"><rect width="10" height="50"/></clipPath>`;
    expect(area(svg(`${clips}<g clip-path="url(#a)">${box}</g>`))).toBeCloseTo(100, 3);
    const ring = `<clipPath id="a" clip-path="url(#a)"><rect width="50" height="10"/></clipPath>`;
    expect(area(svg(`${ring}<g clip-path="url(#a)">${box}</g>`))).toBeCloseTo(500, 3);
  });
  it('a pen that keeps its width is as wide however large its shape is made', () => {
    const line = (more: string) => `<path transform="scale(10)" d="M1 1L9 1" stroke="#000" stroke-width="4" ${more}/>`;
    expect(area(svg(line('')))).toBeCloseTo(80 * 40, 0);
    expect(area(svg(line('vector-effect="non-scaling-stroke"')))).toBeCloseTo(80 * 4, 0);
  });
});
