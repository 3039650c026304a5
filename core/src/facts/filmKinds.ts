import { about, TRADE, type Column, type Fact } from './fact';

export type FilmKindId =
  | 'permanent'
  | 'removable'
  | 'stencil'
  | 'bargain'
  | 'glitter'
  | 'foil'
  | 'textured'
  | 'patterned'
  | 'changing'
  | 'heatPlain'
  | 'heatStretch'
  | 'heatGlitter'
  | 'heatFoil'
  | 'heatFlock'
  | 'heatBargain'
  | 'labelFilm'
  | 'labelPaper';

/** How film comes on a piece: with its adhesive, pressed hot, or as a label that is written on first. */
export type ComesOn = 'adhesive' | 'heat' | 'label';
export type FilmFinish = 'gloss' | 'matt' | 'metallic' | 'satin' | 'frosted' | 'foil' | 'textured' | 'glitter';

export type Pressure = 'medium' | 'firm';
export type PeelAt = 'warm' | 'cold';

/** How film is pressed on, as the sheets of its kind commonly say; the sheet of the film itself comes first. */
export interface PressFacts {
  /** °C, and seconds of the full press. */
  readonly celsius: Fact;
  readonly seconds: Fact;
  readonly pressure: Pressure;
  readonly peel: PeelAt;
  /** Whether other film may be pressed over it. */
  readonly under: boolean;
  /** Whether it goes along with cloth that stretches. */
  readonly stretches: boolean;
}

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
  /** How it comes on a piece. */
  readonly by: ComesOn;
  /** Whether it has a direction, as a pattern or a grain: its parts all lie the same way. */
  readonly directed?: true;
  /** Whether it arrives wavy and thin. */
  readonly wavy?: true;
  /** Whether it can be left on for years. */
  readonly stays: boolean;
  /** Of film that is pressed on: what its sheet says as a rule. */
  readonly press?: PressFacts;
  /** Of what is written on: minutes until ink is dry, and what the label withstands. */
  readonly ink?: { readonly dries: number; readonly stands: string };
}

export const FILM_KIND_COLUMNS: Record<'leastStroke' | 'liner' | 'bond' | 'weeding' | 'celsius' | 'seconds', Column> = {
  leastStroke: { unit: 'mm', source: TRADE },
  liner: { unit: 'N/25 mm', source: TRADE },
  bond: { unit: 'N/25 mm', source: TRADE },
  weeding: { unit: 'times plain film', source: TRADE },
  celsius: { unit: '°C', source: `${TRADE}; the film's own sheet comes first` },
  seconds: { unit: 's', source: `${TRADE}; the film's own sheet comes first` },
};

export const FILM_KINDS: Record<FilmKindId, FilmKind> = {
  permanent: {
    name: 'permanent film',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    by: 'adhesive',
    stays: true,
  },
  removable: {
    name: 'removable film',
    leastStroke: about(1.2),
    liner: about(0.25),
    bond: about(5),
    weeding: about(1),
    by: 'adhesive',
    stays: false,
  },
  stencil: {
    name: 'stencil film',
    leastStroke: about(1.2),
    liner: about(0.25),
    bond: about(4.5),
    weeding: about(1),
    by: 'adhesive',
    stays: false,
  },
  bargain: {
    name: 'bargain film',
    leastStroke: about(1.2),
    liner: about(0.35),
    bond: about(15),
    weeding: about(1.5),
    by: 'adhesive',
    wavy: true,
    stays: true,
  },
  glitter: {
    name: 'glitter film',
    leastStroke: about(1.5),
    liner: about(0.6),
    bond: about(15),
    weeding: about(1.2),
    by: 'adhesive',
    stays: true,
  },
  foil: {
    name: 'foil film',
    leastStroke: about(1.5),
    liner: about(0.4),
    bond: about(15),
    weeding: about(1.4),
    by: 'adhesive',
    stays: true,
  },
  textured: {
    name: 'textured film',
    leastStroke: about(1.5),
    liner: about(0.4),
    bond: about(15),
    weeding: about(0.8),
    by: 'adhesive',
    directed: true,
    stays: true,
  },
  patterned: {
    name: 'patterned film',
    leastStroke: about(1),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1.1),
    by: 'adhesive',
    directed: true,
    stays: true,
  },
  changing: {
    name: 'colour-changing film',
    leastStroke: about(1),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    by: 'adhesive',
    stays: true,
  },
  heatPlain: {
    name: 'plain heat-applied film',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    by: 'heat',
    stays: true,
    press: { celsius: about(150, 0.04), seconds: about(12), pressure: 'medium', peel: 'warm', under: true, stretches: false },
  },
  heatStretch: {
    name: 'stretch heat-applied film',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    by: 'heat',
    stays: true,
    press: { celsius: about(145, 0.04), seconds: about(15), pressure: 'medium', peel: 'warm', under: true, stretches: true },
  },
  heatGlitter: {
    name: 'glitter heat-applied film',
    leastStroke: about(1.5),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1.2),
    by: 'heat',
    stays: true,
    press: { celsius: about(160, 0.04), seconds: about(18), pressure: 'firm', peel: 'warm', under: false, stretches: false },
  },
  heatFoil: {
    name: 'foil heat-applied film',
    leastStroke: about(1.5),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1.4),
    by: 'heat',
    stays: true,
    press: { celsius: about(145, 0.04), seconds: about(10), pressure: 'medium', peel: 'cold', under: false, stretches: false },
  },
  heatFlock: {
    name: 'flock heat-applied film',
    leastStroke: about(1.5),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1),
    by: 'heat',
    stays: true,
    press: { celsius: about(160, 0.04), seconds: about(18), pressure: 'firm', peel: 'warm', under: false, stretches: false },
  },
  heatBargain: {
    name: 'bargain heat-applied film',
    leastStroke: about(1.2),
    liner: about(0.25),
    bond: about(15),
    weeding: about(1.5),
    by: 'heat',
    stays: true,
    press: { celsius: about(150, 0.04), seconds: about(15), pressure: 'firm', peel: 'warm', under: true, stretches: false },
  },
  labelFilm: {
    name: 'writable label film',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(6),
    weeding: about(0.8),
    by: 'label',
    stays: true,
    ink: {
      dries: 10,
      stands: 'It may be wiped with a damp cloth and go into the fridge; no soaking, no dishwasher. In sun and rain the ink fades.',
    },
  },
  labelPaper: {
    name: 'label paper',
    leastStroke: about(0.8),
    liner: about(0.25),
    bond: about(6),
    weeding: about(0.8),
    by: 'label',
    stays: true,
    ink: { dries: 3, stands: 'For dry use indoors only: water makes the ink run and lifts the paper.' },
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
