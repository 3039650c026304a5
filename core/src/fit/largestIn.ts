import type { Layer } from '../artwork';
import type { Usable } from '../blanks';
import {
  boxCentre,
  boxRegion,
  convexHull,
  offset,
  regionArea,
  regionCentre,
  simplifyRing,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import type { Mark } from '../job';
import { largestFit } from './largestFit';
import { largestFitAnywhere } from './largestFitAnywhere';
import { largestFitRound } from './largestFitRound';
import { counterRings, outerRings } from './shapeMark';

/** How large a mark is to be made, before it is placed. */
export interface Sizing {
  /** Against the drawn mark. */
  readonly scale: number;
  /** Where its middle goes on the wall, mm. */
  readonly at: Point;
  /** Widest that the true outline allows with the breathing room, mm; 0 when nothing fits. */
  readonly largestWidth: number;
}

/** What of a mark decides its scale. */
export type Scaled = Pick<Mark, 'edits' | 'size' | 'optical'>;

/** How large a mark becomes, with what its placing needs to know. */
export interface MarkScale {
  /** Against the drawn mark. */
  readonly scale: number;
  /** mm at this scale, with its changes; 0 for a mark with nothing to cut. */
  readonly width: number;
  readonly height: number;
  /** From the middle of its box to where its middle is seen, mm. */
  readonly heavy: Point;
  /** Where it becomes as large as that, where that is not the middle of the zone. */
  readonly found?: Point;
  /** As `Sizing.largestWidth`. */
  readonly largestWidth: number;
}

/** A convex zone is rounded off by so little, mm, and what is hollow by no more counts as convex. */
const CONVEX_FINE_MM = 0.05;

/** How far a point lies within a convex ring that runs counter-clockwise, mm; below 0 outside. */
const depthIn = ([x, y]: Point, ring: Ring): number =>
  ring.reduce((least, [ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!;
    const length = Math.sqrt((bx - ax) ** 2 + (by - ay) ** 2);
    return length > 0 ? Math.min(least, ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / length) : least;
  }, Infinity);

/** A zone shrunk once more, with its ring where it is convex. */
interface Shrunk {
  readonly region: Region;
  readonly convex?: Ring;
}

const zones = new WeakMap<Usable, Map<number, Shrunk | undefined>>();

/** What a zone leaves, shrunk once more; it is never changed, so each is looked at once. */
export function zoneFor(usable: Usable, margin: number): Shrunk | undefined {
  const known = zones.get(usable) ?? new Map<number, Shrunk | undefined>();
  zones.set(usable, known);
  if (!known.has(margin)) known.set(margin, shrunkZone(usable, margin));
  return known.get(margin);
}

function shrunkZone(usable: Usable, margin: number): Shrunk | undefined {
  if (!usable.inner) return undefined;
  const region = usable.room ?? boxRegion(usable.inner);
  const [only, ...others] = region;
  if (only && others.length === 0 && only.holes.length === 0) {
    // corners taken off lie inside: what fits still does
    const hull = simplifyRing(convexHull(only.outer), CONVEX_FINE_MM);
    // a notch costs room however small its share of the zone is
    if (only.outer.every((p) => depthIn(p, hull) <= CONVEX_FINE_MM)) return { region, convex: hull };
  }
  const shrunk = margin > 0 ? offset(region, -margin) : region;
  return shrunk.length > 0 ? { region: shrunk } : undefined;
}

/** The largest fit of an outline in what a zone leaves, and where. */
export function largestIn(
  outline: readonly Point[],
  layers: readonly Layer[],
  usable: Usable,
  margin: number,
  at?: Point,
): { scale: number; at?: Point } {
  const zone = zoneFor(usable, margin);
  if (!zone || outline.length < 3) return { scale: 0 };
  if (zone.convex) return largestFit(outline, zone.convex, margin, at);
  const rings = outerRings(layers);
  const beside = largestFitAnywhere(rings, zone.region, at ? { at } : {});
  const round = largestFitRound(rings, counterRings(layers), zone.region, beside.scale, at);
  return round ? { scale: round.scale, at: round.at } : { scale: beside.scale, at: beside.at };
}

/** What of a mark decides where it lies. */
export type Placed = Pick<Mark, 'size' | 'offset' | 'hold'>;

/** Where a mark's middle goes: the middle of its zone or the sides that it is held against, and its own shift from there. */
export function placeOf(mark: Placed, usable: Usable, width: number, height: number, found: Point | undefined, heavy: Point): Point {
  const box = usable.inner ?? usable.clear;
  const [mx, my] = boxCentre(box);
  const { hold, offset: shift } = mark;
  const moved = shift.x !== 0 || shift.y !== 0;
  const free = mark.size.mode === 'largest' && usable.room && !moved && !hold && found;
  const [x, y] = free ? found : [mx - heavy[0], my - heavy[1]];
  return [
    (hold?.x === 'left' ? box.minX + width / 2 : hold?.x === 'right' ? box.maxX - width / 2 : x) + shift.x,
    (hold?.y === 'foot' ? box.minY + height / 2 : hold?.y === 'top' ? box.maxY - height / 2 : y) + shift.y,
  ];
}

/** From the middle of the box to the middle of the area, mm. */
export function heavyOf(layers: readonly Layer[], scale: number): Point {
  const filled = layers.filter((layer) => layer.region.length > 0);
  const total = filled.reduce((sum, layer) => sum + regionArea(layer.region), 0);
  if (!(total > 0)) return [0, 0];
  return filled.reduce<Point>(
    ([x, y], { region }) => {
      const [cx, cy] = regionCentre(region);
      const share = (regionArea(region) / total) * scale;
      return [x + cx * share, y + cy * share];
    },
    [0, 0],
  );
}
