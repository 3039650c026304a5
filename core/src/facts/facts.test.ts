import { describe, expect, it } from '@jest/globals';
import type { Fact } from './fact';
import * as facts from './index';

/** Every Fact anywhere in the tables, with its place. */
function factsIn(value: unknown, place: string): [string, Fact][] {
  if (typeof value !== 'object' || value === null) return [];
  if ('typical' in value && 'range' in value) return [[place, value as Fact]];
  return Object.entries(value).flatMap(([key, inner]) => factsIn(inner, `${place}/${key}`));
}

describe('the tables of facts', () => {
  const all = factsIn(facts, '');
  it('hold many facts', () => expect(all.length).toBeGreaterThan(60));
  it.each(all)('%s lies within its own range', (_place, fact) => {
    expect(fact.range[0]).toBeLessThanOrEqual(fact.typical);
    expect(fact.typical).toBeLessThanOrEqual(fact.range[1]);
    expect(fact.range[0]).toBeGreaterThan(0);
  });
  it('a coat never takes film before it is touch dry', () => {
    for (const coat of Object.values(facts.COATS)) {
      expect(coat.touchDry).toBeLessThanOrEqual(coat.beforeFilm ?? coat.fullCure);
      expect(coat.beforeFilm ?? 0).toBeLessThanOrEqual(Math.max(coat.fullCure, coat.beforeFilm ?? 0));
    }
  });
});

describe('the blanks', () => {
  it('are forty or more, each with an id of its own and measures of a piece that film is put on', () => {
    expect(facts.BLANKS.length).toBeGreaterThanOrEqual(40);
    expect(new Set(facts.BLANKS.map((b) => b.id)).size).toBe(facts.BLANKS.length);
    for (const { shape } of facts.BLANKS) {
      const measures = Object.values(shape).filter((v): v is number => typeof v === 'number');
      for (const mm of measures) expect(mm).toBeGreaterThan(5);
      for (const mm of measures) expect(mm).toBeLessThan(2500);
      if (shape.kind === 'taper') expect(shape.height).toBeGreaterThan(Math.abs(shape.rim - shape.foot) / 2);
    }
    for (const kind of Object.keys(facts.BLANK_KINDS)) expect(facts.BLANKS.some((b) => b.kind === kind)).toBe(true);
  });
});
