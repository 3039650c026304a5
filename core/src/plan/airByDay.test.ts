import { describe, expect, it } from '@jest/globals';
import { DEMO_START, demoWorkshop } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import type { Shop } from '../job';
import { Memo } from './memo';
import { planWorkshop } from './planWorkshop';

const faces = shippedFaces();
const { shop, jobs, events } = demoWorkshop();
const memo = new Memo();
const board = jobs.filter(({ id }) => id === 'honour-board');
const planned = (airOn?: Shop['airOn']) =>
  planWorkshop(board, { ...shop, ...(airOn ? { airOn } : {}) }, events, DEMO_START, faces, memo).schedule.jobs.get('honour-board')!;
const startOf = (plan: ReturnType<typeof planned>, kind: string) => plan.steps.find(({ step }) => step.kind === kind)!.start;

describe('a day with other air', () => {
  const usual = planned();
  const day = '2026-12-01';
  it('that is as usual changes no time, nor does one that is over', () => {
    const times = (plan: ReturnType<typeof planned>) => plan.steps.map(({ start }) => start);
    expect(times(planned([{ id: 'a', day, ...shop.climate }]))).toEqual(times(usual));
    expect(times(planned([{ id: 'a', day: '2026-11-20', celsius: 2, humidity: 0.95 }]))).toEqual(times(usual));
  });
  it('that is colder and damper puts off what waits for a coat, and a drier one brings it forward', () => {
    const damp = planned([{ id: 'a', day, celsius: 9, humidity: 0.85 }]);
    const dry = planned([{ id: 'a', day, celsius: 27, humidity: 0.3 }]);
    expect(startOf(damp, 'seal')).toBeGreaterThan(startOf(usual, 'seal'));
    expect(startOf(dry, 'seal')).toBeLessThanOrEqual(startOf(usual, 'seal'));
    expect(damp.packed!).toBeGreaterThanOrEqual(usual.packed!);
    expect(dry.packed!).toBeLessThanOrEqual(usual.packed!);
  });
  it('that is colder puts off what the finished piece has to cure for, and a warmer one brings it forward', () => {
    const cold = (celsius: number) =>
      ['2026-12-03', '2026-12-04', '2026-12-05'].map((one, i) => ({ id: `c${i}`, day: one, celsius, humidity: 0.5 }));
    const last = (plan: ReturnType<typeof planned>) => Math.max(...plan.care.map(({ until }) => until));
    expect(last(usual)).toBeGreaterThan(Date.parse('2026-12-05T00:00:00Z'));
    expect(last(planned(cold(6)))).toBeGreaterThan(last(usual));
    expect(last(planned(cold(28)))).toBeLessThan(last(usual));
    expect(last(planned(cold(shop.climate.celsius)))).toBe(last(usual));
  });
  it('makes slower whatever the room makes slower, and nothing else', () => {
    const at = (more: Partial<Shop>) =>
      [...planWorkshop(jobs, { ...shop, ...more }, events, DEMO_START, faces, memo).jobs.values()].flatMap(({ recipe }) => recipe.steps);
    const cold = { celsius: 9, humidity: 0.8 };
    const leasts = new Map(at({ climate: cold }).map(({ id, after }) => [id, after.map(({ least }) => least)]));
    let slower = 0;
    for (const { id, after } of at({ airOn: [{ id: 'a', day, ...cold }] }))
      after.forEach((lag, i) => {
        const depends = Math.abs(leasts.get(id)![i]! - lag.least) > 1e-6;
        if (depends) slower += 1;
        if (depends || (lag.paces && lag.least > 0)) expect([id, lag.step, lag.paces !== undefined]).toEqual([id, lag.step, depends]);
      });
    expect(slower).toBeGreaterThan(10);
  });
});
