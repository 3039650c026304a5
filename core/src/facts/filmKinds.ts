import { about, TRADE, type Column, type Fact } from './fact';

export type FilmKindId = 'permanent' | 'removable' | 'stencil' | 'bargain' | 'glitter' | 'foil' | 'textured' | 'patterned' | 'changing';
export type FilmFinish = 'gloss' | 'matt' | 'metallic' | 'satin' | 'frosted' | 'foil' | 'textured' | 'glitter';

/** A kind of film, whatever its colour. */
export interface FilmKind {
  readonly name: string;
  /** The least stroke that stays, mm. */
  readonly leastStroke: Fact;
  /** Peel of the liner from the film, N/25 mm. */
  readonly liner: Fact;
  /** Peel of the film from glass after 24 h, N/25 mm. */
  readonly bond: Fact;
  /** Weeding time against plain film. */
  readonly weeding: Fact;
  /** Whether it can be left on for years. */
  readonly stays: boolean;
}

export const FILM_KIND_COLUMNS: Record<'leastStroke' | 'liner' | 'bond' | 'weeding', Column> = {
  leastStroke: { unit: 'mm', source: TRADE },
  liner: { unit: 'N/25 mm', source: TRADE },
  bond: { unit: 'N/25 mm', source: TRADE },
  weeding: { unit: 'times plain film', source: TRADE },
};

export const FILM_KINDS: Record<FilmKindId, FilmKind> = {
  permanent: {
    name: 'permanent film',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    stays: true,
  },
  removable: {
    name: 'removable film',
    leastStroke: about(1.2),
    liner: about(0.25),
    bond: about(5),
    weeding: about(1),
    stays: false,
  },
  stencil: {
    name: 'stencil film',
    leastStroke: about(1.2),
    liner: about(0.25),
    bond: about(4.5),
    weeding: about(1),
    stays: false,
  },
  bargain: {
    name: 'bargain film',
    leastStroke: about(1.2),
    liner: about(0.35),
    bond: about(15),
    weeding: about(1.5),
    stays: true,
  },
  glitter: {
    name: 'glitter film',
    leastStroke: about(1.5),
    liner: about(0.6),
    bond: about(15),
    weeding: about(1.2),
    stays: true,
  },
  foil: {
    name: 'foil film',
    leastStroke: about(1.5),
    liner: about(0.4),
    bond: about(15),
    weeding: about(1.4),
    stays: true,
  },
  textured: {
    name: 'textured film',
    leastStroke: about(1.5),
    liner: about(0.4),
    bond: about(15),
    weeding: about(0.8),
    stays: true,
  },
  patterned: {
    name: 'patterned film',
    leastStroke: about(1),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1.1),
    stays: true,
  },
  changing: {
    name: 'colour-changing film',
    leastStroke: about(1),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    stays: true,
  },
};

/** How well tape holds a finish, against gloss. */
export const FINISH_GRIP: Record<FilmFinish, Fact> = {
  gloss: about(1, 0),
  matt: about(0.9, 0.1),
  metallic: about(0.85, 0.1),
  satin: about(0.8, 0.1),
  frosted: about(0.8, 0.1),
  foil: about(0.75, 0.1),
  textured: about(0.55, 0.2),
  glitter: about(0.45, 0.2),
};
