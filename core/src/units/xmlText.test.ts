import { expect, it } from '@jest/globals';
import { DOMParser } from '@xmldom/xmldom';
import fc from 'fast-check';
import { xmlText } from './xmlText';

it('any text at all makes well-formed XML, and what XML can hold comes back as it was', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 40 }), fc.boolean(), (text, lone) => {
      const given = `${text}\u0001\u000b${lone ? '\ud800' : ''}\uffff`;
      const errors: string[] = [];
      const xml = `<a title="${xmlText(given)}">${xmlText(given)}</a>`;
      const parsed = new DOMParser({ onError: (level, message) => errors.push(`${level} ${message}`) }).parseFromString(xml, 'text/xml');
      expect(errors).toEqual([]);
      const kept = given.replace(/[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu, ' ').replace(/\r\n?/g, '\n');
      expect(parsed.documentElement!.textContent).toBe(kept);
    }),
  );
});
