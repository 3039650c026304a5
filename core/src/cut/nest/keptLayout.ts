import {
  applyToPoint,
  applyToRegion,
  boxCentre,
  boxHeight,
  boxOf,
  boxWidth,
  growBox,
  regionArea,
  then,
  translation,
  type Box,
  type Region,
  type Transform,
} from '../../geometry';
import { LAYOUT } from '../../facts';
import type { KeptLayout } from '../../job';
import type { Nested, Nester, NestOptions, NestPart, Nesting } from './nester';
import { checkNesting } from './checkNesting';
import type { Sheet } from './sheet';
import { quartersOf, turnBy } from './turns';

/** So much nearer to the edge than wanted is rounding, mm. */
const EDGE = 0.05;

const within = (box: Box, room: Box): boolean =>
  box.minX >= room.minX && box.maxX <= room.maxX && box.minY >= room.minY && box.maxY <= room.maxY;

/** How a copy of a part is told from the others. */
export const copyKey = ({ part, copy }: Pick<Nested, 'part' | 'copy'>): string => `${part}/${copy}`;

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

/** The same on a sheet or an offcut: for just this piece as it is now. */
export function partsKeyOn(parts: readonly NamedPart[], { from, outline }: Sheet): string {
  const box = boxOf(outline);
  const piece = from.kind === 'roll' ? '' : from.id;
  return `${partsKey(parts)} on ${piece} ${boxWidth(box).toFixed(2)} ${boxHeight(box).toFixed(2)} ${regionArea(outline).toFixed(1)}`;
}

/** Where a copy of a part lies: by how many quarters it is turned, and where the middle of the box of its outline lies, mm. */
export interface Lying {
  readonly turn: number;
  readonly x: number;
  readonly y: number;
}

/** A place as turn and middle. */
export function lyingOf(place: Transform, region: Region): Lying {
  const [x, y] = applyToPoint(place, boxCentre(boxOf(region)));
  return { turn: quartersOf(place), x, y };
}

/** Turn and middle as a place. */
export function placeOf({ turn, x, y }: Lying, region: Region): Transform {
  const [cx, cy] = boxCentre(boxOf(region));
  return then(then(translation(-cx, -cy), turnBy(turn)), translation(x, y));
}

/**
 * The newest layout that was kept for just these parts of a film.
 *
 * @param gap that is wanted between parts, mm
 */
export const keptFor = (kept: readonly KeptLayout[], film: string, key: string, gap: number): KeptLayout | undefined =>
  kept.findLast((one) => one.film === film && one.parts === key && (one.gap ?? LAYOUT.gap) === gap);

/**
 * A nesting as it is kept: for each copy how it lies.
 *
 * @param locked copies that stay where they are when others are laid round them, as `part/copy`
 */
export function placesOf(
  { nested }: Pick<Nesting, 'nested'>,
  parts: readonly NestPart[],
  locked: ReadonlySet<string> = new Set(),
): KeptLayout['places'] {
  return nested.map(({ part, copy, place }) => ({
    ...{ part, copy, ...lyingOf(place, parts[part]!.region) },
    ...(locked.has(copyKey({ part, copy })) ? { locked: true } : {}),
  }));
}

/**
 * Lays parts as a kept layout has them, where it has every copy once and all still lie on the film; else in another way.
 *
 * @param otherwise what lays parts that were not kept
 */
export const asKept =
  (kept: Pick<KeptLayout, 'places'>, otherwise: Nester): Nester =>
  (parts, sheets, options, budget) => {
    const wanted = new Set(parts.flatMap(({ copies }, part) => Array.from({ length: copies }, (_, copy) => copyKey({ part, copy }))));
    const nested: Nested[] = [];
    const room = sheets[0] && growBox(boxOf(sheets[0].outline), EDGE - options.holdDown);
    // in the order in which they are cut: along the film
    for (const { part, copy, turn, x, y } of kept.places.toSorted((a, b) => a.y - b.y || a.x - b.x)) {
      // what must not be turned is not, whenever that was said of its film
      if (!wanted.delete(copyKey({ part, copy })) || (parts[part]!.fixed && turn !== 0)) return otherwise(parts, sheets, options, budget);
      const { region } = parts[part]!;
      const place = placeOf({ turn, x, y }, region);
      // film or a machine may have become narrower since
      if (room && !within(boxOf(applyToRegion(place, region)), room)) return otherwise(parts, sheets, options, budget);
      nested.push({ part, copy, sheet: 0, place });
    }
    if (wanted.size > 0 || sheets.length === 0) return otherwise(parts, sheets, options, budget);
    return { nested, tooLarge: [] };
  };

/**
 * What a kept layout has on a sheet or an offcut: some copies or all.
 *
 * @returns nothing where they do not lie there without a fault
 */
export function asKeptOn(
  { places }: Pick<KeptLayout, 'places'>,
  parts: readonly NestPart[],
  sheet: Sheet,
  options: NestOptions,
): readonly Nested[] | undefined {
  if (places.some(({ part, copy, turn }) => copy >= (parts[part]?.copies ?? 0) || (parts[part]!.fixed && turn !== 0))) return undefined;
  const nested = places.map(({ part, copy, ...lying }): Nested => ({ part, copy, sheet: 0, place: placeOf(lying, parts[part]!.region) }));
  const faults = checkNesting({ nested, tooLarge: parts.map((_, p) => p) }, parts, [sheet], options);
  return faults.length === 0 ? nested : undefined;
}
