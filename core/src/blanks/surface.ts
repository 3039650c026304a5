import {
  COAT_SURFACES,
  COATINGS,
  COATS,
  CONTACTS,
  FILM_KINDS,
  FILM_SURFACE,
  GRIP_LIMITS,
  GROUNDS,
  STICK,
  type CoatId,
  type CoatSurface,
  type GroundId,
} from '../facts';
import type { Film, Paint, Piece } from '../job';

/** What film meets: the topmost layer of a piece, at the moment at which film comes on it. */
export interface Surface {
  /** What is on top: "chalk-like paint", "clear sealer", "glass". */
  readonly name: string;
  /** Surface energy, mN/m: the cautious end of its range. */
  readonly energy: number;
  /** Share of it that film touches, and how that is called. */
  readonly contact: number;
  readonly feel: string;
  /** How film holds on it, against glass. */
  readonly hold: number;
  /** Wear of tape a use. */
  readonly wear: 'hard' | 'sealed' | 'raw';
  /** What its weakest layer stands, N/25 mm, and which that is; without end where nothing can be lifted. */
  readonly strength: number;
  readonly weakest?: string;
  /** Seen colour, #rrggbb; where it is clear, light passes through it. */
  readonly colour: string;
  readonly clear: boolean;
  /** A ground on which no coat holds, under one: everything on it comes off with it. */
  readonly peels?: string;
  /** Whether a sealer would make it better to put film on. */
  readonly sealable: boolean;
}

/** How old a coat is: put on the same day, dry enough for film, or cured. */
export type CoatAge = 'sameDay' | 'fresh' | 'cured';

/** A layer on a piece, the lower first. */
interface Layer {
  readonly coat: CoatId;
  readonly row: CoatSurface;
  readonly colour?: string;
}

/** A paint whose colour a coat has: the one that was chosen, else the first of its kind in stock. */
export function coatPaint(piece: Pick<Piece, 'coat' | 'coatPaint'>, paints: readonly Paint[]): Paint | undefined {
  if (piece.coat === undefined) return undefined;
  const own = paints.find(({ id, coat }) => id === piece.coatPaint && coat === piece.coat);
  return own ?? paints.find(({ coat }) => coat === piece.coat);
}

function layersOf(piece: Piece, paints: readonly Paint[]): Layer[] {
  const layers: Layer[] = [];
  const row = piece.coat === undefined ? undefined : COAT_SURFACES[piece.coat];
  if (piece.coat !== undefined && row) {
    const colour = coatPaint(piece, paints)?.colour;
    layers.push({ coat: piece.coat, row, ...(colour ? { colour } : {}) });
  }
  if (piece.sealedFirst) layers.push({ coat: 'sealer', row: COAT_SURFACES.sealer! });
  return layers;
}

/** Grounds on which no coat holds: waxed ones, and plastics that refuse everything. */
const refuses = ({ ground, waxed }: Pick<Piece, 'ground' | 'waxed'>): boolean =>
  waxed || GROUNDS[ground].waxed === true || GROUNDS[ground].energy.typical < STICK.energyWatch;

/** Grounds on which a coat holds only half: bare, smooth and hard. */
const slippery = (ground: GroundId): boolean => {
  const { porous, coating, material } = GROUNDS[ground];
  return !porous && coating === undefined && material !== 'masonry';
};

/** Whether light passes through the bare piece: as its ground does, unless it was said. */
export const isClear = (piece: Pick<Piece, 'ground' | 'seeThrough'>): boolean => piece.seeThrough ?? GROUNDS[piece.ground].clear;

/** A sealer holds together what lies under it; on what is bare and slippery it is one more thing that comes off. */
const sealedStrength = (under: number, own: number, sound: boolean): number => {
  if (under < Infinity) return Math.max(under, own);
  return sound ? Infinity : own;
};

/**
 * The surface of a piece as film finds it: its ground with what this job puts on it before. The top layer decides how film holds, how tape
 * wears and what is seen;
 * the weakest of all of them what tape may pull at.
 *
 * @param paints in stock: coats have their colours
 * @param age of what this job puts on: film waits until it is fresh, not until it has cured
 */
export function surfaceOf(piece: Piece, paints: readonly Paint[], age: CoatAge = 'fresh'): Surface {
  const ground = GROUNDS[piece.ground];
  const coating = ground.coating && COATINGS[ground.coating];
  let surface: Surface = {
    name: ground.name,
    energy: ground.energy.range[0],
    contact: CONTACTS[piece.contact].share.typical,
    feel: CONTACTS[piece.contact].name,
    hold: ground.hold.typical,
    wear: ground.wear,
    strength: coating ? coating.hold.typical : Infinity,
    ...(coating ? { weakest: coating.name } : {}),
    colour: piece.colour,
    clear: isClear(piece),
    sealable: (ground.porous || ground.wear === 'raw') && !refuses(piece),
  };
  const peels = refuses(piece);
  for (const { coat, row, colour } of layersOf(piece, paints)) {
    const bare = surface.name === ground.name;
    const sound = !slippery(piece.ground) || !bare;
    const atAge = age === 'cured' ? row.strength.cured.typical : row.strength.fresh.typical * (age === 'sameDay' ? GRIP_LIMITS.sameDay : 1);
    const own = atAge * (sound ? 1 : GRIP_LIMITS.bareSmooth) * (peels ? ground.hold.typical : 1);
    const strength = peels
      ? Math.min(surface.strength, own)
      : coat === 'sealer'
        ? sealedStrength(surface.strength, own, sound)
        : Math.min(surface.strength, own);
    const rough = surface.contact < CONTACTS.satin.share.typical && piece.contact === 'openGrain';
    surface = {
      name: COATS[coat].name,
      energy: row.energy.range[0],
      ...(row.fills && rough
        ? { contact: CONTACTS.satin.share.typical, feel: CONTACTS.satin.name }
        : { contact: surface.contact, feel: surface.feel }),
      hold: coat === 'sealer' ? Math.max(surface.hold, row.hold.typical) : row.hold.typical,
      wear: coat === 'sealer' && surface.wear === 'hard' ? 'hard' : row.wear,
      strength,
      ...(strength === Infinity ? {} : { weakest: strength === own ? COATS[coat].name : (surface.weakest ?? COATS[coat].name) }),
      colour: row.hides && colour ? colour : surface.colour,
      clear: surface.clear && !row.hides,
      sealable: coat !== 'sealer' && row.wear === 'raw' && !peels,
      ...(peels ? { peels: piece.waxed ? `waxed ${ground.name}` : ground.name } : {}),
    };
  }
  return surface;
}

/** A film that lies on a surface, as a ground for the next: it is to be treated more gently than what it lies on. */
export const filmSurface = (below: Surface, film: Pick<Film, 'name' | 'kind' | 'colour'>): Surface => ({
  name: film.name,
  energy: FILM_SURFACE.energy,
  contact: CONTACTS.smooth.share.typical,
  feel: CONTACTS.smooth.name,
  hold: FILM_SURFACE.hold,
  wear: 'hard',
  strength: Math.min(
    below.strength,
    FILM_SURFACE.strength * FILM_KINDS[film.kind].bond.typical * GRIP_LIMITS.atOnce * below.hold * below.contact,
  ),
  weakest: 'film below',
  colour: film.colour,
  clear: false,
  sealable: false,
  ...(below.peels ? { peels: below.peels } : {}),
});
