import { boxCentre, boxHeight, boxOf, boxWidth, regionArea, then, translation, type Transform } from '../../geometry';
import type { KeptLayout } from '../../job';
import type { Nested, Nester, NestPart, Nesting } from './nester';

/** Quarter turns without rounding. */
export const QUARTER_TURNS: readonly Transform[] = [
  [1, 0, 0, 1, 0, 0],
  [0, 1, -1, 0, 0, 0],
  [-1, 0, 0, -1, 0, 0],
  [0, -1, 1, 0, 0, 0],
];

/** A part of a layout that is told from others: its job and mark stay the same from plan to plan. */
export interface NamedPart extends NestPart {
  readonly job: string;
  readonly mark: string;
}

/** What a layout was found for: the same parts at the same size, so many of each. */
export const partsKey = (parts: readonly NamedPart[]): string =>
  parts
    .map(({ job, mark, copies, region }) => {
      const box = boxOf(region);
      return `${job}/${mark} ${copies} ${boxWidth(box).toFixed(2)} ${boxHeight(box).toFixed(2)} ${regionArea(region).toFixed(1)}`;
    })
    .join('; ');

/** A nesting as it is kept: for each copy its quarter turns, and where the middle of its box lies, mm. Turns that are no quarters are not kept. */
export function placesOf({ nested }: Pick<Nesting, 'nested'>, parts: readonly NestPart[]): KeptLayout['places'] {
  return nested.flatMap(({ part, copy, place }) => {
    const turn = QUARTER_TURNS.findIndex(([a, b]) => Math.abs(a - place[0]) < 1e-9 && Math.abs(b - place[1]) < 1e-9);
    const [cx, cy] = boxCentre(boxOf(parts[part]!.region));
    const [x, y] = [place[0] * cx + place[2] * cy + place[4], place[1] * cx + place[3] * cy + place[5]];
    return turn < 0 ? [] : [{ part, copy, turn, x, y }];
  });
}

/**
 * Lays parts as a kept layout has them, where it has every copy once; else in another way.
 *
 * @param otherwise what lays parts that were not kept
 */
export const asKept =
  (kept: Pick<KeptLayout, 'places'>, otherwise: Nester): Nester =>
  (parts, sheets, options, budget) => {
    const wanted = new Set(parts.flatMap(({ copies }, part) => Array.from({ length: copies }, (_, copy) => `${part}/${copy}`)));
    const nested: Nested[] = [];
    // in the order in which they are cut: along the film
    for (const { part, copy, turn, x, y } of kept.places.toSorted((a, b) => a.y - b.y || a.x - b.x)) {
      // what must not be turned is not, whenever that was said of its film
      if (!wanted.delete(`${part}/${copy}`) || (parts[part]!.fixed && turn !== 0)) return otherwise(parts, sheets, options, budget);
      const [cx, cy] = boxCentre(boxOf(parts[part]!.region));
      nested.push({ part, copy, sheet: 0, place: then(then(translation(-cx, -cy), QUARTER_TURNS[turn]!), translation(x, y)) });
    }
    if (wanted.size > 0 || sheets.length === 0) return otherwise(parts, sheets, options, budget);
    return { nested, tooLarge: [] };
  };
