import { FILM_KINDS, LIMITS, TECHNIQUES } from '../facts';
import { boxOf, partArea, pointInRing, signedArea, thinPlaces, type Point, type Region } from '../geometry';
import type { Film, Mark } from '../job';
import type { Layer } from '../artwork';
import { keptFilm } from './inspectMark';

/** What an inspection shows in its place, mm in the plane of the layers given. */
export interface InspectionMap {
  /** Thin strokes, against what their film keeps. */
  readonly strokes: readonly { readonly at: Point; readonly width: number; readonly limit: number }[];
  /** Parts so small that they are lost, and counters so small that they stay closed. */
  readonly lost: readonly { readonly at: Point; readonly radius: number }[];
  readonly closed: readonly { readonly at: Point; readonly radius: number }[];
  /** Parts that lie within a counter of another. */
  readonly islands: number;
  readonly shapes: number;
  readonly counters: number;
  /** Pieces of waste that come off. */
  readonly waste: number;
  /** Where shapes of one film lie over each other and are joined. */
  readonly overlaps: Region;
}

const around = (region: Region): { at: Point; radius: number } => {
  const box = boxOf(region);
  return { at: [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2], radius: Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2 };
};

/**
 * Looks over the layers of a mark for what is hard to weed or will not stay.
 *
 * @param layers as they are cut, mm
 * @param films the shop's; layers of unknown film are passed over
 * @param overlaps from `overlapsOn`
 */
export function inspectPlaces(
  layers: readonly Layer[],
  mark: Pick<Mark, 'technique'>,
  films: readonly Film[],
  overlaps: Region = [],
): InspectionMap {
  const known = layers.flatMap(({ film: id, region }) => {
    const film = films.find((f) => f.id === id);
    return film && region.length > 0 ? [{ region, limit: FILM_KINDS[film.kind].leastStroke.typical }] : [];
  });
  const shapes = TECHNIQUES[mark.technique].kept === 'shapes';
  const [least, open] = shapes ? [LIMITS.smallPart, LIMITS.smallCounter] : [LIMITS.smallCounter, LIMITS.smallPart];
  const parts = known.flatMap(({ region }) => region);
  const holes = parts.flatMap((part) => part.holes);
  const islands = known.reduce(
    (sum, { region }) =>
      sum +
      region.filter((part) => region.some((other) => other !== part && other.holes.some((hole) => pointInRing(part.outer[0]!, hole))))
        .length,
    0,
  );
  return {
    strokes: known.flatMap(({ region, limit }) =>
      thinPlaces(keptFilm(region, mark), limit * 1.25, LIMITS.tip).map((place) => ({ ...place, limit })),
    ),
    lost: parts.filter((part) => partArea(part) < least).map((part) => around([part])),
    closed: holes.filter((hole) => Math.abs(signedArea(hole)) < open).map((hole) => around([{ outer: hole, holes: [] }])),
    islands,
    shapes: parts.length,
    counters: holes.length,
    waste: shapes ? holes.length + known.length : parts.length,
    overlaps,
  };
}
