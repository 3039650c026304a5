import { about, between, type Fact } from './fact';
import type { CoatId } from './drying';

/** What a coat is like to put film on, once it has dried for it. */
export interface CoatSurface {
  /** Surface energy, mN/m. */
  readonly energy: Fact;
  /** How film holds on it, against glass. */
  readonly hold: Fact;
  /** Wear of tape a use. */
  readonly wear: 'hard' | 'sealed' | 'raw';
  /** How hard it holds on a sound ground, N/25 mm: as old as film has to wait for it, and cured. */
  readonly strength: { readonly fresh: Fact; readonly cured: Fact };
  /** Whether it hides what lies under it. */
  readonly hides: boolean;
  /** Whether it fills open grain. */
  readonly fills: boolean;
}

const row = (
  energy: Fact,
  hold: number,
  wear: CoatSurface['wear'],
  strength: [number, number],
  more: Partial<CoatSurface> = {},
): CoatSurface => ({
  ...{ energy, hold: about(hold, 0.15), wear, strength: { fresh: about(strength[0]), cured: about(strength[1]) } },
  ...{ hides: true, fills: true, ...more },
});
const PAINT = between(38, 40, 42);

/** Coats that a piece can have on it. What only dries (alcohol, glue) is none. */
export const COAT_SURFACES: Partial<Record<CoatId, CoatSurface>> = {
  chalkPaint: row(between(36, 36, 36), 0.4, 'raw', [1.5, 1.5]),
  acrylic: row(PAINT, 0.85, 'sealed', [3, 5]),
  chalkboard: row(PAINT, 0.5, 'sealed', [3, 3]),
  sprayEnamel: row(PAINT, 0.85, 'sealed', [4, 4]),
  wallPaint: row(PAINT, 0.85, 'sealed', [4, 4]),
  glassEnamel: row(PAINT, 0.85, 'hard', [4, 4]),
  oilStain: row(between(36, 40, 45), 0.8, 'raw', [6, 6], { fills: false }),
  waterStain: row(between(36, 40, 45), 0.8, 'raw', [6, 6], { fills: false }),
  sealer: row(PAINT, 0.8, 'sealed', [4, 4], { hides: false }),
};

/** Film as a ground for other film. */
export const FILM_SURFACE = {
  energy: 38,
  /** Film on film, against glass. */
  hold: 0.8,
  /** Of what the lower film holds with, what it stands as a coating. */
  strength: 0.7,
} as const;
