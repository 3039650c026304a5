import { describe, expect, it } from '@jest/globals';
import { demoWorkshop, textMark } from '../../test/sampleJobs';
import { FILM_KINDS, filmSuits, GROUNDS, TECHNIQUES, type GroundId, type TechniqueId } from '../facts';
import type { Job, Mark } from '../job';
import { careCards, careText, type CareInput } from './careCard';

const { jobs, shop } = demoWorkshop();
const DAY = 86_400_000;
const day = (at: number) => `day ${Math.round(at / DAY)}`;
const card = (job: Job, more: Partial<CareInput> = {}) =>
  careCards({ job, waits: [], packed: 2 * DAY, films: shop.films, maker: shop.name, day, ...more });
const all = (job: Job, more: Partial<CareInput> = {}) => card(job, more).map(careText).join('\n');
const by = (id: string) => jobs.find((job) => job.id === id)!;

describe('the card that goes with a piece', () => {
  it('says from when a glass is filled and washed, that no machine washes it, and how the mark comes off', () => {
    const text = all(by('regatta-prizes'), { waits: [{ then: 'firstWash', until: 5 * DAY }] });
    expect(text).toContain('Packed: day 2');
    expect(text).toContain('First wash by hand: from day 5');
    expect(text).toMatch(/Filled: from day 2/);
    expect(text).toMatch(/no dishwasher/);
    expect(text).toMatch(/hair dryer/);
    expect(text).toContain(shop.name);
  });
  it('an etched piece stands everything, and nothing is said of taking it off', () => {
    const bowl = by('trophy-bowl');
    const text = all({ ...bowl, piece: { ...bowl.piece, use: { ...bowl.piece.use, drink: true, food: true } } });
    expect(text).toMatch(/dishwasher/);
    expect(text).toMatch(/part of the glass/);
    expect(text).not.toMatch(/hair dryer|not for food|no dishwasher/);
  });
  it('says from when an etched bowl may go into the machine, and a plate of permanent film outside', () => {
    const bowl = by('trophy-bowl');
    expect(all({ ...bowl, piece: { ...bowl.piece, use: { ...bowl.piece.use, drink: true } } })).toContain('Dishwasher: from day 2');
    expect(all(by('boat-numbers'), { waits: [{ then: 'firstWash', until: 5 * DAY }] })).toContain('Set outdoors: from day 5');
    expect(all(by('door-hours'))).not.toMatch(/outdoors/i);
  });
  it('a label is wiped, cloth is washed inside out, removable film comes off again', () => {
    expect(all(by('kit-labels'))).toMatch(/damp cloth/);
    expect(all(by('pennant'), { waits: [{ then: 'clothWash', until: 3 * DAY }] })).toMatch(/First wash: from day 3[\s\S]*inside out/);
    expect(all(by('door-hours'))).toMatch(/comes off again/);
  });
  it('is one a piece where the words differ, as many as there are pieces', () => {
    const cards = card(by('crew-flasks'));
    expect(cards).toHaveLength(6);
    expect(new Set(cards.map(({ words }) => words)).size).toBe(6);
    expect(card({ ...by('crew-flasks'), count: 2 })).toHaveLength(2);
  });
  it('of every ground and technique: no film is promised for food or a machine, no date before it is packed, no water for what must stay dry', () => {
    for (const ground of Object.keys(GROUNDS) as GroundId[])
      for (const technique of Object.keys(TECHNIQUES) as TechniqueId[])
        for (const drink of [false, true]) {
          const mark: Mark = textMark('x', { technique, film: shop.films.find(({ kind }) => filmSuits(technique, kind))!.id });
          const piece = { ...jobs[0]!.piece, ground, use: { drink, food: drink, dryShort: false } };
          const job: Job = { ...jobs[0]!, piece, marks: [mark] };
          const waits = [{ then: 'water' as const, coat: 'acrylic' as const, until: 9 * DAY }];
          const text = all(job, { waits });
          expect(text).not.toMatch(/undefined|NaN|\[object/);
          const etching = TECHNIQUES[technique].stays === 'etching';
          if (drink && !etching) expect(text).toMatch(/not for food/);
          if (!etching) expect(text).not.toMatch(/stands food|and the dishwasher|^Dishwasher/m);
          // nothing that is painted or written, on cloth, or of removable film is promised for outdoors
          const { stays, penned, filmBy } = TECHNIQUES[technique];
          if (!etching && (stays !== 'film' || penned || filmBy === 'heat')) expect(text).not.toMatch(/outdoors/i);
          for (const [, what, n] of text.matchAll(/^(.*): from day (\d+)$/gm)) {
            expect(Number(n)).toBeGreaterThanOrEqual(2);
            if (/wash|damp|hardened|outdoors/i.test(what!)) expect(Number(n)).toBe(9);
          }
        }
    expect(FILM_KINDS.labelPaper.ink!.stands).toMatch(/dry/);
  });
});
