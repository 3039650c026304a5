import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoWorkshop } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import type { WorkEvent } from '../job';
import type { Workshop } from '../jobFile';
import { stepFacts } from '../logbook';
import { benchOfPerson, type Bench } from './bench';
import { Memo } from './memo';
import { planWorkshop } from './planWorkshop';

const MIN = 60_000;
let faces: Faces;
let demo: Workshop;
const memo = new Memo();
beforeAll(() => {
  faces = shippedFaces();
  demo = demoWorkshop();
});
const benchAt = (now: number, events: WorkEvent[] = demo.events): Bench =>
  planWorkshop(demo.jobs, demo.shop, events, now, faces, memo).bench;
let n = 0;
const done = (step: string, at: number): WorkEvent => ({
  id: `x${n++}`,
  at,
  kind: 'done',
  job: step.split('/')[0]!,
  step,
  title: step,
  planned: 5,
  actual: 5,
});

describe('what events say about steps', () => {
  const started: WorkEvent = { id: 'a', at: 10 * MIN, kind: 'started', job: 'j', step: 'j/s', title: 's' };
  const finished: WorkEvent = { id: 'b', at: 15 * MIN, kind: 'done', job: 'j', step: 'j/s', title: 's', planned: 5, actual: 5 };
  it('a start and an end', () => {
    expect(stepFacts([started]).get('j/s')).toEqual({ startedAt: 10 * MIN });
    expect(stepFacts([started, finished]).get('j/s')).toEqual({ startedAt: 10 * MIN, doneAt: 15 * MIN });
  });
  it('a step without a start began its actual minutes before', () => expect(stepFacts([finished]).get('j/s')!.startedAt).toBe(10 * MIN));
  it('in any order, and without what was reversed', () => {
    expect(stepFacts([finished, started])).toEqual(stepFacts([started, finished]));
    expect(stepFacts([started, finished, { id: 'r', at: 16 * MIN, kind: 'reversed', event: 'b' }]).get('j/s')).toEqual({
      startedAt: 10 * MIN,
    });
  });
  it('what went wrong ends a step only when it is not done again', () => {
    const wrong = (again: boolean): WorkEvent => ({ ...finished, kind: 'wrong', what: 'A part was lost', again }) as WorkEvent;
    expect(stepFacts([started, wrong(false)]).get('j/s')?.doneAt).toBe(15 * MIN);
    expect(stepFacts([started, wrong(true)]).has('j/s')).toBe(false);
  });
});

describe('the Bench', () => {
  it('says before the day ends what may not stand until the next', () => {
    const bowl = demo.jobs.filter(({ id }) => id === 'trophy-bowl');
    const at = Date.parse('2026-12-01T17:40:00Z');
    const plan = (events: WorkEvent[], now: number) => planWorkshop(bowl, demo.shop, events, now, faces, memo);
    // all is done up to the cream: it may stay on for a quarter of an hour
    const { steps } = plan([], at - 60 * MIN).schedule.jobs.get('trophy-bowl')!;
    const upTo = steps.slice(
      0,
      steps.findIndex(({ step }) => step.kind === 'rinse'),
    );
    expect(upTo.at(-1)!.step.kind).toBe('etch');
    const events = upTo.map(({ step }, i) => done(step.id, at - (upTo.length - 1 - i) * MIN));
    const night = plan(events, at).bench.watch.filter(({ id }) => id.startsWith('night:'));
    expect(night.map(({ lead, text }) => `${lead} ${text}`)).toEqual([
      expect.stringMatching(/^Before you go: .*[Rr]inse.* by 17:55\. It cannot stand until tomorrow\.$/),
    ]);
    // long before the end of the day nothing is said of it
    const early = plan(
      upTo.map(({ step }, i) => done(step.id, at - 6 * 60 * MIN - (upTo.length - 1 - i) * MIN)),
      at - 6 * 60 * MIN,
    );
    expect(early.bench.watch.filter(({ id }) => id.startsWith('night:'))).toEqual([]);
  });
  it('at night shows the next step and that its time has not come', () => {
    const night = benchAt(Date.parse('2026-12-01T22:00:00Z'));
    expect(night.due).toBe(false);
    expect(new Date(night.now!.start).toISOString()).toBe('2026-12-02T09:00:00.000Z');
  });
  it('a started step is now, whatever else is due', () => {
    const step = 'regatta-prizes/cut:white-gloss';
    const bench = benchAt(DEMO_START, [
      ...demo.events,
      { id: 's', at: DEMO_START - MIN, kind: 'started', job: 'regatta-prizes', step, title: 'cut' },
    ]);
    expect(bench.now!.step.id).toBe(step);
    expect(bench.now!.state).toBe('running');
  });
  it('the rack shows what dries, then an open window, then what only needs care', () => {
    const at = (id: string) => `honour-board/${id}`;
    const wet = [...demo.events, done(at('seal'), DEMO_START)];
    expect(benchAt(DEMO_START + MIN, wet).rack.map((r) => [r.what, r.state])).toContainEqual(['sealer dries before film', 'drying']);
    const steps = [
      'cut:stencil',
      'cut:cream-matt',
      'weed:title:stencil',
      'tape:title:stencil',
      'clean',
      'place:title',
      'edge:title',
      'paint:title:1',
      'paint:title:2',
    ];
    const painted = [...wet, ...steps.map((s, i) => done(at(s), DEMO_START + (i + 2) * MIN))];
    const end = DEMO_START + 10 * MIN;
    expect(benchAt(end + 10 * MIN, painted).rack.find((r) => r.id.startsWith(at('pull:title')))).toMatchObject({
      state: 'drying',
      what: 'paint half dry',
    });
    const open = benchAt(end + 30 * MIN, painted).rack.find((r) => r.id.startsWith(at('pull:title')))!;
    expect(open).toMatchObject({ state: 'open', what: 'pull now' });
    expect((open.until - end) / MIN).toBeCloseTo(30 * 1.453, 0);
    expect(benchAt(end + 30 * MIN, painted).rack.some((r) => r.state === 'care' && r.what === 'sealer cures')).toBe(true);
  });
  it('a missed window is said, and the step comes at once', () => {
    const at = (id: string) => `honour-board/${id}`;
    const steps = [
      'seal',
      'cut:stencil',
      'weed:title:stencil',
      'tape:title:stencil',
      'clean',
      'place:title',
      'edge:title',
      'paint:title:1',
      'paint:title:2',
    ];
    const late = [...demo.events, ...steps.map((s, i) => done(at(s), DEMO_START + i * MIN))];
    const plan = planWorkshop(demo.jobs, demo.shop, late, DEMO_START + 120 * MIN, faces, memo);
    expect(plan.jobs.get('honour-board')!.readings.find((r) => r.id === `missed:${at('pull:title')}`)!.verdict).toBe('watch');
  });
  it('one line a job and verdict, stops first, and rolls that run short', () => {
    const { watch } = benchAt(DEMO_START);
    const order = watch.map((w) => ({ stop: 0, watch: 1, fine: 2 })[w.verdict]);
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    const scarce = { ...demo.shop, films: demo.shop.films.map((f) => (f.id === 'petrol' ? { ...f, length: 100 } : f)) };
    const bench = planWorkshop(demo.jobs, scarce, demo.events, DEMO_START, faces, memo).bench;
    expect(bench.watch.some((w) => w.lead === 'Petrol:' && /100 mm left, open jobs need/.test(w.text))).toBe(true);
  });
  it('with every step done there is nothing to do', () => {
    const plan = planWorkshop([demo.jobs[2]!], demo.shop, demo.events, DEMO_START, faces, memo);
    const all = plan.jobs.get('crew-flasks')!.recipe.steps.map((s) => done(s.id, DEMO_START));
    expect(planWorkshop([demo.jobs[2]!], demo.shop, all, DEMO_START + MIN, faces, memo).bench.now).toBeUndefined();
  });
  it('an empty workshop has an empty Bench', () => {
    expect(planWorkshop([], demo.shop, [], DEMO_START, faces, memo).bench).toEqual({
      now: undefined,
      due: false,
      then: [],
      rack: [],
      watch: [],
    });
  });
});

describe('the Bench of one of several people', () => {
  it('has their own step now and what they do then; what dries and what to watch is everybody’s', () => {
    const people = [
      { id: 'ann', name: 'Ann' },
      { id: 'bo', name: 'Bo' },
    ];
    const plan = planWorkshop(demo.jobs, { ...demo.shop, people }, demo.events, DEMO_START, faces, memo);
    const of = (who: string) => benchOfPerson(plan.bench, plan.schedule, who, DEMO_START);
    for (const who of ['ann', 'bo']) {
      const own = of(who);
      for (const placed of [own.now!, ...own.then]) expect(placed.by).toContain(who);
      expect([own.rack, own.watch]).toEqual([plan.bench.rack, plan.bench.watch]);
    }
    expect(of('ann').now!.step.id).not.toBe(of('bo').now!.step.id);
    // whoever has nothing to do has nothing now
    expect(of('nobody').now).toBeUndefined();
  });
  it('gives a step to whom it was given, and nobody else', () => {
    const people = [
      { id: 'ann', name: 'Ann' },
      { id: 'bo', name: 'Bo' },
    ];
    const plan = (jobs = demo.jobs) => planWorkshop(jobs, { ...demo.shop, people }, demo.events, DEMO_START, faces, memo);
    const first = plan().bench.now!;
    const other = first.by![0] === 'ann' ? 'bo' : 'ann';
    const given = demo.jobs.map((job) => (job.id === first.step.job ? { ...job, given: [{ step: first.step.id, who: other }] } : job));
    const after = plan(given).schedule.steps.find(({ step }) => step.id === first.step.id)!;
    expect(after.by).toEqual([other]);
    // somebody who does not work here any more is passed over
    const gone = demo.jobs.map((job) => (job.id === first.step.job ? { ...job, given: [{ step: first.step.id, who: 'gone' }] } : job));
    expect(plan(gone).bench.now!.by).toEqual(first.by);
  });
});
