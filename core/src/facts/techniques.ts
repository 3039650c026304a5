import type { FilmKindId } from './filmKinds';

export type TechniqueId = 'decal' | 'stencil';

/**
 * How a mark is made, as facts. Whoever needs to know something of a technique reads it here; nobody asks which technique it is. What a
 * technique does, step by
 * step, is in its file in `techniques/`.
 */
export interface Technique {
  readonly name: string;
  /** What stays on the piece in the end. */
  readonly stays: 'film' | 'paint';
  /** What of the film is kept when it is weeded: the shapes, or what lies around and between them. */
  readonly kept: 'shapes' | 'surround';
  /** Film that is cut along around the shapes, mm; 0 where the shapes are all that is cut. */
  readonly border: number;
  /** Whether its cut is mirrored: only where the mark is seen through the piece, or always. */
  readonly mirrored: 'seenThrough' | 'always';
  /** Whether it is lifted with tape. */
  readonly taped: boolean;
  /** Whether the parts of one mark may be laid out apart and placed by eye. */
  readonly mayLieApart: boolean;
  /** Whether its film has to stay, or comes off again; and the kind to begin with. */
  readonly filmStays: boolean;
  readonly usualFilm: FilmKindId;
  /** Whether a paint belongs to it, which is then what is seen. */
  readonly painted: boolean;
  /** What thickening the shapes does to the film that is kept: makes it stouter, or thinner. */
  readonly thickening: 'stouter' | 'thinner';
  /** What the finished mark withstands: washing by hand, or whatever its piece does. */
  readonly withstands: keyof typeof WITHSTANDS;
  /** As which film it follows a belly. */
  readonly follows: 'calendered' | 'cast';
  /** Marks with a lower number go down first: paint must not run onto film. */
  readonly order: number;
  readonly words: TechniqueWords;
}

/** How a technique is spoken of. */
export interface TechniqueWords {
  /** One closed shape, and one hole in it. */
  readonly shape: string;
  readonly counter: string;
  /** What has to be wide enough, and what becomes of it where it is not. */
  readonly stroke: string;
  readonly thin: string;
  /** What becomes of parts that are too small. */
  readonly small: string;
  /** The change that makes it stout enough. */
  readonly stouten: string;
  /** What film that is too large for a belly does. */
  readonly folds: string;
}

/** What a finished mark withstands, as the card says it that goes with the piece; nothing where it withstands what the piece does. */
export const WITHSTANDS = { handWash: 'Hand wash only, no dishwasher, no soaking.', asThePiece: undefined } as const;

export const TECHNIQUES: Record<TechniqueId, Technique> = {
  decal: {
    name: 'decal',
    stays: 'film',
    kept: 'shapes',
    border: 0,
    mirrored: 'seenThrough',
    taped: true,
    mayLieApart: true,
    filmStays: true,
    usualFilm: 'permanent',
    painted: false,
    thickening: 'stouter',
    withstands: 'handWash',
    follows: 'calendered',
    order: 2,
    words: {
      shape: 'part',
      counter: 'inside',
      stroke: 'stroke',
      thin: 'they lift with the waste',
      small: 'they go with the waste or stay shut',
      stouten: 'Thicken',
      folds: 'Flat film would wrinkle at its edge.',
    },
  },
  stencil: {
    name: 'painted stencil',
    stays: 'paint',
    kept: 'surround',
    border: 15,
    mirrored: 'seenThrough',
    taped: true,
    mayLieApart: false,
    filmStays: false,
    usualFilm: 'stencil',
    painted: true,
    thickening: 'thinner',
    withstands: 'asThePiece',
    follows: 'cast',
    order: 1,
    words: {
      shape: 'opening',
      counter: 'island',
      stroke: 'strip of film between openings',
      thin: 'they tear or shift when the paint is dabbed',
      small: 'they are lost under the sponge',
      stouten: 'Slim the openings',
      folds: 'Even a stencil would fold at its openings.',
    },
  },
};
