import { describe, expect, it } from '@jest/globals';
import { importSvg } from '../import/importSvg';
import { unshapedScripts } from './scripts';

describe('scripts that are not set as they are written', () => {
  it.each([
    ['مريم', ['Arabic']],
    ['Maryam مريم', ['Arabic']],
    ['מרים', ['Hebrew']],
    ['मीरा', ['Devanagari']],
    ['มาลี', ['Thai']],
    ['q\u0308', ['marks above or below letters']],
  ])('are named: %s', (text, named) => expect(unshapedScripts(text)).toEqual(named));
  it.each(['Fionn & Æsa 1947', 'Ζωή', 'Мария', 'u\u0308ber', '美咲', ''])('and no others: %s', (text) =>
    expect(unshapedScripts(text)).toEqual([]),
  );
  it('are left out of drawings, and told', () => {
    const read = importSvg(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><rect width="9" height="9"/><text>مريم</text></svg>',
      'a.svg',
      () => 'x',
      () => ({ glyphs: [], advance: 1, missing: [] }),
    );
    expect(read.ok && read.value.leftOut.join()).toMatch(/live text in Arabic.*turn it into outlines/);
  });
});
