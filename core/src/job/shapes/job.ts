import Type from 'typebox';
import { OWN_MOMENTS } from '../../facts';
import type { Point } from '../../geometry';
import { point } from './artwork';
import { mark } from './mark';
import { piece, zone } from './piece';
import { id, instant, list, maybe, measure, name, number, oneBy, place, price, record, text, whole, word, words, yes } from './shape';

/** A stop that the user answers for. */
const override = record({
  /** The reading's kind and place, as `Reading.id`. */
  reading: name,
  reason: words,
});

/** A photo of the piece, with what makes it a measure. Points are pixels from its upper left. */
export const photo = record(
  {
    name,
    /** As a data URL, made small enough to keep. */
    data: Type.String({ maxLength: 4_000_000, pattern: '^data:image/(jpeg|png|webp);base64,' }),
    width: number(1, 20_000),
    height: number(1, 20_000),
    known: oneBy('kind', [
      record({
        kind: Type.Literal('sheet'),
        corners: Type.Unsafe<readonly Point[]>({ type: 'array', minItems: 4, maxItems: 4, items: point }),
        width: number(1, 5000),
        height: number(1, 5000),
      }),
      record({
        kind: Type.Literal('length'),
        ends: Type.Unsafe<readonly [Point, Point]>({ type: 'array', minItems: 2, maxItems: 2, items: point }),
        length: number(0.1, 5000),
      }),
    ]),
    /** The piece's face on it, as a box in mm of the measured plane: marks are shown there. */
    face: maybe(record({ x: place, y: place, width: measure, height: measure })),
  },
  'photo',
);

/** A list of what differs from piece to piece: words by column, and measures where the piece is not like the others. */
export const pieceList = record({
  columns: list(name, 20, 1),
  rows: list(record({ id, cells: list(text(500), 20), width: maybe(measure), height: maybe(measure) }), 500),
});

/** A step of the maker's own. */
export const ownStep = record(
  {
    id,
    name,
    /** Minutes of work for one piece. */
    minutes: number(0, 10_000),
    /** Minutes that have to pass before the work goes on. */
    wait: maybe(number(0, 1_000_000)),
    /** First of all, before the piece is painted, before film is put on, before it is packed. */
    when: word(...OWN_MOMENTS),
  },
  'ownStep',
);

/** One set of equal pieces with their zones and marks: what the user decided, nothing derived. */
export const job = record(
  {
    id,
    name,
    client: name,
    count: whole(1, 500),
    piece,
    zones: list(zone, 50, 1),
    marks: list(mark, 100),
    /** One row a piece; words in braces, as in {name}, are taken from it. */
    list: maybe(pieceList),
    photo: maybe(photo),
    /** Made to be sold: artwork and faces have to allow it. */
    forSale: maybe(yes),
    /** Steps of the maker's own, in their order. */
    steps: maybe(list(ownStep, 40)),
    /** Trimmings and other things from stock that one piece needs. */
    needs: maybe(list(record({ id, supply: id, amount: number(0, 100_000) }), 100)),
    /** What was laid ready, by the keys of the list of what to gather. */
    gathered: maybe(list(name, 300)),
    /** What one blank piece cost, minor units. */
    blank: maybe(price),
    /** The order that it belongs to, with other jobs for the same client. */
    order: maybe(name),
    /** When it is wanted. */
    deadline: maybe(instant),
    /** What it has to be by then: packed, where nothing is said, filled without harm to the mark, or cured so far that it may be washed. */
    wantedAs: maybe(word('packed', 'filled', 'washed')),
    /** Steps that were put at a moment: they do not begin before. */
    pins: maybe(list(record({ step: text(400, 1), at: instant }), 200)),
    /** Steps that somebody was given by hand: nobody else does them. */
    given: maybe(list(record({ step: text(400, 1), who: id }), 200)),
    priority: number(-1000, 1000),
    overrides: list(override, 10_000),
    createdAt: instant,
    closed: yes,
  },
  'job',
);
