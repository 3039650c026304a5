import Type from 'typebox';
import { FILM_KINDS, FINISH_GRIP, TAPE_KINDS } from '../../facts';
import { drawnPart } from './artwork';
import { coat, contact, ground, shape } from './piece';
import { colour, id, list, maybe, measure, name, number, over0, price, record, rowOf, text, word, yes } from './shape';

/** A roll of film. */
export const film = record(
  {
    id,
    name,
    kind: rowOf(FILM_KINDS, 'filmKind'),
    finish: rowOf(FINISH_GRIP, 'finish'),
    colour,
    width: measure,
    /** What is on the roll when it was last counted, mm; cuts since then are in the log. */
    length: measure,
    /** Price of a square metre. */
    price,
  },
  'film',
);

export const tape = record({ id, name, kind: rowOf(TAPE_KINDS, 'tapeKind'), width: measure, length: measure, price }, 'tape');

export const paint = record(
  {
    id,
    name,
    coat,
    colour,
    /** Millilitres left. */
    volume: number(0),
  },
  'paint',
);

export const machine = record(
  {
    id,
    name,
    /** The widest film it cuts, mm. */
    width: measure,
    /** The least and greatest length of one load, mm. */
    least: measure,
    most: measure,
    /** Without a carrier sheet. */
    rollFed: yes,
    /** Knife speed, mm/s, and travel speed. */
    knife: over0(),
    travel: over0(),
    /** Minutes to load. */
    load: number(0),
    /** Its finest step, mm: 0.025 where it is not known. */
    step: maybe(over0(1)),
    /** Where its zero lies on the film, mm from the film's lower left corner. */
    origin: maybe(record({ x: Type.Number(), y: Type.Number() })),
    /** Blade force, in the machine's own units, and speed, cm/s; kept from the last good test cut. */
    force: maybe(number(0, 1000)),
    speed: maybe(over0(200)),
  },
  'machine',
);

const minutes = { type: 'number', minimum: 0, maximum: 1440 };
export const hours = record(
  {
    /** IANA zone. */
    zone: text(60, 1),
    /** Working times a weekday, Sunday first; minutes after midnight. */
    week: Type.Unsafe<[start: number, end: number][][]>({
      type: 'array',
      minItems: 7,
      maxItems: 7,
      items: { type: 'array', maxItems: 6, items: { type: 'array', minItems: 2, maxItems: 2, items: minutes } },
    }),
  },
  'hours',
);

export const climate = record({
  celsius: number(-20, 60),
  /** Relative humidity, 0 to 1. */
  humidity: number(0, 0.99),
});

const permitted = word('private', 'sale', 'unknown');

/** A piece of artwork that is kept for other jobs. */
export const shelfItem = record(
  {
    id,
    name,
    /** Where it came from. */
    source: text(500),
    permitted,
    /** Narrowest at which it can be weeded, mm. */
    leastWidth: maybe(measure),
    parts: list(drawnPart, 20_000),
  },
  'shelved',
);

/** A blank of the user's own, to start from. */
export const ownBlank = record({ id, name, shape, ground, contact, colour, drink: yes }, 'ownBlank');

/** A face that the user brought: TTF, OTF or WOFF, as base64. */
export const ownFace = record({ id, name, permitted, data: text(4_000_000) }, 'ownFace');

/** What the workshop is and has. */
export const shop = record(
  {
    name,
    films: list(film, 1000),
    tapes: list(tape, 200),
    paints: list(paint, 500),
    machines: list(machine, 20),
    hours,
    climate,
    currency: Type.String({ pattern: '^[A-Z]{3}$' }),
    /** Price of an hour of hands. */
    rate: price,
    lengths: word('mm', 'inch'),
    temperatures: word('C', 'F'),
    shelf: maybe(list(shelfItem, 1000)),
    blanks: maybe(list(ownBlank, 500)),
    faces: maybe(list(ownFace, 40)),
  },
  'shop',
);
