import type { ReadingKind } from '../job';

/** Why there was a stop, as one says that one went ahead although it was so. */
const ALTHOUGH: Partial<Record<ReadingKind, string>> = {
  bulb: 'a part of it is too stout for the curve',
  cold: 'it is too cold for film',
  contrast: 'it hardly shows',
  date: 'it will be late',
  empty: 'nothing is left to cut',
  film: 'there is too little film',
  filmgone: 'its film is not here',
  food: 'food or lips touch it',
  glyphs: 'letters are missing',
  grip: 'no tape is gentle enough',
  names: 'names are too large',
  paint: 'it has no paint',
  size: 'it does not fit',
  small: 'parts of it will be lost',
  stick: 'film hardly holds there',
  terms: 'its terms do not allow it',
  thin: 'strokes of it are too thin',
  wax: 'the ground is waxed',
  wide: 'it is wider than the film',
  zone: 'there is no room for it',
};

/** What is noted of a stop that somebody went ahead against. */
export const wentAhead = (kind: ReadingKind): string => `You went ahead although ${ALTHOUGH[kind] ?? 'there was a stop'}`;
