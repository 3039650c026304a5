import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { FILM_KINDS, TAPINGS, TAPING_LIMITS, type FilmKindId, type TapingId } from '../facts';
import { tapingOf } from './tapingOf';

const kinds = Object.keys(FILM_KINDS) as FilmKindId[];
const side = fc.double({ min: 5, max: 1500, noNaN: true });

describe('how tape and film come together', () => {
  it('is as the maker chose; else the same however the mark is turned, and never harder on a smaller or sturdier one', () => {
    const effort: TapingId[] = ['onFilm', 'faceDown'];
    fc.assert(
      fc.property(fc.constantFrom(...kinds), side, side, fc.double({ min: 0.1, max: 1, noNaN: true }), (kind, w, h, share) => {
        for (const taping of Object.keys(TAPINGS) as TapingId[]) expect(tapingOf({ taping }, kind, w, h)).toBe(taping);
        const usual = tapingOf({}, kind, w, h);
        expect(tapingOf({}, kind, h, w)).toBe(usual);
        if (usual === 'onFilm') {
          expect(tapingOf({}, kind, w * share, h * share)).toBe('onFilm');
          expect(tapingOf({}, 'permanent', w, h)).toBe('onFilm');
        }
        if (usual === 'rolledOn') expect(Math.max(w, h)).toBeGreaterThan(TAPING_LIMITS.long);
        else expect(effort).toContain(usual);
      }),
    );
    expect([tapingOf({}, 'permanent', 90, 40), tapingOf({}, 'bargain', 200, 60), tapingOf({}, 'permanent', 700, 90)]).toEqual([
      'onFilm',
      'faceDown',
      'rolledOn',
    ]);
  });
});
