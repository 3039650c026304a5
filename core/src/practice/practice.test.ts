import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { faultsOfRegion } from '../geometry/isValidRegion';
import { DRILLS, HANDFUL, standingOf, type Answered, type DrillId } from './drills';
import { law } from '../../test/depth';

/** Numbers by chance from a seed (Mulberry32). */
function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const UNITS = { lengths: 'mm', temperatures: 'C' } as const;

describe.each(Object.keys(DRILLS) as DrillId[])('the drill %s', (id) => {
  const drill = DRILLS[id];
  it('has a best answer that is right, says why, and is the same again from the same seed', () => {
    fc.assert(
      fc.property(fc.nat(1_000_000), (seed) => {
        const round = drill.round(randomFrom(seed), UNITS);
        const any = round.ask.kind === 'choose' ? round.ask.answers[0]!.id : round.ask.start;
        const { best } = round.judge(any);
        const judged = round.judge(best);
        expect([round.question, round.scene, best, judged.right]).toEqual([round.question, round.scene, best, true]);
        expect(judged.why).toMatch(/^[A-Z].*\.$/);
        expect(round.question).toMatch(/^[A-Z].*[.?]$/);
        if (round.ask.kind === 'choose') {
          const ids = round.ask.answers.map((one) => one.id);
          expect(ids).toContain(best);
          expect(new Set(ids).size).toBe(ids.length);
          // one can be wrong, too
          expect(ids.some((one) => !round.judge(one).right)).toBe(true);
        } else {
          expect(Number(best)).toBeGreaterThanOrEqual(round.ask.least);
          expect(Number(best)).toBeLessThanOrEqual(round.ask.most);
          expect(round.judge(round.ask.start).right).toBe(false);
        }
        if ('region' in round.scene) expect(faultsOfRegion(round.scene.region)).toEqual([]);
        expect(drill.round(randomFrom(seed), UNITS).question).toBe(round.question);
      }),
      law(60),
    );
  });
  it('asks about more than one thing in a handful or two', () => {
    const random = randomFrom(7);
    expect(new Set(Array.from({ length: 4 * HANDFUL }, () => drill.round(random, UNITS).topic)).size).toBeGreaterThan(2);
  });
});

it('the record shows what is still guessed, and forgets it once it is known', () => {
  const answer = (topic: string, right: boolean, at: number): Answered => ({ drill: 'sides', topic, right, at });
  const wrong = [answer('stencil', false, 1), answer('decal', true, 2)];
  expect(standingOf(wrong, 'sides').guessed).toEqual(['stencil']);
  expect(standingOf([...wrong, answer('stencil', true, 3), answer('stencil', true, 4)], 'sides').guessed).toEqual([]);
  expect(standingOf(wrong, 'tapes').answers).toEqual([]);
});
