import { boxOf, growBox, intersection, offset, regionArea, union, type Box, type Region } from '../geometry';
import type { Artwork, Id, Mark } from '../job';
import { shapeRegions } from './drawMark';
import { partsShown } from './partsShown';

/** Two colours of a drawing that are cut from one film where they lie on or beside each other: what parts them is not seen. */
export interface Melted {
  readonly film: Id;
  /** The one that is painted first, and the one over or beside it, #rrggbb. */
  readonly lower: string;
  readonly upper: string;
}

/** Colours are looked at as large as this, mm; nearer than this they lie beside each other; and areas under this count for nothing, mm². */
const LOOKED_AT = { width: 100, height: 100 } as const;
const BESIDE = 0.2;
const NOTHING = 1;
/** No more colours than this: nobody would read of so many. */
const MOST_COLOURS = 24;
const NO_FACES = new Map();

const meet = (a: Box, b: Box): boolean => a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;

/** The colours of a drawing that melt into one block, each pair of neighbours in a film once. */
export function meltedColours({ artwork, film, colourFilms }: Pick<Mark, 'artwork' | 'film' | 'colourFilms'>): Melted[] {
  if (artwork.kind !== 'drawing') return [];
  const parts = partsShown(artwork as Extract<Artwork, { kind: 'drawing' }>);
  const filmOf = (colour: string): Id | null => (colour in colourFilms ? colourFilms[colour]! : film);
  const colours = [...new Set(parts.map(({ colour }) => colour))];
  const inOne = colours.filter((a) => filmOf(a) !== null && colours.some((b) => a !== b && filmOf(a) === filmOf(b)));
  if (inOne.length < 2 || inOne.length > MOST_COLOURS) return [];
  const shapes = shapeRegions({ artwork, film, colourFilms, flip: false }, LOOKED_AT, NO_FACES);
  const areas = inOne.map((colour): { colour: string; region: Region } => {
    const own = shapes.flatMap(({ region }, i) => (parts[i]!.colour === colour ? [region] : []));
    return { colour, region: own.length === 1 ? own[0]! : union(...own) };
  });
  const melted: Melted[] = [];
  for (const [i, a] of areas.entries()) {
    if (a.region.length === 0) continue;
    const wide = offset(a.region, BESIDE);
    const box = growBox(boxOf(a.region), BESIDE);
    for (const b of areas.slice(i + 1)) {
      if (filmOf(a.colour) !== filmOf(b.colour) || b.region.length === 0 || !meet(box, boxOf(b.region))) continue;
      if (regionArea(intersection(wide, b.region)) > NOTHING) melted.push({ film: filmOf(a.colour)!, lower: a.colour, upper: b.colour });
    }
  }
  return melted;
}
