import type { Static } from 'typebox';
import type * as artwork from './shapes/artwork';
import type * as job from './shapes/job';
import type * as mark from './shapes/mark';
import type * as piece from './shapes/piece';

/*
 * What the user decided, as types: each is described where its shape is defined, from which the schema of the files is written too.
 */
export type Outline = Static<typeof artwork.outline>;
export type Shape = Static<typeof piece.shape>;
export type Feature = Static<typeof piece.feature>;
export type Piece = Static<typeof piece.piece>;
export type Zone = Static<typeof piece.zone>;
export type TextLine = Static<typeof artwork.textLine>;
export type Align = Static<typeof artwork.align>;
export type DrawnPart = Static<typeof artwork.drawnPart>;
export type Artwork = Static<typeof artwork.artwork>;
export type Plate = Static<typeof artwork.plate>;
export type Spread = Static<typeof mark.spread>;
export type MarkSize = Static<typeof mark.markSize>;
export type PullAt = Static<typeof mark.pullAt>;
export type Mark = Static<typeof mark.mark>;
export type Photo = Static<typeof job.photo>;
export type PieceList = Static<typeof job.pieceList>;
export type OwnStep = Static<typeof job.ownStep>;
export type Job = Static<typeof job.job>;

/** A change to the artwork by what is wanted. */
export type Edit = Static<typeof artwork.edit>;
type WithoutId<E> = E extends unknown ? Omit<E, 'id'> : never;
export type Change = WithoutId<Edit>;
