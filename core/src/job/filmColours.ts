import type { Film } from './shop';

/** All colours that one may see of a film, #rrggbb: of a patterned or colour-changing one more than one. */
export const filmColours = ({ colour, colours }: Pick<Film, 'colour' | 'colours'>): readonly string[] =>
  colours?.length ? [...new Set([colour, ...colours])] : [colour];
