import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { machineFor } from '../cut';
import type { CutOutcome } from '../facts';
import { backFilmStepId, testCutStepId } from '../finish';
import { cutStepId, stepIdOf, type Shop, type StepId, type WorkEvent } from '../job';
import { brokenWaits } from '../schedule';
import { Memo, planWorkshop } from './index';

let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
const FILM = 'white-gloss';
const job = plateJob(textMark('TERN'), { count: 6 });
const shop = demoShop();
const at = (minute: number) => DEMO_START + minute * 60_000;
const planOf = (events: readonly WorkEvent[], other: Shop = shop) =>
  planWorkshop([job], other, events, at(100), faces, new Memo(), { effort: 'quick' }).jobs.get(job.id)!;
const machine = machineFor(
  shop.films.find(({ id }) => id === FILM)!,
  shop.machines,
)!;
const blade: WorkEvent = { id: 'blade', at: at(1), kind: 'bladeChanged', machine: machine.id, name: machine.name };
const test = (minute: number, outcome: CutOutcome): WorkEvent => ({
  ...{ id: `t${minute}`, at: at(minute), kind: 'testCut', film: FILM, machine: machine.id, name: FILM, force: 12, outcome },
});
const done = (step: StepId, minute: number): WorkEvent => ({
  ...{ id: `d${step}`, at: at(minute), kind: 'done', job: job.id, step, title: step, planned: 5, actual: 5 },
});
const [TEST, CUT, BACK] = [testCutStepId(job.id, FILM), cutStepId(job.id, FILM), backFilmStepId(job.id, FILM)];
const WEED = stepIdOf(job.id, `weed:m:${FILM}`);
const stepsOf = (events: readonly WorkEvent[], other?: Shop) => planOf(events, other).recipe.steps;
const minutes = (steps: readonly { hands: number }[]) => steps.reduce((sum, { hands }) => sum + hands, 0);

describe('a test cut in the plan', () => {
  it('comes before the cut once a blade is new, costs no minute more than before, and goes when one came out right', () => {
    expect(stepsOf([]).some(({ id }) => id === TEST)).toBe(false);
    const steps = stepsOf([blade]);
    expect(minutes(steps)).toBe(minutes(stepsOf([])));
    const [before, cut] = [steps.findIndex(({ id }) => id === TEST), steps.findIndex(({ id }) => id === CUT)];
    expect(before).toBeGreaterThanOrEqual(0);
    expect(cut).toBe(before + 1);
    expect(steps[cut]!.after).toContainEqual({ step: TEST, least: 0, why: 'tested' });
    expect(stepsOf([blade, test(5, 'notThrough')]).some(({ id }) => id === TEST)).toBe(true);
    expect(stepsOf([blade, test(5, 'notThrough'), test(6, 'clean')]).some(({ id }) => id === TEST)).toBe(false);
    const { schedule } = planOf([blade]);
    expect(brokenWaits(schedule.steps)).toEqual([]);
  });
  it('stays in the plan as done where it was done as a step, and is not asked for once the film is cut', () => {
    const steps = planOf([blade, done(TEST, 6), test(6, 'clean')]).schedule.steps;
    expect(steps.find(({ step }) => step.id === TEST)?.state).toBe('done');
    expect(stepsOf([blade, done(CUT, 6)]).some(({ id }) => id === TEST)).toBe(false);
  });
  it('is wanted by bargain film, and by a roll that is new since the last', () => {
    const bargain: Shop = { ...shop, films: shop.films.map((film) => (film.id === FILM ? { ...film, kind: 'bargain' as const } : film)) };
    expect(stepsOf([], bargain).some(({ id }) => id === TEST)).toBe(true);
    expect(stepsOf([test(3, 'clean')], bargain).some(({ id }) => id === TEST)).toBe(false);
    const rolled: WorkEvent = {
      ...{ id: 'roll', at: at(9), kind: 'counted', stock: 'film', item: FILM, name: FILM, was: 200, is: 5200, reason: 'a new roll' },
    };
    expect(stepsOf([test(3, 'clean'), rolled]).find(({ id }) => id === TEST)?.about).toMatchObject({ why: 'roll' });
    expect(stepsOf([test(3, 'clean'), rolled, test(12, 'clean')]).some(({ id }) => id === TEST)).toBe(false);
  });
});

describe('film whose liner was cut', () => {
  const cut: WorkEvent = { id: 'cut', at: at(10), kind: 'cut', job: job.id, step: CUT, film: FILM, length: 100, linerCut: true };
  it('is backed with tape before it is weeded, and costs its minutes', () => {
    const steps = stepsOf([cut, done(CUT, 10)]);
    const back = steps.find(({ id }) => id === BACK)!;
    expect(back.after).toEqual([{ step: CUT, least: 0, why: 'lifted' }]);
    expect(steps.find(({ id }) => id === WEED)!.after).toContainEqual({ step: BACK, least: 0, why: 'backed' });
    expect(minutes(steps)).toBe(minutes(stepsOf([done(CUT, 10)])) + back.hands);
    expect(brokenWaits(planOf([cut, done(CUT, 10)]).schedule.steps)).toEqual([]);
  });
  it('asks for nothing once it is weeded, nor when the cut was taken back', () => {
    expect(stepsOf([cut, done(CUT, 10), done(WEED, 30)]).some(({ id }) => id === BACK)).toBe(false);
    const back: WorkEvent = { id: 'r', at: at(20), kind: 'reversed', event: 'cut' };
    expect(stepsOf([cut, done(CUT, 10), back]).some(({ id }) => id === BACK)).toBe(false);
  });
});
