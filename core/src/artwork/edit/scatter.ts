import {
  applyToRegion,
  boxAround,
  boxOf,
  boxRegion,
  distance,
  intersection,
  numbersFrom,
  rotation,
  scaling,
  then,
  translation,
  type Point,
} from '../../geometry';
import type { Change } from '../../job';
import type { Layer } from '../drawMark';

/** Tries a place before a scatter counts as full. */
const TRIES = 60;

/** Where a copy goes. */
export interface Scattered {
  readonly at: Point;
  /** radians */
  readonly turn: number;
}

/**
 * Random places on a box around the origin, none nearer to another than a copy's size and the least distance: each is the best of some
 * darts (Mitchell, 1991), so that the
 * spread is even.
 *
 * @param size the diameter of the circle around a copy, mm
 * @returns up to `count` places in the order in which they were found; fewer when the box is full
 */
export function scatterPlaces(change: Extract<Change, { kind: 'scatter' }>, size: number): Scattered[] {
  const random = numbersFrom(change.seed);
  const inset = change.over ? 0 : size / 2;
  const [w, h] = [Math.max(0, change.width - 2 * inset), Math.max(0, change.height - 2 * inset)];
  const places: Scattered[] = [];
  for (let i = 0; i < change.count; i++) {
    let best: { at: Point; room: number } | undefined;
    for (let k = 0; k < TRIES; k++) {
      const at: Point = [(random() - 0.5) * w, (random() - 0.5) * h];
      const room = places.reduce((least, other) => Math.min(least, distance(other.at, at)), Infinity);
      if (!best || room > best.room) best = { at, room };
    }
    const turn = change.turn ? random() * 2 * Math.PI : 0;
    if (!best || best.room < size + change.least) break;
    places.push({ at: best.at, turn });
  }
  return places;
}

/** Copies of a mark at random places; what runs over the edge of the box is trimmed there. */
export function scatter(layers: readonly Layer[], change: Extract<Change, { kind: 'scatter' }>): Layer[] {
  const box = boxAround(layers.filter((layer) => layer.region.length > 0).map((layer) => boxOf(layer.region)));
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const size = Math.hypot(box.maxX - box.minX, box.maxY - box.minY);
  const larger = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const share = change.copy === undefined || !(larger > 0) ? 1 : change.copy / larger;
  const places = scatterPlaces(change, size * share);
  const edge = boxRegion({ minX: -change.width / 2, maxX: change.width / 2, minY: -change.height / 2, maxY: change.height / 2 });
  return layers.map(({ film, region }) => {
    const copies = places.flatMap(({ at, turn }) =>
      applyToRegion(then(then(then(translation(-middle[0], -middle[1]), scaling(share)), rotation(turn)), translation(...at)), region),
    );
    return { film, region: change.over ? intersection(copies, edge) : copies };
  });
}
