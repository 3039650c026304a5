import { describe, expect, it } from '@jest/globals';
import { BLANKS, COATS, FEATURES, FILM_KINDS, GROUNDS, TAPE_KINDS, TECHNIQUES } from '../facts';
import { capital } from './inSentence';
import { aOrAn, counted, listed, plural, times } from './grammar';

describe('grammar', () => {
  const nouns = [
    BLANKS.map((b) => b.name),
    ...[COATS, FEATURES, FILM_KINDS, GROUNDS, TAPE_KINDS, TECHNIQUES].map((table) =>
      Object.values(table as Record<string, { name: string }>).map((row) => row.name),
    ),
  ].flat();
  it('makes several of every noun of the tables, once: a plural stays one', () => {
    expect(nouns.length).toBeGreaterThan(80);
    for (const noun of nouns) {
      const several = plural(noun);
      expect(plural(several)).toBe(several);
      expect(several).toMatch(/^\S.*\S$/);
      expect(several).not.toMatch(/sss|yys/);
      expect(counted(1, noun)).toBe(`1 ${noun}`);
      expect(counted(3, noun)).toBe(`3 ${several}`);
    }
  });
  it.each([
    ['pint glass', 'pint glasses'],
    ['pint glasses', 'pint glasses'],
    ['vase', 'vases'],
    ['mug with a handle', 'mugs with a handle'],
    ['box of card', 'boxes of card'],
    ['tray', 'trays'],
    ['berry dish', 'berry dishes'],
    ['Cherry', 'Cherries'],
    ['canvas', 'canvases'],
    ['Shelf', 'Shelves'],
    ['piece', 'pieces'],
  ])('%s: %s', (one, several) => expect(plural(one)).toBe(several));
  it('says a or an by how the word begins, over every noun of the tables', () => {
    for (const noun of nouns)
      expect(aOrAn(noun)).toBe(`${/^[aeiou]/i.test(noun) && !/^un|^eu/i.test(noun) ? 'an' : /^un(?!i)/i.test(noun) ? 'an' : 'a'} ${noun}`);
    expect([aOrAn('old print'), aOrAn('hour'), aOrAn('one'), aOrAn('use'), aOrAn('unglazed pot'), aOrAn('uniform')]).toEqual([
      'an old print',
      'an hour',
      'a one',
      'a use',
      'an unglazed pot',
      'a uniform',
    ]);
  });
  it('counts times, lists things and begins sentences', () => {
    expect([times(1), times(2), times(3)]).toEqual(['once', 'twice', '3 times']);
    expect([listed([]), listed(['a']), listed(['a', 'b']), listed(['a', 'b', 'c'])]).toEqual(['', 'a', 'a and b', 'a, b and c']);
    expect([capital('oil stain'), capital('')]).toEqual(['Oil stain', '']);
  });
});
