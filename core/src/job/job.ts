import type { CoatId, Contact, FeatureKind, GroundId, TechniqueId } from '../facts';
import type { Point, Ring, Segment } from '../geometry';
import type { Id, JobId } from './ids';

/** An outline within a box, in shares of its width and height from its lower left, y up: what is drawn so stretches with what was measured. */
export type Outline =
  /** Corners rounded by mm. */
  | { kind: 'rounded'; radius: number }
  | { kind: 'ellipse' }
  /** Closed rings, even-odd: the inner ones are cut-outs. */
  | { kind: 'drawn'; name: string; rings: readonly Ring[] };

/** The shape of a piece, mm. */
export type Shape =
  | { kind: 'flat'; width: number; height: number; outline?: Outline }
  | { kind: 'cylinder'; diameter: number; height: number }
  /** Diameters at the upper rim and at the foot; the height runs along the wall (the slant). */
  | { kind: 'taper'; rim: number; foot: number; height: number }
  /** A belly: the diameter at its widest, the radius of its curve along the wall, and the height of the wall by tape, the belly in its middle. */
  | { kind: 'bulb'; diameter: number; along: number; height: number };

/** Something on a piece that marks keep off, or that is seen there. */
export interface Feature {
  id: Id;
  kind: FeatureKind;
  /** Middle across, mm from the middle of the front. */
  x: number;
  /** Lower edge, mm above the foot. */
  y: number;
  width: number;
  height: number;
  /** An ellipse in its box, else the box. */
  round: boolean;
  /** Kept free around it, mm. */
  clear: number;
}

/** What the piece is for. */
export interface Use {
  /** Somebody drinks from its upper rim. */
  drink: boolean;
  /** Food lies on it, or a knife cuts on it. */
  food: boolean;
  /** Stays dry, is hardly handled, for a short time. */
  dryShort: boolean;
}

/** What the pieces of a job are. */
export interface Piece {
  name: string;
  shape: Shape;
  ground: GroundId;
  contact: Contact;
  /** Seen colour, #rrggbb. */
  colour: string;
  /** What is seen through a clear piece, #rrggbb: a drink, a wall. */
  behind: string;
  waxed: boolean;
  use: Use;
  /** The coat that is put on it in this job before any mark, if any. */
  coat?: CoatId;
  /** A clear sealer over the ground or coat, put on in this job before film. */
  sealedFirst: boolean;
  /** Handles, seams, holes, fittings: what marks keep off. */
  features?: Feature[];
  /** Slats with gaps between: the gaps, mm. They run level, or upright. */
  slats?: { run: 'level' | 'upright'; slat: number; gap: number; first: number };
  /** Put together from several, or taken apart for the work and put together again at the end. */
  build?: 'joined' | 'apart';
  /** Sizes were taken by eye. */
  byEye?: boolean;
  /** Several of the set were measured: the greatest less the least, mm. The least is what counts. */
  spread?: number;
}

/** A part of the piece that takes marks: a box on the (unrolled) wall, or an outline in it, mm from the foot's centre line. */
export interface Zone {
  id: Id;
  name: string;
  /** Centre across, mm from the middle of the front. */
  x: number;
  /** Lower edge, mm above the foot. */
  y: number;
  width: number;
  height: number;
  /** Kept free all round, mm. */
  breathing: number;
  /** Kept free below the upper edge of the piece, mm. */
  lipBand: number;
  /** Not the whole box: this outline in it. */
  outline?: Outline;
  /** Seen colours here, #rrggbb, where the piece is patterned: the worst of them counts. */
  colours?: string[];
}

export interface TextLine {
  id: Id;
  text: string;
  /** A face that ships. */
  face: string;
  /** Size against the other lines. */
  scale: number;
  /** Space between letters, em. */
  spacing: number;
  /** Space added after single letters, em, by the letter's place in the line. */
  pairs?: { [letter: string]: number };
  /** Letters are moved together until they touch. */
  joined?: boolean;
}

/** How lines of text are set against each other. */
export type Align =
  | 'left'
  | 'centre'
  | 'right' /** Letters spread until all lines are as wide. */
  | 'justified' /** Lines made as wide as the widest. */
  | 'stacked';

/** One colour of a drawing that was dropped in, as outlines in the drawing's own units, y up. */
export interface DrawnPart {
  id: Id;
  colour: string;
  path: readonly Segment[];
  fill: 'nonzero' | 'evenodd';
}

export type Artwork =
  | {
      kind: 'text';
      lines: TextLine[];
      align: Align;
      lineSpacing: number;
      /** Set along an arc that spans so many degrees, its middle on top; below 0 the arc hangs. */
      arc?: number;
    }
  | {
      kind: 'drawing';
      name: string;
      parts: DrawnPart[];
      leftOut: string[];
      /** Parts that are left out of the mark, by id. */
      dropped?: Id[];
      /** The piece of artwork on the shelf that it came from. */
      shelf?: Id;
    };

/** A change to the artwork by what is wanted; it can be changed or removed later. */
export type Edit = { id: Id } & Change;
export type Change =
  | { kind: 'thicken'; by: number }
  | { kind: 'dropSmall'; below: number; fillBelow: number }
  /** Everything in one film, gaps under `gap` mm closed. */
  | { kind: 'oneOutline'; gap: number }
  /** A plate around the mark out of which it is taken, so that the ground shows through. */
  | { kind: 'showGround'; plate: Plate; margin: number }
  /** A second film behind, larger by `by` mm all round. */
  | { kind: 'backing'; film: Id; by: number }
  /** Only the outer edge: counters are filled. */
  | { kind: 'silhouette' }
  /** Parted across by a gap for another line: its middle as a share of the height, from below, and mm. */
  | { kind: 'part'; at: number; gap: number }
  /** A line around, mm wide, so far off. */
  | { kind: 'frame'; plate: Plate; margin: number; width: number; film?: Id }
  /** Wider or narrower, taller or lower. */
  | { kind: 'stretch'; across: number; up: number }
  /** Copies in rows, so far apart. */
  | { kind: 'repeat'; across: number; up: number; gap: number }
  /** Copies at random places on a box, no nearer to each other than `least` mm. */
  | { kind: 'scatter'; count: number; width: number; height: number; least: number; turn: boolean; over: boolean; seed: number };
export type Plate = 'box' | 'rounded' | 'ellipse';

/** Copies of a mark on its piece. */
export type Spread =
  /** So many round the wall at equal pitch, the seam in a gap. */
  | { kind: 'round'; count: number }
  /** So many side by side in the zone at equal pitch, or mirrored in pairs. */
  | { kind: 'row'; count: number; mirrored: boolean }
  /** One in each corner of the zone, turned as they stand or mirrored. */
  | { kind: 'corners'; mirrored: boolean };

export type MarkSize = { mode: 'largest' } | { mode: 'width'; width: number } | { mode: 'height'; height: number };

/** When the stencil comes off: three schools. */
export type PullAt = 'halfDry' | 'nearlyDry' | 'dry';

/** What goes on a zone. */
export interface Mark {
  id: Id;
  name: string;
  zone: Id;
  technique: TechniqueId;
  artwork: Artwork;
  edits: Edit[];
  /** Film of each colour of a drawing; text and colours not named here use `film`. `null` leaves a colour out. */
  colourFilms: { [colour: string]: Id | null };
  film: Id;
  /** Artwork turned left to right. */
  flip: boolean;
  /** On a taper: left straight instead of bent so that its lines read level. */
  straight?: boolean;
  /** Put on the far side of a clear piece and seen through it. */
  seenThrough: boolean;
  size: MarkSize;
  /** Centre of the mark, mm from the centre of its zone, or from where `hold` holds it. */
  offset: { x: number; y: number };
  /** What it is held against: sides of the zone; the middle where not named. */
  hold?: { x?: 'left' | 'right'; y?: 'foot' | 'top' };
  /** Turned counter-clockwise, degrees; or as it becomes largest. */
  turn?: number | 'best';
  /** Centred by the middle of its area, not of its box. */
  optical?: boolean;
  /** Runs over the edge and is trimmed there. */
  overEdge?: boolean;
  /** Copies on the piece. */
  spread?: Spread;
  /** Where there is a list: every piece's words at one size, or each as large as fits. */
  sizes?: 'same' | 'each';
  /** Its films go down as one with the tape, or one by one. */
  lift?: 'one' | 'apart';
  /** The contrast is low on purpose. */
  subtle: boolean;
  /** Stencils: the paint, its coats, and when the film comes off. */
  paint?: Id;
  coats: number;
  pullAt: PullAt;
}

/** A stop that the user answers for. */
export interface Override {
  /** The reading's kind and place, as `Reading.id`. */
  reading: string;
  reason: string;
}

/** A photo of the piece, with what makes it a measure. Points are pixels from its upper left. */
export interface Photo {
  name: string;
  /** As a data URL, made small enough to keep. */
  data: string;
  width: number;
  height: number;
  known:
    | { kind: 'sheet'; corners: readonly Point[]; width: number; height: number }
    | { kind: 'length'; ends: readonly [Point, Point]; length: number };
  /** The piece's face on it, as a box in mm of the measured plane: marks are shown there. */
  face?: { x: number; y: number; width: number; height: number };
}

/** A list of what differs from piece to piece: words by column, and measures where the piece is not like the others. */
export interface PieceList {
  columns: string[];
  rows: { id: Id; cells: string[]; width?: number; height?: number }[];
}

/** One set of equal pieces with their zones and marks: what the user decided, nothing derived. */
export interface Job {
  id: JobId;
  name: string;
  client: string;
  count: number;
  piece: Piece;
  zones: Zone[];
  marks: Mark[];
  /** One row a piece; words in braces, as in {name}, are taken from it. */
  list?: PieceList;
  photo?: Photo;
  /** Made to be sold: artwork and faces have to allow it. */
  forSale?: boolean;
  /** When it is wanted packed, UTC instant in ms. */
  deadline?: number;
  priority: number;
  overrides: Override[];
  createdAt: number;
  closed: boolean;
}
