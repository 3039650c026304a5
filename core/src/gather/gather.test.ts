import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoWorkshop } from '../../test/sampleJobs';
import { Memo, planWorkshop, type Plan } from '../plan';
import { gatherList, type GatherItem, type GatherWork } from './gatherList';
import { gatherText, gatherWords } from './gatherWords';
import { law } from '../../test/depth';

const { jobs, shop, events } = demoWorkshop();
let plan: Plan;
let works: GatherWork[];
beforeAll(() => {
  plan = planWorkshop(jobs, shop, events, DEMO_START, shippedFaces(), new Memo(), { effort: 'quick' });
  works = jobs.map((job) => ({ job, steps: plan.jobs.get(job.id)!.recipe.steps }));
});
const list = (some: readonly GatherWork[]) => gatherList(some, shop, (film) => plan.filmLeft.get(film) ?? 0);
const amounts = (items: readonly GatherItem[]) => new Map(items.map(({ key, needed }) => [key, needed]));
const of = (id: string) => list(works.filter(({ job }) => job.id === id));
const format = { lengths: 'mm', currency: 'EUR' } as const;

describe('what jobs need', () => {
  it('of several is what each needs, added up, but for rounding; and nothing of none', () => {
    expect(list([])).toEqual([]);
    fc.assert(
      fc.property(fc.subarray(jobs.map(({ id }) => id)), (ids) => {
        const some = works.filter(({ job }) => ids.includes(job.id));
        const all = amounts(list(some));
        const sum = new Map<string, number>();
        for (const work of some) for (const [key, needed] of amounts(list([work]))) sum.set(key, (sum.get(key) ?? 0) + needed);
        expect([...all.keys()].sort()).toEqual([...sum.keys()].sort());
        for (const [key, needed] of all) {
          expect(needed).toBeLessThanOrEqual(sum.get(key)! + 1e-6);
          expect(needed).toBeGreaterThan(sum.get(key)! - some.length - 1e-6);
        }
      }),
      law(40),
    );
  });
  it('names film, tape, paint and supplies by what is in stock, and says what is not there at all', () => {
    const board = of('honour-board');
    const by = (part: string) => board.find(({ key }) => key.includes(part))!;
    expect(by('film:cream-matt')).toMatchObject({ verdict: 'there', unit: 'mm', jobs: ['honour-board'] });
    expect(by('paint:cream')).toMatchObject({ verdict: 'there', unit: 'ml' });
    expect(by('paint:water-stain').needed).toBeGreaterThan(20);
    expect(by('paint:clear').needed).toBeGreaterThan(20);
    expect(by('supply:paper-240')).toMatchObject({ verdict: 'there', unit: 'piece' });
    const bowl = of('trophy-bowl');
    expect(bowl.find(({ key }) => key === 'supply:cream')).toMatchObject({ verdict: 'there', unit: 'ml' });
    const gloves = bowl.find(({ name }) => name === 'Gloves')!;
    expect(gloves).toMatchObject({ verdict: 'unlisted', left: 0 });
    expect(gloves.toBuy).toBeUndefined();
  });
  it('a tool serves all steps of a job; trimmings count by the piece', () => {
    expect(of('honour-board').filter(({ name }) => name.startsWith('A brush'))).toMatchObject([{ needed: 1 }]);
    const hooked = { ...jobs[3]!, needs: [{ id: 'n', supply: 'hooks', amount: 2 }] };
    const [hooks] = list([{ job: hooked, steps: [] }]);
    expect(hooks).toMatchObject({ key: 'supply:hooks', needed: 2 * hooked.count, left: 5, verdict: 'short' });
    expect(hooks!.toBuy).toBe((2 * hooked.count - 5) * 90);
  });
  it('what is missing stands first, and each is said in words, in both units', () => {
    const items = list(works);
    const rank = { missing: 0, short: 1, unlisted: 2, there: 3 };
    items.slice(1).forEach((item, i) => expect(rank[item.verdict]).toBeGreaterThanOrEqual(rank[items[i]!.verdict]));
    for (const item of items)
      for (const lengths of ['mm', 'inch'] as const) {
        const { needed, state } = gatherWords(item, { ...format, lengths });
        expect(`${needed} ${state}`).not.toMatch(/undefined|NaN|\b1 (pieces|metres|grams)/);
        expect(state === 'there').toBe(item.verdict === 'there');
      }
  });
  it('is a list in text, ticked where it was laid ready', () => {
    const items = of('kit-labels');
    const text = gatherText('Kit labels', items, format, new Set([items[0]!.key]));
    expect(text.split('\n')).toHaveLength(items.length + 3);
    expect(text).toContain(`[x] ${items[0]!.name}`);
    expect(text.match(/\[ \]/g)).toHaveLength(items.length - 1);
  });
});
