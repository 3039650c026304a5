import Type from 'typebox';
import type { Point, Ring, Segment } from '../../geometry';
import { colour, id, list, maybe, measure, name, number, oneBy, over0, record, text, whole, word, words, yes } from './shape';

export const point = Type.Unsafe<Point>({
  title: 'point',
  type: 'array',
  items: { type: 'number' },
  minItems: 2,
  maxItems: 2,
});

const segment = Type.Unsafe<Segment>({
  title: 'segment',
  type: 'array',
  minItems: 1,
  maxItems: 4,
  items: [{ enum: ['M', 'L', 'Q', 'C', 'Z'] }, point, point, point],
});

/** An outline within a box, in shares of its width and height from its lower left, y up: what is drawn so stretches with what was measured. */
export const outline = oneBy(
  'kind',
  [
    /** Corners rounded by mm. */
    record({ kind: Type.Literal('rounded'), radius: measure }),
    record({ kind: Type.Literal('ellipse') }),
    /** Closed rings, even-odd: the inner ones are cut-outs. */
    record({
      kind: Type.Literal('drawn'),
      name,
      rings: Type.Unsafe<readonly Ring[]>({
        type: 'array',
        minItems: 1,
        maxItems: 500,
        items: { type: 'array', minItems: 3, maxItems: 20_000, items: point },
      }),
    }),
  ],
  'outline',
);

export const textLine = record(
  {
    id,
    text: text(500),
    /** A face that ships, or one of the workshop's own. */
    face: id,
    /** Size against the other lines. */
    scale: over0(100),
    /** Space between letters, em. */
    spacing: number(-1, 5),
    /** Space added after single letters, em, by the letter's place in the line. */
    pairs: maybe(
      Type.Unsafe<{ [letter: string]: number }>({
        type: 'object',
        propertyNames: { pattern: '^[0-9]{1,3}$' },
        additionalProperties: { type: 'number', minimum: -2, maximum: 5 },
      }),
    ),
    /** Letters are moved together until they touch. */
    joined: maybe(yes),
    /** How heavy the letters are, of a face that can be drawn in several weights: 400 is regular, 700 bold. */
    weight: maybe(number(1, 1000)),
  },
  'textLine',
);

/** How lines of text are set against each other: justified ones are spread until all are as wide, stacked ones made as wide as the widest. */
export const align = word('left', 'centre', 'right', 'justified', 'stacked');

/** One colour of a drawing that was dropped in, as outlines in the drawing's own units, y up. */
export const drawnPart = record(
  {
    id,
    colour,
    path: Type.Unsafe<readonly Segment[]>({ type: 'array', maxItems: 400_000, items: segment }),
    fill: word('nonzero', 'evenodd'),
    /** How opaque it is drawn, where one sees through it: film is not. */
    opacity: maybe(number(0, 1)),
    /** The layer that it lay on, where a drawing is taken by its layers. */
    layer: maybe(text(100)),
    /** The colour halfway along its gradient; `colour` is the one that covers most of it. */
    middle: maybe(colour),
  },
  'drawnPart',
);

export const artwork = oneBy(
  'kind',
  [
    record({
      kind: Type.Literal('text'),
      lines: list(textLine, 200),
      align,
      lineSpacing: over0(10),
      /** Set along an arc that spans so many degrees, its middle on top; below 0 the arc hangs. */
      arc: maybe(number(-360, 360)),
    }),
    record({
      kind: Type.Literal('drawing'),
      name,
      parts: list(drawnPart, 20_000),
      leftOut: list(words, 10_000),
      /** How large the file said that it is, mm. */
      asDrawn: maybe(record({ width: over0(1_000_000), height: over0(1_000_000) })),
      /**
       * The other way to take it: by its layers while it is cut by its colours and the other way round, or with its thin lines as the other of
       * `thin`.
       */
      otherwise: maybe(list(drawnPart, 20_000)),
      /** Whether its thin lines are outlines that the knife follows, or strips of film. */
      thin: maybe(word('outlines', 'strips')),
      /** Parts that are left out of the mark, by id. */
      dropped: maybe(list(id, 20_000)),
      /** What becomes of parts that one sees through: those less opaque than `under` are left out; `mixed` gives the others their colour on white. */
      shades: maybe(record({ under: number(0, 1), mixed: maybe(yes) })),
      /** Gradients in the colour halfway along, not in the one that covers most. */
      gradients: maybe(word('middle')),
      /** The piece of artwork on the shelf that it came from. */
      shelf: maybe(id),
      /** Another drawing on every piece: the column of the list that names them as they are called on the shelf. */
      column: maybe(name),
    }),
  ],
  'artwork',
);

/** A shape that a change brings along, in units of its own, y up. */
const shapeOf = {
  name,
  path: Type.Unsafe<readonly Segment[]>({ type: 'array', minItems: 2, maxItems: 100_000, items: segment }),
  fill: word('nonzero', 'evenodd'),
  /** The piece of artwork on the shelf that it came from. */
  shelf: maybe(id),
};

export const plate = word('box', 'rounded', 'ellipse');
const gap = number(0, 1000);

/** A change to the artwork by what is wanted; it can be changed or removed later. */
export const edit = oneBy(
  'kind',
  [
    record({ id, kind: Type.Literal('thicken'), by: number(-5, 5) }),
    record({ id, kind: Type.Literal('dropSmall'), below: number(0), fillBelow: number(0) }),
    /** Everything in one film, gaps under `gap` mm closed. */
    record({ id, kind: Type.Literal('oneOutline'), gap: number(0, 50) }),
    /** A plate around the mark out of which it is taken, so that the ground shows through. */
    record({ id, kind: Type.Literal('showGround'), plate, margin: gap }),
    /** A shape around the mark out of which it is taken: so many times as large as would just hold it, moved by shares of the mark's sides. */
    record({
      id,
      kind: Type.Literal('outOf'),
      ...shapeOf,
      by: number(0.1, 20),
      right: number(-5, 5),
      up: number(-5, 5),
    }),
    /** A shape beside the mark, as large as a share of it, on one side or on both. */
    record({
      id,
      kind: Type.Literal('beside'),
      ...shapeOf,
      side: word('left', 'right', 'leftRight', 'above', 'below', 'aboveBelow'),
      share: number(0.02, 20),
      gap,
      film: maybe(id),
    }),
    /** A second film behind, larger by `by` mm all round. */
    record({ id, kind: Type.Literal('backing'), film: id, by: number(0, 100) }),
    /** Only the outer edge: counters are filled. */
    record({ id, kind: Type.Literal('silhouette') }),
    /** Strips through the strokes, so wide, that hold every inside on what lies around. */
    record({ id, kind: Type.Literal('bridges'), width: number(0.2, 50) }),
    /** Parted across by a gap for another line: its middle as a share of the height, from below, and mm. */
    record({ id, kind: Type.Literal('part'), at: number(0, 1), gap }),
    /** A line around, mm wide, so far off. */
    record({ id, kind: Type.Literal('frame'), plate, margin: gap, width: number(0.1, 200), film: maybe(id) }),
    /** Wider or narrower, taller or lower. */
    record({ id, kind: Type.Literal('stretch'), across: number(0.2, 5), up: number(0.2, 5) }),
    /** Copies in rows, so far apart. */
    record({ id, kind: Type.Literal('repeat'), across: whole(1, 60), up: whole(1, 60), gap }),
    /** Copies at random places on a box, no nearer to each other than `least` mm. */
    record({
      id,
      kind: Type.Literal('scatter'),
      count: whole(1, 300),
      width: number(1, 5000),
      height: number(1, 5000),
      least: gap,
      turn: yes,
      over: yes,
      /** The larger side of each copy, mm; else as large as the mark is made. */
      copy: maybe(over0(5000)),
      seed: whole(0, 2_147_483_647),
    }),
  ],
  'edit',
);
