import { describe, expect, it } from '@jest/globals';
import { importSvg } from './importSvg';

/** The colour of the one shape that a drawing has beside a large black one. */
function colourOf(css: string, shape: string): string | undefined {
  const read = importSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><style>${css}</style><g id="a" class="x y">${shape}</g></svg>`,
    'a.svg',
    () => 'p',
  );
  if (!read.ok) throw new Error(read.problem.found);
  return read.value.parts[0]?.colour;
}
const RECT = '<rect class="r" id="q" data-ink="red" width="9" height="9" fill="#111111"/>';

describe('style sheets in a drawing', () => {
  it.each([
    ['a child', '#a > rect {fill:#ff0000}', RECT, '#ff0000'],
    ['not a grandchild', 'svg > rect {fill:#ff0000}', RECT, '#111111'],
    ['a neighbour', 'circle + rect {fill:#ff0000}', `<circle r="0"/>${RECT}`, '#ff0000'],
    ['an attribute', '[data-ink="red"] {fill:#ff0000}', RECT, '#ff0000'],
    ['the beginning of an attribute', 'rect[data-ink^=r] {fill:#ff0000}', RECT, '#ff0000'],
    ['a place among others', 'rect:first-child {fill:#ff0000}', RECT, '#ff0000'],
    ['all but one', 'rect:not(.r) {fill:#ff0000}', RECT, '#111111'],
    ['several classes', '.x.y .r {fill:#ff0000}', RECT, '#ff0000'],
    ['none of a list of which one part cannot be read', '.r {fill:#ff0000} .r, rect:unheard-of(2) {fill:#00ff00}', RECT, '#ff0000'],
    ['the heavier one, whatever comes last', '#q {fill:#ff0000} rect.r {fill:#00ff00}', RECT, '#ff0000'],
    ['the last of equals', '.r {fill:#00ff00} .r {fill:#ff0000}', RECT, '#ff0000'],
    ['its own style before sheets', '.r {fill:#00ff00}', RECT.replace('fill="#111111"', 'style="fill:#ff0000"'), '#ff0000'],
    [
      'what is important before its own style',
      '.r {fill:#ff0000 !important}',
      RECT.replace('fill="#111111"', 'style="fill:#00ff00"'),
      '#ff0000',
    ],
    ['its own where both are', '.r {fill:#00ff00 !important}', RECT.replace('fill="#111111"', 'style="fill:#ff0000!important"'), '#ff0000'],
    ['what is for a screen', '@media screen {.r {fill:#ff0000}}', RECT, '#ff0000'],
    ['not what is for the dark', '@media (prefers-color-scheme: dark) {.r {fill:#ff0000}}', RECT, '#111111'],
    ['not what is for print', '@media print {.r {fill:#ff0000}}', RECT, '#111111'],
    ['a name that stands for a value', ':root {--ink:#ff0000} .r {fill:var(--ink)}', RECT, '#ff0000'],
    ['the nearest of that name', ':root {--ink:#00ff00} #a {--ink:#ff0000} .r {fill:var(--ink)}', RECT, '#ff0000'],
    ['what stands behind a name that is not there', '.r {fill:var(--none, #ff0000)}', RECT, '#ff0000'],
    ['a name for a name', ':root {--a:#ff0000;--b:var(--a)} .r {fill:var(--b)}', RECT, '#ff0000'],
    ['comments and frames for old readers', '<![CDATA[ /* } */ .r {fill:#ff0000} ]]>', RECT, '#ff0000'],
    ['after what is broken', '.r {fill:#ff0000; stroke: } } .z {', RECT, '#ff0000'],
  ])('hold for %s', (_what, css, shape, colour) => expect(colourOf(css, shape)).toBe(colour));
  it('end, though names stand for each other', () => {
    // what stands for nothing is as if nothing were said at all, of it and of its attribute
    expect(colourOf(':root {--a:var(--b);--b:var(--a)} .r {fill:var(--a)}', RECT)).toBe('#000000');
  });
});
