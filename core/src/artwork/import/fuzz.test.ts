import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { importSvg } from './importSvg';
import { pathFromData } from './shapes';
import { readTransform } from './svgTransform';
import { law } from '../../../test/depth';

const SEED = 20261123;
const BASE =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 60"><defs><linearGradient id="g"/></defs><g transform="translate(5 5) scale(1.2)"><path fill="#0e5a61" d="M0 0h40v20c-5 8-9 9-20 2z"/><circle cx="60" cy="20" r="9" style="fill:rgb(217,142,22)"/><rect x="2" y="30" width="30" height="9" rx="2" fill-rule="evenodd"/><polygon points="50,30 60,50 40,50"/></g></svg>';
const TOKENS = [
  '<',
  '>',
  '/',
  '"',
  "'",
  '&',
  ';',
  'NaN',
  '1e309',
  '-1e308',
  '0',
  '&#0;',
  '<!--',
  ']]>',
  '<![CDATA[',
  'M',
  'z',
  'A',
  'nan',
  '%',
  'url(#g)',
  'xlink:href="http://example.invalid/a"',
  '<script>x()</script>',
  '\u0000',
  '🂡',
  '<!DOCTYPE svg>',
  '<g>',
  '</g>',
  'matrix(',
  ')',
];

/** One cut, doubling, or planting of a token at a random place. */
const mutation = fc.tuple(fc.constantFrom('cut', 'double', 'plant', 'swap'), fc.nat(BASE.length), fc.nat(40), fc.constantFrom(...TOKENS));
const mutate = (text: string, [kind, at, length, token]: [string, number, number, string]) => {
  const place = at % Math.max(1, text.length);
  if (kind === 'cut') return text.slice(0, place) + text.slice(place + length);
  if (kind === 'double') return text.slice(0, place + length) + text.slice(place);
  if (kind === 'plant') return text.slice(0, place) + token + text.slice(place);
  return text.slice(0, place) + token + text.slice(place + token.length);
};

describe('SVG that somebody broke', () => {
  it('is taken or refused with a sentence, whatever was done to it', () => {
    let taken = 0;
    fc.assert(
      fc.property(fc.array(mutation, { minLength: 1, maxLength: 6 }), (mutations) => {
        const text = mutations.reduce(mutate, BASE);
        const result = importSvg(text, 'fuzz.svg', () => 'id');
        if (result.ok) {
          taken += 1;
          for (const part of result.value.parts) {
            expect(part.colour).toMatch(/^#[0-9a-f]{6}$/);
            for (const segment of part.path)
              for (const point of segment.slice(1)) expect((point as unknown as number[]).every(Number.isFinite)).toBe(true);
          }
        } else {
          expect(result.problem.found).toMatch(/^".*" .*\.$/s);
          expect(result.problem.wayOut.length).toBeGreaterThan(10);
        }
      }),
      law(300, undefined, SEED),
    );
    // the mutations are gentle enough that some files are still drawings
    expect(taken).toBeGreaterThan(20);
  });
  it('path data of any characters gives segments or nothing', () => {
    const data = fc
      .array(fc.constantFrom('M', 'm', 'L', 'h', 'V', 'c', 'Q', 't', 'A', 'z', '1', '-2.5', '.3', ' ', ',', 'e5', 'x'), { maxLength: 40 })
      .map((s) => s.join(''));
    fc.assert(
      fc.property(data, (d) => {
        const path = pathFromData(d);
        if (path) expect(path.flat(2).every((v) => typeof v === 'string' || Number.isFinite(v))).toBe(true);
      }),
      law(300, undefined, SEED),
    );
  });
});

describe('transforms', () => {
  const at = (text: string) => {
    const map = readTransform(text);
    if (!map.ok) throw new Error(map.problem.found);
    return map.value.map((v) => Math.round(v * 1e6) / 1e6 + 0);
  };
  it.each([
    ['translate(3)', [1, 0, 0, 1, 3, 0]],
    ['scale(2 3)', [2, 0, 0, 3, 0, 0]],
    ['rotate(90)', [0, 1, -1, 0, 0, 0]],
    ['rotate(180 10 5)', [-1, 0, 0, -1, 20, 10]],
    ['translate(10 0) scale(2)', [2, 0, 0, 2, 10, 0]],
    ['matrix(1,2,3,4,5,6)', [1, 2, 3, 4, 5, 6]],
    ['skewX(45)', [1, 0, 1, 1, 0, 0]],
  ])('%s', (text, map) => expect(at(text)).toEqual(map.map((v) => v + 0)));
  it('what is no transform is refused', () => {
    expect(readTransform('spin(4)').ok).toBe(false);
    expect(readTransform('matrix(1 2 3)').ok).toBe(false);
    expect(readTransform(null).ok).toBe(true);
  });
});
