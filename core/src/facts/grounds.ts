import { about, between, type Column, type Fact } from './fact';

export type GroundId =
  | 'glass'
  | 'glazedCeramic'
  | 'bareMetal'
  | 'polycarbonate'
  | 'pet'
  | 'abs'
  | 'pvc'
  | 'acrylic'
  | 'sealedWood'
  | 'enamel'
  | 'powderCoat'
  | 'rawWood'
  | 'stainedWood'
  | 'card'
  | 'chalkPaint'
  | 'chalkboard'
  | 'polystyrene'
  | 'polyethylene'
  | 'polypropylene'
  | 'silicone'
  | 'paintedWall'
  | 'texturedWall'
  | 'concrete'
  | 'terracotta'
  | 'unglazedCeramic'
  | 'bamboo'
  | 'fibreboard'
  | 'waxedWood'
  | 'bookCloth'
  | 'canvas'
  | 'cotton'
  | 'polyester'
  | 'felt'
  | 'linen'
  | 'woolFelt'
  | 'fleece'
  | 'nylon'
  | 'coir'
  | 'pileMat';
export type Contact = 'smooth' | 'satin' | 'openGrain' | 'ribbed';

/** What pieces are made of: whether water may come on it, and whether it is made see-through as well as not. */
export const MATERIALS = {
  glass: { getsWet: true, maybeClear: true },
  ceramic: { getsWet: true, maybeClear: false },
  metal: { getsWet: true, maybeClear: false },
  plastic: { getsWet: true, maybeClear: true },
  wood: { getsWet: false, maybeClear: false },
  paper: { getsWet: false, maybeClear: false },
  masonry: { getsWet: false, maybeClear: false },
  cloth: { getsWet: false, maybeClear: false },
  mat: { getsWet: false, maybeClear: false },
} as const;
export type MaterialId = keyof typeof MATERIALS;

/** A ground that film may be put on. */
export interface Ground {
  readonly name: string;
  readonly material: MaterialId;
  /** Holds wax or oil, on which nothing sticks until it is off. */
  readonly waxed?: boolean;
  /** Surface energy, mN/m. */
  readonly energy: Fact;
  /** How film holds on it after a day, against glass. */
  readonly hold: Fact;
  /** Wear of tape a use. */
  readonly wear: 'hard' | 'sealed' | 'raw';
  /** Whether light passes. */
  readonly clear: boolean;
  /** The coating that tape could lift, if any (a row of COATINGS). */
  readonly coating?: CoatingId;
  readonly porous: boolean;
  /** Heat that it stands under a press, °C; nothing may be pressed on what has none. */
  readonly stands?: Fact;
  /** Etching cream bites it. */
  readonly etches?: true;
  /** It stays where it is: a wall. */
  readonly fixed?: boolean;
}

export type CoatingId = 'stain' | 'acrylicCured' | 'acrylicDay' | 'sprayEnamel' | 'wallPaint' | 'chalkboard' | 'chalkPaint' | 'cardFibre';

const ENERGY_SOURCE = 'surface energies as commonly tabulated for materials; coatings vary with their maker';
export const GROUND_COLUMNS: Record<'energy' | 'hold' | 'stands', Column> = {
  energy: { unit: 'mN/m', source: ENERGY_SOURCE },
  hold: { unit: 'times glass', source: 'typical of the trade; to be corrected by use' },
  stands: { unit: '°C', source: 'typical of the trade; the label of the cloth comes first' },
};

const row = (
  name: string,
  material: Ground['material'],
  energy: Fact,
  hold: number,
  wear: Ground['wear'],
  more: Partial<Ground> = {},
): Ground => ({ name, material, energy, hold: about(hold, 0.15), wear, clear: false, porous: false, ...more });

export const GROUNDS: Record<GroundId, Ground> = {
  glass: row('glass', 'glass', between(200, 250, 300), 1, 'hard', { clear: true, etches: true }),
  glazedCeramic: row('glazed ceramic', 'ceramic', between(200, 250, 300), 0.95, 'hard'),
  bareMetal: row('bare metal', 'metal', between(200, 500, 1000), 0.95, 'hard'),
  polycarbonate: row('polycarbonate', 'plastic', about(46, 0.05), 0.85, 'hard', { clear: true }),
  pet: row('PET', 'plastic', about(43, 0.05), 0.95, 'hard', { clear: true }),
  abs: row('ABS', 'plastic', about(42, 0.05), 0.85, 'hard'),
  pvc: row('hard PVC', 'plastic', about(39, 0.05), 0.95, 'hard'),
  acrylic: row('acrylic', 'plastic', about(38, 0.05), 0.85, 'hard', { clear: true }),
  sealedWood: row('sealed wood', 'wood', between(38, 40, 42), 0.8, 'sealed', { coating: 'acrylicCured' }),
  enamel: row('enamelled or painted, cured', 'metal', between(38, 40, 42), 0.85, 'sealed', { coating: 'sprayEnamel' }),
  powderCoat: row('powder coat', 'metal', between(36, 40, 45), 0.8, 'hard'),
  rawWood: row('raw wood', 'wood', between(36, 40, 45), 0.45, 'raw', { porous: true, stands: about(150, 0.05) }),
  stainedWood: row('stained wood', 'wood', between(36, 40, 45), 0.8, 'raw', { coating: 'stain', porous: true }),
  card: row('card', 'paper', between(36, 40, 45), 0.8, 'raw', { coating: 'cardFibre', porous: true }),
  chalkPaint: row('chalk-like paint', 'wood', about(36, 0), 0.4, 'raw', { coating: 'chalkPaint', porous: true }),
  chalkboard: row('chalkboard paint', 'wood', about(38, 0.05), 0.5, 'sealed', { coating: 'chalkboard' }),
  polystyrene: row('polystyrene', 'plastic', about(36, 0), 0.8, 'hard'),
  polyethylene: row('polyethylene', 'plastic', about(31, 0.03), 0.3, 'hard'),
  polypropylene: row('polypropylene', 'plastic', about(30, 0.03), 0.3, 'hard'),
  silicone: row('silicone', 'plastic', about(22, 0.05), 0.05, 'hard'),
  paintedWall: row('painted wall', 'masonry', between(38, 40, 42), 0.85, 'sealed', { coating: 'wallPaint', fixed: true }),
  texturedWall: row('textured wall', 'masonry', between(38, 40, 42), 0.85, 'sealed', { coating: 'wallPaint', fixed: true }),
  concrete: row('concrete', 'masonry', between(36, 40, 45), 0.45, 'raw', { porous: true }),
  terracotta: row('terracotta', 'ceramic', between(36, 40, 45), 0.45, 'raw', { porous: true }),
  unglazedCeramic: row('unglazed ceramic', 'ceramic', between(36, 40, 45), 0.5, 'raw', { porous: true }),
  bamboo: row('bamboo', 'wood', between(36, 40, 45), 0.6, 'raw', { porous: true }),
  fibreboard: row('fibreboard', 'wood', between(36, 40, 45), 0.5, 'raw', { porous: true }),
  waxedWood: row('waxed wood', 'wood', between(24, 26, 30), 0.1, 'sealed', { waxed: true }),
  bookCloth: row('book cloth', 'cloth', between(36, 38, 42), 0.5, 'raw', { porous: true, coating: 'cardFibre' }),
  canvas: row('canvas', 'cloth', between(36, 40, 45), 0.4, 'raw', { porous: true, stands: about(190, 0.05) }),
  cotton: row('cotton', 'cloth', between(36, 40, 45), 0.35, 'raw', { porous: true, stands: about(190, 0.05) }),
  linen: row('linen', 'cloth', between(36, 40, 45), 0.35, 'raw', { porous: true, stands: about(190, 0.05) }),
  polyester: row('polyester cloth', 'cloth', between(36, 40, 43), 0.35, 'raw', { porous: true, stands: about(150, 0.05) }),
  felt: row('acrylic felt', 'cloth', between(36, 40, 45), 0.3, 'raw', { porous: true, stands: about(130, 0.05) }),
  woolFelt: row('wool felt', 'cloth', between(36, 40, 45), 0.3, 'raw', { porous: true, stands: about(150, 0.05) }),
  fleece: row('fleece', 'cloth', between(36, 40, 43), 0.3, 'raw', { porous: true, stands: about(130, 0.05) }),
  nylon: row('nylon cloth', 'cloth', between(36, 40, 43), 0.35, 'raw', { porous: true }),
  coir: row('coir', 'mat', between(36, 40, 45), 0.3, 'raw', { porous: true }),
  pileMat: row('pile mat', 'mat', between(36, 40, 45), 0.3, 'raw', { porous: true }),
};

/** What share of a surface the film touches. */
export const CONTACTS: Record<Contact, { name: string; share: Fact }> = {
  smooth: { name: 'smooth', share: about(1, 0) },
  satin: { name: 'satin', share: about(0.9, 0.05) },
  openGrain: { name: 'open-grained', share: about(0.55, 0.2) },
  ribbed: { name: 'ribbed', share: about(0.3, 0.3) },
};

/** How hard a coating on a sound ground holds, N/25 mm. */
export const COATINGS: Record<CoatingId, { name: string; hold: Fact }> = {
  stain: { name: 'stain', hold: about(6) },
  acrylicCured: { name: 'cured acrylic', hold: about(5) },
  acrylicDay: { name: 'acrylic, one day old', hold: about(3) },
  sprayEnamel: { name: 'spray enamel', hold: about(4) },
  wallPaint: { name: 'wall paint', hold: about(4) },
  chalkboard: { name: 'chalkboard paint', hold: about(3) },
  chalkPaint: { name: 'bare chalk-like paint', hold: about(1.5) },
  cardFibre: { name: 'card fibre', hold: about(3) },
};
