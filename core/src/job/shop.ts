import type { CoatId, FilmFinish, FilmKindId, TapeKindId } from '../facts';
import type { LengthSystem, Money, TemperatureSystem } from '../units';
import type { Id } from './ids';

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
}
