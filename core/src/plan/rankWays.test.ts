import { describe, expect, it } from '@jest/globals';
import { demoWorkshop, DEMO_START, plateJob, textMark } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import { TECHNIQUE_WORTH, TECHNIQUES, WAY_WEIGHTS } from '../facts';
import { applyPatch, type Job } from '../job';
import { otherwiseWords, rankWays } from './rankWays';
import { cases } from '../../test/depth';

const faces = shippedFaces();
const { shop, jobs, events } = demoWorkshop();
const plate = plateJob(textMark('Skerry'));
const glass: Job = { ...plate, piece: { ...plate.piece, ground: 'glass', colour: '#dfeaec' } };
const ranked = new Map<Job, ReturnType<typeof rankWays>>();
/** Each job is ranked once: the tests look at the same ways. */
const rank = (job: Job) => {
  const ways = ranked.get(job) ?? rankWays(job, shop, events, DEMO_START, faces);
  ranked.set(job, ways);
  return ways;
};

describe('which technique', () => {
  it('ranks what can be before what cannot, each with its reasons; one press makes it so', () => {
    const sign = plateJob(textMark('Skerry'), { id: 'sign' });
    const { ways } = rank(sign);
    expect(ways.length).toBeGreaterThan(2);
    expect(ways.find(({ now }) => now)?.technique).toBe('decal');
    ways.forEach((way, i) => {
      expect(way.reasons.length).toBeGreaterThan(0);
      expect(way.score > 0).toBe(way.stops.length === 0);
      if (i > 0) expect(way.score).toBeLessThanOrEqual(ways[i - 1]!.score);
      const made = applyPatch(sign, way.patch).document;
      expect(made.marks.map(({ technique }) => technique)).toEqual(made.marks.map(() => way.technique));
    });
  });
  it('etches no wood, presses nothing on glass, and puts no film where food lies', () => {
    const by = (job: Job) => new Map(rank(job).ways.map((way) => [way.technique, way]));
    const board: Job = { ...plate, piece: { ...plate.piece, ground: 'stainedWood', contact: 'satin' } };
    expect(by(board).get('etched')?.stops.length).toBeGreaterThan(0);
    const ways = by(glass);
    expect(ways.get('heat')?.stops.length ?? 1).toBeGreaterThan(0);
    expect(ways.get('etched')?.stops).toEqual([]);
  });
  it('names a fact that would put another first only where it does', () => {
    const three = cases(0, 3) > 0 ? jobs.filter(({ id }) => ['trophy-bowl', 'door-hours', 'boat-numbers'].includes(id)) : [];
    let named = 0;
    for (const job of [glass, ...three]) {
      const { ways, otherwise } = rank(job);
      if (!otherwise) continue;
      named += 1;
      expect(otherwise.technique).not.toBe(ways.find(({ score }) => score > 0)?.technique);
      expect(otherwiseWords(otherwise)).toMatch(/^If .*, an? .* would be best\.$/);
    }
    expect(named).toBeGreaterThan(0);
  });
  it('has a life and a way back for every technique, and shares that add up', () => {
    expect(Object.keys(TECHNIQUE_WORTH).sort()).toEqual(Object.keys(TECHNIQUES).sort());
    for (const weights of Object.values(WAY_WEIGHTS)) expect(Object.values(weights).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  });
  it('of a job without a mark is none', () => expect(rank({ ...jobs[0]!, marks: [] }).ways).toEqual([]));
});
