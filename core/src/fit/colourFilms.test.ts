import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoShop } from '../../test/sampleJobs';
import { filmSuits } from '../facts';
import { contrastOf } from './contrast';
import { nearestFilms } from './colourFilms';
import { law } from '../../test/depth';

const colour = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const { films } = demoShop();

describe('the films of a drawing', () => {
  it('are for each colour the nearest that suits', () => {
    fc.assert(
      fc.property(fc.uniqueArray(colour, { minLength: 2, maxLength: 6 }), (colours) => {
        const found = nearestFilms(
          colours.map((one) => ({ colour: one })),
          films,
          'decal',
        );
        expect(Object.keys(found).sort()).toEqual([...colours].sort());
        for (const one of colours) {
          const film = films.find(({ id }) => id === found[one])!;
          const away = contrastOf(one, film.colour).difference;
          expect(filmSuits('decal', film.kind)).toBe(true);
          for (const other of films)
            if (filmSuits('decal', other.kind)) expect(contrastOf(one, other.colour).difference).toBeGreaterThanOrEqual(away - 1e-9);
        }
      }),
      law(60),
    );
  });
  it('are not asked for with one colour, without films, and where paint is what stays', () => {
    expect(nearestFilms([{ colour: '#000000' }, { colour: '#000000' }], films, 'decal')).toEqual({});
    expect(nearestFilms([{ colour: '#000000' }, { colour: '#ffffff' }], [], 'decal')).toEqual({});
    expect(nearestFilms([{ colour: '#000000' }, { colour: '#ffffff' }], films, 'stencil')).toEqual({});
  });
});
