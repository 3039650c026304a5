import { formatLength } from '../../units';
import type { Edit, Mark, Patch } from '../../job';
import { inspectMark, strokesOf, type LayerInspection } from '../inspectMark';
import type { DrawnMark, Layer } from '../../artwork';
import type { Thickness } from '../../geometry';
import { sizeMark } from '../fitMark';
import { shapeMark } from '../shapeMark';
import { reshapes, thickenedBy } from '../../artwork';
import { removeAt, setAt } from '../../job';
import { markLabel, ofRow, worstRow, type FitContext, type FitReading } from './context';

const STEP = 0.05;
const MOST = 1.5;
/** Thickening by 1 mm takes at most so many mm off a side, the rounding of the hulls with it. */
const SHRINKS = 2.2;
type Measured = LayerInspection & { readonly strokes: Thickness };

const measure = (layers: readonly Layer[], mark: Mark, inspections: readonly LayerInspection[]): Measured[] => {
  const strokes = strokesOf(layers, mark, inspections);
  return inspections.map((inspection, i) => ({ ...inspection, strokes: strokes[i]! }));
};
const leastOf = (measured: readonly Measured[]): Measured =>
  measured.reduce((worst, i) => (i.strokes.least / i.limit < worst.strokes.least / worst.limit ? i : worst));

const thickening = (by: number): Edit => ({ id: 'thicken', kind: 'thicken', by });

/** The same mark with another thickening. */
const withThickness = (mark: Mark, by: number): Mark => {
  const others = mark.edits.filter((edit) => edit.kind !== 'thicken');
  return { ...mark, edits: by === 0 ? others : [thickening(by), ...others] };
};

/** The change that gives a mark another thickening, before whatever else is wanted of it. */
const thicken = (mark: Mark, by: number): Patch => [
  ...mark.edits.filter((edit) => edit.kind === 'thicken').flatMap((edit) => removeAt(['marks', mark.id, 'edits', edit.id])),
  ...(by === 0 ? [] : [{ op: 'set' as const, path: ['marks', mark.id, 'edits', 'thicken'], value: thickening(by), first: true as const }]),
];

/** One copy of a decal that is repeated or scattered, for the others are as thin; undefined for a mark that is measured whole. */
function oneCopy(drawn: DrawnMark, scale: number, mark: Mark): { layers: readonly Layer[]; copies: number } | undefined {
  const last = mark.edits.at(-1);
  if (mark.technique !== 'decal' || !(last?.kind === 'repeat' || (last?.kind === 'scatter' && !last.over))) return undefined;
  const copies = last.kind === 'repeat' ? last.across * last.up : last.count;
  return { layers: shapeMark(drawn, scale, { ...mark, edits: mark.edits.slice(0, -1) }), copies };
}

/** Whether a changed mark keeps all its strokes, looking at it as the plan will. */
function keepsStrokes(
  context: FitContext,
  mark: Mark,
  scale = sizeMark(context.drawn, context.outline, mark, context.usable).scale,
): boolean {
  if (scale <= 0.001) return false;
  const copy = oneCopy(context.drawn, scale, mark);
  const layers = copy?.layers ?? shapeMark(context.drawn, scale, mark);
  // copies are turned, and rounded as they are
  const least = copy ? 1.005 : 1;
  return measure(layers, mark, inspectMark(layers, context.shop.films)).every((i) => i.strokes.least >= i.limit * least);
}

/** The least change of thickness that keeps every stroke, mm per side; a stencil is slimmed, so that the film between grows. */
function cureByThickness(context: FitContext, worst: Measured): number | undefined {
  const { drawn, outline, mark, usable, fitted } = context;
  const sign = mark.technique === 'decal' ? 1 : -1;
  const now = thickenedBy(mark.edits);
  const bare = worst.strokes.least - 2 * sign * now;
  // what the mark loses in size to its thickening is known without drawing it: only promising changes are looked at
  const scaleWith = (by: number) => (reshapes(mark.edits) ? fitted.scale : sizeMark(drawn, outline, withThickness(mark, by), usable).scale);
  const promising = (by: number) => (bare * scaleWith(by)) / fitted.scale + 2 * sign * by >= worst.limit * 1.01;
  // a mark whose parts move takes long to size: it is looked at as small as thickening can make it
  const surely = (by: number) =>
    mark.edits.some((edit) => edit.kind === 'part' || edit.kind === 'scatter')
      ? fitted.scale - (SHRINKS * Math.abs(by - now)) / Math.min(drawn.width, drawn.height)
      : undefined;
  let tries = 0;
  for (let more = STEP; more <= MOST && tries < 4; more += STEP) {
    const by = Math.round((now + sign * more) * 100) / 100;
    if (!promising(by)) continue;
    tries += 1;
    if (keepsStrokes(context, withThickness(mark, by), surely(by))) return by;
    more += STEP * tries;
  }
  return undefined;
}

/** The thinnest stroke of the film that stays, against what that film keeps. */
export const thinReading: FitReading = (all) => {
  if (all.inspections.length === 0 || all.quick) return undefined;
  const strokes = (one: FitContext) =>
    one.remember('strokes', () => {
      const copy = oneCopy(one.drawn, one.fitted.scale, one.mark);
      const measured = copy
        ? measure(copy.layers, one.mark, inspectMark(copy.layers, one.shop.films))
        : measure(one.shaped, one.mark, one.inspections);
      return { ...leastOf(measured), copies: copy?.copies ?? 1 };
    });
  const context = worstRow(all, (one) => strokes(one).strokes.least / strokes(one).limit);
  const { mark, fitted, shop } = context;
  const worst = strokes(context);
  const { least } = worst.strokes;
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 2 });
  const base = {
    id: `thin:${mark.id}`,
    station: 'fit' as const,
    title: `Thin parts${markLabel(context)}`,
    limit: `${say(worst.limit)} for ${worst.film.name}`,
  };
  const what = mark.technique === 'decal' ? 'stroke' : 'strip of film between openings';
  if (least >= worst.limit) {
    return {
      ...base,
      verdict: 'fine',
      value: Number.isFinite(least) ? say(least) : `over ${say(worst.limit)}`,
      why: `Every ${what}${all.rows.length > 0 ? ` of all ${all.rows.length} rows` : ''} is stout enough to stay on its liner.`,
      cures: [],
    };
  }
  const cures: { label: string; patch: Patch }[] = [];
  if (all.rows.length === 0 && mark.size.mode !== 'largest' && fitted.largestWidth > fitted.width * 1.01) {
    const width = Math.ceil(((fitted.width * worst.limit) / least) * 1.04);
    const larger: Mark = { ...mark, size: { mode: 'width', width } };
    if (width <= fitted.largestWidth && keepsStrokes(context, larger))
      cures.push({
        label: `Enlarge to ${formatLength(width, shop.lengths)} wide`,
        patch: setAt(['marks', mark.id, 'size'], larger.size),
      });
  }
  const by = context.remember('thicken', () => cureByThickness(context, worst));
  if (by !== undefined) {
    const change = Math.abs(by - thickenedBy(mark.edits));
    const label = mark.technique === 'decal' ? `Thicken by ${say(change)} a side` : `Slim the openings by ${say(change)} a side`;
    cures.push({ label, patch: thicken(mark, by) });
  }
  const { copies } = worst;
  const count = worst.strokes.places.filter((place) => place.width < worst.limit).length * copies;
  return {
    ...base,
    verdict: least < worst.limit * 0.5 ? 'stop' : 'watch',
    value: say(least),
    why: `${ofRow(context)}${count === 1 ? `One ${what} is` : `${count >= 24 ? 'Two dozen or more' : count} places of ${what} are`} thinner than this film keeps; ${mark.technique === 'decal' ? 'they lift with the waste' : 'they tear or shift when the paint is dabbed'}.`,
    cures,
    advice: cures.length === 0 ? 'Choose a stouter face, fewer words, or a larger place.' : undefined,
    // places are shown on the mark that is drawn; a row's own, and those of copies, are seen in Draw where it is inspected
    places: (context === all && copies === 1 ? worst.strokes.places : [])
      .filter((place) => place.width < worst.limit)
      .map(({ at }) => [at[0] + fitted.at[0], at[1] + fitted.at[1]] as const),
  };
};
