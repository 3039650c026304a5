import { layoutFilm } from '../cut';
import { HANDS_ON } from '../facts';
import type { Job, Reading, Shop } from '../job';
import { formatDuration, formatLength } from '../units';
import { identityOf, keyOf, type Memo } from './memo';
import { apartParts, togetherParts } from './planJob';
import type { MarkPlan } from './planMark';

/** More boxes than this are not laid out only to compare. */
const MOST_BOXES = 150;

/**
 * The two schools of lifting side by side: all parts as one, in register, or laid out where they waste least film and placed by eye.
 *
 * @returns undefined where there is nothing to choose
 */
export const liftReading = (job: Job, plan: MarkPlan, shop: Shop, memo: Memo): Reading | undefined =>
  memo.get(
    keyOf(
      'lift',
      identityOf(plan.cutFlat),
      job.count,
      job.marks.length,
      plan.perPiece,
      plan.mark.lift,
      plan.mark.seenThrough,
      shop.machines,
      shop.lengths,
    ),
    () =>
      // prettier-ignore
      compare(job, plan, shop),
  );

function compare(job: Job, plan: MarkPlan, shop: Shop): Reading | undefined {
  const { mark, cutFlat: flat, inspections, perPiece, variants } = plan;
  if (mark.technique !== 'decal' || variants.length > 0 || flat.length === 0) return undefined;
  const apart = apartParts(job, mark, flat, inspections, perPiece);
  const places = apart.length * perPiece;
  if (apart.length < 2 * inspections.length || apart.length > 40 || apart.length * job.count * perPiece > MOST_BOXES) return undefined;
  const total = (parts: ReturnType<typeof apartParts>) =>
    inspections.reduce((sum, { film }) => sum + layoutFilm(film, parts.filter((p) => p.film.id === film.id).map((p) => p.part), shop.machines).taken, 0); // prettier-ignore
  const taken = { one: total(togetherParts(job, mark, flat, inspections, job.count * perPiece)), apart: total(apart) };
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 0 });
  const minutes = Math.round(places * HANDS_ON.byEye * job.count);
  const isApart = mark.lift === 'apart';
  return {
    id: `lift:${mark.id}`,
    station: 'cut',
    verdict: 'fine',
    title: `How it is lifted${job.marks.length > 1 ? ` · ${mark.name}` : ''}`,
    value: isApart ? `apart, ${say(taken.apart)} of film` : `as one, ${say(taken.one)} of film`,
    limit: isApart ? `${say(taken.one)} as one` : `${say(taken.apart)} apart`,
    why: `As one it takes ${say(taken.one)} of film and goes down in register; its ${apart.length} parts laid out apart take ${say(taken.apart)}, and about ${formatDuration(minutes)} more of placing by eye.`,
    cures: [
      {
        label: isApart ? 'Lift it as one' : 'Lay its parts out apart',
        patch: [{ op: 'set', path: ['marks', mark.id, 'lift'], value: isApart ? 'one' : 'apart' }],
      },
    ],
  };
}
