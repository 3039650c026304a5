import {
  boxHeight,
  boxOf,
  boxWidth,
  offset,
  regionArea,
  regionOf,
  signedArea,
  sidesCross,
  simplifyRing,
  type Point,
  type Ring,
} from '../geometry';
import { good, refused, type Result } from '../units';
import type { FilmPiece } from './shop';

/** Smaller film is no use, mm². */
const LEAST_AREA = 100;
/** More corners than this come from a cut: they are not moved by hand. */
export const MOST_CORNERS = 40;

/** The corners of a sheet or an offcut, counter-clockwise, mm from the lower left corner of its box. */
export const pieceCorners = ({ outline, width, length }: Pick<FilmPiece, 'outline' | 'width' | 'length'>): Ring =>
  outline?.[0]?.outer ?? [
    [0, 0],
    [width, 0],
    [width, length],
    [0, length],
  ];

const tenth = (n: number): number => Math.round(n * 10) / 10;

/**
 * A piece with other corners: holes in it stay, and its box is measured anew.
 *
 * @param corners either way round, mm
 * @returns the size and the outline that the piece has then; a problem where sides cross or next to nothing is left
 */
export function withCorners(piece: FilmPiece, corners: Ring): Result<Pick<FilmPiece, 'width' | 'length' | 'outline'>> {
  const ring = corners.map(([x, y]): Point => [tenth(x), tenth(y)]);
  if (sidesCross(ring))
    return refused(
      'The sides of the offcut would cross.',
      'sides that meet at corners only',
      'offcut',
      'Move that corner elsewhere, or take it out.',
    );
  const area = signedArea(ring);
  if (Math.abs(area) < LEAST_AREA)
    return refused('Next to nothing of the offcut would be left.', 'at least 1 cm²', 'offcut', 'Move that corner further out.');
  const box = boxOf([{ outer: ring, holes: [] }]);
  const to = ([x, y]: Point): Point => [tenth(x - box.minX), tenth(y - box.minY)];
  const outer = (area > 0 ? ring : ring.toReversed()).map(to);
  const holes = (piece.outline?.[0]?.holes ?? []).map((hole) => hole.map(to));
  return good({ width: tenth(boxWidth(box)), length: tenth(boxHeight(box)), outline: [{ outer, holes }] });
}

/** Outlines on photos are made simpler by so much at first, and by twice as much until they have few enough corners, mm. */
const SIMPLER = 0.8;

/**
 * The corners of an outline that was found on a photo: few enough to be moved by hand, and nowhere outside it, for film that is not there is not cut.
 *
 * @param ring mm, either way round
 * @returns a problem where next to nothing is left
 */
export function cornersFrom(ring: Ring): Result<Ring> {
  for (let by = SIMPLER; ; by *= 2) {
    const [largest] = offset(regionOf([ring]), -by).toSorted((a, b) => regionArea([b]) - regionArea([a]));
    if (!largest || regionArea([largest]) < LEAST_AREA)
      return refused('Next to nothing of the offcut was found.', 'an outline of at least 1 cm²', 'photo', 'Press on the film again.');
    const corners = simplifyRing(largest.outer, by);
    if (corners.length <= MOST_CORNERS) return good(corners);
  }
}
