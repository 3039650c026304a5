import { thickenedBy } from '../../artwork';
import { LIMITS, TECHNIQUES } from '../../facts';
import { aboutMark, removeAt, type Mark, type Patch } from '../../job';
import { formatLength, plural } from '../../units';
import { needed, ofRow, worstRow, type FitContext, type FitReading } from './context';
import { madeWide } from './madeWide';
import { thickening } from './thinRemedies';
import type { Thinness } from './thinness';

/** The change that gives a mark another thickening, before whatever else is wanted of it. */
export const thicken = (mark: Mark, by: number): Patch => [
  ...mark.edits.filter((edit) => edit.kind === 'thicken').flatMap((edit) => removeAt(['marks', mark.id, 'edits', edit.id])),
  ...(by === 0 ? [] : [{ op: 'set' as const, path: ['marks', mark.id, 'edits', 'thicken'], value: thickening(by), first: true as const }]),
];

const thinnessOf = (context: FitContext): Thinness => needed(context.thinness!);

/** Of a mark and, where there is a list, its rows, the one with the thinnest stroke against what its film keeps. */
export const thinnestRow = (all: FitContext): FitContext => worstRow(all, (one) => thinnessOf(one).strokes.least / thinnessOf(one).limit);

/** The thinnest stroke of the film that stays, against what that film keeps. */
export const thinReading: FitReading = (all) => {
  if (all.inspections.length === 0 || !all.thinness || TECHNIQUES[all.mark.technique].penned) return undefined;
  const context = thinnestRow(all);
  const { mark, fitted, shop } = context;
  const worst = thinnessOf(context);
  const { least } = worst.strokes;
  const say = (mm: number) => formatLength(mm, shop.lengths, { digits: 2 });
  const base = {
    id: `thin:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Thin parts',
    ...aboutMark(context.mark, context.several),
    limit: `${say(worst.limit)} for ${worst.film.name}`,
  };
  const { stroke: what, thin, stouten } = TECHNIQUES[mark.technique].words;
  if (least >= worst.limit) {
    return {
      ...base,
      verdict: 'fine',
      value: Number.isFinite(least) ? say(least) : `over ${say(worst.limit)}`,
      why: `Every ${what}${all.rows.length > 0 ? ` of all ${all.rows.length} rows` : ''} is stout enough to stay on its liner.`,
      remedies: [],
    };
  }
  const { width, thicken: by } = all.thinRemedies ? needed(all.thinRemedies) : {};
  const remedies: { label: string; patch: Patch }[] = [];
  if (width !== undefined)
    remedies.push({
      label: `Enlarge to ${formatLength(width, shop.lengths)} wide`,
      patch: madeWide(mark, fitted.width, width),
    });
  if (by !== undefined) {
    const change = Math.abs(by - thickenedBy(mark.edits));
    remedies.push({ label: `${stouten} by ${say(change)} a side`, patch: thicken(mark, by) });
  }
  const { copies } = worst;
  const count = worst.strokes.places.filter((place) => place.width < worst.limit).length * copies;
  return {
    ...base,
    verdict: least < worst.limit * LIMITS.thinStop ? 'stop' : 'watch',
    value: say(least),
    why: `${ofRow(context)}${count === 1 ? `One ${what} is` : `${count >= 24 ? 'Two dozen or more' : count} ${plural(what)} are`} thinner than this film keeps; ${thin}.`,
    remedies,
    advice: remedies.length === 0 ? 'Choose a stouter font, fewer words, or a larger place.' : undefined,
    // places are shown on the mark that is drawn; a row's own, and those of copies, are seen in Draw where it is inspected
    places: (context === all && copies === 1 ? worst.strokes.places : [])
      .filter((place) => place.width < worst.limit)
      .map(({ at }) => [at[0] + fitted.at[0], at[1] + fitted.at[1]] as const),
  };
};
