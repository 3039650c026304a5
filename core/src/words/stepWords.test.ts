import { beforeAll, describe, expect, it } from '@jest/globals';
import { shippedFaces } from '../../test/faces';
import { randomJob } from '../../test/randomWorkshop';
import { DEMO_START, demoWorkshop } from '../../test/sampleJobs';
import { COATS, STEP_KINDS, type CoatId } from '../facts';
import type { StepAbout, WaitFor, WorkStep } from '../finish';
import { numbersFrom } from '../geometry';
import type { WorkEvent } from '../job';
import { Memo, planWorkshop } from '../plan';
import { stepText, stepTitle, stepWords } from './stepWords';
import { careWords, PULL_WORDS, waitWords } from './waitWords';
import { seeds } from '../../test/depth';

const steps: WorkStep[] = [];
beforeAll(() => {
  const { jobs, shop } = demoWorkshop();
  const [faces, memo] = [shippedFaces(), new Memo()];
  const [first] = jobs;
  const own = {
    ...first!,
    id: 'own',
    piece: { ...first!.piece, ground: 'rawWood' as const, state: ['grooved' as const, 'printed' as const], sealedAfter: 'craft' as const },
  };
  const made = {
    ...own,
    steps: [
      { id: 'a', name: 'Cut the boards', minutes: 5, when: 'first' as const },
      { id: 'b', name: 'Tie the ribbon', minutes: 2, when: 'beforePacking' as const },
    ],
  };
  const scraped = { ...first!, id: 'scraped', piece: { ...first!.piece, state: ['printed' as const, 'greasy' as const] } };
  const some = seeds([2, 9, 11, 16, 19, 21, 22, 23, 25, 26, 31, 34], 180).map((seed, i) => ({ ...randomJob(numbersFrom(seed), shop), id: `r${i}`, closed: false }));
  const plan = planWorkshop([...jobs, made, scraped, ...some], shop, [], DEMO_START, faces, memo, { effort: 'quick' });
  for (const { recipe } of plan.jobs.values()) steps.push(...recipe.steps);
  // of some jobs everything is done, and then something of each film is lost
  const lost = [...plan.jobs.values()]
    .filter((_, i) => i % 4 === 0)
    .flatMap(({ recipe, parts }): WorkEvent[] => [
      ...recipe.steps.map(({ id, job }, i): WorkEvent => ({
        ...{ id, at: DEMO_START + i, kind: 'done', job, step: id, title: id, planned: 1, actual: 1 },
      })),
      ...parts.map(({ film, part: { job, mark, name } }, i): WorkEvent => ({
        ...{ id: `${job}${mark}${film.id}`, at: DEMO_START + 1000 + i, kind: 'lost', job, film: film.id, mark, name },
        ...{ copies: 1 + (i % 2), what: 'A part was lost' },
      })),
    ]);
  const jobsLost = new Set(lost.map((event) => ('job' in event ? event.job : '')));
  const again = [...jobs, made, scraped, ...some].filter(({ id }) => jobsLost.has(id));
  const after = planWorkshop(again, shop, lost, DEMO_START + 5000, faces, memo, { effort: 'quick' });
  for (const { recipe } of after.jobs.values()) steps.push(...recipe.steps.filter(({ id }) => id.includes('/again:')));
  // new blades, and film whose liner was cut
  const [of] = [jobs.find(({ id }) => id === 'regatta-prizes')!];
  const knife = [
    ...shop.machines.map(({ id, name }): WorkEvent => ({ id: `blade ${id}`, at: DEMO_START, kind: 'bladeChanged', machine: id, name })),
    ...shop.films.map(({ id }): WorkEvent => ({
      ...{ id: `cut ${id}`, at: DEMO_START, kind: 'cut', job: of.id, step: `${of.id}/cut:${id}`, film: id, length: 10, linerCut: true },
    })),
  ];
  for (const { recipe } of planWorkshop([of], shop, knife, DEMO_START + 1, faces, memo, { effort: 'quick' }).jobs.values())
    steps.push(...recipe.steps.filter(({ kind }) => kind === 'testCut' || kind === 'backFilm'));
});

describe('the words of steps', () => {
  it('are there for every kind of step', () => {
    expect([...new Set(steps.map((step) => step.kind))].sort()).toEqual(Object.keys(STEP_KINDS).sort());
  });
  it('make whole sentences, in both units, with nothing left unsaid', () => {
    for (const step of steps) {
      const { title, verb, rest, short } = stepWords(step);
      expect(title).toBe(`${verb} ${rest}`);
      expect(title).toMatch(/^[A-Z][a-z]+,? \S.*\S$/);
      expect(short).toMatch(/^[a-z][a-z 0-9]*$/);
      for (const words of [title, stepText(step, 'mm'), stepText(step, 'inch')]) {
        expect(words).not.toMatch(/undefined|NaN|\[object|  | ,|\.\.|\b1 \w+s\b(?! × )|Infinity/);
      }
      expect(stepText(step, 'mm')).toMatch(/^[A-Z0-9].*[.]$/s);
      expect(stepText(step, 'inch')).not.toMatch(/\d mm\b/);
    }
  });
  it('tell the steps of one job apart', () => {
    const { jobs, shop } = demoWorkshop();
    const plan = planWorkshop(jobs, shop, [], DEMO_START, shippedFaces(), new Memo(), { effort: 'quick' });
    for (const { recipe } of plan.jobs.values()) expect(new Set(recipe.steps.map(stepTitle)).size).toBe(recipe.steps.length);
  });
});

describe('the words of a cut', () => {
  it('speak of the roll only where it is cut from the roll', () => {
    const cut = steps.find(({ about }) => about.kind === 'cut' && !about.again && !about.written)!;
    const from = (piece: Extract<StepAbout, { kind: 'cut' }>['piece']) =>
      stepText({ ...cut, about: { ...(cut.about as Extract<StepAbout, { kind: 'cut' }>), piece } as StepAbout }, 'mm');
    expect(stepText(cut, 'mm')).toMatch(/It takes \d+ mm of film\./);
    expect(from({ kind: 'offcut', all: true })).toContain('All of it comes from the offcut, and nothing from the roll.');
    expect(from({ kind: 'pieces', all: false })).toContain('As much as finds room comes from sheets and offcuts, the rest from the roll.');
    for (const kind of ['sheet', 'offcut', 'pieces'] as const) expect(from({ kind, all: true })).not.toContain('of film.');
  });
});

describe('the words of waits', () => {
  const waits: WaitFor[] = [
    'labelDry',
    'recoat',
    'beforeSealer',
    'beforeFilm',
    'alcohol',
    'dustedOff',
    'washed',
    'weedSoon',
    'weeded',
    'taped',
    'placed',
    'stencilLaid',
    'edgeSealer',
    'halfDry',
    'nearlyDry',
    'dry',
    'touchDry',
    'firm',
  ];
  it('name what dries, of every coat', () => {
    for (const coat of Object.keys(COATS) as CoatId[]) {
      for (const why of waits) expect(waitWords({ why, coat })).toMatch(/^[a-z][a-z ,()-]+$/);
      expect(careWords({ coat, then: 'water' })).toEqual({ what: expect.stringMatching(/ cures$/), then: 'water' });
    }
    expect(waitWords({ why: 'beforeFilm', coat: 'waterStain' })).toBe('water stain dries before film');
    expect(waitWords({ why: 'beforeFilm', coat: 'sealer' })).toBe('sealer dries before film');
    expect(careWords({ then: 'firstWash' })).toEqual({ what: 'adhesive dwells', then: 'first wash' });
  });
  it('say how dry paint is by the same words as the step', () => {
    for (const why of ['halfDry', 'nearlyDry', 'dry'] as const) expect(waitWords({ why })).toBe(`paint ${PULL_WORDS[why]}`);
  });
});
