import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoShop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { cutStepId, stepIdOf, type StepId, type WorkEvent } from '../job';
import { Memo, planWorkshop } from './index';

const DAY = 86_400_000;
let faces: Faces;
beforeAll(() => {
  faces = shippedFaces();
});
const job = plateJob(textMark('TERN'));
const cut = cutStepId(job.id, 'white-gloss');
const weed = stepIdOf(job.id, 'weed:m:white-gloss');
const done = (step: StepId, at: number): WorkEvent => ({
  ...{ id: `${step} ${at}`, at, kind: 'done', job: job.id },
  step,
  title: step,
  planned: 5,
  actual: 5,
});
const layerAt = (events: readonly WorkEvent[], now: number) =>
  planWorkshop([job], demoShop(), events, now, faces, new Memo(), { effort: 'quick' }).jobs.get(job.id)!;

describe('film that lies cut', () => {
  it('takes a quarter longer to weed for each day, up to seven, in the step and its time too', () => {
    const fresh = layerAt([], DEMO_START).layers[0]!.weeding.minutes;
    for (const days of [0, 1, 3, 7, 30]) {
      const now = DEMO_START + days * DAY;
      const plan = layerAt([done(cut, DEMO_START)], now);
      expect(plan.layers[0]!.daysCut).toBe(days);
      expect(plan.layers[0]!.weeding.minutes / fresh).toBeCloseTo(1 + 0.25 * Math.min(7, days), 9);
      const step = plan.recipe.steps.find(({ id }) => id === weed)!;
      expect(step.hands).toBe(Math.max(1, Math.round(plan.layers[0]!.weeding.minutes * job.count)));
    }
  });
  it('holds harder on its liner, so that a tape has to grip harder; once weeded it is as it was then', () => {
    const low = (events: readonly WorkEvent[], days: number) => layerAt(events, DEMO_START + days * DAY).layers[0]!.window.low;
    const fresh = low([], 0);
    expect(low([done(cut, DEMO_START)], 7) / fresh).toBeCloseTo(1.5, 9);
    expect(low([done(cut, DEMO_START)], 20)).toBe(low([done(cut, DEMO_START)], 7));
    expect(low([done(cut, DEMO_START), done(weed, DEMO_START)], 20)).toBe(fresh);
  });
  it('counts by the hour: a minute more is the same plan', () => {
    const events = [done(cut, DEMO_START)];
    const at = (minutes: number) => layerAt(events, DEMO_START + minutes * 60_000).layers[0]!.daysCut;
    expect([at(59), at(61), at(119)]).toEqual([0, 1 / 24, 1 / 24]);
  });
});
