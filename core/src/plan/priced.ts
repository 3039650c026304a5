import type { Faces } from '../artwork';
import { costOf, shareAgain, type Cost, type CostWork } from '../cost';
import { layOnPiece, piecesBeside, type FilmLayout } from '../cut';
import { PRICING, TECHNIQUES } from '../facts';
import { asMade, otherWays } from '../fit';
import { edgeLength } from '../geometry';
import { usedUp } from '../gather';
import { applyPatch, standing, type Id, type Job, type JobId, type Patch, type Shop, type WorkEvent } from '../job';
import { aOrAn } from '../units';
import { Memo } from './memo';
import { planWorkshop, type JobPlan } from './planWorkshop';

/** What a planned job takes, for its price. */
export function costWork(job: Job, plan: Pick<JobPlan, 'recipe' | 'layers' | 'layouts' | 'schedule'>, shop: Shop): CostWork {
  return {
    job,
    steps: plan.recipe.steps,
    by: new Map(plan.schedule.steps.map(({ step, by = [] }) => [step.id, by])),
    tapes: plan.layers.flatMap(({ choice, pieces, lifts }) =>
      choice && pieces ? [{ tape: choice.tape, length: pieces.length, lifts, uses: pieces.pieces * pieces.usesEach }] : [],
    ),
    used: usedUp({ job, steps: plan.recipe.steps }, shop),
    knife: plan.layouts.reduce(
      (sum, { knife, noRoom = [] }) => noRoom.reduce((all, part) => all + part.copies * edgeLength(part.region), sum + knife),
      0,
    ),
  };
}

/** The share of steps that are done again, as the log knows it. */
export function againRate(events: readonly WorkEvent[]): number {
  const ended = standing(events).filter(({ kind }) => kind === 'done' || kind === 'wrong');
  return shareAgain(ended.filter((event) => event.kind === 'wrong' && event.again).length, ended.length);
}

/** A way in which a job would be cheaper. */
export interface CheaperWay {
  readonly kind: 'lift' | 'smaller' | 'technique' | 'offcut';
  /** What is done, as on a button. */
  readonly label: string;
  /** What makes it so; nothing where it is done at the cut. */
  readonly patch: Patch;
  readonly cost: Cost;
  /** How much less it costs for all pieces, minor units. */
  readonly less: number;
}

/** The price of a job, for its pieces, for one and for another run. */
export interface Priced {
  readonly cost: Cost;
  readonly one: Cost;
  /** Of so many as were asked for beside. */
  readonly run?: Cost;
}

/** So few rounds each: whether all of it finds room is all that is asked. */
const ROUNDS = 2;

/** Films of a job of which all that is cut finds room on an offcut or a sheet that lies there already. */
export function filmsOnOffcuts(
  layouts: readonly FilmLayout[],
  { films, machines, layouts: kept }: Pick<Shop, 'films' | 'machines' | 'layouts'>,
): Id[] {
  return layouts.flatMap((layout) => {
    const film = films.find(({ id }) => id === layout.film.id);
    const fits = film && piecesBeside(film).some((piece) => layOnPiece([layout], piece, machines, ROUNDS, kept)?.rest === 0);
    return fits && layout.sheet.from.kind === 'roll' ? [layout.film.id] : [];
  });
}

/** What is planned only for its price has a name that no event knows. */
const TRIAL = '@price' as JobId;

/** Changes of a job that may make it cheaper. */
function changesOf(job: Job, plan: JobPlan, shop: Shop): { kind: CheaperWay['kind']; label: string; patch: Patch }[] {
  const lifts = plan.readings
    .filter(({ id }) => id.startsWith('lift:'))
    .flatMap(({ remedies }) => remedies.map(({ label, patch }) => ({ kind: 'lift' as const, label, patch })));
  const fixed = plan.marks.filter(({ variants, fitted }) => variants.length === 0 && fitted.width > 0);
  const smaller =
    fixed.length > 0 && fixed.length === plan.marks.length
      ? [
          {
            kind: 'smaller' as const,
            label: 'Make it a tenth smaller',
            patch: fixed.map(({ mark, fitted }) => ({
              op: 'set' as const,
              path: ['marks', mark.id, 'size'],
              value: { mode: 'width', width: Math.round(fitted.width * (1 - PRICING.smaller) * 10) / 10 },
            })) as Patch,
          },
        ]
      : [];
  const ways = otherWays(job, shop).map(({ technique }) => ({
    kind: 'technique' as const,
    label: `Make it ${aOrAn(TECHNIQUES[technique].name)}`,
    patch: asMade(job, technique, shop),
  }));
  return [...lifts, ...smaller, ...ways];
}

/** A job planned for its price, as if nothing of it were done yet; nothing where there is nothing to cut. */
type Trial = (job: Job) => { readonly cost: Cost; readonly plan: JobPlan } | undefined;

function trialIn(shop: Shop, events: readonly WorkEvent[], now: number, faces: Faces): Trial {
  const memo = new Memo();
  const again = againRate(events);
  return (job) => {
    const given = job.given?.map(({ step, who }) => ({ step: `${TRIAL}${step.slice(job.id.length)}`, who }));
    const trial = { ...job, id: TRIAL, closed: false, given, pins: undefined };
    const plan = planWorkshop([trial], shop, events, now, faces, memo, { effort: 'whole' }).jobs.get(TRIAL);
    if (!plan || plan.aside || plan.layers.length === 0) return undefined;
    return { plan, cost: costOf({ ...costWork(trial, plan, shop), job }, shop, again) };
  };
}

/**
 * The price of a job as if nothing of it were done yet, for its pieces, for one alone and for another run.
 *
 * @param events the log: its minutes and its rate of what goes wrong count
 * @param run how many more pieces are asked for, to compare
 */
export function priced(job: Job, shop: Shop, events: readonly WorkEvent[], now: number, faces: Faces, run?: number): Priced | undefined {
  const trial = trialIn(shop, events, now, faces);
  const cost = trial(job)?.cost;
  if (!cost) return undefined;
  const one = job.count === 1 ? cost : (trial({ ...job, count: 1 })?.cost ?? cost);
  const other = run === undefined ? undefined : trial({ ...job, count: run })?.cost;
  return { cost, one, ...(other ? { run: other } : {}) };
}

/** What is saved where films come from an offcut that is paid for. */
function onOffcuts(job: Job, { cost, plan }: NonNullable<ReturnType<Trial>>, shop: Shop, again: number): CheaperWay[] {
  const films = filmsOnOffcuts(plan.layouts, shop);
  const paid = { ...shop, films: shop.films.map((film) => (films.includes(film.id) ? { ...film, price: 0 } : film)) };
  const then = costOf({ ...costWork(job, plan, shop), job }, paid, again);
  const less = cost.total - then.total;
  const names = shop.films.filter(({ id }) => films.includes(id)).map(({ name }) => name);
  return less > 0
    ? [{ kind: 'offcut', label: `Cut ${names.join(', ')} from an offcut that is paid for`, patch: [], cost: then, less }]
    : [];
}

/**
 * What would make a job cheaper, the most first: each change is planned and priced. Ways that bring a stop which it does not have now are left out.
 *
 * @param events as for `priced`
 */
export function cheaperWays(job: Job, shop: Shop, events: readonly WorkEvent[], now: number, faces: Faces): CheaperWay[] {
  const trial = trialIn(shop, events, now, faces);
  const stops = ({ readings }: JobPlan) => readings.filter(({ verdict, id }) => verdict === 'stop' && id !== 'date').length;
  const base = trial(job);
  if (!base) return [];
  const ways = changesOf(job, base.plan, shop).flatMap((change): CheaperWay[] => {
    const made = trial(applyPatch(job, change.patch).document);
    if (!made || stops(made.plan) > stops(base.plan)) return [];
    const less = base.cost.total - made.cost.total;
    return less > PRICING.worth * base.cost.total ? [{ ...change, cost: made.cost, less }] : [];
  });
  return [...ways, ...onOffcuts(job, base, shop, againRate(events))].toSorted((a, b) => b.less - a.less);
}
