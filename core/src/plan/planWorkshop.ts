// Longer than 300 lines: the whole line from decisions to a plan, stage after stage.
import type { Faces } from '../artwork';
import type { FilmLayout } from '../cut';
import { GROUNDS } from '../facts';
import { readyWait, type Recipe } from '../finish';
import {
  asCounted,
  cutStepId,
  filmTaken,
  cutFromLast,
  marksCut,
  type Id,
  type Job,
  type JobId,
  type Reading,
  type Shop,
  type StepId,
  type WorkEvent,
} from '../job';
import { lostOf, stepFacts, withBehind } from '../logbook';
import { learntFrom, type Learnt } from '../learning';
import {
  HORIZON_DAYS,
  joinedWindows,
  roomOn,
  solveSchedule,
  workingWindows,
  type JobSchedule,
  type Problem,
  type Resource,
  type Schedule,
  type Stands,
} from '../schedule';
import { formatLength, MINUTE_MS } from '../units';
import { curesOn, withAir } from './airByDay';
import { benchOf, type Bench } from './bench';
import { cutAgainOf } from './cutAgain';
import { filmOf, sharedLayouts, type FilmPart, type FilmSoFar } from './film';
import { jobReadings, withOverrides } from './jobReadings';
import { Memo } from './memo';
import { fitMarks } from './fitMarks';
import { type MarkPlan } from './planMark';
import { Aside, type AsideReason, type SetAside } from './setAside';
import { knifeOf, knifeSoFar } from './knife';
import { withLearnt } from './learnt';
import { daysSinceCut } from './sinceCut';
import { planLayers, planRecipe, type LayerPlan } from './steps';

/** Everything derived for one job. */
export interface JobPlan {
  readonly job: JobId;
  /** Why it was set aside; nothing else was derived then. */
  readonly aside?: AsideReason;
  readonly marks: readonly MarkPlan[];
  readonly layers: readonly LayerPlan[];
  /** This job's film by itself, one layout a film. */
  readonly layouts: readonly FilmLayout[];
  /** Everything that is cut for it, whether it is cut already or not. */
  readonly parts: readonly FilmPart[];
  readonly recipe: Recipe;
  readonly schedule: JobSchedule;
  readonly readings: readonly Reading[];
  /** Minutes of hands still to do. */
  readonly handsLeft: number;
}

/** Everything derived for the workshop. */
export interface Plan {
  /** Whether every reading is there: a quick plan lacks those of thin parts. */
  readonly complete: boolean;
  /** The moment that it was planned for, UTC ms. */
  readonly at: number;
  readonly jobs: ReadonlyMap<JobId, JobPlan>;
  /** One layout a film, of all open jobs that still have to be cut. */
  readonly layouts: readonly FilmLayout[];
  readonly schedule: Schedule;
  /** What the schedule solves, for those who look for a better one. */
  readonly problem: Problem;
  readonly bench: Bench;
  /** mm left of each film, cuts taken off. */
  readonly filmLeft: ReadonlyMap<Id, number>;
  /** What the log has taught, as it went into this plan. */
  readonly learnt: Learnt;
  /** What failed, for those who mend it. */
  readonly faults: readonly string[];
}

const NONE_CUT: ReadonlyMap<Id, number> = new Map();
const HOUR_MS = 60 * MINUTE_MS;

/** A job that was set aside: nothing derived, and one reading that says so. */
function asidePlan(job: Job, { reason, heavy }: SetAside): JobPlan {
  return {
    job: job.id,
    aside: reason,
    marks: [],
    layers: [],
    layouts: [],
    parts: [],
    recipe: { steps: [], care: [] },
    schedule: { job: job.id, steps: [], care: [], broken: [], late: false },
    readings: [
      {
        id: 'aside:job',
        station: 'draw',
        verdict: 'stop',
        title: 'Set aside',
        value: heavy ? 'takes too much work' : 'cannot be worked out',
        limit: 'a plan',
        why: heavy
          ? `This job takes too much work, so it was set aside and the others go on without it. What is heavy is ${heavy.part}.`
          : 'Something in this job cannot be worked out, so it was set aside and the others go on without it.',
        remedies: [],
        advice: heavy ? heavy.help : 'Take back your last change, or take a simpler drawing.',
      },
    ],
    handsLeft: 0,
  };
}

/** What a plan may be told beside what it plans. */
export interface PlanOptions {
  /** 'quick' leaves out the readings of thin parts and the second look at each outline (ADR 7), so that a first plan is there sooner. */
  readonly effort?: 'quick' | 'whole';
  /** Where the steps stand by the plan that people know: what need not move stays there. */
  readonly stands?: Stands | undefined;
  /** Jobs that take much work, and whose makers want to wait for it. */
  readonly patient?: ReadonlySet<JobId>;
}

/** Who and what there is, and when: the machines of one pair of hands need no calendar of their own. */
function resourcesStage({
  hours,
  people,
  machines,
  presses,
  from,
}: Pick<Shop, 'hours' | 'people' | 'machines' | 'presses'> & { from: number }): Resource[] {
  const hands = (people && people.length > 0 ? people : [{ id: 'hands' }]).map((who): Resource => ({
    ...{ id: who.id, kind: 'hands', calendar: workingWindows(hours, from, HORIZON_DAYS, who) },
  }));
  if (hands.length === 1) return hands;
  const calendar = joinedWindows(hands.flatMap((one) => one.calendar));
  return [
    ...hands,
    ...machines.map(({ id }): Resource => ({ id, kind: 'cutter', calendar })),
    ...(presses ?? []).map(({ id }): Resource => ({ id, kind: 'press', calendar })),
  ];
}

/** A date that is none is no date: it would upset the order of all others. */
const wanted = ({ deadline }: Job): number | undefined => (deadline !== undefined && Number.isFinite(deadline) ? deadline : undefined);

/**
 * The whole line, from what the user decided to everything that follows from it: marks → film → steps → time → readings. Pure: the same
 * inputs give the same plan.
 * A job that cannot be planned is set aside, and all others are planned.
 *
 * @param jobs all jobs; closed ones are left out
 * @param stocked the workshop, its stock as it was typed
 * @param events what happened, in any order
 * @param now UTC ms
 * @param faces the faces that ship
 * @param memo keeps stages whose inputs do not change between plans
 */
export function planWorkshop(
  jobs: readonly Job[],
  stocked: Shop,
  events: readonly WorkEvent[],
  now: number,
  faces: Faces,
  memo = new Memo(),
  { effort = 'whole', patient, stands }: PlanOptions = {},
): Plan {
  memo.next();
  const quick = effort === 'quick';
  const open = jobs.filter((job) => !job.closed);
  const aside = new Aside(open, patient);
  const living = <J extends { readonly id: JobId }>(works: readonly J[]): J[] => works.filter(({ id }) => !aside.why.has(id));
  /** A stage of each job by itself, its result beside those of the stages before. */
  const each = <J extends { readonly id: JobId }, T>(works: readonly J[], stage: (work: J) => T): (J & T)[] =>
    aside.each(living(works), (work) => ({ ...work, ...stage(work) }));
  const together = <J extends { readonly id: JobId }, T>(works: readonly J[], stage: (works: readonly J[]) => T): T =>
    aside.together(living(works), stage);

  // what happened
  const shop = asCounted(stocked, events);
  const facts = stepFacts(events);
  const taken = filmTaken(events);
  const filmLeft = new Map(shop.films.map((film) => [film.id, Math.max(0, film.length - (taken.get(film.id) ?? 0))]));
  const lost = lostOf(events, facts);
  const knife = knifeSoFar(events);
  const learnt = learntFrom(events);
  const wasCut = (job: JobId, film: Id) => facts.get(cutStepId(job, film))?.doneAt !== undefined;
  const isCut = (job: JobId, film: Id) => wasCut(job, film) && !lost(job).again.some((one) => one.film === film && !one.done);
  const cut = marksCut(events);
  const cutFrom = cutFromLast(events);
  const soFar = (job: JobId): FilmSoFar => ({
    ever: (film) => cut(job, film),
    cut: (film) => (wasCut(job, film) ? NONE_CUT : cut(job, film)),
    lost: lost(job),
  });

  // marks
  const begun = open.map((job) => ({ id: job.id, job }));
  const fitted = each(begun, ({ job }) => {
    const works = fitMarks(job, shop, faces, memo, quick);
    return { works, marks: works.map((work) => work.plan) };
  });

  // film
  const laid = { machines: shop.machines, kept: shop.layouts, gap: shop.gap };
  const filmed = each(fitted, ({ job, marks }) => ({ film: filmOf(job, marks, soFar(job.id), laid, memo) }));

  // steps
  const inAir = withAir(shop, now);
  const stepped = each(filmed, ({ job, marks, film }) => {
    const layers = planLayers(job, marks, shop, memo, (mark, film) => daysSinceCut(job.id, mark, film, facts, now), learnt);
    const state = {
      left: (id: Id) => filmLeft.get(id) ?? 0,
      isCut: (id: Id) => wasCut(job.id, id),
      cutFrom: (id: Id) => cutFrom(job.id, id),
    };
    const planned = planRecipe(job, marks, layers, film.first, shop, state, memo);
    const again = cutAgainOf(job, planned.recipe, layers, film, laid, lost(job.id), facts, now, memo);
    const recipe = knifeOf(job, again, film.first, knife, facts);
    return { layers, ...planned, recipe: withLearnt(job, { ...recipe, steps: inAir(recipe.steps) }, layers, learnt) };
  });

  // film and time of all of them together
  const shared = together(stepped, (some) => {
    const films = some.map(({ id, film }) => ({ id, ...film }));
    return sharedLayouts(films, isCut, laid, memo);
  });
  const { hours, people, machines, presses } = shop;
  const from = Math.floor(now / HOUR_MS) * HOUR_MS;
  const resources = memo.stage('calendar', { hours, people, machines, presses, from }, resourcesStage);
  const problemOf = (some: readonly (typeof stepped)[number][]): Problem => ({
    jobs: some
      .filter(({ layers }) => layers.length > 0)
      .map(({ job, recipe: { steps, care } }) => {
        const readyAfter = readyWait(job.wantedAs, care);
        const date = wanted(job);
        const deadline = date === undefined ? undefined : date - readyAfter * MINUTE_MS;
        // what stays where it is dries there
        const pieces = GROUNDS[job.piece.ground].fixed ? 0 : job.count;
        return {
          ...{ job: job.id, name: job.name, priority: job.priority, deadline, readyAfter },
          ...{ createdAt: job.createdAt, pieces, steps, care },
        };
      }),
    resources,
    fixed: withBehind(
      facts,
      some.flatMap(({ recipe }) => recipe.steps),
    ),
    pinned: new Map(some.flatMap(({ job }) => (job.pins ?? []).map(({ step, at }): [StepId, number] => [step, at]))),
    room: roomOn(shop.rack),
    cures: curesOn(shop, now),
    given: new Map(some.flatMap(({ job }) => (job.given ?? []).map(({ step, who }): [StepId, Id] => [step, who]))),
    order: shop.order,
    stands,
    now,
  });
  const { schedule, problem } = together(stepped, (some) => {
    const asked = problemOf(some);
    return { problem: asked, schedule: solveSchedule(asked) };
  });

  // readings
  const read = each(stepped, (work) => {
    const { job } = work;
    const placed = schedule.jobs.get(job.id) ?? asidePlan(job, { reason: 'failed' }).schedule;
    const isCutOf = (film: Id) => isCut(job.id, film);
    const around = { shop, faces, shared, filmLeft, isCut: isCutOf, hours: schedule.windows.length > 0, quick };
    return {
      placed,
      readings: withOverrides(job, jobReadings({ ...work, schedule: placed }, around, memo)),
    };
  });

  const plans = new Map<JobId, JobPlan>();
  for (const { id, marks, film, layers, recipe, placed, readings } of read) {
    // of all its steps: a job that finds no room has work left too
    const known = withBehind(facts, recipe.steps);
    const handsLeft = recipe.steps.reduce((sum, step) => sum + (known.get(step.id)?.doneAt === undefined ? step.hands : 0), 0);
    plans.set(id, { job: id, marks, layers, layouts: film.own, parts: film.every, recipe, schedule: placed, readings, handsLeft });
  }
  for (const job of open) {
    const why = aside.why.get(job.id);
    if (why) plans.set(job.id, asidePlan(job, why));
  }
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 0 });
  const bench = benchOf(
    { schedule, problem },
    open,
    new Map([...plans].map(([id, { readings }]) => [id, readings])),
    events,
    shop,
    shared.map((l) => ({ film: l.film.id, left: filmLeft.get(l.film.id) ?? 0, needed: l.taken })),
    now,
    say,
  );
  return { complete: !quick, at: now, jobs: plans, layouts: shared, schedule, problem, bench, filmLeft, learnt, faults: aside.faults };
}
