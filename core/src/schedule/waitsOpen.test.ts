import { expect, it } from '@jest/globals';
import fc from 'fast-check';
import { MINUTE_MS } from '../units';
import { testStep } from '../../test/steps';
import type { PlacedStep } from './problem';
import { waitsOpen } from './waitsOpen';

const placed = (id: string, state: PlacedStep['state'], end: number, after: PlacedStep['step']['after'] = []): PlacedStep =>
  ({ step: testStep(id, { after }), start: end - MINUTE_MS, end, spans: [], state }) as unknown as PlacedStep;

it('a wait is open until it is over to the minute, and while what it comes after is not done', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 0, max: 9000 }), fc.boolean(), (least, gone, done) => {
      const first = placed('stain', done ? 'done' : 'waiting', 0);
      const next = placed('seal', 'waiting', 0, [{ step: 'stain', least, why: 'beforeFilm', coat: 'waterStain' }]);
      const open = waitsOpen(next, [first, next], gone * MINUTE_MS);
      expect(open.length).toBe(!done || gone < least ? 1 : 0);
      if (done && open[0]) expect(open[0].until).toBe(least * MINUTE_MS);
    }),
  );
});
it('an order without a wait asks nothing', () => {
  const next = placed('weed', 'waiting', 0, [{ step: 'cut', least: 0, why: 'weedSoon' }]);
  expect(waitsOpen(next, [placed('cut', 'waiting', 0), next], 0)).toEqual([]);
});
