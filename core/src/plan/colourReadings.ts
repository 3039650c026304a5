import { meltedColours, partsLying, partsShown, shadesUnder } from '../artwork';
import { nearestFilms } from '../fit';
import { setAt, type Patch, type Reading, type Shop } from '../job';
import type { Memo } from './memo';
import type { FittingWork } from './planMark';

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const count = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** Parts of a drawing that one sees through: film is solid, and until the maker has said what becomes of them, that is told. */
function shadesReading({ plan: { mark } }: FittingWork, about: Pick<Reading, 'mark' | 'of'>): Reading[] {
  const { artwork } = mark;
  if (artwork.kind !== 'drawing' || artwork.shades) return [];
  const lying = partsLying(artwork);
  const through = lying.filter(({ opacity }) => opacity !== undefined);
  if (through.length === 0) return [];
  const least = shadesUnder(artwork);
  const out = through.filter(({ opacity = 1 }) => opacity < least).length;
  const solid = through.length - out;
  const shades = (under: number, mixed = false): Patch =>
    setAt(['marks', mark.id, 'artwork', 'shades'], { under, ...(mixed ? { mixed: true } : {}) });
  const others = through.length < lying.length;
  return [
    {
      id: `shades:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Shapes that one sees through',
      ...about,
      value: count(through.length, 'shape'),
      limit: 'solid film',
      why: `Film is solid. ${[
        ...(out > 0 ? [`${count(out, 'shape')} under ${percent(least)} ${out === 1 ? 'is' : 'are'} taken for shade and left out`] : []),
        ...(solid > 0 ? [`${count(solid, 'shape')} ${solid === 1 ? 'is' : 'are'} cut as solid film`] : []),
      ].join('; ')}.`,
      remedies: [
        { label: out === 0 ? 'Cut them solid' : solid === 0 ? 'Leave them out' : 'Leave it so', patch: shades(least) },
        ...(out > 0 ? [{ label: 'Cut all of them solid', patch: shades(0) }] : []),
        ...(solid > 0 && others ? [{ label: 'Leave all of them out', patch: shades(1) }] : []),
        ...(solid > 0 ? [{ label: 'Cut them in their mixed colour', patch: shades(least, true) }] : []),
      ],
    },
  ];
}

/** Colours that lie on or beside each other in one film become one block. */
function meltReading(
  { plan: { mark } }: FittingWork,
  shop: Pick<Shop, 'films'>,
  about: Pick<Reading, 'mark' | 'of'>,
  memo: Memo,
): Reading[] {
  const { artwork, film, colourFilms } = mark;
  if (artwork.kind !== 'drawing') return [];
  const melted = memo.stage('melted', { artwork, film, colourFilms }, meltedColours);
  const [first] = melted;
  if (!first) return [];
  const nearest = nearestFilms(partsShown(artwork), shop.films, mark.technique);
  const parts = (films: Record<string, string | null>) => {
    const filmOf = (colour: string) => (colour in films ? films[colour] : film);
    return melted.every(({ lower, upper }) => filmOf(lower) !== filmOf(upper));
  };
  const uppers = [...new Set(melted.map(({ upper }) => upper))];
  const open = Object.fromEntries(uppers.map((colour) => [colour, null]));
  const set = (films: Record<string, string | null>): Patch =>
    Object.entries(films).flatMap(([colour, id]) => setAt(['marks', mark.id, 'colourFilms', colour], id));
  const name = shop.films.find(({ id }) => id === first.film)?.name ?? 'one film';
  const pairs = melted.slice(0, 4).map(({ lower, upper }) => `${upper} on ${lower}`);
  return [
    {
      id: `melt:${mark.id}`,
      station: 'draw',
      verdict: 'watch',
      title: 'Colours that melt together',
      ...about,
      value: count(uppers.length, 'colour'),
      limit: 'a film each',
      why: `${pairs.join(', ')}${melted.length > pairs.length ? ` and ${melted.length - pairs.length} more` : ''}: both are cut from ${name}, and where they lie on or beside each other nothing parts them.`,
      remedies: [
        ...(parts({ ...colourFilms, ...nearest }) ? [{ label: 'Cut each from the film that is nearest to it', patch: set(nearest) }] : []),
        ...(parts({ ...colourFilms, ...open })
          ? [{ label: `Leave ${uppers.length === 1 ? uppers[0]! : 'the upper ones'} to the ground`, patch: set(open) }]
          : []),
      ],
      advice: 'Or choose other films for its colours in Draw.',
    },
  ];
}

/** What the colours of a drawing tell: shades, and colours that cannot be told apart any more. */
export const colourReadings = (
  work: FittingWork,
  shop: Pick<Shop, 'films'>,
  about: Pick<Reading, 'mark' | 'of'>,
  memo: Memo,
): Reading[] => [...shadesReading(work, about), ...meltReading(work, shop, about, memo)];
