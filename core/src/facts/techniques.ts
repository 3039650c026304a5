import { FILM_KINDS, type FilmKindId, type ComesOn } from './filmKinds';

export type TechniqueId = 'decal' | 'stencil' | 'mask' | 'etched' | 'heat' | 'written';

/**
 * How a mark is made, as facts. Whoever needs to know something of a technique reads it here; nobody asks which technique it is. What a
 * technique does, step by
 * step, is in its file in `techniques/`.
 */
export interface Technique {
  readonly name: string;
  /** What the finished mark is: film, paint, the ground that film kept bare while all around was painted, or etched glass. */
  readonly stays: 'film' | 'paint' | 'ground' | 'etching';
  /** What of the film is kept when it is weeded: the shapes, or what lies around and between them. */
  readonly kept: 'shapes' | 'surround';
  /** Film that is cut along around the shapes, mm; 0 where the shapes are all that is cut. */
  readonly border: number;
  /** Whether its cut is mirrored: only where the mark is seen through the piece, or always. */
  readonly mirrored: 'seenThrough' | 'always';
  /** Whether it is lifted with tape. */
  readonly taped: boolean;
  /** Whether the shapes are written by a pen, and the knife only cuts a plate around them. */
  readonly penned?: true;
  /** Whether the parts of one mark may be laid out apart and placed by eye. */
  readonly mayLieApart: boolean;
  /** How its film comes on the piece, whether it has to stay, or comes off again; and the kind to begin with. */
  readonly filmBy: ComesOn;
  readonly filmStays: boolean;
  readonly usualFilm: FilmKindId;
  /** Whether a paint belongs to it, which is then what is seen: as the mark, or all around it. */
  readonly painted: boolean;
  /** Whether it is told from its ground by its colour, or by the light that it scatters. */
  readonly seenBy: 'colour' | 'haze';
  /** Whether it may lie where lips, food or a knife come. */
  readonly food: boolean;
  /** The station at which it is made on the piece, where that is more than placing film. */
  readonly madeAt?: string;
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
export const WITHSTANDS = {
  handWash: 'Hand wash only, no dishwasher, no soaking.',
  asThePiece: undefined,
  glass: 'The mark is part of the glass: it stands food, washing up and the dishwasher.',
  label: 'Keep the label out of soapy water.',
  cloth: 'Wash it inside out, cool and gentle, and iron only from behind.',
} as const;

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
    filmBy: 'adhesive',
    usualFilm: 'permanent',
    painted: false,
    seenBy: 'colour',
    food: false,
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
    filmBy: 'adhesive',
    usualFilm: 'stencil',
    painted: true,
    seenBy: 'colour',
    food: false,
    madeAt: 'Paint',
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
  mask: {
    name: 'reverse mask',
    stays: 'ground',
    kept: 'shapes',
    border: 0,
    mirrored: 'seenThrough',
    taped: true,
    mayLieApart: false,
    filmBy: 'adhesive',
    filmStays: false,
    usualFilm: 'stencil',
    painted: true,
    seenBy: 'colour',
    food: false,
    madeAt: 'Paint',
    thickening: 'stouter',
    withstands: 'asThePiece',
    follows: 'cast',
    order: 0,
    words: {
      shape: 'part',
      counter: 'inside',
      stroke: 'stroke',
      thin: 'paint creeps under them, or they stay with the waste',
      small: 'they go with the waste, or are painted over and never found again',
      stouten: 'Thicken',
      folds: 'The film would fold at its edge and let paint in.',
    },
  },
  etched: {
    name: 'etched mark',
    stays: 'etching',
    kept: 'surround',
    border: 25,
    mirrored: 'seenThrough',
    taped: true,
    mayLieApart: false,
    filmBy: 'adhesive',
    filmStays: false,
    usualFilm: 'stencil',
    painted: false,
    seenBy: 'haze',
    food: true,
    madeAt: 'Etch',
    thickening: 'thinner',
    withstands: 'glass',
    follows: 'cast',
    order: 1,
    words: {
      shape: 'opening',
      counter: 'island',
      stroke: 'strip of film between openings',
      thin: 'cream creeps under them',
      small: 'the cream does not reach into them',
      stouten: 'Slim the openings',
      folds: 'The stencil would fold at its openings and let cream in.',
    },
  },
  heat: {
    name: 'heat-applied mark',
    stays: 'film',
    kept: 'shapes',
    border: 0,
    mirrored: 'always',
    taped: false,
    mayLieApart: false,
    filmBy: 'heat',
    filmStays: true,
    usualFilm: 'heatPlain',
    painted: false,
    seenBy: 'colour',
    food: false,
    madeAt: 'Press',
    thickening: 'stouter',
    withstands: 'cloth',
    follows: 'calendered',
    order: 3,
    words: {
      shape: 'part',
      counter: 'inside',
      stroke: 'stroke',
      thin: 'they lift with the waste',
      small: 'they go with the waste or stay shut',
      stouten: 'Thicken',
      folds: 'The press does not reach round it.',
    },
  },
  written: {
    name: 'written label',
    stays: 'film',
    kept: 'shapes',
    border: 0,
    mirrored: 'seenThrough',
    taped: false,
    penned: true,
    mayLieApart: false,
    filmBy: 'label',
    filmStays: true,
    usualFilm: 'labelFilm',
    painted: false,
    seenBy: 'colour',
    food: false,
    thickening: 'stouter',
    withstands: 'label',
    follows: 'calendered',
    order: 4,
    words: {
      shape: 'letter',
      counter: 'inside',
      stroke: 'stroke',
      thin: 'they are thinner than the pen',
      small: 'the pen fills them in',
      stouten: 'Thicken',
      folds: 'The label would wrinkle at its edge.',
    },
  },
};

/** Whether a kind of film is made for a technique: it comes on in that way, and stays or comes off as it has to. */
export const filmSuits = (technique: TechniqueId, kind: FilmKindId): boolean =>
  FILM_KINDS[kind].by === TECHNIQUES[technique].filmBy && FILM_KINDS[kind].stays === TECHNIQUES[technique].filmStays;
