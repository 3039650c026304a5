import { LIMITS, TECHNIQUES } from '../../facts';
import { aboutMark } from '../../job';
import { counted, formatLength } from '../../units';
import { needed, type FitReading } from './context';

/** Pointed ends that are thin over a millimetre or more, apart from strokes: they stay where they are weeded towards. */
export const tipsReading: FitReading = ({ thinness, mark, several, shop, fitted }) => {
  if (!thinness || TECHNIQUES[mark.technique].penned) return undefined;
  const { strokes, limit, copies } = needed(thinness);
  const tips = strokes.tips.filter(({ length, width }) => length >= LIMITS.longTip && width < limit);
  const longest = tips[0]?.length;
  if (longest === undefined) return undefined;
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 1 });
  return {
    id: `tips:${mark.id}`,
    station: 'fit',
    verdict: 'fine',
    title: 'Fine tips',
    ...aboutMark(mark, several),
    value: counted(tips.length * copies, 'tip'),
    limit: `under ${say(LIMITS.tip)} long`,
    why: `Thinner than ${formatLength(limit, shop.lengths, { digits: 2 })} over up to ${say(longest)}: pull the waste towards each tip, never away from it.`,
    remedies: [],
    places: copies > 1 ? [] : tips.map(({ at }) => [at[0] + fitted.at[0], at[1] + fitted.at[1]] as const),
  };
};
