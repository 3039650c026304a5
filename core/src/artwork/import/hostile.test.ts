import { describe, expect, it } from '@jest/globals';
import { flatten, regionArea, regionOf, union } from '../../geometry';
import { importDxf } from './importDxf';
import { importSvg } from './importSvg';

let n = 0;
const id = () => `p${++n}`;
const svg = (inner: string, more = '') => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000"${more}>${inner}</svg>`;
/** Taken in, or refused with what was found and the way out; nothing else is an answer. */
function answer(text: string, read: typeof importSvg | typeof importDxf = importSvg): string {
  const result = read(text, 'a.svg', id);
  if (!result.ok) {
    expect(result.problem.found).not.toMatch(/undefined|null|NaN|TypeError/);
    expect(result.problem.wayOut).not.toBe('');
    return result.problem.found;
  }
  for (const { path } of result.value.parts)
    for (const segment of path) for (const p of segment.slice(1)) expect((p as readonly number[]).every(Number.isFinite)).toBe(true);
  return 'taken';
}
/** Points that seem to be anywhere, and are the same each time. */
const anywhere = (count: number) => Array.from({ length: count }, (_, i) => `${(i * 7919) % 1000} ${(i * 104_729) % 1000}`);

/** Files that once stopped the page, the plan or the reader: each is taken in or refused with the way out. */
describe('hostile files', () => {
  it('symbols that repeat symbols 400 times and more', () => {
    const level = (i: number) => `<g id="l${i}">${`<use href="#l${i - 1}"/>`.repeat(20)}</g>`;
    const deep = `<defs><rect id="l0" width="9" height="9"/>${Array.from({ length: 8 }, (_, i) => level(i + 1)).join('')}</defs><use href="#l8"/>`;
    expect(answer(svg(deep))).toMatch(/taken|more than|edges|nothing/);
    expect(answer(svg(`<defs><rect id="r" width="9" height="9"/></defs>${'<use href="#r"/>'.repeat(400)}`))).toBe('taken');
    expect(answer(svg('<g id="a"><use href="#a"/></g><use href="#a"/><rect width="9" height="9"/>'))).toMatch(/taken|deep/);
  });
  it('60,000 curves', () => {
    const curves = Array.from({ length: 60_000 }, (_, i) => `c${i % 9} ${i % 7} ${i % 5} ${i % 3} ${(i % 11) - 5} ${(i % 13) - 6}`).join(
      '',
    );
    expect(answer(svg(`<path d="M500 500${curves}z"/>`))).toMatch(/taken|edges/);
  });
  it('one outline of thousands of edges that cross each other', () => {
    expect(answer(svg(`<path d="M${anywhere(5000).join('L')}Z"/>`))).toMatch(/taken|edges|cross/);
  });
  it('200,000 groups, side by side and in each other', () => {
    expect(answer(svg(`${'<g></g>'.repeat(200_000)}<rect width="9" height="9"/>`))).toBe('taken');
    expect(answer(svg(`${'<g>'.repeat(3000)}<rect width="9" height="9"/>${'</g>'.repeat(3000)}`))).toMatch(/deep|nests|taken/);
  });
  it('selectors that make a matcher go back and forth', () => {
    const path = Array.from({ length: 40 }, () => 'g').join(' * ');
    const nested = `${'<g class="a">'.repeat(60)}<rect width="9" height="9"/>${'</g>'.repeat(60)}`;
    const rules = Array.from({ length: 60 }, (_, i) => `${path} .b${i},:not(:not(:not(.c${i}))){fill:red}`).join('');
    expect(answer(svg(`<style>${rules}</style>${nested}`))).toBe('taken');
    expect(answer(svg(`<style>${'a'.repeat(50_000)}${'('.repeat(20_000)}{fill:red}</style><rect width="9" height="9"/>`))).toBe('taken');
  });
  it('numbers that are none, and measures without end', () => {
    for (const bad of ['NaN', 'Infinity', '1e999', '-', '', '1,2', 'calc(1px)']) {
      expect(answer(svg(`<rect x="${bad}" width="${bad}" height="9"/><circle r="${bad}"/><rect width="9" height="9"/>`))).toBe('taken');
      expect(answer(svg(`<g transform="translate(${bad})"><rect width="9" height="9"/></g><rect width="9" height="9"/>`))).toBe('taken');
      expect(answer(svg('<rect width="9" height="9"/>', ` width="${bad}" height="${bad}"`))).toBe('taken');
    }
    expect(answer(svg('<path d="M1e200 1e200L1e201 0L0 1e201Z"/><rect width="9" height="9"/>'))).toBe('taken');
  });
  it('markers and masks that hold themselves', () => {
    const line = '<path d="M0 0L50 0L50 50" stroke="#000" stroke-width="2" fill="none" marker-end="url(#m)"/>';
    expect(answer(svg(`<defs><marker id="m" overflow="visible">${line}</marker></defs>${line}`))).toBe('taken');
    const masked = '<rect width="90" height="90" mask="url(#k)" clip-path="url(#c)"/>';
    expect(answer(svg(`<mask id="k">${masked}</mask><clipPath id="c">${masked}</clipPath>${masked}<rect width="9" height="9"/>`))).toBe(
      'taken',
    );
  });
  it('a DXF polyline of 100,000 points', () => {
    const points = Array.from({ length: 100_000 }, (_, i) => {
      const angle = (i / 100_000) * 2 * Math.PI;
      return `10\n${(100 + Math.sin(i)) * Math.cos(angle)}\n20\n${(100 + Math.sin(i)) * Math.sin(angle)}`;
    });
    const text = [
      '0',
      'SECTION',
      '2',
      'ENTITIES',
      '0',
      'LWPOLYLINE',
      '8',
      '0',
      '90',
      '100000',
      '70',
      '1',
      ...points,
      '0',
      'ENDSEC',
      '0',
      'EOF',
      '',
    ];
    expect(answer(text.join('\n'), importDxf)).toMatch(/taken|edges/);
  });
  it('DXF entities that lack what they need, and hatches that promise more than they have', () => {
    const wrap = (...entities: string[]) =>
      ['0\nSECTION\n2\nENTITIES', ...entities, '0\nCIRCLE\n8\n0\n10\n0\n20\n0\n40\n5', '0\nENDSEC\n0\nEOF\n'].join('\n');
    for (const entity of [
      '0\nHATCH\n8\n0\n70\n1\n91\n99999999\n92\n3\n93\n99999999',
      '0\nHATCH\n8\n0\n70\n1\n91\n1\n92\n1\n93\n1\n72\n4\n94\n3\n73\n0\n74\n0\n95\n999999999\n96\n999999999',
      '0\nSPLINE\n8\n0\n70\n8\n71\n99\n72\n4\n73\n2\n40\n0\n40\n0\n40\n1\n40\n1\n10\n0\n20\n0\n10\n9\n20\n9',
      '0\nSPLINE\n8\n0\n70\n8\n71\n-3\n40\n0\n10\n0\n20\n0',
      '0\nTRACE\n8\n0',
      '0\nELLIPSE\n8\n0\n10\n0\n20\n0',
      '0\nLWPOLYLINE\n8\n0\n90\n2\n70\n0\n43\n-5\n10\n0\n20\n0\n10\n9\n20\n0',
    ])
      expect(answer(wrap(entity), importDxf)).toBe('taken');
  });
  it('what is taken covers no more than it should for all that', () => {
    const result = importSvg(svg(`<defs><rect id="r" width="90" height="90"/></defs>${'<use href="#r"/>'.repeat(400)}`), 'a.svg', id);
    if (!result.ok) throw new Error(result.problem.found);
    expect(regionArea(union(...result.value.parts.map(({ path, fill }) => regionOf(flatten(path), fill))))).toBeCloseTo(8100, 3);
  });
});
