import { filmSuits, HAZE, LABEL, TECHNIQUES } from '../../facts';
import { inSentence, formatLength } from '../../units';
import { aboutMark, filmColours, filmInstead, setAt, type Film, type Reading, type Remedy } from '../../job';
import { contrastOf, luminance, type Contrast } from '../contrast';
import { isMarkPaint } from '../makeAs';
import { type FitContext, type FitReading } from './context';

/** What is seen of a mark: its films, or the paint of a stencil. */
function seenColours({ mark, inspections, shop }: FitContext): { colour: string; name: string; film?: string }[] {
  if (TECHNIQUES[mark.technique].penned) return [{ colour: LABEL.ink, name: 'Ink' }];
  if (TECHNIQUES[mark.technique].painted)
    return shop.paints.filter((p) => p.id === mark.paint).map(({ colour, name }) => ({ colour, name }));
  return inspections.flatMap(({ film }) => filmColours(film).map((colour) => ({ colour, name: film.name, film: film.id })));
}

/** mm left of a film. */
const leftOf = ({ filmLeft }: FitContext, film: string): number => filmLeft[film] ?? 0;

/** How a colour stands out from all that a mark is seen against: the worst of it counts. */
const against = (colour: string, { behind }: FitContext): Contrast => worstOf(behind.colours.map((ground) => contrastOf(colour, ground)));

/** The same of a film: of a pattern the colour that stands out least. */
const filmAgainst = (film: Film, context: FitContext): Contrast => worstOf(filmColours(film).map((colour) => against(colour, context)));

/** The one that stands out least: by its verdict first, for colours of one lightness may differ. */
function worstOf<C extends Contrast>(all: readonly C[]): C {
  const grave = { stop: 2, watch: 1, fine: 0 };
  return all.reduce((worst, one) =>
    grave[one.verdict] - grave[worst.verdict] > 0 || (one.verdict === worst.verdict && one.ratio < worst.ratio) ? one : worst,
  );
}

function remedies(context: FitContext, worst: { name: string; film?: string }): Remedy[] {
  const { mark, shop } = context;
  const subtle: Remedy = { label: 'Subtle on purpose', patch: setAt(['marks', mark.id, 'subtle'], true) };
  if (TECHNIQUES[mark.technique].painted) {
    const paints = shop.paints
      .filter((p) => p.id !== mark.paint && isMarkPaint(p))
      .map((paint) => ({ paint, contrast: against(paint.colour, context) }));
    const best = paints
      .filter((p) => p.contrast.verdict === 'fine')
      .toSorted((a, b) => b.contrast.ratio - a.contrast.ratio)
      .slice(0, 2);
    return [
      ...best.map(({ paint, contrast }) => ({
        label: `${paint.name}, ${contrast.ratio.toFixed(1)} : 1`,
        patch: setAt(['marks', mark.id, 'paint'], paint.id),
      })),
      subtle,
    ];
  }
  // another film is a remedy only when the whole mark then reads
  const others = context.inspections.filter((i) => i.film.id !== worst.film).every((i) => filmAgainst(i.film, context).verdict === 'fine');
  const passing = shop.films
    .filter((f) => f.id !== worst.film && filmSuits(mark.technique, f.kind) && leftOf(context, f.id) > 0)
    .map((film) => ({ film, contrast: filmAgainst(film, context) }))
    .filter((f) => f.contrast.verdict === 'fine')
    .toSorted((a, b) => b.contrast.ratio - a.contrast.ratio)
    .slice(0, 2);
  const offers =
    others && worst.film
      ? passing.map(({ film, contrast }) => ({
          label: `${film.name}, ${contrast.ratio.toFixed(1)} : 1 — ${formatLength(leftOf(context, film.id), shop.lengths, { digits: 0 })} left`,
          patch: filmInstead(mark, worst.film!, film.id),
        }))
      : [];
  return [...offers, subtle];
}

/** Zones of a patterned piece where the mark would stand out. */
function otherPlaces({ places, surface, mark, zone }: FitContext, colours: readonly string[]): Remedy[] {
  // what is seen through a piece is seen everywhere before the same
  if (surface.clear) return [];
  return places
    .filter((other) => other.id !== zone.id && (other.colours?.length || zone.colours?.length))
    .filter((other) => {
      const grounds = other.colours?.length ? other.colours : [surface.colour];
      return colours.every((colour) => grounds.every((ground) => contrastOf(colour, ground).verdict === 'fine'));
    })
    .slice(0, 1)
    .map((other) => ({ label: `Put it on the ${inSentence(other.name)}`, patch: setAt(['marks', mark.id, 'zone'], other.id) }));
}

/** Etched and frosted glass scatters light: it shows in front of what is dark or lit, and hardly in front of white. */
function hazeReading({ mark, behind, several }: FitContext): Reading {
  const white = behind.colours.some((colour) => luminance(colour) > HAZE.white);
  const rests = mark.subtle && white;
  return {
    id: `contrast:${mark.id}`,
    station: 'fit',
    verdict: white && !mark.subtle ? 'watch' : 'fine',
    title: 'Contrast',
    ...aboutMark(mark, several),
    value: white ? 'faint' : 'shows',
    limit: 'dark or lit behind it',
    why: rests
      ? 'It is faint in front of white on purpose.'
      : white
        ? `The haze hardly shows in front of white, as ${behind.name} is.`
        : 'The haze catches the light, and shows in front of this.',
    remedies: white && !mark.subtle ? [{ label: 'Subtle on purpose', patch: setAt(['marks', mark.id, 'subtle'], true) }] : [],
    ...(white && !mark.subtle ? { advice: 'It will show with something dark or lit behind it, such as a drink or a candle.' } : {}),
  };
}

/** How a mark stands out from what it is seen against. */
export const contrastReading: FitReading = (context) => {
  const { mark, behind } = context;
  if (TECHNIQUES[mark.technique].seenBy === 'haze') return hazeReading(context);
  const seen = seenColours(context);
  // letters on a backing are seen against the backing; it only has to show them
  const back = TECHNIQUES[mark.technique].stays === 'film' ? mark.edits.find((edit) => edit.kind === 'backing') : undefined;
  const ground = back && seen.find((one) => one.film === back.film);
  const grounds = seen.filter((one) => one.film === ground?.film).map(({ colour }) => colour);
  const judged = (ground ? seen.filter((one) => one.film !== ground.film) : seen).map((one) => ({
    ...one,
    ...(ground ? worstOf(grounds.map((colour) => contrastOf(one.colour, colour))) : against(one.colour, context)),
  }));
  if (judged.length === 0) return undefined;
  const worst = worstOf(judged);
  const base = {
    id: `contrast:${mark.id}` as const,
    station: 'fit' as const,
    title: 'Contrast',
    ...aboutMark(context.mark, context.several),
    // what is too little never reads as enough
    value: `${(worst.verdict === 'fine' ? worst.ratio : Math.floor(worst.ratio * 10) / 10).toFixed(1)} : 1`,
    limit: '3 : 1',
  };
  if (mark.subtle) return { ...base, verdict: 'fine', why: `${worst.name} on ${behind.name} is subtle on purpose.`, remedies: [] };
  const { verdict } = worst;
  if (verdict === 'fine')
    return { ...base, verdict, why: `${worst.name} stands out from ${ground ? `${ground.name} behind it` : behind.name}.`, remedies: [] };
  const many = worst.film !== undefined && seen.filter((one) => one.film === worst.film).length > 1;
  const sub = many ? 'One colour of ' : '';
  return {
    ...base,
    verdict,
    why:
      verdict === 'stop'
        ? `${sub}${worst.name} vanishes against ${behind.name}.`
        : `${sub}${worst.name} is weak against ${behind.name}, above all from a distance.`,
    remedies: ground
      ? [{ label: 'Subtle on purpose', patch: setAt(['marks', mark.id, 'subtle'], true) }]
      : [
          ...otherPlaces(
            context,
            judged.map((one) => one.colour),
          ),
          ...remedies(context, worst),
        ],
    advice: ground ? 'Choose another film for the letters or for the backing.' : undefined,
  };
};
