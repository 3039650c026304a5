import Type from 'typebox';
import { COATS, CONTACTS, FEATURES, GROUNDS, LEAVABLE, SEALERS } from '../../facts';
import { outline } from './artwork';
import { colour, id, instant, list, maybe, measure, name, number, oneBy, place, record, rowOf, whole, word, yes } from './shape';

/** The shape of a piece, mm. */
export const shape = oneBy(
  'kind',
  [
    record({ kind: Type.Literal('flat'), width: measure, height: measure, outline: maybe(outline) }),
    record({ kind: Type.Literal('cylinder'), diameter: measure, height: measure }),
    /** Diameters at the upper rim and at the foot; the height runs along the wall (the slant). */
    record({ kind: Type.Literal('taper'), rim: measure, foot: measure, height: measure }),
    /** A belly: the diameter at its widest, the radius of its curve along the wall, and the height of the wall by tape, the belly in its middle. */
    record({ kind: Type.Literal('bulb'), diameter: measure, along: measure, height: measure }),
  ],
  'shape',
);

/** Something on a piece that marks keep off, or that is seen there. */
export const feature = record(
  {
    id,
    kind: rowOf(FEATURES, 'featureKind'),
    /** Middle across, mm from the middle of the front. */
    x: place,
    /** Lower edge, mm above the foot. */
    y: place,
    width: measure,
    height: measure,
    /** An ellipse in its box, else the box. */
    round: yes,
    /** Kept free around it, mm. */
    clear: measure,
  },
  'feature',
);

export const ground = rowOf(GROUNDS, 'ground');
export const contact = rowOf(CONTACTS, 'contact');
export const coat = rowOf(COATS, 'coat');

/** What the piece is for. */
const use = record({
  /** Somebody drinks from its upper rim. */
  drink: yes,
  /** Food lies on it, or a knife cuts on it. */
  food: yes,
  /** Stays dry, is hardly handled, for a short time. */
  dryShort: yes,
});

export const coats = whole(1, 5);
export const leftOut = list(word(...LEAVABLE), LEAVABLE.length);

/** What the pieces of a job are. */
export const piece = record(
  {
    name,
    shape,
    ground,
    contact,
    /** Seen colour. */
    colour,
    /** What is seen through a clear piece: a drink, a wall. */
    behind: colour,
    waxed: yes,
    use,
    /** The coat that is put on it in this job before any mark, if any. */
    coat: maybe(coat),
    /** The paint in stock that it is; the first of its kind where none is named. */
    coatPaint: maybe(id),
    /** In how many coats it comes, where not in as many as is usual. */
    coats: maybe(coats),
    /** A coat that is on it already, and when that was put on, where it is not long ago. */
    painted: maybe(record({ coat, at: maybe(instant) })),
    /** A thirsty ground that is sealed before its coat. */
    primed: maybe(yes),
    /** Usual steps of its preparation that the maker leaves out. */
    leftOut: maybe(leftOut),
    /** Whether light passes through the bare piece, where its material leaves that open; as its ground does where it is not said. */
    seeThrough: maybe(yes),
    /** A label that is on it and comes off first, by what it is made of. */
    labelled: maybe(word('paper', 'plastic')),
    /** What else it has to be freed of, or made good, before anything else: grease, dust, grooves, an old print. */
    state: maybe(list(word('greasy', 'dusty', 'grooved', 'printed'), 4)),
    /** What becomes of an old print, where it is not taken off. */
    printGoes: maybe(word('covered', 'turned')),
    /** Cloth that stretches. */
    stretches: maybe(yes),
    /** A clear sealer that goes over the finished marks, which is a school. */
    sealedAfter: maybe(rowOf(SEALERS, 'sealer')),
    /** A clear sealer over the ground or coat, put on in this job before film. */
    sealedFirst: yes,
    /** Handles, seams, holes, fittings: what marks keep off. */
    features: maybe(list(feature, 100)),
    /** Slats with gaps between: the gaps, mm. They run level, or upright. */
    slats: maybe(record({ run: word('level', 'upright'), slat: number(1, 5000), gap: number(0, 5000), first: number(0, 5000) })),
    /** Put together from several, or taken apart for the work and put together again at the end. */
    build: maybe(word('joined', 'apart')),
    /** Sizes were taken by eye. */
    byEye: maybe(yes),
    /** Several of the set were measured: the greatest less the least, mm. The least is what counts. */
    spread: maybe(number(0, 5000)),
  },
  'piece',
);

/** A part of the piece that takes marks: a box on the (unrolled) wall, or an outline in it, mm from the foot's centre line. */
export const zone = record(
  {
    id,
    name,
    /** Centre across, mm from the middle of the front. */
    x: place,
    /** Lower edge, mm above the foot. */
    y: place,
    width: measure,
    height: measure,
    /** Kept free all round, mm. */
    breathing: measure,
    /** Kept free below the upper edge of the piece, mm. */
    lipBand: measure,
    /** Not the whole box: this outline in it. */
    outline: maybe(outline),
    /** Seen colours here, where the piece is patterned: the worst of them counts. */
    colours: maybe(list(colour, 8)),
  },
  'zone',
);
