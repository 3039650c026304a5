import type { CoatId, Contact, GroundId, TechniqueId } from '../facts';
import type { Segment } from '../geometry';
import type { Id, JobId } from './ids';

/** The shape of a piece, mm. */
export type Shape =
  | { kind: 'flat'; width: number; height: number }
  | { kind: 'cylinder'; diameter: number; height: number }
  /** Diameters at the upper rim and at the foot; the height runs along the wall (the slant). */
  | { kind: 'taper'; rim: number; foot: number; height: number };

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
}

/** A part of the piece that takes marks: a rectangle on the (unrolled) wall, mm from the foot's centre line. */
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
}

/** One colour of a drawing that was dropped in, as outlines in the drawing's own units, y up. */
export interface DrawnPart {
  id: Id;
  colour: string;
  path: readonly Segment[];
  fill: 'nonzero' | 'evenodd';
}

export type Artwork =
  | { kind: 'text'; lines: TextLine[]; align: 'left' | 'centre' | 'right'; lineSpacing: number }
  | { kind: 'drawing'; name: string; parts: DrawnPart[]; leftOut: string[] };

/** A change to the artwork by what is wanted; it can be changed or removed later. */
export type Edit = { id: Id; kind: 'thicken'; by: number } | { id: Id; kind: 'dropSmall'; below: number; fillBelow: number };

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
  /** Centre of the mark, mm from the centre of its zone. */
  offset: { x: number; y: number };
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

/** One set of equal pieces with their zones and marks: what the user decided, nothing derived. */
export interface Job {
  id: JobId;
  name: string;
  client: string;
  count: number;
  piece: Piece;
  zones: Zone[];
  marks: Mark[];
  /** When it is wanted packed, UTC instant in ms. */
  deadline?: number;
  priority: number;
  overrides: Override[];
  createdAt: number;
  closed: boolean;
}
