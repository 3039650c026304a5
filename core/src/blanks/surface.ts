import {
  COAT_SURFACES,
  COATINGS,
  COATS,
  CONTACTS,
  FILM_KINDS,
  FILM_SURFACE,
  GRIP_LIMITS,
  GROUNDS,
  isSandedFirst,
  STICK,
  type CoatId,
  type CoatSurface,
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

/** Whether anything lies on the bare ground when film comes on it. */
export const isCoated = ({ coat, sealedFirst, primed, painted }: Piece): boolean =>
  coat !== undefined || sealedFirst || primed === true || painted !== undefined;

/** How old a coat is: put on the same day, dry enough for film, or cured. */
export type CoatAge = 'sameDay' | 'fresh' | 'cured';

/** A layer on a piece, the lower first. */
interface Layer {
  readonly coat: CoatId;
  readonly row: CoatSurface;
  readonly colour?: string;
  /** As old as it is, where that is not the age of what this job puts on. */
  readonly age?: CoatAge;
}

/** A paint whose colour a coat has: the one that was chosen, else the first of its kind in stock. */
export function coatPaint(piece: Pick<Piece, 'coat' | 'coatPaint'>, paints: readonly Paint[]): Paint | undefined {
  if (piece.coat === undefined) return undefined;
  const own = paints.find(({ id, coat }) => id === piece.coatPaint && coat === piece.coat);
  return own ?? paints.find(({ coat }) => coat === piece.coat);
}

function layersOf(piece: Piece, paints: readonly Paint[]): Layer[] {
  const layers: Layer[] = [];
  const { painted } = piece;
  const old = painted && COAT_SURFACES[painted.coat];
  if (painted && old) layers.push({ coat: painted.coat, row: old, age: painted.at === undefined ? 'cured' : 'fresh' });
  if (piece.primed) layers.push({ coat: 'sealer', row: COAT_SURFACES.sealer! });
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
const slippery = ({ ground, contact, leftOut }: Pick<Piece, 'ground' | 'contact' | 'leftOut'>): boolean => {
  const { porous, coating, material } = GROUNDS[ground];
  const unsanded = material === 'wood' && contact === 'smooth' && leftOut?.includes('sand') === true;
  return unsanded || (!porous && coating === undefined && material !== 'masonry');
};

/** Whether light passes through the bare piece: as its ground does, unless it was said. */
export const isClear = (piece: Pick<Piece, 'ground' | 'seeThrough'>): boolean => piece.seeThrough ?? GROUNDS[piece.ground].clear;

/** Whether the bare piece is sanded before its coat: what is keyed holds paint as what is porous does. */
const isKeyed = ({ ground, leftOut }: Pick<Piece, 'ground' | 'leftOut'>): boolean =>
  isSandedFirst(ground, GROUNDS[ground].material) && !leftOut?.includes('sand');

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
  const layers = layersOf(piece, paints);
  for (const [at, { coat, row, colour, age: aged = age }] of layers.entries()) {
    const sound = at > 0 || !slippery(piece) || (!peels && isKeyed(piece));
    const atAge =
      aged === 'cured' ? row.strength.cured.typical : row.strength.fresh.typical * (aged === 'sameDay' ? GRIP_LIMITS.sameDay : 1);
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
