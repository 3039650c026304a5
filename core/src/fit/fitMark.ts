import { applyEdits, reshapes, thickenedBy, type DrawnMark, type Layer } from '../artwork';
import {
  applyToPoint,
  applyToRegion,
  boxAround,
  boxCentre,
  boxHeight,
  boxOf,
  boxOfPoints,
  boxRegion,
  boxWidth,
  convexHull,
  growBox,
  offset,
  regionArea,
  regionCentre,
  ringsOf,
  rotation,
  scaling,
  signedArea,
  simplifyRing,
  translation,
  type Box,
  type Point,
  type Region,
  type Ring,
} from '../geometry';
import type { Usable } from '../blanks';
import type { Mark } from '../job';
import { largestFit } from './largestFit';
import { largestFitAnywhere } from './largestFitAnywhere';

/** How large a mark is to be made, before it is placed. */
export interface Sizing {
  /** Against the drawn mark. */
  readonly scale: number;
  /** Where its middle goes on the wall, mm. */
  readonly at: Point;
  /** Widest that the true outline allows with the breathing room, mm; 0 when nothing fits. */
  readonly largestWidth: number;
}

/** A mark at its size and place on the wall, mm. */
export interface FittedMark extends Sizing {
  readonly layers: readonly Layer[];
  readonly box: Box;
  readonly width: number;
  readonly height: number;
}

/** The drawn mark's outer points: all that its fit in a convex zone depends on. */
export const outlinePoints = (drawn: Pick<DrawnMark, 'layers'>): Point[] => [
  ...convexHull(drawn.layers.flatMap((layer) => ringsOf(layer.region).flat())),
];

/** The drawn mark's outer rings: what its fit in any other zone depends on. A ring within another is left out. */
export const outerRings = (layers: readonly Layer[]): Ring[] => layers.flatMap((layer) => layer.region.map((part) => part.outer));

/** A drawn mark turned counter-clockwise, radians, around its own middle again. */
export function turnDrawn(drawn: DrawnMark, angle: number): DrawnMark {
  if (Math.abs(angle) < 1e-9 || drawn.layers.length === 0) return drawn;
  const turned = drawn.layers.map(({ film, region }) => ({ film, region: applyToRegion(rotation(angle), region) }));
  const box = boxAround(turned.map((layer) => boxOf(layer.region)));
  const [cx, cy] = boxCentre(box);
  return {
    ...drawn,
    layers: turned.map(({ film, region }) => ({ film, region: applyToRegion(translation(-cx, -cy), region) })),
    width: boxWidth(box),
    height: boxHeight(box),
  };
}

/** Turns looked at when any is allowed. */
const TURNS = 90;

/**
 * The turn at which a mark becomes largest, radians; upright where that is as good.
 *
 * @param outline from `outlinePoints`
 */
export function bestTurn(outline: readonly Point[], rings: readonly Ring[], usable: Usable): number {
  const zone = usable.inner && zoneFor(usable, 0);
  if (!zone || outline.length < 3) return 0;
  if (!zone.convex) return largestFitAnywhere(rings, zone.region, { turn: true, starts: 120 }).turn;
  const scaleAt = (turn: number) =>
    largestFit(
      outline.map((p) => applyToPoint(rotation(turn), p)),
      zone.convex!,
      0,
    ).scale;
  let [best, most] = [0, scaleAt(0) * (1 + 1e-6)];
  for (let i = 1; i < TURNS; i++) {
    const scale = scaleAt((i * 2 * Math.PI) / TURNS);
    if (scale > most) [best, most] = [(i * 2 * Math.PI) / TURNS, scale];
  }
  for (let step = Math.PI / TURNS; step > 1e-5; step /= 2) {
    for (const turn of [best + step, best - step]) {
      const scale = scaleAt(turn);
      if (scale > most) [best, most] = [turn, scale];
    }
  }
  return best;
}

/** A convex zone is rounded off by so little, mm. */
const CONVEX_FINE_MM = 0.05;

/** A zone shrunk once more, with its ring where it is convex. */
function zoneFor(usable: Usable, margin: number): { region: Region; convex?: Ring } | undefined {
  if (!usable.inner) return undefined;
  const region = usable.room ?? boxRegion(usable.inner);
  const [only, ...others] = region;
  if (only && others.length === 0 && only.holes.length === 0) {
    // corners taken off lie inside: what fits still does
    const hull = simplifyRing(convexHull(only.outer), CONVEX_FINE_MM);
    if (Math.abs(Math.abs(signedArea(hull)) - Math.abs(signedArea(only.outer))) < 2e-3 * Math.abs(signedArea(hull)))
      return { region, convex: hull };
  }
  const shrunk = margin > 0 ? offset(region, -margin) : region;
  return shrunk.length > 0 ? { region: shrunk } : undefined;
}

/** The largest fit of an outline in what a zone leaves, and where. */
function largestIn(
  outline: readonly Point[],
  rings: () => readonly Ring[],
  usable: Usable,
  margin: number,
  at?: Point,
): { scale: number; at?: Point } {
  const zone = zoneFor(usable, margin);
  if (!zone || outline.length < 3) return { scale: 0 };
  if (zone.convex) return largestFit(outline, zone.convex, margin, at);
  const fit = largestFitAnywhere(rings(), zone.region, at ? { at } : {});
  return { scale: fit.scale, at: fit.at };
}

/** Where a mark's middle goes: the middle of its zone or the sides that it is held against, and its own shift from there. */
function placeOf(mark: Mark, usable: Usable, width: number, height: number, found: Point | undefined, heavy: Point): Point {
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

/**
 * How large a mark becomes, and where its middle goes.
 *
 * @param drawn the mark around its own middle
 * @param outline its outer points, from `outlinePoints`
 * @param mark the user's size, place and changes
 * @param usable what the zone leaves
 * @param shapeAt the layers with their changes at a scale; asked for only where changes alter the size unevenly
 */
export function sizeMark(
  drawn: DrawnMark,
  outline: readonly Point[],
  mark: Mark,
  usable: Usable,
  shapeAt: (scale: number) => readonly Layer[] = (scale) => shapeMark(drawn, scale, mark),
): Sizing {
  if (drawn.layers.length === 0) return { scale: 1, at: boxCentre(usable.inner ?? usable.clear), largestWidth: 0 };
  const uneven = reshapes(mark.edits);
  const thick = uneven ? 0 : thickenedBy(mark.edits);
  const rings = () => outerRings(drawn.layers);
  const plain = largestIn(outline, rings, usable, thick);
  if (uneven) return sizeUneven(drawn, mark, usable, plain.scale, shapeAt);
  const sized = (scale: number): Sizing => {
    const [width, height] = [scale * drawn.width + 2 * thick, scale * drawn.height + 2 * thick];
    const heavy: Point = mark.optical ? heavyOf(drawn.layers, scale) : [0, 0];
    return {
      scale,
      at: placeOf(mark, usable, width, height, plain.at, heavy),
      largestWidth: plain.scale > 0 ? plain.scale * drawn.width + 2 * thick : 0,
    };
  };
  const typed = (side: number, own: number) => Math.max(0.01, (side - 2 * thick) / own);
  if (mark.size.mode === 'width') return sized(typed(mark.size.width, drawn.width));
  if (mark.size.mode === 'height') return sized(typed(mark.size.height, drawn.height));
  const first = sized(Math.max(plain.scale, 0.001));
  const moved = mark.offset.x !== 0 || mark.offset.y !== 0 || mark.optical;
  if (!moved || plain.scale <= 0 || mark.hold) return first;
  const here = largestIn(outline, rings, usable, thick, first.at).scale;
  return { ...first, scale: Math.max(here, 0.001) };
}

/** From the middle of the box to the middle of the area, mm. */
function heavyOf(layers: readonly Layer[], scale: number): Point {
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

/** Hulls are kept with this much of their size off at most. */
const HULL_FINE = 2e-4;

/**
 * The changes made to the hulls of the layers only: where a mark lies in a convex zone is decided by its hull, and changes treat a hull as they treat what is in it. Not for a
 * mark that is parted, whose halves move.
 */
function lightShapes(drawn: DrawnMark, mark: Mark, usable: Usable): ((scale: number) => readonly Layer[]) | undefined {
  if (mark.optical || mark.edits.some((edit) => edit.kind === 'part') || (usable.inner && !zoneFor(usable, 0)?.convex)) return undefined;
  return hullShapes(drawn, mark);
}

/** The layers of a mark as hulls, with their changes, at a scale: all that its box depends on. */
export function hullShapes(drawn: DrawnMark, mark: Mark): (scale: number) => readonly Layer[] {
  const fine = Math.max(drawn.width, drawn.height) * HULL_FINE;
  const layers = drawn.layers.map(({ film, region }) => {
    const outer = simplifyRing(convexHull(region.flatMap((part) => part.outer)), fine);
    return { film, region: outer.length >= 3 ? [{ outer, holes: [] }] : region };
  });
  return (scale) => shapeMark({ ...drawn, layers }, scale, mark);
}

/** Sizes a mark whose changes add mm of their own: each side of it is a times the scale and b more, found from two scales and checked at a third. */
function sizeUneven(drawn: DrawnMark, mark: Mark, usable: Usable, start: number, fullShapeAt: (scale: number) => readonly Layer[]): Sizing {
  const shapeAt = lightShapes(drawn, mark, usable) ?? fullShapeAt;
  const boxAt = (scale: number) => boxAround(shapeAt(scale).filter((l) => l.region.length > 0).map((l) => boxOf(l.region))); // prettier-ignore
  const fitAt = (scale: number) => {
    const layers = shapeAt(scale);
    return largestIn(outlinePoints({ layers }), () => outerRings(layers), usable, 0);
  };
  // 1 where it just fits, above where it is too large
  const solve = (load: (scale: number) => number, guess: number): number => {
    let [s0, s1] = [guess, guess * 0.8];
    let [l0, l1] = [load(s0), load(s1)];
    for (let i = 0; i < 6 && Math.abs(l1 - 1) > 2e-5; i++) {
      const slope = (l1 - l0) / (s1 - s0);
      if (!Number.isFinite(slope) || slope <= 1e-12) break;
      const next = Math.max(s1 / 20, s1 + (1 - l1) / slope);
      [s0, l0] = [s1, l1];
      s1 = next;
      l1 = load(s1);
    }
    return s1;
  };
  const guess = start > 0 ? start : 1;
  const load = (scale: number) => {
    const { scale: fits } = fitAt(scale);
    return fits > 0 ? 1 / fits : 1e6;
  };
  const largest = usable.inner ? solve(load, guess) : 0;
  const fits = largest > 0 && load(largest) < 1.01;
  const largestWidth = fits ? boxWidth(boxAt(largest)) : 0;
  const { size } = mark;
  const scale =
    size.mode === 'width'
      ? solve((s) => boxWidth(boxAt(s)) / size.width, guess)
      : size.mode === 'height'
        ? solve((s) => boxHeight(boxAt(s)) / size.height, guess)
        : fits
          ? largest
          : 0.001;
  const box = boxAt(scale);
  const heavy: Point = mark.optical ? heavyOf(shapeAt(scale), 1) : [0, 0];
  const found = usable.room && size.mode === 'largest' ? fitAt(scale).at : undefined;
  return { scale, at: placeOf(mark, usable, boxWidth(box), boxHeight(box), found, heavy), largestWidth };
}

/** The layers of a mark at their real size around its own middle, with the changes that depend on it. */
export const shapeMark = (drawn: DrawnMark, scale: number, mark: Mark): readonly Layer[] =>
  applyEdits(
    drawn.layers.map(({ film, region }) => ({ film, region: applyToRegion(scaling(scale), region) })),
    mark.edits,
  );

/** Puts shaped layers at their place on the wall. */
export function placeMark(layers: readonly Layer[], sizing: Sizing): FittedMark {
  const placed = layers.map(({ film, region }) => ({ film, region: applyToRegion(translation(...sizing.at), region) }));
  const drawn = placed.filter((layer) => layer.region.length > 0);
  const box = drawn.length > 0 ? boxAround(drawn.map((layer) => boxOf(layer.region))) : growBox(boxOfPoints([sizing.at]), 0);
  return { ...sizing, layers: placed, box, width: boxWidth(box), height: boxHeight(box) };
}
