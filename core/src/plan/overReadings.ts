import { slatGaps } from '../blanks';
import { LIMITS, TECHNIQUES } from '../facts';
import { boxesMeet, boxOf, boxRegion, intersection, regionArea, type Region } from '../geometry';
import { aboutMark, type Job, type Reading, type Shop } from '../job';
import { counted, formatLength, listed } from '../units';
import type { MarkPlan } from './planMark';

/** What a mark tells of what lies under it where it goes: other marks in part, and the gaps between slats. */
export function overReadings(job: Job, plan: MarkPlan, { lengths }: Pick<Shop, 'lengths'>): Reading[] {
  const { mark, fitted, liesOn = [] } = plan;
  const base = { station: 'fit' as const, ...aboutMark(mark, job.marks.length > 1), remedies: [] };
  const readings: Reading[] = [];
  if (liesOn.length > 0) {
    const names = [...new Set(liesOn.map((one) => one.mark.name))];
    const share = Math.min(
      1,
      liesOn.reduce((sum, one) => sum + one.share, 0),
    );
    readings.push({
      ...base,
      id: `over:${mark.id}`,
      verdict: 'watch',
      title: 'On another mark',
      value: `${Math.max(1, Math.round(share * 100))} % of it`,
      limit: 'beside it, or all of it on it',
      why: `Part of it lies on ${listed(names.map((name) => `“${name}”`))}: it stands up at that edge, and is seen against both.`,
      advice: 'Move one of the two in Fit, or make them one mark if they belong together.',
    });
  }
  const { slats, shape } = job.piece;
  if (slats && TECHNIQUES[mark.technique].filmStays) {
    const crossed = slatGaps(slats, shape).filter((gap) => {
      const region = boxRegion(gap);
      return fitted.layers.some((layer) => layer.region.length > 0 && crosses(layer.region, region));
    });
    if (crossed.length > 0) {
      const tight = slats.gap <= LIMITS.tightJoint;
      readings.push({
        ...base,
        id: `slats:${mark.id}`,
        verdict: tight ? 'fine' : 'watch',
        title: 'Over the gaps',
        value: counted(crossed.length, 'gap'),
        limit: `up to ${formatLength(LIMITS.tightJoint, lengths)} wide`,
        why: tight
          ? 'It bridges the joints: rub it down on both sides of each, then slit it along the joint.'
          : `Film has nothing to hold on over a gap of ${formatLength(slats.gap, lengths)}: with the tape still on, slit it along both edges of each gap, and press the ends round them.`,
      });
    }
  }
  return readings;
}

const crosses = (region: Region, gap: Region): boolean =>
  boxesMeet(boxOf(region), boxOf(gap)) && regionArea(intersection(region, gap)) > LIMITS.touches;
