import { describe, expect, it } from '@jest/globals';
import { demoWorkshop } from '../../test/sampleJobs';
import { TECHNIQUES, type TechniqueId } from '../facts';
import { draftFor, type RecipeLayer } from '../finish';
import { makingOf, type Job, type Mark } from '../job';
import { techniqueReadings } from './techniqueReadings';
import { wayOf } from './ways';

const demo = demoWorkshop();
const board = demo.jobs.find((j) => j.id === 'honour-board')!;
const every = Object.keys(TECHNIQUES) as TechniqueId[];
const made = (technique: TechniqueId): Mark => ({ ...board.marks[0]!, technique, paint: 'cream', coats: 2, pullAt: 'halfDry' });

describe('how a mark is made', () => {
  it.each(every)('a %s is told by its own technique, and carries nothing that belongs to another', (technique) => {
    const making = makingOf(made(technique));
    expect(making.technique).toBe(technique);
    expect('coats' in making).toBe(TECHNIQUES[technique].painted);
  });
  it.each(every)('a %s lets the work go on after one of its own steps, and is firm no earlier than it is ready', (technique) => {
    const mark = made(technique);
    const draft = draftFor({ job: board, layers: [], climate: demo.shop.climate, paints: demo.shop.paints });
    const making = makingOf(mark);
    const laid = { mark, making, layers: [], size: 0.01, area: 900 };
    const clean = { step: draft.id('clean'), least: 0, why: 'dustedOff' as const };
    const { ready, firm, care } = wayOf(making).make(draft, laid, { film: [], piece: [clean], wiped: true });
    const steps = new Set([clean.step, ...draft.steps.map((step) => step.id)]);
    for (const lag of [ready, firm, ...draft.steps.flatMap((step) => step.after)]) expect(steps).toContain(lag.step);
    expect(firm.step).toBe(ready.step);
    expect(firm.least).toBeGreaterThanOrEqual(ready.least);
    for (const wait of care) expect(steps).toContain(wait.after);
    // steps that nobody placed a mark for would be nobody's
    for (const step of draft.steps) expect(step.after.length).toBeGreaterThan(0);
  });
});

describe('the paint of a stencil', () => {
  const read = (id: string, area = 9000, job: Job = board) =>
    techniqueReadings(job, [{ mark: job.marks[0]!, area } as RecipeLayer], demo.shop).find((r) => r.id === id)!;
  it('enough paint is fine, too little is a watch that offers another, none is a stop', () => {
    const painted = (paint: string | undefined) => ({
      ...board,
      marks: board.marks.map((m) => (TECHNIQUES[m.technique].painted ? { ...m, paint } : m)),
    });
    expect(read('paint:title').verdict).toBe('fine');
    const short = read('paint:title', 9000, painted('moss'));
    expect(short.verdict).toBe('watch');
    expect(short.remedies.map((c) => c.label)).toEqual(['Cream acrylic — 45 ml left', 'Navy acrylic — 60 ml left']);
    expect(read('paint:title', 9000, painted(undefined)).verdict).toBe('stop');
  });
  it('more openings and more coats want more paint', () => {
    const needs = (area: number, coats: number) =>
      Number(/(\d+) ml/.exec(read('paint:title', area, { ...board, marks: board.marks.map((m) => ({ ...m, coats })) }).limit)![1]);
    expect(needs(40_000, 2)).toBeGreaterThan(needs(9000, 2));
    expect(needs(40_000, 4)).toBeGreaterThan(needs(40_000, 2));
    expect(needs(10, 1)).toBe(2);
  });
});
