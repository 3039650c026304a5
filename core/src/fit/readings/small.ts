import { LIMITS, TECHNIQUES, type TechniqueId } from '../../facts';
import { aboutMark, removeAt, setAt, type Remedy } from '../../job';
import { ofRow, worstRow, type FitContext, type FitReading } from './context';

/** Limits of what is kept and of what must come out, for a technique. */
const limitsFor = (technique: TechniqueId) =>
  TECHNIQUES[technique].kept === 'shapes'
    ? { shape: LIMITS.smallPart, counter: LIMITS.smallCounter }
    : { shape: LIMITS.smallCounter, counter: LIMITS.smallPart };

/** The smallest part or counter of a mark against its limit. */
function marginOf({ inspections, mark }: FitContext): number {
  const limit = limitsFor(mark.technique);
  return Math.min(
    ...inspections.flatMap(({ pieces }) => [
      ...pieces.shapes.map((piece) => piece.area / limit.shape),
      ...pieces.counters.map((piece) => piece.area / limit.counter),
    ]),
  );
}

/** Parts so small that they are lost, and counters so small that they cannot be weeded. */
export const smallReading: FitReading = (all) => {
  if (all.inspections.length === 0) return undefined;
  const context = worstRow(all, marginOf);
  const { inspections, mark, fitted } = context;
  const limit = limitsFor(mark.technique);
  const shapes = inspections.flatMap((i) => i.pieces.shapes.filter((piece) => piece.area < limit.shape));
  const counters = inspections.flatMap((i) => i.pieces.counters.filter((piece) => piece.area < limit.counter));
  const smallest = Math.min(
    ...inspections.flatMap((i) => [...i.pieces.shapes.slice(0, 1), ...i.pieces.counters.slice(0, 1)].map((piece) => piece.area)),
  );
  const { shape, counter, small } = TECHNIQUES[mark.technique].words;
  const base = {
    id: `small:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Small parts',
    ...aboutMark(context.mark, context.several),
    limit: `${shape}s ${limit.shape} mm², ${counter}s ${limit.counter} mm²`,
    value: `${smallest < 10 ? smallest.toFixed(1) : Math.round(smallest)} mm²`,
  };
  if (shapes.length + counters.length === 0)
    return { ...base, verdict: 'fine', why: `The smallest ${shape} or ${counter} can be held and weeded.`, remedies: [] };
  const count = (n: number, word: string) => (n === 0 ? '' : `${n} ${word}${n > 1 ? 's' : ''}`);
  const remedies: Remedy[] = [];
  const ratio = fitted.largestWidth / fitted.width;
  const enough =
    shapes.every((p) => p.area * ratio * ratio * 0.98 >= limit.shape) &&
    counters.every((p) => p.area * ratio * ratio * 0.98 >= limit.counter);
  if (all.rows.length === 0 && mark.size.mode !== 'largest' && ratio > 1.01 && enough && mark.edits.length === 0) {
    remedies.push({
      label: 'As large as fits',
      patch: [
        { op: 'set', path: ['marks', mark.id, 'size'], value: { mode: 'largest' } },
        { op: 'set', path: ['marks', mark.id, 'offset'], value: { x: 0, y: 0 } },
      ],
    });
  }
  const drop = [
    ...mark.edits.filter((edit) => edit.kind === 'dropSmall').flatMap((edit) => removeAt(['marks', mark.id, 'edits', edit.id])),
    ...setAt(['marks', mark.id, 'edits', 'dropSmall'], {
      id: 'dropSmall',
      kind: 'dropSmall',
      below: limit.shape,
      fillBelow: limit.counter,
    }),
  ];
  const everything = inspections.every((i) => i.pieces.shapes.every((piece) => piece.area < limit.shape));
  if (!everything)
    remedies.push({
      label: [shapes.length ? `Drop ${count(shapes.length, shape)}` : '', counters.length ? `fill ${count(counters.length, counter)}` : '']
        .filter(Boolean)
        .join(', ')
        .replace(/^f/, 'F'),
      patch: drop,
    });
  const lost = [count(shapes.length, shape), count(counters.length, counter)].filter(Boolean).join(' and ');
  return {
    ...base,
    verdict: 'watch',
    why: `${ofRow(context)}${lost} so small that ${small}. Cut the smallest twice, or let them go.`,
    remedies,
    advice: everything ? 'Make the mark larger, or say less.' : undefined,
    places: (context === all ? [...shapes, ...counters] : [])
      .slice(0, 24)
      .map(({ at }) => [at[0] + fitted.at[0], at[1] + fitted.at[1]] as const),
  };
};
