import { distance, type Point } from './point';

/** Cells are numbered row by row, in rows of so many. */
const ROW = 2 ** 26;

/**
 * Sorts points into cells, to be asked which places lie near one.
 *
 * @param points mm, within 100 km of zero
 * @param reach mm, above 0
 * @returns whether any of the points is no further than `reach` from a place
 */
export function nearAny(points: readonly Point[], reach: number): (place: Point) => boolean {
  const cells = new Map<number, Point[]>();
  const cellOf = ([x, y]: Point) => Math.floor(y / reach) * ROW + Math.floor(x / reach);
  for (const point of points) {
    const cell = cells.get(cellOf(point));
    if (cell) cell.push(point);
    else cells.set(cellOf(point), [point]);
  }
  return (place) => {
    const middle = cellOf(place);
    for (let up = -1; up <= 1; up++)
      for (let across = -1; across <= 1; across++)
        if (cells.get(middle + up * ROW + across)?.some((point) => distance(point, place) <= reach)) return true;
    return false;
  };
}
