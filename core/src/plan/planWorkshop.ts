import type { Faces } from '../artwork';
import { measureReadings } from '../blanks';
import { cutReadings, layoutFilm, type CutPart, type FilmLayout } from '../cut';
import { finishReadings, type Recipe } from '../finish';
import { filmTaken, marksCut, type Film, type Id, type Job, type JobId, type Reading, type Shop, type WorkEvent } from '../job';
import { HORIZON_DAYS, scheduleReadings, solveSchedule, workingWindows, type JobSchedule, type Schedule } from '../schedule';
import { formatLength, MINUTE_MS } from '../units';
import { benchOf, stepFacts, type Bench } from './bench';
import { liftReading } from './liftReading';
import { listReadings, variantReadings } from './listReadings';
import { markReadings } from './markReadings';
import { keyOf, Memo } from './memo';
import { cutParts, layoutKey, ownLayouts, planLayers, planRecipe, type CutSoFar, type LayerPlan } from './planJob';
import { drawReadings } from './drawReadings';
import { fitOne, seenAgainst, type MarkPlan } from './planMark';

/** Everything derived for one job. */
export interface JobPlan {
  readonly job: JobId;
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
}

const NONE_CUT: ReadonlyMap<Id, number> = new Map();
const HOUR_MS = 60 * MINUTE_MS;

function sharedLayouts(
  jobs: readonly Job[],
  marks: ReadonlyMap<JobId, readonly MarkPlan[]>,
  isCut: (job: JobId, film: Id) => boolean,
  cutSoFar: (job: JobId) => CutSoFar,
  shop: Shop,
  memo: Memo,
): FilmLayout[] {
  const byFilm = new Map<Id, { film: Film; parts: CutPart[] }>();
  for (const job of jobs) {
    for (const { film, part } of cutParts(job, marks.get(job.id)!, cutSoFar(job.id))) {
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

const withOverrides = (job: Job, readings: readonly Reading[]): Reading[] =>
  readings.map((reading) => {
    const given = reading.verdict === 'stop' ? job.overrides.find((o) => o.reading === reading.id) : undefined;
    return given ? { ...reading, overridden: given.reason } : reading;
  });

/**
 * The whole line, from what the user decided to everything that follows from it: measure → draw → fit → weed → finish for each job, then
 * cut → tape → schedule for all of them. Pure: the same inputs give the same plan.
 *
 * @param jobs all jobs; closed ones are left out
 * @param events what happened, in any order
 * @param now UTC ms
 * @param faces the faces that ship
 * @param memo keeps stages whose inputs do not change between plans
 * @param effort 'quick' leaves out the readings of thin parts and the second look at each outline (ADR 7), so that a first plan is there sooner
 */
export function planWorkshop(
  jobs: readonly Job[],
  shop: Shop,
  events: readonly WorkEvent[],
  now: number,
  faces: Faces,
  memo = new Memo(),
  effort: 'quick' | 'whole' = 'whole',
): Plan {
  memo.next();
  const quick = effort === 'quick';
  const open = jobs.filter((job) => !job.closed);
  const facts = stepFacts(events);
  const taken = filmTaken(events);
  const filmLeft = new Map(shop.films.map((film) => [film.id, Math.max(0, film.length - (taken.get(film.id) ?? 0))]));
  const left = (film: Id) => filmLeft.get(film) ?? 0;

  const readings = new Map<JobId, Reading[]>();
  const marks = new Map<JobId, MarkPlan[]>();
  for (const job of open) {
    const works = seenAgainst(
      job.marks.flatMap((mark) => {
        const zone = job.zones.find((z) => z.id === mark.zone) ?? job.zones[0];
        return zone ? [fitOne(job, mark, zone, shop, faces, memo, quick)] : [];
      }),
      shop,
    );
    marks.set(
      job.id,
      works.map((work) => work.plan),
    );
    readings.set(job.id, [
      ...measureReadings(job.piece, job.zones, shop.lengths),
      ...listReadings(job),
      ...works.flatMap((work) => drawReadings(work, job, shop, faces)),
      ...works.flatMap((work) => variantReadings(work.plan, job, shop)),
      ...(quick ? [] : works.flatMap((work) => liftReading(job, work.plan, shop, memo) ?? [])),
      ...works.flatMap((work) => {
        const { job: id, mark, behind } = { job: job.id, ...work.plan };
        const key = keyOf(
          'readings',
          id,
          work.key,
          work.rows.map((row) => row.key),
          mark,
          work.plan.zone,
          job.piece,
          job.marks.length,
          // another place on a patterned piece may be the cure
          job.zones.map((zone) => [zone.id, zone.name, zone.colours]),
          behind,
          shop.films,
          shop.paints,
          shop.climate,
          shop.lengths,
          shop.temperatures,
          [...filmLeft],
          quick,
        );
        return memo.get(key, () => markReadings(work, job, shop, left, memo, quick));
      }),
    ]);
  }

  const isCut = (job: JobId, film: Id) => facts.get(`${job}/cut:${film}`)?.doneAt !== undefined;
  const cut = marksCut(events);
  const cutSoFar =
    (job: JobId): CutSoFar =>
    (film) =>
      isCut(job, film) ? NONE_CUT : cut(job, film);
  const layouts = sharedLayouts(open, marks, isCut, cutSoFar, shop, memo);
  const needed = (film: Id) => layouts.find((l) => l.film.id === film)?.taken ?? 0;

  const parts = open.map((job) => {
    const own = ownLayouts(job, marks.get(job.id)!, cutSoFar(job.id), shop, memo);
    const { layers, readings: tapeReadings } = planLayers(job, marks.get(job.id)!, shop);
    const { recipe, inputs } = planRecipe(job, marks.get(job.id)!, layers, own, shop);
    for (const layout of own) {
      const shared = layouts.find((l) => l.film.id === layout.film.id);
      if (shared && !isCut(job.id, layout.film.id))
        readings.get(job.id)!.push(...cutReadings(job, shared, layout, shop, left, needed, shop.lengths));
    }
    readings
      .get(job.id)!
      .push(...tapeReadings, ...finishReadings(job, inputs, shop.climate, shop.paints, recipe.unknownGround, shop.temperatures));
    return { job, own, layers, recipe };
  });

  const schedule = solveSchedule(
    parts
      .filter(({ layers }) => layers.length > 0)
      .map(({ job, recipe }) => ({
        job: job.id,
        name: job.name,
        priority: job.priority,
        deadline: job.deadline,
        createdAt: job.createdAt,
        steps: recipe.steps,
        care: recipe.care,
      })),
    memo.get(keyOf('calendar', shop.hours, Math.floor(now / HOUR_MS)), () =>
      workingWindows(shop.hours, Math.floor(now / HOUR_MS) * HOUR_MS, HORIZON_DAYS),
    ),
    facts,
    now,
  );

  const plans = new Map<JobId, JobPlan>();
  for (const { job, own, layers, recipe } of parts) {
    const placed: JobSchedule = schedule.jobs.get(job.id) ?? {
      job: job.id,
      steps: [],
      packed: now,
      care: [],
      broken: [],
      packedAlone: now,
    };
    const all = withOverrides(job, [
      ...readings.get(job.id)!,
      ...(layers.length > 0 ? scheduleReadings(job, placed, shop.hours.zone) : []),
    ]);
    readings.set(job.id, all);
    const handsLeft = placed.steps.reduce((sum, s) => sum + (s.state === 'done' ? 0 : s.step.hands), 0);
    plans.set(job.id, {
      job: job.id,
      marks: marks.get(job.id)!,
      layers,
      layouts: own,
      recipe,
      schedule: placed,
      readings: all,
      handsLeft,
    });
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
  return { complete: !quick, at: now, jobs: plans, layouts, schedule, bench, filmLeft };
}
