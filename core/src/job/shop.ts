import type { CoatId, Contact, FilmFinish, FilmKindId, GroundId, TapeKindId } from '../facts';
import type { LengthSystem, Money, TemperatureSystem } from '../units';
import type { Id } from './ids';
import type { DrawnPart, Shape } from './job';

/** A roll of film. */
export interface Film {
  id: Id;
  name: string;
  kind: FilmKindId;
  finish: FilmFinish;
  colour: string;
  /** mm. */
  width: number;
  /** What is on the roll when it was last counted, mm; cuts since then are in the log. */
  length: number;
  /** Price of a square metre. */
  price: Money;
}

export interface Tape {
  id: Id;
  name: string;
  kind: TapeKindId;
  width: number;
  length: number;
  price: Money;
}

export interface Paint {
  id: Id;
  name: string;
  coat: CoatId;
  colour: string;
  /** Millilitres left. */
  volume: number;
}

export interface Machine {
  id: Id;
  name: string;
  /** The widest film it cuts, mm. */
  width: number;
  /** The least and greatest length of one load, mm. */
  least: number;
  most: number;
  /** Without a carrier sheet. */
  rollFed: boolean;
  /** Knife speed, mm/s, and travel speed. */
  knife: number;
  travel: number;
  /** Minutes to load. */
  load: number;
  /** Its finest step, mm: 0.025 where it is not known. */
  step?: number;
  /** Where its zero lies on the film, mm from the film's lower left corner. */
  origin?: { x: number; y: number };
  /** Blade force, in the machine's own units, and speed, cm/s; kept from the last good test cut. */
  force?: number;
  speed?: number;
}

export interface Hours {
  /** IANA zone. */
  zone: string;
  /** Working times a weekday, Sunday first; minutes after midnight. */
  week: [start: number, end: number][][];
}

export interface Climate {
  celsius: number;
  /** Relative humidity, 0 to 1. */
  humidity: number;
}

/** A piece of artwork that is kept for other jobs. */
export interface ShelfItem {
  id: Id;
  name: string;
  /** Where it came from. */
  source: string;
  permitted: 'private' | 'sale' | 'unknown';
  /** Narrowest at which it can be weeded, mm. */
  leastWidth?: number;
  parts: DrawnPart[];
}

/** A blank of the user's own, to start from. */
export interface OwnBlank {
  id: Id;
  name: string;
  shape: Shape;
  ground: GroundId;
  contact: Contact;
  colour: string;
  drink: boolean;
}

/** A face that the user brought: TTF, OTF or WOFF, as base64. */
export interface OwnFace {
  id: Id;
  name: string;
  permitted: 'private' | 'sale' | 'unknown';
  data: string;
}

/** What the workshop is and has. */
export interface Shop {
  name: string;
  films: Film[];
  tapes: Tape[];
  paints: Paint[];
  machines: Machine[];
  hours: Hours;
  climate: Climate;
  currency: string;
  /** Price of an hour of hands. */
  rate: Money;
  lengths: LengthSystem;
  temperatures: TemperatureSystem;
  shelf?: ShelfItem[];
  blanks?: OwnBlank[];
  faces?: OwnFace[];
}
