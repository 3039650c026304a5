import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { MADE_JOBS, madeShop } from '../../test/madeJobs';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { shapeMiddles } from '../cut';
import { regionArea } from '../geometry';
import { cutStepId, stepIdOf, type Job, type Shop, type StepId, type WorkEvent } from '../job';
import { nextCutStep, stepFacts } from '../logbook';
import { brokenWaits } from '../schedule';
import { stepTitle } from '../words';
import { Memo, planWorkshop, type JobPlan } from './index';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
const FILM = 'white-gloss';
const job = plateJob(textMark('TERN'), { count: 6 });
const MINUTE = 60_000;
const done = (of: Job, step: StepId, minute: number): WorkEvent => ({
  ...{ id: `${step} ${minute}`, at: DEMO_START + minute * MINUTE, kind: 'done', job: of.id },
  ...{ step, title: step, planned: 5, actual: 5 },
});
const step = (key: string) => stepIdOf(job.id, key);
const planOf = (of: Job, events: readonly WorkEvent[], shop: Shop = demoShop(), now = DEMO_START + 600 * MINUTE) => {
  const whole = planWorkshop([of], shop, events, now, faces, new Memo(), { effort: 'quick' });
  return { whole, plan: whole.jobs.get(of.id)! };
};
const losing = (plan: JobPlan, minute: number, shapes?: readonly number[], copies = 1, id = `lost${minute}`): WorkEvent => {
  const [{ film, part }] = plan.parts as [JobPlan['parts'][number]];
  const middles = shapeMiddles(part.region);
  return {
    ...{ id, at: DEMO_START + minute * MINUTE, kind: 'lost', job: plan.job, film: film.id, mark: part.mark, name: part.name, copies },
    ...(shapes ? { shapes: shapes.map((i) => ({ x: middles[i]![0], y: middles[i]![1] })) } : {}),
    what: 'A part was lost',
  };
};
const cut = () => done(job, cutStepId(job.id, FILM), 10);
const titles = ({ schedule }: JobPlan) => schedule.steps.filter(({ state }) => state === 'waiting').map((one) => stepTitle(one.step));

describe('what was lost is cut again', () => {
  it('only the letters that were tapped, on so many copies; taping waits for them', () => {
    const { plan } = planOf(job, [cut()]);
    const { plan: after, whole } = planOf(job, [cut(), losing(plan, 20, [1], 2)]);
    const [layout] = after.layouts;
    expect(layout!.parts).toHaveLength(2);
    expect(regionArea(layout!.outlines[0]!)).toBeCloseTo(regionArea([plan.parts[0]!.part.region[1]!]), 6);
    expect(layout!.taken).toBeLessThan(plan.layouts[0]!.taken);
    // it is what the film is needed for, and the cut that is done stays done
    expect(whole.layouts[0]!.taken).toBe(layout!.taken);
    expect(after.schedule.steps.find((s) => s.step.id === cutStepId(job.id, FILM))!.state).toBe('done');
    const again = after.recipe.steps.find(({ id }) => id === step(`again:${FILM}:lost20`))!;
    expect(again.takes).toMatchObject({ film: FILM, length: layout!.taken });
    const tape = after.recipe.steps.find(({ id }) => id === step(`tape:m:${FILM}`))!;
    expect(tape.after.map((lag) => lag.step)).toContain(`${again.id}:weed:m`);
    expect(titles(after).slice(0, 3)).toContain('Cut again what was lost of mark, white gloss');
  });
  it('joins its mark where that has got to: taped again once the others are taped, put back once they are placed', () => {
    const { plan } = planOf(job, [cut()]);
    const sofar = [cut(), done(job, step(`weed:m:${FILM}`), 12), done(job, step(`tape:m:${FILM}`), 14)];
    const taped = planOf(job, [...sofar, losing(plan, 20)]).plan;
    expect(titles(taped)).toContain('Tape what was lost of mark');
    expect(titles(taped).join()).not.toContain('Put back');
    const placed = planOf(job, [...sofar, done(job, step('clean'), 15), done(job, step('place:m'), 18), losing(plan, 20, [0])]).plan;
    expect(titles(placed).slice(-2)[0]).toBe('Put back what was lost of mark');
    const pack = placed.recipe.steps.at(-1)!;
    expect(pack.after.map((lag) => lag.step)).toContain(step(`again:${FILM}:lost20:back:m`));
  });
  it('once cut again nothing waits for the knife; what is lost after that is cut by itself, and taking it back takes its steps away', () => {
    const { plan } = planOf(job, [cut()]);
    const first = losing(plan, 20, [0]);
    const recut = done(job, step(`again:${FILM}:lost20`), 30);
    const mended = planOf(job, [cut(), first, recut]);
    expect(mended.whole.layouts).toEqual([]);
    const second = losing(plan, 40, [2]);
    const twice = planOf(job, [cut(), first, recut, second]).plan;
    expect(twice.recipe.steps.filter(({ takes }) => takes).map(({ id }) => id)).toEqual([
      cutStepId(job.id, FILM),
      step(`again:${FILM}:lost20`),
      step(`again:${FILM}:lost40`),
    ]);
    const events = [cut(), first, recut, second];
    expect(nextCutStep(events, stepFacts(events), job.id, FILM)).toBe(step(`again:${FILM}:lost40`));
    const back: WorkEvent = { id: 'back', at: DEMO_START + 41 * MINUTE, kind: 'reversed', event: second.id };
    expect(planOf(job, [...events, back]).plan.recipe).toEqual(mended.plan.recipe);
  });
  it('of what is cut again a part may be cut first, from an offcut: the rest is what is still laid out', () => {
    const { plan } = planOf(job, [cut()]);
    const event = losing(plan, 20, [1], 5);
    const id = planOf(job, [cut(), event]).plan.layouts[0]!.parts[0]!.mark;
    const some: WorkEvent = {
      ...{ id: 'some', at: DEMO_START + 25 * MINUTE, kind: 'cut', job: job.id, step: step(`again:${FILM}:lost20`), film: FILM, length: 0 },
      ...{ from: { kind: 'offcut', id: 'o' }, marks: [{ mark: id, copies: 2 }] },
    };
    const after = planOf(job, [cut(), event, some]);
    expect(after.plan.layouts[0]!.parts).toHaveLength(3);
    expect(after.whole.layouts[0]!.parts).toHaveLength(3);
  });
  it('before the film is cut whole it goes along with the rest', () => {
    const { plan } = planOf(job, []);
    const part: WorkEvent = {
      ...{ id: 'c', at: DEMO_START + 5 * MINUTE, kind: 'cut', job: job.id, step: cutStepId(job.id, FILM), film: FILM, length: 100 },
      marks: [{ mark: 'm', copies: 4 }],
    };
    const copies = (events: readonly WorkEvent[]) => planOf(job, events).plan.layouts[0]!.parts.length;
    expect(copies([part])).toBe(2);
    expect(copies([part, losing(plan, 8, undefined, 3)])).toBe(5);
    expect(copies([part, losing(plan, 8, [0])])).toBe(3);
    expect(planOf(job, [part, losing(plan, 8)]).plan.recipe.steps.filter(({ takes }) => takes)).toHaveLength(1);
  });
  it('letters of a mark that was changed since are not those that were lost: all of it is cut', () => {
    const { plan } = planOf(job, [cut()]);
    const event = losing(plan, 20, [1]);
    const other = { ...job, marks: [textMark('GANNET')] };
    const after = planOf(other, [cut(), event]).plan;
    expect(regionArea(after.layouts[0]!.outlines[0]!)).toBeCloseTo(regionArea(after.parts[0]!.part.region), 6);
  });
  it('however far a job of any technique has got: each step after those that it waits for, nothing begun is asked to wait, and what is left waits', () => {
    for (const made of MADE_JOBS) {
      const shop = madeShop(demoShop());
      const { plan } = planOf(made, [], shop);
      const order = plan.recipe.steps.map(({ id }) => id);
      const films = new Set(plan.parts.map(({ film }) => film.id));
      if (films.size === 0) continue;
      const [{ film }] = plan.parts as [JobPlan['parts'][number]];
      const cutAt = order.indexOf(cutStepId(made.id, film.id));
      for (let far = cutAt + 1; far <= order.length; far++) {
        const events = order.slice(0, far).map((id, i) => done(made, id, i));
        const { plan: after } = planOf(made, [...events, losing(plan, order.length + 1)], shop);
        const ids = after.recipe.steps.map(({ id }) => id);
        const fresh = ids.filter((id) => !order.includes(id));
        expect([made.id, far, fresh.length]).toEqual([made.id, far, expect.any(Number)]);
        expect(fresh.length).toBeGreaterThan(0);
        for (const [i, { id, after: lags }] of after.recipe.steps.entries()) {
          for (const lag of lags) expect(ids.slice(0, i)).toContain(lag.step);
          if (order.slice(0, far).includes(id)) for (const lag of lags) expect(fresh).not.toContain(lag.step);
        }
        for (const { id, cautions, kind } of after.recipe.steps)
          if (fresh.includes(id) && kind !== 'tape') expect(cautions.length).toBeGreaterThan(0);
        // packing, when it is not done, comes after everything that was lost is back
        const pack = ids.at(-1) === order.at(-1);
        expect(pack || far === order.length).toBe(true);
        expect(brokenWaits(after.schedule.steps.filter(({ state }) => state === 'waiting'))).toEqual([]);
      }
    }
  });
});
