import Type from 'typebox';
import { EDGE_SEALS, ETCHING, PAINT_TOOLS, PLACINGS, TAPINGS, TECHNIQUES } from '../../facts';
import type { Id } from '../ids';
import { artwork, edit } from './artwork';
import { id, list, maybe, measure, name, number, oneBy, place, record, rowOf, whole, word, yes } from './shape';

/** Copies of a mark on its piece. */
export const spread = oneBy(
  'kind',
  [
    /** So many round the wall at equal pitch, the seam in a gap. */
    record({ kind: Type.Literal('round'), count: whole(1, 60) }),
    /** So many side by side in the zone at equal pitch, or mirrored in pairs. */
    record({ kind: Type.Literal('row'), count: whole(1, 60), mirrored: yes }),
    /** One in each corner of the zone, or in two opposite ones, turned as they stand or mirrored. */
    record({ kind: Type.Literal('corners'), mirrored: yes, which: maybe(word('all', 'rising', 'falling')) }),
  ],
  'spread',
);

export const markSize = oneBy(
  'mode',
  [
    record({ mode: Type.Literal('largest') }),
    /** A width; with a height too, it is stretched to just that. */
    record({ mode: Type.Literal('width'), width: measure, height: maybe(measure) }),
    record({ mode: Type.Literal('height'), height: measure }),
  ],
  'size',
);

/** When the stencil comes off: three schools. */
export const pullAt = word('halfDry', 'nearlyDry', 'dry');

/** What goes on a zone. */
export const mark = record(
  {
    id,
    name,
    zone: id,
    technique: rowOf(TECHNIQUES, 'technique'),
    artwork,
    edits: list(edit, 50),
    /** Film of each colour of a drawing; text and colours not named here use `film`. `null` leaves a colour out. */
    colourFilms: Type.Unsafe<{ [colour: string]: Id | null }>({
      type: 'object',
      propertyNames: { pattern: '^#[0-9a-f]{6}$' },
      additionalProperties: { anyOf: [id, { type: 'null' }] },
    }),
    film: id,
    /** Artwork turned left to right. */
    flip: yes,
    /** On a taper: left straight instead of bent so that its lines read level. */
    straight: maybe(yes),
    /** Put on the far side of a clear piece and seen through it. */
    seenThrough: yes,
    size: markSize,
    /** Centre of the mark, mm from the centre of its zone, or from where `hold` holds it. */
    offset: record({ x: place, y: place }),
    /** What it is held against: sides of the zone; the middle where not named. */
    hold: maybe(record({ x: maybe(word('left', 'right')), y: maybe(word('foot', 'top')) })),
    /** Turned counter-clockwise, degrees; or as it becomes largest. */
    turn: maybe(Type.Unsafe<number | 'best'>({ anyOf: [number(-360, 360), { const: 'best' }] })),
    /** Centred by the middle of its area, not of its box. */
    optical: maybe(yes),
    /** Runs over the edge and is trimmed there. */
    overEdge: maybe(yes),
    /** Copies on the piece. */
    spread: maybe(spread),
    /** Where there is a list: every piece's words at one size, or each as large as fits. */
    sizes: maybe(word('same', 'each')),
    /** Its films go down as one with the tape, or one by one. */
    lift: maybe(word('one', 'apart')),
    /** The tape that it is lifted with, where the maker has chosen one. */
    tape: maybe(id),
    /** How tape and film come together, where the maker has chosen. */
    taping: maybe(rowOf(TAPINGS, 'taping')),
    /** How it is put down, where the maker has chosen: else what suits its piece and size. */
    placing: maybe(rowOf(PLACINGS, 'placing')),
    /** The contrast is low on purpose. */
    subtle: yes,
    /** Stencils: the paint, its coats, and when the film comes off. */
    paint: maybe(id),
    coats: whole(1, 9),
    pullAt,
    /** What its edges are sealed with before the colour: clear sealer where it is not said. */
    edge: maybe(rowOf(EDGE_SEALS, 'edgeSeal')),
    /** What the paint is put on with: by its area where it is not said. */
    tool: maybe(rowOf(PAINT_TOOLS, 'paintTool')),
    /** Written labels of a list: all of one size, or each as small as its words. */
    plates: maybe(word('equal', 'own')),
    /** Etching: minutes that the cream stays on, by its own sheet. */
    dwell: maybe(number(1, ETCHING.most)),
  },
  'mark',
);
