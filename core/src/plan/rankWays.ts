import type { Faces } from '../artwork';
import { getsWet } from '../blanks';
import { costOf } from '../cost';
import { LIMITS, TECHNIQUE_WORTH, TECHNIQUES, WAY_WEIGHTS, type TechniqueId } from '../facts';
import { asMade, otherWays } from '../fit';
import { setAt, applyPatch, type Job, type JobId, type Patch, type Reading, type Shop, type WorkEvent } from '../job';
import { aOrAn, counted, formatDuration, formatMoney } from '../units';
import { Memo } from './memo';
import { planWorkshop } from './planWorkshop';
import { againRate, costWork } from './priced';

/** A way to make the marks of a job, as it would go. */
export interface Way {
  readonly technique: TechniqueId;
  /** It is how all of them are made now. */
  readonly now: boolean;
  /** What cannot be, by its readings; none where the way is open. */
  readonly stops: readonly Pick<Reading, 'title' | 'value' | 'why'>[];
  readonly watches: number;
  /** Months that it lasts here. */
  readonly life: number;
  /** Of hands; from now until it is packed, days; for all pieces, minor units. */
  readonly minutes: number;
  readonly days: number;
  readonly cost: number;
  readonly comesOff: string;
  /** From 0 to 1; 0 where it cannot be. */
  readonly score: number;
  /** Why it stands where it does, the weightiest first. */
  readonly reasons: readonly string[];
  /** What makes the job so. */
  readonly patch: Patch;
}

/** The ways to make a job's marks, the best first, and the one fact that would put another first. */
export interface WayRanking {
  readonly ways: readonly Way[];
  readonly otherwise?: { readonly fact: string; readonly technique: TechniqueId };
}

/** What is planned only to be compared has a name that no event knows. */
const TRIAL = '@way' as JobId;
const DAY_MS = 86_400_000;

type Measured = Omit<Way, 'score' | 'reasons'>;

interface Around {
  readonly shop: Shop;
  readonly events: readonly WorkEvent[];
  readonly now: number;
  readonly faces: Faces;
  /** What was worked out for each technique: a fact of its use changes little of it. */
  readonly memos: Map<TechniqueId, Memo>;
}

/** How a job would go by each technique that the shop has what it takes for. */
function measured(job: Job, { shop, events, now, faces, memos }: Around): Measured[] {
  const again = againRate(events);
  const all = new Set(job.marks.map(({ technique }) => technique));
  const own = [...all].flatMap((technique) => (all.size === 1 ? [{ technique, job }] : []));
  const isNow = (technique: TechniqueId) => all.size === 1 && all.has(technique);
  const ways = [...own, ...otherWays(job, shop).filter(({ technique }) => !isNow(technique))];
  return ways.flatMap(({ technique, job: made }): Measured[] => {
    const trial: Job = { ...made, id: TRIAL, closed: false, deadline: undefined, pins: undefined, given: undefined, overrides: [] };
    const memo = memos.get(technique) ?? new Memo();
    memos.set(technique, memo);
    const plan = planWorkshop([trial], shop, events, now, faces, memo).jobs.get(TRIAL);
    if (!plan || plan.aside) return [];
    const stops = plan.readings.filter(({ verdict }) => verdict === 'stop');
    const worth = TECHNIQUE_WORTH[technique];
    const packed = plan.schedule.packed;
    return [
      {
        ...{ technique, now: isNow(technique) },
        stops: stops.map(({ title, value, why }) => ({ title, value, why })),
        watches: plan.readings.filter(({ verdict }) => verdict === 'watch').length,
        life: getsWet(job.piece) ? worth.lifeWet : worth.lifeDry,
        minutes: plan.recipe.steps.reduce((sum, { hands }) => sum + hands, 0),
        days: packed === undefined ? Infinity : Math.max(0, packed - now) / DAY_MS,
        cost: costOf({ ...costWork(trial, plan, shop), job: made }, shop, again).total,
        comesOff: worth.comesOff,
        patch: asMade(job, technique, shop),
      },
    ];
  });
}

/** A number of months, as one says it. */
export const lifeWords = (months: number): string =>
  months >= 600 ? 'for good' : months >= 24 ? `${Math.round(months / 12)} years` : counted(Math.round(months), 'month');

/** Ways with what they are worth against each other. */
function scored(ways: readonly Measured[], job: Job, currency: string): Way[] {
  const open = ways.filter(({ stops }) => stops.length === 0);
  const weights = job.piece.use.dryShort ? WAY_WEIGHTS.passing : WAY_WEIGHTS.lasts;
  const least = (of: (way: Measured) => number) => Math.min(...open.map(of));
  const most = (of: (way: Measured) => number) => Math.max(...open.map(of));
  const best = {
    minutes: least(({ minutes }) => minutes),
    cost: least(({ cost }) => cost),
    days: least(({ days }) => days),
    life: most(({ life }) => life),
  };
  const ratio = (a: number, b: number) => (b > 0 && Number.isFinite(b) ? Math.min(1, a / b) : a > 0 ? 0 : 1);
  return ways
    .map((way): Way => {
      const parts = {
        life: ratio(Math.log1p(way.life), Math.log1p(best.life)),
        minutes: ratio(best.minutes, way.minutes),
        cost: ratio(best.cost, way.cost),
        days: ratio(best.days + 0.25, way.days + 0.25),
        reversible: TECHNIQUE_WORTH[way.technique].reversible,
        risk: 1 / (1 + way.watches / 2),
      };
      const keys = Object.keys(parts) as (keyof typeof parts)[];
      const score = way.stops.length > 0 ? 0 : keys.reduce((sum, key) => sum + weights[key] * parts[key], 0);
      const said = {
        life: way.life >= 600 ? 'It stays for good.' : `It lasts about ${lifeWords(way.life)} here.`,
        minutes: `${formatDuration(way.minutes)} of work${parts.minutes === 1 ? ', the least' : ''}.`,
        cost: `${formatMoney(way.cost, currency)} in all${parts.cost === 1 ? ', the least' : ''}.`,
        days: way.days < 1 ? 'Packed within a day.' : `Packed after ${counted(Math.ceil(way.days), 'day')}.`,
        reversible: `It ${way.comesOff}.`,
        risk: way.watches === 0 ? 'Nothing about it is to be watched.' : `${counted(way.watches, 'thing')} about it to be watched.`,
      };
      const reasons =
        way.stops.length > 0
          ? way.stops.map(({ title, why }) => `${title}: ${why}`)
          : keys.toSorted((a, b) => weights[b] - weights[a]).map((key) => said[key]);
      return { ...way, score, reasons };
    })
    .toSorted((a, b) => b.score - a.score || a.stops.length - b.stops.length);
}

/** A fact of a piece's use turned into its opposite, and how that is said. */
function otherFacts(job: Job): { fact: string; job: Job }[] {
  const { use, shape } = job.piece;
  const set = (patch: Patch) => applyPatch(job, patch).document;
  const vessel = shape.kind !== 'flat';
  return [
    {
      fact: use.dryShort ? 'If it had to last' : 'If it only had to stay dry for a while',
      job: set(setAt(['piece', 'use', 'dryShort'], !use.dryShort)),
    },
    ...(vessel || use.drink
      ? [
          {
            fact: use.drink ? 'If nobody drank at its rim' : 'If somebody drank at its rim',
            job: set([
              ...setAt(['piece', 'use', 'drink'], !use.drink),
              ...job.zones.flatMap((zone) => setAt(['zones', zone.id, 'lipBand'], use.drink ? 0 : Math.max(zone.lipBand, LIMITS.lipBand))),
            ]),
          },
        ]
      : []),
    { fact: use.food ? 'If food stayed off it' : 'If food lay on it', job: set(setAt(['piece', 'use', 'food'], !use.food)) },
  ];
}

/**
 * Which technique is the best for a job's piece and use: first what cannot be, then by how long it lasts, work, cost, days, whether it comes off, and
 * what is
 * to be watched. Also the first fact of its use that, were it otherwise, would put another technique first.
 *
 * @returns no ways where there is no mark
 */
export function rankWays(job: Job, shop: Shop, events: readonly WorkEvent[], now: number, faces: Faces): WayRanking {
  if (job.marks.length === 0) return { ways: [] };
  const around = { shop, events, now, faces, memos: new Map<TechniqueId, Memo>() };
  const ranked = (one: Job) => scored(measured(one, around), one, shop.currency);
  const ways = ranked(job);
  const first = ways.find(({ score }) => score > 0)?.technique;
  for (const { fact, job: other } of otherFacts(job)) {
    const then = ranked(other).find(({ score }) => score > 0)?.technique;
    if (then !== undefined && then !== first) return { ways, otherwise: { fact, technique: then } };
  }
  return { ways };
}

/** "If nobody drank at its rim, a decal would be best." */
export const otherwiseWords = ({ fact, technique }: NonNullable<WayRanking['otherwise']>): string =>
  `${fact}, ${aOrAn(TECHNIQUES[technique].name)} would be best.`;
