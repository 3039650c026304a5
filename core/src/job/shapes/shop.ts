import Type from 'typebox';
import {
  CARRIER_GRADES,
  FILM_KINDS,
  FINISH_GRIP,
  KNIFE,
  LAYOUT,
  PRESSING,
  RELIEF,
  SUPPLY_KINDS,
  SUPPLY_UNITS,
  TAPE_KINDS,
} from '../../facts';
import { drawnPart } from './artwork';
import { filmOutline } from './event';
import { hours, person } from './hours';
import { job, ownStep } from './job';
import { coat, coats, contact, ground, leftOut, shape } from './piece';
import { colour, id, list, maybe, measure, name, number, over0, place, price, record, rowOf, text, whole, word, words, yes } from './shape';

/** A sheet or an offcut that lies beside the roll, mm. */
export const filmPiece = record(
  {
    id,
    kind: word('sheet', 'offcut'),
    width: over0(100_000),
    length: over0(100_000),
    count: whole(1, 1000),
    /** Where it is no upright box, mm from the lower left corner of its box. */
    outline: maybe(filmOutline),
  },
  'filmPiece',
);

/** How film is pressed on: °C, seconds, how hard, and how it is peeled. */
export const pressing = record(
  {
    celsius: number(PRESSING.celsius.least, PRESSING.celsius.most),
    seconds: number(1, PRESSING.most),
    pressure: word('medium', 'firm'),
    peel: word('warm', 'cold'),
  },
  'pressing',
);

/** Film of one kind and colour: a roll, and sheets and offcuts of it. */
export const film = record(
  {
    id,
    name,
    kind: rowOf(FILM_KINDS, 'filmKind'),
    finish: rowOf(FINISH_GRIP, 'finish'),
    colour,
    /** All colours of a patterned film, the one that one sees first at the head; what a colour-changing film turns to. */
    colours: maybe(list(colour, 6, 1)),
    /** Comes with a clear sheet over its face. */
    covered: maybe(yes),
    width: measure,
    /** What is on the roll when it was last counted, mm; cuts since then are in the log. */
    length: measure,
    pieces: maybe(list(filmPiece, 500)),
    /** How it is pressed on, by its own sheet; as its kind is where it is not said. */
    press: maybe(pressing),
    /** Price of a square metre. */
    price,
    note: maybe(words),
  },
  'film',
);

export const tape = record(
  {
    id,
    name,
    kind: rowOf(TAPE_KINDS, 'tapeKind'),
    width: measure,
    length: measure,
    /** Price of a square metre. */
    price,
    note: maybe(words),
  },
  'tape',
);

export const paint = record(
  {
    id,
    name,
    coat,
    colour,
    /** Millilitres when they were last typed; counts since then are in the log. */
    volume: number(0),
    /** Price of a litre. */
    price: maybe(price),
    note: maybe(words),
  },
  'paint',
);

/** What else a job uses up: cloths, sandpaper, blades, ribbon. */
export const supply = record(
  {
    id,
    name,
    kind: rowOf(SUPPLY_KINDS, 'supplyKind'),
    amount: number(0, 1_000_000),
    unit: rowOf(SUPPLY_UNITS, 'supplyUnit'),
    /** Price of one unit. */
    price,
    /** Below this it is time to buy more. */
    low: maybe(number(0, 1_000_000)),
    note: maybe(words),
  },
  'supply',
);

/** A sheet that carries film through a cutter. */
export const carrier = record(
  { id, grade: rowOf(CARRIER_GRADES, 'carrierGrade'), width: over0(100_000), length: over0(100_000), uses: whole(0, 10_000) },
  'carrier',
);

/** A heat press, with the plate that it presses with, mm. */
export const press = record({ id, name, width: over0(5000), height: over0(5000) }, 'press');

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
    /** How far its blade trails behind its own axis, mm, where the machine does not make up for that by itself. */
    knifeOffset: maybe(number(0, KNIFE.mostOffset)),
    /** The sheets that it carries film with. */
    carriers: maybe(list(carrier, 50)),
    /** How many pens it holds beside the knife. */
    pens: maybe(whole(0, 20)),
    note: maybe(words),
  },
  'machine',
);

const airOf = {
  celsius: number(-20, 60),
  /** Relative humidity, 0 to 1. */
  humidity: number(0, 0.99),
};
export const climate = record(airOf);
/** A date: "2026-12-03". */
const dayWord = Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' });

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
export const ownFace = record(
  {
    ...{ id, name, permitted },
    data: text(28_000_000),
    /** Weights that it can be drawn in, where it can be drawn in several. */
    weights: maybe(record({ least: number(1, 1000), usual: number(1, 1000), most: number(1, 1000) })),
  },
  'ownFace',
);

/** A job that others begin from. */
export const pattern = record({ id, name, job }, 'pattern');

/** Steps of the maker's own, for the next piece of such a ground. */
export const habit = record(
  { id, name, ground, steps: list(ownStep, 40), leftOut: maybe(leftOut), coats: maybe(coats), primed: maybe(yes) },
  'habit',
);

/** A layout of parts on film that was looked for and kept: which parts it is for, and where each copy lies, mm from the film's lower left corner. */
export const keptLayout = record(
  {
    id,
    film: id,
    /** Tells the parts and their sizes; parts that changed are laid out anew. */
    parts: text(100_000),
    /** The gap that it keeps, mm, where it is not the usual one. */
    gap: maybe(number(0, LAYOUT.mostGap)),
    places: list(
      record({
        part: whole(0, 10_000),
        copy: whole(0, 10_000),
        /** In quarters. */
        turn: number(0, 4),
        x: place,
        y: place,
        /** Laid there by hand, and to stay. */
        locked: maybe(yes),
      }),
      10_000,
    ),
  },
  'keptLayout',
);

/** How a price is made of what a job takes: shares in per cent, and what a metre of cutting costs in blades and machine, in thousandths of a minor unit. */
const pricing = record(
  {
    overhead: number(0, 500),
    margin: number(0, 500),
    tax: number(0, 100),
    knifeMetre: whole(0, 10_000_000),
  },
  'pricing',
);

/** What the workshop is and has. */
export const shop = record(
  {
    name,
    films: list(film, 1000),
    tapes: list(tape, 200),
    paints: list(paint, 500),
    supplies: maybe(list(supply, 1000)),
    presses: maybe(list(press, 20)),
    machines: list(machine, 20),
    hours,
    /** Those who work here, where there are several. */
    people: maybe(list(person, 6)),
    /** Steps in an order that was looked for long and kept. */
    order: maybe(list(text(400, 1), 5000)),
    /** Where pieces stand to dry, and how many each place holds. */
    rack: maybe(list(record({ id, name, holds: whole(1, 1000) }), 12)),
    climate,
    /** Days on which the workroom will be another: by their dates in its zone. */
    airOn: maybe(list(record({ id, day: dayWord, ...airOf }), 60)),
    currency: Type.String({ pattern: '^[A-Z]{3}$' }),
    /** Price of an hour of hands. */
    rate: price,
    /** What goes on top of what a job takes. */
    pricing: maybe(pricing),
    lengths: word('mm', 'inch'),
    temperatures: word('C', 'F'),
    shelf: maybe(list(shelfItem, 1000)),
    blanks: maybe(list(ownBlank, 500)),
    faces: maybe(list(ownFace, 40)),
    patterns: maybe(list(pattern, 500)),
    /** How pieces of a ground are always made ready: steps of the maker's own, and what is done otherwise than as usual. */
    habits: maybe(list(habit, 100)),
    /** Relief cuts part the waste into strips so wide, mm; without it the surround comes away in one pull. */
    relief: maybe(number(RELIEF.least, RELIEF.most)),
    /** The smallest bits are cut once more on film that is taken anyway. */
    spares: maybe(yes),
    /** Between any two parts on film, mm, where it is not the usual gap. */
    gap: maybe(number(0, LAYOUT.mostGap)),
    /** Layouts that were kept, the newest last. */
    layouts: maybe(list(keptLayout, 60)),
  },
  'shop',
);
