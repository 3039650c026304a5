import type { Faces } from '../artwork';
import { cutReadings, layoutFilm, type CutPart, type FilmLayout } from '../cut';
import { finishReadings, type Recipe } from '../finish';
import {
  filmTaken,
  guarded,
  marksCut,
  withSight,
  type Film,
  type Id,
  type Job,
  type JobId,
  type Reading,
  type Shop,
  type WorkEvent,
} from '../job';
import { HORIZON_DAYS, scheduleReadings, solveSchedule, workingWindows, type JobSchedule, type Schedule } from '../schedule';
import { formatLength, MINUTE_MS } from '../units';
import { benchOf, stepFacts, type Bench } from './bench';
import { keyOf, Memo } from './memo';
import { cutParts, layoutKey, ownLayouts, planLayers, planRecipe, type CutSoFar, type LayerPlan } from './planJob';
import { measureDrawFit } from './measureDrawFit';
import type { MarkPlan } from './planMark';
import { Aside, type AsideReason } from './setAside';

/** Everything derived for one job. */
export interface JobPlan {
  readonly job: JobId;
  /** Why it was set aside; nothing else was derived then. */
  readonly aside?: AsideReason;
  readonly marks: readonly MarkPlan[];
  readonly layers: readonly LayerPlan[];
  /** This job's film by itself, one layout a film. */
  readonly layouts: readonly FilmLayout[];
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
  readonly bench: Bench;
  /** mm left of each film, cuts taken off. */
  readonly filmLeft: ReadonlyMap<Id, number>;
  /** What failed, for those who mend it. */
  readonly faults: readonly string[];
}

const NONE_CUT: ReadonlyMap<Id, number> = new Map();
const HOUR_MS = 60 * MINUTE_MS;

/** One job through its own stages. */
interface JobWork {
  readonly id: JobId;
  readonly job: Job;
  readonly marks: readonly MarkPlan[];
  readonly own: readonly FilmLayout[];
  readonly layers: readonly LayerPlan[];
  readonly recipe: Recipe;
  readonly readings: readonly Reading[];
  /** Those that come after the ones of the film. */
  readonly later: readonly Reading[];
}

/** One layout a film, of all jobs that still have to be cut. */
function sharedLayouts(
  works: readonly JobWork[],
  isCut: (job: JobId, film: Id) => boolean,
  cutSoFar: (job: JobId) => CutSoFar,
  shop: Shop,
  memo: Memo,
): FilmLayout[] {
  const byFilm = new Map<Id, { film: Film; parts: CutPart[] }>();
  for (const { job, marks } of works) {
    for (const { film, part } of cutParts(job, marks, cutSoFar(job.id))) {
      if (isCut(job.id, film.id)) continue;
      const entry = byFilm.get(film.id) ?? { film, parts: [] };
      entry.parts.push(part);
      byFilm.set(film.id, entry);
    }
  }
  return [...byFilm.values()].map(({ film, parts }) =>
    memo.get(layoutKey(film, parts, shop.machines), () => layoutFilm(film, parts, shop.machines)),
  );
}

/** Readings with what the user answered for, and with cures that know what they saw. */
const withOverrides = (job: Job, readings: readonly Reading[]): Reading[] =>
  readings.map((found) => {
    const reading = found.cures.length > 0 ? { ...found, cures: found.cures.map((cure) => withSight(cure, job)) } : found;
    const given = reading.verdict === 'stop' ? job.overrides.find((o) => o.reading === reading.id) : undefined;
    return given ? { ...reading, overridden: given.reason } : reading;
  });

/** A job that was set aside: nothing derived, and one reading that says so. */
function asidePlan(job: Job, why: AsideReason, now: number): JobPlan {
  return {
    job: job.id,
    aside: why,
    marks: [],
    layers: [],
    layouts: [],
    recipe: { steps: [], care: [], unknownGround: false },
    schedule: { job: job.id, steps: [], packed: now, care: [], broken: [], packedAlone: now },
    readings: [
      {
        id: 'aside:job',
        station: 'draw',
        verdict: 'stop',
        title: 'Set aside',
        value: why === 'slow' ? 'takes too long' : 'cannot be worked out',
        limit: 'a plan',
        why:
          why === 'slow'
            ? 'This job takes too long to work out, so it was set aside and the others go on without it.'
            : 'Something in this job cannot be worked out, so it was set aside and the others go on without it.',
        cures: [],
        advice: 'Take back your last change, or take a simpler drawing.',
      },
    ],
    handsLeft: 0,
  };
}

/** What a plan may be told beside what it plans. */
export interface PlanOptions {
  /** 'quick' leaves out the readings of thin parts and the second look at each outline (ADR 7), so that a first plan is there sooner. */
  readonly effort?: 'quick' | 'whole';
  /** Jobs that took too long before and are set aside from the start. */
  readonly slow?: ReadonlySet<JobId>;
  /** Told which job is begun; nothing when all of them are worked together. */
  readonly onJob?: (job: JobId | undefined) => void;
}

/**
 * The whole line, from what the user decided to everything that follows from it: measure → draw → fit → weed → finish for each job, then
 * cut → tape → schedule for all of them. Pure: the same inputs give the same plan. A job that cannot be planned is set aside, and all others are planned.
 *
 * @param jobs all jobs; closed ones are left out
 * @param events what happened, in any order
 * @param now UTC ms
 * @param faces the faces that ship
 * @param memo keeps stages whose inputs do not change between plans
 */
export function planWorkshop(
  jobs: readonly Job[],
  shop: Shop,
  events: readonly WorkEvent[],
  now: number,
  faces: Faces,
  memo = new Memo(),
  { effort = 'whole', slow = new Set(), onJob = () => undefined }: PlanOptions = {},
): Plan {
  memo.next();
  const quick = effort === 'quick';
  const open = jobs.filter((job) => !job.closed);
  const aside = new Aside();
  for (const job of open) if (slow.has(job.id)) aside.why.set(job.id, 'slow');
  const living = () => open.filter((job) => !aside.why.has(job.id));
  const facts = stepFacts(events);
  const taken = filmTaken(events);
  const filmLeft = new Map(shop.films.map((film) => [film.id, Math.max(0, film.length - (taken.get(film.id) ?? 0))]));
  const left = (film: Id) => filmLeft.get(film) ?? 0;
  const isCut = (job: JobId, film: Id) => facts.get(`${job}/cut:${film}`)?.doneAt !== undefined;
  const cut = marksCut(events);
  const cutSoFar =
    (job: JobId): CutSoFar =>
    (film) =>
      isCut(job, film) ? NONE_CUT : cut(job, film);

  // each job by itself
  const works = new Map<JobId, JobWork>();
  for (const job of living()) {
    onJob(job.id);
    const work = aside.try(job.id, (): JobWork => {
      const { marks, readings } = measureDrawFit(job, shop, faces, left, filmLeft, memo, quick);
      const own = ownLayouts(job, marks, cutSoFar(job.id), shop, memo);
      const { layers, readings: tape } = planLayers(job, marks, shop);
      const { recipe, inputs } = planRecipe(job, marks, layers, own, shop);
      const finish = guarded('cure', 'finish', job.id, 'Drying and paint', () =>
        finishReadings(job, inputs, shop.climate, shop.paints, recipe.unknownGround, shop.temperatures),
      );
      return { id: job.id, job, marks, own, layers, recipe, readings, later: [...tape, ...finish] };
    });
    if (work) works.set(job.id, work);
  }

  // all of them together
  onJob(undefined);
  const working = () => living().flatMap((job) => works.get(job.id) ?? []);
  const layouts = aside.together(working(), (some) => sharedLayouts(some, isCut, cutSoFar, shop, memo));
  const needed = (film: Id) => layouts.find((l) => l.film.id === film)?.taken ?? 0;
  const windows = memo.get(keyOf('calendar', shop.hours, Math.floor(now / HOUR_MS)), () =>
    workingWindows(shop.hours, Math.floor(now / HOUR_MS) * HOUR_MS, HORIZON_DAYS),
  );
  const schedule = aside.together(working(), (some) =>
    solveSchedule(
      some
        .filter(({ layers }) => layers.length > 0)
        .map(({ job, recipe }) => ({
          job: job.id,
          name: job.name,
          priority: job.priority,
          // a date that is none is no date: it would upset the order of all others
          deadline: job.deadline !== undefined && Number.isFinite(job.deadline) ? job.deadline : undefined,
          createdAt: job.createdAt,
          steps: recipe.steps,
          care: recipe.care,
        })),
      windows,
      facts,
      now,
    ),
  );

  const plans = new Map<JobId, JobPlan>();
  const readings = new Map<JobId, readonly Reading[]>();
  for (const { job, marks, own, layers, recipe, readings: first, later } of working()) {
    const placed = schedule.jobs.get(job.id) ?? asidePlan(job, 'failed', now).schedule;
    const ofFilms = own.flatMap((layout) => {
      const shared = layouts.find((l) => l.film.id === layout.film.id);
      if (!shared || isCut(job.id, layout.film.id)) return [];
      return guarded('cut', 'film', layout.film.id, layout.film.name, () =>
        cutReadings(job, shared, layout, shop, left, needed, shop.lengths),
      );
    });
    const ofTime =
      layers.length > 0
        ? guarded('cure', 'date', job.id, 'The date', () => scheduleReadings(job, placed, shop.hours.zone, windows.length > 0))
        : [];
    const all = withOverrides(job, [...first, ...ofFilms, ...later, ...ofTime]);
    readings.set(job.id, all);
    const handsLeft = placed.steps.reduce((sum, s) => sum + (s.state === 'done' ? 0 : s.step.hands), 0);
    plans.set(job.id, { job: job.id, marks, layers, layouts: own, recipe, schedule: placed, readings: all, handsLeft });
  }
  for (const job of open) {
    const why = aside.why.get(job.id);
    if (!why) continue;
    const plan = asidePlan(job, why, now);
    plans.set(job.id, plan);
    readings.set(job.id, plan.readings);
  }
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 0 });
  const bench = benchOf(
    schedule,
    open,
    readings,
    events,
    shop,
    layouts.map((l) => ({ film: l.film.id, left: left(l.film.id), needed: l.taken })),
    now,
    say,
  );
  return { complete: !quick, at: now, jobs: plans, layouts, schedule, bench, filmLeft, faults: aside.faults };
}
