import { LIMITS } from '../facts';
import { aboutMark, removeAt, setAt, type Job, type Reading, type Shop } from '../job';
import { formatLength, SAME_MM } from '../units';
import type { MarkPlan } from './planMark';

const middleOf = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** What a list tells: whether there is a row for every piece. */
export function listReadings(job: Job): Reading[] {
  const { list } = job;
  if (!list || list.rows.length === 0) return [];
  const rows = list.rows.length;
  const same = rows === job.count;
  return [
    {
      id: 'rows:list',
      station: 'draw',
      verdict: same ? 'fine' : 'watch',
      title: 'One row for each piece',
      value: `${rows} ${rows === 1 ? 'row' : 'rows'}, ${job.count} ${job.count === 1 ? 'piece' : 'pieces'}`,
      limit: 'as many rows as pieces',
      why: same
        ? 'Every piece has its own.'
        : rows > job.count
          ? `Only the first ${job.count} are cut.`
          : `${job.count - rows} ${job.count - rows === 1 ? 'piece has' : 'pieces have'} nothing to put on.`,
      remedies: same
        ? []
        : [{ label: `Make it ${rows} ${rows === 1 ? 'piece' : 'pieces'}`, patch: [{ op: 'set', path: ['count'], value: rows }] }],
    },
  ];
}

/** How the words of a list fit: which sets the size, and which stands out. */
export function variantReadings(plan: MarkPlan, job: Job, shop: Shop): Reading[] {
  const { mark, variants } = plan;
  const drawn = variants.filter((v) => v.fitted.layers.length > 0);
  if (drawn.length < 2) return [];
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const base = {
    id: `names:${mark.id}` as const,
    station: 'fit' as const,
    title: 'The list fitted',
    ...aboutMark(mark, job.marks.length > 1),
  };
  const over = drawn.filter((v) => {
    const { inner } = v.usable;
    const { box } = v.fitted;
    return (
      !inner ||
      box.minX < inner.minX - SAME_MM ||
      box.maxX > inner.maxX + SAME_MM ||
      box.minY < inner.minY - SAME_MM ||
      box.maxY > inner.maxY + SAME_MM
    );
  });
  // in a zone that is no box they become so large only where there is room, not where they are held
  const held = mark.hold !== undefined && drawn.some(({ usable }) => usable.room !== undefined);
  const each = {
    label: 'Each as large as fits',
    patch: [...setAt(['marks', mark.id, 'sizes'], 'each'), ...(held ? removeAt(['marks', mark.id, 'hold']) : [])],
  };
  if (over.length > 0 && mark.size.mode !== 'largest')
    return [
      {
        ...base,
        verdict: 'stop',
        value: `${over.length} of ${drawn.length} too large`,
        limit: 'inside the zone',
        why: `${over
          .slice(0, 4)
          .map((v) => `“${v.words}”`)
          .join(', ')} ${over.length > 4 ? 'and others run' : over.length === 1 ? 'runs' : 'run'} into the breathing room at this size.`,
        remedies: [
          {
            label: 'All at the size that fits every one',
            patch: [
              { op: 'set', path: ['marks', mark.id, 'size'], value: { mode: 'largest' } },
              { op: 'set', path: ['marks', mark.id, 'sizes'], value: 'same' },
            ],
          },
        ],
      },
    ];
  // drawings differ in shape: one that is lower than the others does not stand out
  const drawings = mark.artwork.kind === 'drawing';
  const em = middleOf(drawn.map((v) => v.em));
  const outliers = drawings ? [] : drawn.filter((v) => v.em < em * LIMITS.listOutlier);
  const longest = drawn.reduce((a, b) => (b.fitted.width > a.fitted.width ? b : a));
  if (mark.sizes === 'each' && outliers.length > 0)
    return [
      {
        ...base,
        verdict: 'watch',
        value: `${outliers.length} stand out`,
        limit: `letters within ${Math.round(LIMITS.listOutlier * 100)} % of the others`,
        why: `${outliers
          .slice(0, 4)
          .map((v) => `“${v.words}”`)
          .join(', ')} ${outliers.length === 1 ? 'has' : 'have'} much smaller letters than the rest of the set.`,
        remedies: [{ label: 'All at one size', patch: [{ op: 'set', path: ['marks', mark.id, 'sizes'], value: 'same' }] }],
        advice: 'Or set the long ones on two lines.',
      },
    ];
  return [
    {
      ...base,
      verdict: 'fine',
      value: `${drawn.length} fitted`,
      limit: 'inside the zone',
      why:
        mark.sizes === 'each'
          ? 'Each is as large as its own piece allows.'
          : drawings
            ? 'All are of one height, set by the one that has least room.'
            : `“${longest.words}” is the widest, ${say(longest.fitted.width)}, and sets the size of all.`,
      remedies: mark.sizes === 'each' || mark.size.mode !== 'largest' ? [] : [each],
    },
  ];
}
