import type { Cost, CostLine } from '../cost';
import { pieceOf } from '../cost';
import { TECHNIQUES } from '../facts';
import { unitWord } from '../gather';
import { tookByJob } from '../learning';
import { isTimed, standing, type Job, type Shop, type WorkEvent } from '../job';
import { formatDate } from '../schedule';
import { careCards } from '../words';
import { capital, counted, formatDuration, formatLength, formatMoney, inSentence, plural } from '../units';
import type { JobPlan } from './planWorkshop';

/** A part of a report: its heading and its lines. */
export interface ReportPart {
  readonly heading: string;
  readonly lines: readonly string[];
}

/** Whom a report is for: a client reads no rates and nothing of what went wrong. */
export type ReportFor = 'client' | 'self';

const MATERIAL: ReadonlySet<CostLine['kind']> = new Set(['film', 'tape', 'paint', 'supply', 'blank', 'trimming']);

/** How much of a material, for a person. */
export function materialWords({ kind, quantity, unit }: Pick<CostLine, 'kind' | 'quantity' | 'unit'>, lengths: Shop['lengths']): string {
  if (kind === 'film')
    return lengths === 'inch'
      ? `${(quantity / 92_903).toFixed(2)} sq ft with its waste`
      : `${(quantity / 1e6).toFixed(3)} m² with its waste`;
  if (kind === 'tape') return `lifts ${counted(Math.round(quantity), 'time')}`;
  return unitWord(Math.round(quantity * 100) / 100, unit ?? 'piece');
}

/**
 * The report of a job in words: what was made, from what, how long it took, how it is cared for, and its price. Its pictures are drawn beside.
 *
 * @param cost nothing where there is no price yet
 * @param day writes a date
 */
export function reportOf(
  job: Job,
  plan: JobPlan,
  cost: Cost | undefined,
  { shop, events, whom, day }: { shop: Shop; events: readonly WorkEvent[]; whom: ReportFor; day: (at: number) => string },
): ReportPart[] {
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 0 });
  const money = (minor: number) => formatMoney(minor, shop.currency);
  const film = (id: string) => shop.films.find((one) => one.id === id)?.name.toLowerCase() ?? 'film';
  const marks = plan.marks
    .filter(({ fitted }) => fitted.width > 0)
    .map(({ mark, fitted, variants }) => {
      const { filmStays, name } = TECHNIQUES[mark.technique];
      const films = filmStays ? ` in ${[...new Set(fitted.layers.map((layer) => film(layer.film)))].join(', ')}` : '';
      const size =
        variants.length > 0 ? `up to ${say(fitted.width)} wide, another on each piece` : `${say(fitted.width)} × ${say(fitted.height)}`;
      return `${capital(mark.name)}: ${name}${films}, ${size}.`;
    });
  const took = tookByJob(events).get(job.id);
  const planned = plan.recipe.steps.reduce((sum, { hands }) => sum + hands, 0);
  const { packed, care: waits } = plan.schedule;
  const times = [
    took && took.timed > 0
      ? `${formatDuration(took.minutes)} of work so far in ${counted(took.timed, 'timed step')}; ${formatDuration(planned)} are planned in all.`
      : `${formatDuration(planned)} of work.`,
    ...(packed === undefined ? [] : [`Packed ${formatDate(packed, shop.hours.zone)}.`]),
  ];
  const [card] = careCards({ job, waits, ...(packed === undefined ? {} : { packed }), films: shop.films, maker: shop.name, day });
  const went = standing(events).flatMap((event) => {
    if ((event.kind !== 'done' && event.kind !== 'wrong') || event.job !== job.id) return [];
    const note = event.note ? ` ${event.note}` : '';
    if (event.kind === 'wrong') return [`${event.title}: it went wrong, ${inSentence(event.what)}.${note}`];
    return event.note || isTimed(event)
      ? [`${event.title}: ${formatDuration(event.actual)} (planned ${formatDuration(event.planned)}).${note}`]
      : [];
  });
  const price = cost && [
    cost.count === 1
      ? `${money(cost.total)}${cost.tax > 0 ? `, ${money(cost.tax)} of it tax` : ''}.`
      : `${money(pieceOf(cost))} each, ${money(pieceOf(cost) * cost.count)} for all ${cost.count}${cost.tax > 0 ? `, tax included` : ''}.`,
    ...(whom === 'self' ? cost.lines.map(({ name, amount }) => `${name}: ${money(amount)}`) : []),
  ];
  return [
    {
      heading: 'What was made',
      lines: [
        `${job.count === 1 ? capital(job.piece.name) : `${job.count} ${plural(job.piece.name)}`}${job.client ? `, for ${job.client}` : ''}.`,
        ...marks,
      ],
    },
    ...(cost
      ? [
          {
            heading: 'From what',
            lines: cost.lines.filter(({ kind }) => MATERIAL.has(kind)).map((line) => `${line.name}: ${materialWords(line, shop.lengths)}`),
          },
        ]
      : []),
    { heading: 'Time', lines: times },
    ...(whom === 'self' && went.length > 0 ? [{ heading: 'How it went', lines: went }] : []),
    ...(card ? [{ heading: 'Care', lines: [...card.dates, ...card.care, ...card.off] }] : []),
    ...(price ? [{ heading: 'Price', lines: price }] : []),
  ];
}
