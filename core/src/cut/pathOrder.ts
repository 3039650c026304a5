import { boxOf, pointInRing, type Point, type Ring } from '../geometry';
import { Tour, type Entry } from './tour';

/** So often the order and the points of entry are made better in turn. */
const PASSES = 6;
/** Of more outlines only the nearest next is looked for, and of still more nothing: that takes too long. */
const MANY = { better: 1500, any: 5000 } as const;

/**
 * For each outline those that have to be cut before it, since they lie in it: a part that is cut out may shift, and what lies in it with it.
 */
export function insideFirst(rings: readonly Ring[]): number[][] {
  const boxes = rings.map((ring) => boxOf([{ outer: ring, holes: [] }]));
  return rings.map((outer, o) => {
    const box = boxes[o]!;
    return rings.flatMap((inner, i) => {
      const own = boxes[i]!;
      const within = i !== o && own.minX >= box.minX && own.maxX <= box.maxX && own.minY >= box.minY && own.maxY <= box.maxY;
      return within && pointInRing(inner[0]!, outer) ? [i] : [];
    });
  });
}

/**
 * An order in which closed outlines are cut with little travel, each begun where that is shortest: the nearest that may be cut, then the best
 * points of entry, then stretches turned and moved (Or, 1976; Lin, 1965) in turn with these.
 *
 * @param rings mm
 * @param before for each outline those that have to be cut before it, which must not lead round in a circle
 * @param home where the knife comes from; where it goes afterwards counts for nothing
 * @returns every outline once, those that lie in others before them
 */
export function orderContours(
  rings: readonly Ring[],
  before: readonly (readonly number[])[] = insideFirst(rings),
  home: Point = [0, 0],
): Entry[] {
  if (rings.length === 0) return [];
  if (rings.length > MANY.any) return asGiven(rings, before);
  const tour = new Tour(rings, before, home);
  tour.enter();
  for (let pass = 0; pass < PASSES && rings.length <= MANY.better; pass++) {
    const was = tour.length;
    tour.better();
    tour.enter();
    if (tour.length > was - 0.01) break;
  }
  return tour.entries();
}

/** The order in which they are given, what has to be cut before an outline before it. */
function asGiven(rings: readonly Ring[], before: readonly (readonly number[])[]): Entry[] {
  const seen = new Set<number>();
  const order: Entry[] = [];
  const take = (contour: number): void => {
    if (seen.has(contour)) return;
    seen.add(contour);
    for (const b of before[contour]!) take(b);
    order.push({ contour, start: 0 });
  };
  for (const contour of rings.keys()) take(contour);
  return order;
}

/** mm with the knife up along an order. */
export function travelOf(rings: readonly Ring[], entries: readonly Entry[], [x0, y0]: Point = [0, 0]): number {
  let [x, y] = [x0, y0];
  let sum = 0;
  for (const { contour, start } of entries) {
    const [px, py] = rings[contour]![start]!;
    sum += Math.hypot(px - x, py - y);
    [x, y] = [px, py];
  }
  return sum;
}
