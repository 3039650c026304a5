import { reshapes, thickenedBy } from '../../artwork';
import { LIMITS, TECHNIQUES, type TechniqueId } from '../../facts';
import { aboutMark, removeAt, setAt, type Remedy } from '../../job';
import { formatArea, formatLength, plural } from '../../units';
import { ofRow, worstRow, type FitContext, type FitReading } from './context';
import { sizeMark } from '../fitMark';
import { inspectMark, strokesOf } from '../inspectMark';
import { shapeMark } from '../shapeMark';
import { madeWide } from './madeWide';
import { thicken } from './thin';
import { thickening } from './thinRemedies';

/** Limits of what is kept and of what must come out, for a technique. */
const limitsFor = (technique: TechniqueId) =>
  TECHNIQUES[technique].kept === 'shapes'
    ? { shape: LIMITS.smallPart, counter: LIMITS.smallCounter }
    : { shape: LIMITS.smallCounter, counter: LIMITS.smallPart };

/** The smallest part or counter of a mark against its limit. */
function marginOf({ inspections, mark }: Pick<FitContext, 'inspections' | 'mark'>): number {
  const limit = limitsFor(mark.technique);
  return Math.min(
    ...inspections.flatMap(({ pieces }) => [
      ...pieces.shapes.map((piece) => piece.area / limit.shape),
      ...pieces.counters.map((piece) => piece.area / limit.counter),
    ]),
  );
}

/** Whether a thickening leaves no part small, closes no counter, and no stroke thin that was not. */
function mendsAll(context: FitContext, by: number): boolean {
  const { drawn, outline, mark, usable, shop, thinness } = context;
  if (!thinness?.ok) return false;
  const changed = { ...mark, edits: [thickening(by), ...mark.edits.filter((edit) => edit.kind !== 'thicken')] };
  const { scale } = sizeMark(drawn, outline, changed, usable);
  const layers = shapeMark(drawn, scale, changed);
  const inspections = inspectMark(layers, shop.films);
  const insides = (all: FitContext['inspections']) => all.reduce((sum, { pieces }) => sum + pieces.counters.length, 0);
  if (inspections.length === 0 || marginOf({ ...context, inspections }) < 1 || insides(inspections) < insides(context.inspections))
    return false;
  const stout = strokesOf(layers, mark, inspections).every(({ least }, i) => least >= inspections[i]!.limit);
  return stout || thinness.value.strokes.least < thinness.value.limit;
}

/** Parts so small that they are lost, and counters so small that they cannot be weeded. */
export const smallReading: FitReading = (all) => {
  if (all.inspections.length === 0 || TECHNIQUES[all.mark.technique].penned) return undefined;
  const context = worstRow(all, marginOf);
  const { inspections, mark, fitted } = context;
  const limit = limitsFor(mark.technique);
  const shapes = inspections.flatMap((i) => i.pieces.shapes.filter((piece) => piece.area < limit.shape));
  const counters = inspections.flatMap((i) => i.pieces.counters.filter((piece) => piece.area < limit.counter));
  const smallest = Math.min(
    ...inspections.flatMap((i) => [...i.pieces.shapes.slice(0, 1), ...i.pieces.counters.slice(0, 1)].map((piece) => piece.area)),
  );
  const { shape, counter, small } = TECHNIQUES[mark.technique].words;
  const area = (mm2: number) => formatArea(mm2, all.shop.lengths);
  const base = {
    id: `small:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Small parts',
    ...aboutMark(context.mark, context.several),
    limit: `${plural(shape)} ${area(limit.shape)}, ${plural(counter)} ${area(limit.counter)}`,
    value: area(smallest),
  };
  if (shapes.length + counters.length === 0)
    return { ...base, verdict: 'fine', why: `The smallest ${shape} or ${counter} can be held and weeded.`, remedies: [] };
  const count = (n: number, word: string) => (n === 0 ? '' : `${n} ${word}${n > 1 ? 's' : ''}`);
  const remedies: Remedy[] = [];
  const say = (mm: number, digits?: number) => formatLength(mm, all.shop.lengths, digits === undefined ? {} : { digits });
  const short = [...shapes.map((p) => limit.shape / p.area), ...counters.map((p) => limit.counter / p.area)];
  const width = Math.ceil(fitted.width * Math.sqrt(Math.max(...short)) * 1.01 * 10) / 10;
  if (all.rows.length === 0 && mark.size.mode !== 'largest' && width <= fitted.largestWidth && mark.edits.length === 0) {
    const centre = setAt(['marks', mark.id, 'offset'], { x: 0, y: 0 });
    // in a zone that is no box there is room for it in one place only
    const free = all.usable.room !== undefined;
    remedies.push({
      label: free ? `As large as fits: ${say(fitted.largestWidth)} wide` : `Enlarge to ${say(width)} wide`,
      patch: [
        ...(free ? setAt(['marks', mark.id, 'size'], { mode: 'largest' }) : madeWide(mark, fitted.width, width)),
        ...centre,
        ...(free && mark.hold ? removeAt(['marks', mark.id, 'hold']) : []),
        ...(free && mark.optical ? setAt(['marks', mark.id, 'optical'], false) : []),
      ],
    });
  }
  // a dot that is made stouter grows on all sides
  const { kept, words } = TECHNIQUES[mark.technique];
  const radius = (area: number) => Math.sqrt(area / Math.PI);
  const least = Math.min(...shapes.map((p) => p.area));
  const by = Math.ceil((radius(limit.shape * 1.02) - radius(least)) * 20) / 20;
  const dots = kept === 'shapes' && shapes.length > 0 && counters.length === 0 && all.rows.length === 0 && !reshapes(mark.edits);
  if (dots && by <= LIMITS.thickenMost && mendsAll(all, thickenedBy(mark.edits) + by))
    remedies.push({ label: `${words.stouten} by ${say(by, 2)} a side`, patch: thicken(mark, thickenedBy(mark.edits) + by) });
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
      // the dots of an i are part of the word; specks of a drawing are not
      ...(mark.artwork.kind === 'text' && shapes.length > 0 ? { takesAway: true as const } : {}),
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
