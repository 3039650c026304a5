import type { MaterialId } from './grounds';

export type SealerId = 'craft' | 'waterResisting' | 'outdoor' | 'cloth';

/** Clear sealers, by what they are made for. None makes a mark fit for food. */
export const SEALERS: Record<
  SealerId,
  {
    readonly name: string;
    /** What it holds on; on anything else it flakes or stays soft. */
    readonly on: readonly MaterialId[];
    /** Whether it may go over film. */
    readonly overFilm: boolean;
    /** What it stands once it has cured. */
    readonly stands: string;
    readonly outdoors: boolean;
    readonly washed: boolean;
  }
> = {
  craft: {
    name: 'craft sealer',
    on: ['wood', 'paper', 'masonry'],
    overFilm: true,
    stands: 'a damp cloth',
    outdoors: false,
    washed: false,
  },
  waterResisting: {
    name: 'water-resisting sealer',
    on: ['glass', 'ceramic', 'metal', 'plastic', 'wood'],
    overFilm: true,
    stands: 'hand wash; never the dishwasher, unless its own sheet says so',
    outdoors: false,
    washed: true,
  },
  outdoor: {
    name: 'outdoor varnish',
    on: ['wood', 'metal', 'masonry'],
    overFilm: true,
    stands: 'rain and sun',
    outdoors: true,
    washed: false,
  },
  cloth: { name: 'cloth sealer', on: ['cloth', 'mat'], overFilm: false, stands: 'wear and a cool wash', outdoors: false, washed: true },
};

/** Sealing over marks covers about so much of a face. */
export const SEALED_SHARE = 1 / 3;

/** How far a sealer goes beyond the edge of a mark, mm. */
export const SEALED_BEYOND = 3;
