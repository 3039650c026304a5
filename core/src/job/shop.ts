import type { Static } from 'typebox';
import type { hours } from './shapes/hours';
import type * as shop from './shapes/shop';

/* What a workshop is and has, as types: each is described where its shape is defined, from which the schema of the files is written too. */
export type Film = Static<typeof shop.film>;
export type Tape = Static<typeof shop.tape>;
export type Paint = Static<typeof shop.paint>;
export type Machine = Static<typeof shop.machine>;
export type Hours = Static<typeof hours>;
export type Climate = Static<typeof shop.climate>;
export type ShelfItem = Static<typeof shop.shelfItem>;
export type OwnBlank = Static<typeof shop.ownBlank>;
export type OwnFace = Static<typeof shop.ownFace>;
export type FilmPiece = Static<typeof shop.filmPiece>;
export type KeptLayout = Static<typeof shop.keptLayout>;
export type Supply = Static<typeof shop.supply>;
export type Carrier = Static<typeof shop.carrier>;
export type Press = Static<typeof shop.press>;
export type JobPattern = Static<typeof shop.pattern>;
export type Pressing = Static<typeof shop.pressing>;
export type Habit = Static<typeof shop.habit>;
export type Shop = Static<typeof shop.shop>;
