import { describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { DEMO_START, demoWorkshop, plateJob, textMark } from '../../test/sampleJobs';
import type { Faces } from '../artwork';
import { numbersFrom } from '../geometry';
import { applyPatch, BROKEN, guarded, holdsCut, type Job, type Mark, type Shop } from '../job';
import { countWork, TooMuchWork, workDone } from '../units';
import { heavyOf, ofMark, stepsFor } from './heavy';
import { Memo } from './memo';
import { planWorkshop } from './planWorkshop';
import { Aside } from './setAside';

const faces = shippedFaces();
const demo = demoWorkshop();
const good = (id: string): Job => ({ ...plateJob(textMark('Tern')), id });
const drawn = (path: unknown): Mark =>
  textMark('', {
    artwork: { kind: 'drawing', name: 'odd', leftOut: [], parts: [{ id: 'p', colour: '#000000', path: path as never, fill: 'nonzero' }] },
  });

/** A line that crosses itself more often than anything can work with. */
function scribble(corners: number): Mark {
  const random = numbersFrom(7);
  const corner = (): [number, number] => [random() * 100, random() * 100];
  return drawn([['M', corner()], ...Array.from({ length: corners }, () => ['L', corner()]), ['Z']]);
}

/** Jobs that no plan can be made of, one after the other fault that has been met. */
const BAD: Record<string, Partial<Job>> = {
  'segments without points': {
    marks: [
      drawn([
        ['M', [0, 0]],
        ['C', [1, 1]],
      ]),
    ],
  },
  'a cone whose foot is nothing': { piece: { ...good('x').piece, shape: { kind: 'taper', rim: 80, foot: 0, height: -5 } } },
  'a mark without artwork': { marks: [{ ...textMark('x'), artwork: undefined as never }] },
  'a wall that cannot be': { piece: { ...good('x').piece, shape: { kind: 'taper', rim: 80, foot: 20, height: 12 } } },
  'a date that is none': { deadline: Number.NaN },
  'a piece without a shape': { piece: { ...good('x').piece, shape: undefined as never } },
  'a ground that nobody knows': { piece: { ...good('x').piece, ground: 'cheese' as never } },
};

describe('one bad job harms nobody else', () => {
  it.each(Object.entries(BAD))('%s: every other job is planned as if it were not there', (_, bad) => {
    const others = [good('a'), good('b')];
    const alone = planWorkshop(others, demo.shop, [], DEMO_START, faces);
    const plan = planWorkshop([others[0]!, { ...good('bad'), ...bad }, others[1]!], demo.shop, [], DEMO_START, faces);
    for (const { id } of others) {
      expect(plan.jobs.get(id)!.aside).toBeUndefined();
      // a job that can be planned after all takes its time before others
      const own = (whole: typeof plan) => whole.jobs.get(id)!.readings.filter((r) => r.id !== 'date');
      expect(own(plan)).toEqual(own(alone));
      expect(plan.jobs.get(id)!.layouts).toEqual(alone.jobs.get(id)!.layouts);
    }
    const own = plan.jobs.get('bad')!;
    // set aside and named; or planned after all, with nothing of it under the knife unsaid
    if (own.aside) {
      expect(own.readings.some(holdsCut)).toBe(true);
      expect(plan.faults.join()).toContain('bad');
      expect(plan.bench.watch.some((item) => item.job === 'bad' && item.verdict === 'stop')).toBe(true);
    } else expect(own.readings.length).toBeGreaterThan(0);
  });
  it.each(['toString', 'constructor', '__proto__', 'hasOwnProperty', '__defineGetter__'])(
    'an id, a face or a colour called %s is only a name',
    (name) => {
      const mark = textMark('Tern', { id: name, zone: name }, name);
      const odd: Job = { ...plateJob(mark), id: name, zones: [{ ...good('a').zones[0]!, id: name }] };
      const two: Job = { ...odd, id: `${name}2`, marks: [{ ...textMark('Tern', { zone: name }), colourFilms: { [name]: 'white-gloss' } }] };
      const plan = planWorkshop([odd, two, good('a')], demo.shop, [], DEMO_START, faces);
      expect([...plan.jobs.values()].map(({ aside }) => aside)).toEqual([undefined, undefined, undefined]);
      expect(plan.faults).toEqual([]);
      expect(plan.jobs.get('a')!.layouts[0]!.parts.length).toBeGreaterThan(0);
    },
  );
  it('a date that is none upsets no order: the other jobs are as if it had no date', () => {
    const some = demo.jobs.map((job, i) => (i === 3 ? { ...job, deadline: Number.NaN } : job));
    const without = demo.jobs.map((job, i) => (i === 3 ? { ...job, deadline: undefined } : job)) as Job[];
    const [odd, plain] = [some, without].map((jobs) =>
      planWorkshop(jobs, demo.shop, demo.events, DEMO_START, faces, undefined, { effort: 'quick' }),
    );
    for (const { id } of demo.jobs) expect(odd!.jobs.get(id)!.schedule.packed).toBe(plain!.jobs.get(id)!.schedule.packed);
    const date = odd!.jobs.get(demo.jobs[3]!.id)!.readings.find(({ id }) => id === 'date')!;
    expect(date).toMatchObject({ limit: 'no date' });
  });
  it('a job that takes too much work is set aside by its steps, says what is heavy and what helps, and each plan says the same', () => {
    const heavy: Job = { ...plateJob({ ...scribble(20_000), name: 'scribble' }), id: 'heavy' };
    const memo = new Memo();
    const steps: number[] = [];
    for (let i = 0; i < 2; i++) {
      const before = workDone();
      const plan = planWorkshop([heavy, good('b')], demo.shop, [], DEMO_START, faces, memo);
      steps.push(workDone() - before);
      expect(plan.jobs.get('heavy')).toMatchObject({ aside: 'slow', layouts: [] });
      expect(plan.jobs.get('heavy')!.readings).toMatchObject([
        {
          id: 'aside:job',
          why: expect.stringMatching(/how it is drawn, of the mark “scribble”/),
          advice: expect.stringMatching(/Simplify/),
        },
      ]);
      expect(plan.faults).toEqual([]);
      expect(plan.jobs.get('b')!.aside).toBeUndefined();
    }
    // the second time it is known
    expect(steps[1]).toBeLessThan(steps[0]! / 10);
  });
  it('how much work a job is does not hang on what is remembered; tried longer it may take more', () => {
    const job = good('a');
    const stepsOf = (memo: Memo) => {
      const before = workDone();
      planWorkshop([job], demo.shop, [], DEMO_START, faces, memo);
      return workDone() - before;
    };
    const memo = new Memo();
    const first = stepsOf(memo);
    expect(stepsOf(memo)).toBe(first);
    expect(first).toBeGreaterThan(0);
    expect(first).toBeLessThan(stepsFor(job, false) / 50);
    expect(stepsFor(job, true)).toBeGreaterThan(4 * stepsFor(job, false));
  });
  it('what a job may take is counted over all its stages, of each job by itself; one that is tried longer comes through', () => {
    const most = stepsFor(good('a'), false);
    const half = () => (countWork(most * 0.6), 'done');
    const aside = new Aside([good('a'), good('b'), good('long')], new Set(['long']));
    expect(['a', 'b', 'long', 'a', 'long'].map((id) => aside.try(id, half))).toEqual(['done', 'done', 'done', undefined, 'done']);
    expect([...aside.why]).toMatchObject([['a', { reason: 'slow' }]]);
    expect(aside.faults).toEqual([]);
  });
  it('what helps suits the mark: of words there are no paths to simplify; a list can be parted', () => {
    const names: Mark = { ...textMark('{name}'), name: 'names' };
    const rows = ['Ada', 'Bo'].map((name, i) => ({ id: `r${i}`, cells: [name] }));
    const heavy = (mark: Mark, stage: string, more: Partial<Job> = {}) => {
      const error = Object.assign(new TooMuchWork(), { stage });
      expect(() =>
        ofMark(mark, () => {
          throw error;
        }),
      ).toThrow(error);
      return heavyOf(error, plateJob(mark, more));
    };
    expect(heavy(names, 'scale', { list: { columns: ['name'], rows } })).toEqual({
      part: 'its size in its place, of the mark “names”, on each of the 2 in the list',
      help: 'Say less on it, or choose a plainer font. Or part the list in two jobs.',
    });
    expect(heavy(scribble(3), 'thinness').help).toMatch(/^Simplify its paths/);
    expect(heavy(textMark('Tern'), 'usable')).toMatchObject({ part: expect.stringMatching(/^how it is drawn/) });
  });
  it('no job of the demo comes near to what a job may take', () => {
    for (const job of demo.jobs) {
      const before = workDone();
      planWorkshop([job], demo.shop, [], DEMO_START, faces);
      expect([job.id, workDone() - before < stepsFor(job, false) / 20]).toEqual([job.id, true]);
    }
  });
  it('a font with a broken glyph harms no other font', () => {
    const broken = {
      id: 'broken',
      count: 1,
      file: () => ({
        charToGlyph: () => {
          throw new RangeError('glyf');
        },
      }),
    } as never;
    const some: Faces = new Map([...faces, ['broken', broken]]);
    const plan = planWorkshop([{ ...plateJob(textMark('Tern', {}, 'broken')), id: 'bad' }, good('a')], demo.shop, [], DEMO_START, some);
    expect(plan.jobs.get('a')!.readings.some(holdsCut)).toBe(false);
    expect(plan.jobs.get('bad')!.readings.some(holdsCut)).toBe(true);
  });
  it('a reading that fails is shown as not worked out, with nothing of the error in its words; one that works is as it is', () => {
    const fail = (): never => {
      throw new TypeError('Cannot read properties of undefined');
    };
    const [broken, ...others] = guarded('fit', 'thin', 'm', 'Thin parts', fail);
    expect(others).toEqual([]);
    expect(broken).toMatchObject({ id: `${BROKEN}thin:m`, station: 'fit', verdict: 'watch', title: 'Thin parts', remedies: [] });
    expect(JSON.stringify(broken)).not.toMatch(/undefined|TypeError/);
    expect(guarded('fit', 'thin', 'm', 'Thin parts', () => [broken!])).toEqual([broken]);
  });
  it('a list of which one row loses all its parts to “drop small parts” is read all the same', () => {
    const mark = textMark('{name}', {
      edits: [{ id: 'd', kind: 'dropSmall', below: 60, fillBelow: 1 }],
      size: { mode: 'width', width: 150 },
    });
    const rows = ['Bartholomew', 'l'].map((name, i) => ({ id: `r${i}`, cells: [name] }));
    const plan = planWorkshop([plateJob(mark, { list: { columns: ['name'], rows }, count: 2 })], demo.shop, [], DEMO_START, faces);
    expect(plan.jobs.get('j')!.readings.filter(({ id }) => id.startsWith(BROKEN))).toEqual([]);
    expect(plan.jobs.get('j')!.readings.some(({ id }) => id.startsWith('thin:'))).toBe(true);
  });
  it('a mark of which nothing is left is a stop, and the fix brings it back', () => {
    const job = plateJob(textMark('Tern', { edits: [{ id: 'd', kind: 'dropSmall', below: 1e6, fillBelow: 1 }] }));
    const stops = (one: Job) =>
      planWorkshop([one], demo.shop, [], DEMO_START, faces)
        .jobs.get('j')!
        .readings.filter(({ verdict }) => verdict === 'stop');
    const [stop] = stops(job);
    expect(stop).toMatchObject({ id: 'empty:m', remedies: [{ label: 'Drop no small parts' }] });
    expect(stops(applyPatch(job, stop!.remedies[0]!.patch).document)).toEqual([]);
  });
  it('no reading of the demo fails', () => {
    const plan = planWorkshop(demo.jobs, demo.shop, demo.events, DEMO_START, faces);
    expect(plan.faults).toEqual([]);
    expect([...plan.jobs.values()].flatMap(({ readings }) => readings).filter(({ id }) => id.startsWith(BROKEN))).toEqual([]);
  });
});

describe('what a workshop lacks is told as what it is', () => {
  const stopsOf = (shop: Shop, job = good('a')) =>
    planWorkshop([job], shop, [], DEMO_START, faces)
      .jobs.get('a')!
      .readings.filter((r) => r.verdict === 'stop');
  it.each(['film', 'colourFilms', 'backing'])(
    'a film that is not here (%s) is a stop with those that are, and choosing one clears it',
    (where) => {
      const mark = textMark('Tern', {
        ...(where === 'film' ? { film: 'gone' } : {}),
        ...(where === 'backing' ? { edits: [{ id: 'e', kind: 'backing', film: 'gone', by: 2 }] } : {}),
      });
      const job: Job = { ...plateJob(mark), id: 'a' };
      if (where === 'colourFilms')
        job.marks = [{ ...drawn([['M', [0, 0]], ['L', [9, 0]], ['L', [9, 9]], ['Z']]), colourFilms: { '#000000': 'gone' } }];
      const [stop] = stopsOf(demo.shop, job).filter(({ id }) => id.startsWith('filmgone:'));
      expect(stop!.remedies.length).toBeGreaterThan(1);
      for (const remedy of stop!.remedies) {
        const after = stopsOf(demo.shop, applyPatch(job, remedy.patch).document);
        expect(after.filter(({ id }) => id.startsWith('filmgone:'))).toEqual([]);
      }
    },
  );
  it('no films, no tapes, no hours', () => {
    const text = (shop: Shop) =>
      stopsOf(shop)
        .map((r) => `${r.why} ${r.advice}`)
        .join(' ');
    expect(text({ ...demo.shop, films: [] })).toMatch(/no film in this workshop yet/);
    expect(text({ ...demo.shop, tapes: [] })).toMatch(/no tape in this workshop yet/);
    expect(text({ ...demo.shop, hours: { zone: 'Europe/Dublin', week: [[], [], [], [], [], [], []] } })).toMatch(
      /No working hours are set/,
    );
    for (const shop of [
      { ...demo.shop, machines: [] },
      { ...demo.shop, paints: [] },
    ])
      expect(planWorkshop([good('a')], shop, [], DEMO_START, faces).jobs.get('a')!.aside).toBeUndefined();
  });
});
