import { formatLength, SAME_MM } from '../../units';
import { diameterAt, seenWidth } from '../../blanks';
import { LIMITS } from '../../facts';
import { boxCentre, boxHeight, boxWidth, difference, edgeLength, partArea, type Region, type Ring } from '../../geometry';
import { aboutMark, removeAt, setAt, type Remedy, type PatchOp } from '../../job';
import { largestFitAnywhere } from '../largestFitAnywhere';
import { type FitContext, type FitReading } from './context';
import { madeWide } from './madeWide';
import { staysWhole } from './smaller';

/** A mark that is less far off the middle, mm, looks as if it stood there. */
const SAID_MM = 1;

/** How wide a mark on a round piece looks from the front, and whether all of it is seen at once. */
export const seenReading: FitReading = (context) => {
  const { mark, fitted, piece, shop, drawn } = context;
  const { shape } = piece;
  if (shape.kind === 'flat' || drawn.layers.length === 0) return undefined;
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const diameter = diameterAt(shape, fitted.at[1]);
  const seen = seenWidth(fitted.width, diameter);
  const wrap = Math.PI * diameter;
  const share = fitted.width / wrap;
  const base = {
    id: `seen:${mark.id}` as const,
    station: 'fit' as const,
    title: 'As it is seen',
    ...aboutMark(context.mark, context.several),
    value: `${say(seen)} wide`,
    limit: `${Math.round(LIMITS.seenShare * 100)} % of the wrap`,
  };
  const reads = `From the front it reads ${Math.round((100 * seen) / fitted.width)} % of its length round the wall`;
  if (share <= LIMITS.seenShare + 1e-6) return { ...base, verdict: 'fine', why: `${reads}, all seen at once.`, remedies: [] };
  const width = Math.floor(wrap * LIMITS.seenShare * 10) / 10;
  return {
    ...base,
    verdict: 'watch',
    why: `${reads}; it goes ${Math.round(share * 100)} % round, and about ${Math.round(LIMITS.seenShare * 100)} % is seen at once.`,
    remedies: staysWhole(context, width)
      ? [{ label: `Make it ${say(width)} wide`, patch: madeWide(context.mark, fitted.width, width) }]
      : [],
  };
};

/** What a box around the mark would allow, where that is less. */
function boxAlone({ usable, drawn, fitted }: FitContext, say: (mm: number) => string): string {
  if (!usable.room) return '';
  const [w, h] = [drawn.width / 2, drawn.height / 2];
  const box: Ring = [
    [-w, -h],
    [w, -h],
    [w, h],
    [-w, h],
  ];
  const width = largestFitAnywhere([box], usable.room, { starts: 120 }).scale * drawn.width;
  return width < fitted.width * 0.98 ? `; a box around it would only allow ${say(width)}` : '';
}

/** Where a mark had to leave the middle of its zone to keep off something. */
function offMiddle({ mark, usable, fitted }: FitContext, say: (mm: number) => string): string {
  if (!usable.room || mark.hold || mark.optical || mark.offset.x !== 0 || mark.offset.y !== 0) return '';
  const [mx, my] = boxCentre(usable.clear);
  const [across, up] = [fitted.at[0] - mx, fitted.at[1] - my];
  const ways = [
    ...(Math.abs(across) >= SAID_MM ? [`${say(Math.abs(across))} to the ${across > 0 ? 'right' : 'left'}`] : []),
    ...(Math.abs(up) >= SAID_MM ? [`${say(Math.abs(up))} ${up > 0 ? 'up' : 'down'}`] : []),
  ];
  return ways.length > 0 ? ` It has moved ${ways.join(' and ')} from the middle of its zone, to keep off what is in the way.` : '';
}

/** A scatter whose field is larger than the room gets the room for its field. */
function fieldCure({ mark, usable }: FitContext, say: (mm: number) => string): Remedy[] {
  const last = mark.edits.at(-1);
  const { inner } = usable;
  if (last?.kind !== 'scatter' || !inner || usable.room) return [];
  const [width, height] = [boxWidth(inner), boxHeight(inner)].map((mm) => Math.floor(mm * 10) / 10) as [number, number];
  if (last.width <= width && last.height <= height) return [];
  const at = (field: string) => ['marks', mark.id, 'edits', last.id, field];
  return [
    {
      label: `Scatter it over ${say(width)} × ${say(height)}`,
      patch: [
        ...setAt(at('width'), width),
        ...setAt(at('height'), height),
        ...setAt(['marks', mark.id, 'size'], { mode: 'largest' }),
        ...setAt(['marks', mark.id, 'offset'], { x: 0, y: 0 }),
      ],
    },
  ];
}

/** Whether the mark lies inside its zone with breathing room. */
export const sizeReading: FitReading = (context) => {
  const { mark, zone, usable, fitted, shop } = context;
  const say = (mm: number) => formatLength(mm, shop.lengths);
  const { inner, clear } = usable;
  if (!inner || context.drawn.layers.length === 0) return undefined;
  const { box } = fitted;
  const layers = fitted.layers.flatMap((layer) => layer.region);
  // of a zone that is no box: how wide what sticks out is, about
  const beyond = (limit: Region) => {
    const out = difference(
      layers.map(({ outer }) => ({ outer, holes: [] })),
      limit,
    );
    return Math.max(0, ...out.map((part) => (2 * partArea(part)) / edgeLength([part]))) * 2;
  };
  const past = (limit: typeof inner) =>
    usable.room && usable.free
      ? beyond(limit === inner ? usable.room : usable.free)
      : Math.max(limit.minX - box.minX, box.maxX - limit.maxX, limit.minY - box.minY, box.maxY - limit.maxY);
  const base = {
    id: `size:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Size',
    ...aboutMark(context.mark, context.several),
    value: `${formatLength(fitted.width, shop.lengths, { unit: false })} × ${say(fitted.height)}`,
    limit: fitted.largestWidth > 0 ? `${say(fitted.largestWidth)} wide at most` : 'inside the zone',
  };
  if (mark.overEdge)
    return { ...base, verdict: 'fine', why: 'It runs over the edge on purpose and is trimmed there with a sharp blade.', remedies: [] };
  const centre: PatchOp = { op: 'set', path: ['marks', mark.id, 'offset'], value: { x: 0, y: 0 } };
  const largest: Remedy = {
    label: `As large as fits: ${say(fitted.largestWidth)} wide`,
    patch: [
      { op: 'set', path: ['marks', mark.id, 'size'], value: { mode: 'largest' } },
      centre,
      // in a zone that is no box it becomes so large only where there is room, not where it is held
      ...(usable.room && mark.hold ? removeAt(['marks', mark.id, 'hold']) : []),
      ...(usable.room && mark.optical ? [{ op: 'set' as const, path: ['marks', mark.id, 'optical'], value: false }] : []),
    ],
  };
  if (past(inner) > SAME_MM) {
    const moved = !usable.room && (mark.offset.x !== 0 || mark.offset.y !== 0);
    const fitsCentred = fitted.width <= inner.maxX - inner.minX + SAME_MM && fitted.height <= inner.maxY - inner.minY + SAME_MM;
    const outside = past(clear) > SAME_MM;
    const fits = fitted.largestWidth > 0 && staysWhole(context, fitted.largestWidth);
    return {
      ...base,
      verdict: outside ? 'stop' : 'watch',
      why: outside
        ? usable.room
          ? 'It runs over the edge of its zone, or over something that it has to keep off.'
          : `It runs ${say(past(clear))} past the edge of the zone.`
        : `It stands ${usable.room ? '' : `${say(past(inner))} `}inside the ${say(zone.breathing)} of breathing room and will look cramped.`,
      remedies: [
        ...(moved && fitsCentred ? [{ label: 'Centre it', patch: [centre] }] : []),
        ...fieldCure(context, say),
        ...(fits ? [largest] : []),
      ],
      advice: fits
        ? undefined
        : fitted.largestWidth > 0
          ? `As large as fits it would be ${say(fitted.largestWidth)} wide, and too fine for its film: say less, take a stouter font, or a larger place.`
          : 'Ask less of it in Draw: a smaller field, frame or backing, or fewer copies.',
    };
  }
  const full = mark.size.mode === 'largest';
  return {
    ...base,
    verdict: 'fine',
    why: full
      ? `The largest whose outline keeps ${say(zone.breathing)} clear all round${boxAlone(context, say)}.${offMiddle(context, say)}`
      : `Keeps its breathing room of ${say(zone.breathing)}.${offMiddle(context, say)}`,
    remedies: [],
  };
};
