import type { Film } from '../job';

/** What so much of a roll costs, in minor units; mm along the film. */
export const filmPrice = ({ width, price }: Pick<Film, 'width' | 'price'>, length: number): number =>
  Math.round((length * width * price) / 1e6);
