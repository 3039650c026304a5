import { beforeAll, expect, it } from '@jest/globals';
import { layOnPiece } from '@kolleta/core/cut';
import { Memo, planWorkshop, type JobPlan } from '@kolleta/core/plan';
import { stepIn } from '@kolleta/core/schedule';
import { stepText } from '@kolleta/core/words';
import { shippedFaces } from '../../../../core/test/faces';
import { DEMO_START, demoWorkshop } from '../../../../core/test/sampleJobs';
import { asCutFrom } from './asCutFrom';

const { jobs, shop } = demoWorkshop();
// a cutter that takes film only cut off the roll says so for the roll
const cutters = shop.machines.map((machine) => ({ ...machine, rollFed: false }));
let plan: JobPlan;
beforeAll(() => {
  const whole = planWorkshop(jobs, { ...shop, machines: cutters }, [], DEMO_START, shippedFaces(), new Memo(), { effort: 'quick' });
  plan = [...whole.jobs.values()].find(({ layouts: [first] }) => first && first.parts.length > 1 && first.taken > 60)!;
});
const cutOf = (read: JobPlan, film: string) =>
  stepText(stepIn(read.schedule.steps.find(({ step }) => step.kind === 'cut' && step.takes?.film === film)!), 'mm');

it('a cut from a piece beside the roll speaks of that, and not of the roll', () => {
  const own = plan.layouts[0]!;
  const film = own.film.id;
  const { layout, rest } = layOnPiece([own], { id: 'p', kind: 'offcut', width: 300, length: 300, count: 1 }, cutters)!;
  expect(rest).toBe(0);
  expect(asCutFrom(plan, film, undefined)).toBe(plan);
  expect(cutOf(plan, film)).toMatch(/Cut it off the roll.* of film\./);
  const read = asCutFrom(plan, film, { kind: 'offcut', all: true, layout });
  expect(cutOf(read, film)).toContain('nothing from the roll');
  expect(cutOf(read, film)).not.toMatch(/Cut it off the roll/);
  expect(plan.readings.map(({ id }) => id)).toContain(`film:${film}`);
  expect(read.readings.map(({ id }) => id)).not.toContain(`film:${film}`);
  // what the roll still has to give is told
  const some = asCutFrom(plan, film, { kind: 'pieces', all: false, layout });
  expect(some.readings).toEqual(plan.readings);
  expect(cutOf(some, film)).toContain('the rest from the roll');
  // what was planned from a piece and is cut from the roll after all says so
  const planned = asCutFrom(plan, film, { kind: 'offcut', all: true, layout });
  const after = asCutFrom(planned, film, { kind: 'roll', layout: own });
  expect(cutOf(after, film)).toBe(cutOf(plan, film));
  // other films and other steps are as they were
  const others = (of: JobPlan) => of.schedule.steps.filter(({ step }) => step.takes?.film !== film);
  expect(others(read)).toEqual(others(plan));
});
