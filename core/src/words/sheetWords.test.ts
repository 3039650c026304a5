import { describe, expect, it } from '@jest/globals';
import { mirrorWords, sheetWeedWords, type OnSheet } from './sheetWords';

const mark = (name: string, more: Partial<OnSheet> = {}): OnSheet => ({ name, mirrored: false, kept: 'shapes', letters: true, ...more });

describe('the words of a sheet', () => {
  it('say of each mark whether it is mirrored, never of the sheet by its first', () => {
    expect(mirrorWords([mark('a'), mark('b')])).toBe('as they are read, not mirrored');
    expect(mirrorWords([mark('a', { mirrored: 'seenThrough' })])).toMatch(/^mirrored/);
    for (const both of [
      [mark('a'), mark('b', { mirrored: 'seenThrough' })],
      [mark('b', { mirrored: 'seenThrough' }), mark('a')],
    ])
      expect(mirrorWords(both)).toBe('b mirrored, the others as they are read');
  });
  it('say what stays by the marks, where that differs', () => {
    expect(sheetWeedWords([mark('a'), mark('b')])).toBe('Pull the surround and the insides away; the letters stay.');
    const both = sheetWeedWords([mark('a', { kept: 'backing' }), mark('b'), mark('c')]);
    expect(both).toBe(
      'a: Pull the surround away; what lies behind stays whole. b and c: Pull the surround and the insides away; the letters stay.',
    );
  });
});
