import {
  applyToRegion,
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  difference,
  growBox,
  intersection,
  offset,
  regionArea,
  type Box,
  type Region,
} from '../../geometry';
import { fillSheet } from './fillSheet';
import { copyKey, placeOf, type Lying } from './keptLayout';
import { nestedLength } from './nestedLength';
import type { Nested, NestOptions, NestPart, Nesting } from './nester';
import type { Sheet } from './sheet';

/** A copy of a part that a hand lays somewhere. */
export interface HandMove extends Lying {
  readonly part: number;
  readonly copy: number;
}

/** What came of it. */
export type HandLaid =
  /** How many others made way. */
  | {
      readonly ok: true;
      readonly nesting: Nesting;
      readonly pushed: number;
      /** Of those, without room on the piece. */ readonly off: number;
    }
  /** A locked part is in the way, it does not go on the film so turned, or lies over its edge; `others`, which locked ones. */
  | {
      readonly ok: false;
      readonly why: 'locked' | 'tooWide' | 'fixed' | 'offFilm';
      readonly others: readonly Pick<Nested, 'part' | 'copy'>[];
    };

/** Parts may be nearer than wanted by so much, mm: outlines are rounded to a thousandth. */
const SLACK = 0.02;
/** Areas under this are rounding, mm². */
const NOTHING = 0.01;
/** A part that comes to lie a little too near others is put beside them, so far off at most, mm. */
const ASIDE = [1, 2, 4] as const;
const WAYS = 8;

const meet = (a: Box, b: Box): boolean => a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY;

/** A lying that is moved onto the film, its hold-down kept free; undefined where it is too wide for that. */
function onFilm(lying: Lying, region: Region, sheet: Sheet, holdDown: number): Lying | undefined {
  const room = growBox(boxOf(sheet.outline), -holdDown);
  const box = boxOf(applyToRegion(placeOf(lying, region), region));
  if (boxWidth(box) > boxWidth(room) + SLACK || boxHeight(box) > boxHeight(room) + SLACK) return undefined;
  const into = (low: number, high: number, least: number, most: number) => Math.max(0, least - low) + Math.min(0, most - high);
  return {
    ...lying,
    x: lying.x + into(box.minX, box.maxX, room.minX, room.maxX),
    y: lying.y + into(box.minY, box.maxY, room.minY, room.maxY),
  };
}

/**
 * A part of a layout moved or turned by hand. Off the edge of the film it is moved onto it; where it comes to lie a little too near others it is
 * put beside them; others in its way are laid anew in the lowest place that is free. On a sheet or an offcut those without room stay for the roll.
 * Locked parts stay.
 *
 * @param start a layout of every copy, on a piece of some, without overlaps
 * @param locked copies that stay, as `copyKey` calls them; the moved one may be among them
 */
export function layByHand(
  parts: readonly NestPart[],
  sheet: Sheet,
  { gap, holdDown }: NestOptions,
  start: Nesting,
  { part, copy, turn, x, y }: HandMove,
  locked: ReadonlySet<string> = new Set(),
): HandLaid {
  const { region, fixed } = parts[part]!;
  if (fixed && turn !== 0) return { ok: false, why: 'fixed', others: [] };
  const isPiece = sheet.from.kind !== 'roll';
  const wanted = onFilm({ turn, x, y }, region, sheet, holdDown);
  if (!wanted) return { ok: false, why: 'tooWide', others: [] };
  const others = start.nested.filter((one) => one.part !== part || one.copy !== copy);
  const laid = others.map((one) => {
    const own = applyToRegion(one.place, parts[one.part]!.region);
    return { one, region: own, box: growBox(boxOf(own), gap) };
  });
  const wide = offset(applyToRegion(placeOf({ turn, x: 0, y: 0 }, region), region), Math.max(0, gap - SLACK));
  const inTheWay = ({ x: atX, y: atY }: Lying) => {
    const here = applyToRegion([1, 0, 0, 1, atX, atY], wide);
    const box = boxOf(here);
    return laid.filter((other) => meet(box, other.box) && regionArea(intersection(here, other.region)) > NOTHING).map(({ one }) => one);
  };
  // a piece may have any outline, and holes
  const usable = isPiece ? offset(sheet.outline, SLACK - holdDown) : undefined;
  const lies = (lying: Lying) => !usable || regionArea(difference(applyToRegion(placeOf(lying, region), region), usable)) <= NOTHING;
  let at = wanted;
  let met = inTheWay(at);
  const wantedLies = lies(wanted);
  search: for (const far of met.length > 0 || !wantedLies ? ASIDE : [])
    for (let way = 0; way < WAYS; way++) {
      const angle = (2 * Math.PI * way) / WAYS;
      const aside = onFilm({ turn, x: wanted.x + far * Math.cos(angle), y: wanted.y + far * Math.sin(angle) }, region, sheet, holdDown)!;
      if (!lies(aside) || inTheWay(aside).length > 0) continue;
      [at, met] = [aside, []];
      break search;
    }
  if (!lies(at)) return { ok: false, why: 'offFilm', others: [] };
  const stay = met.filter((one) => locked.has(copyKey(one)));
  if (stay.length > 0) return { ok: false, why: 'locked', others: stay };
  const moved: Nested = { part, copy, sheet: 0, place: placeOf(at, region) };
  const gone = new Set(met.map(copyKey));
  const kept = [moved, ...others.filter((one) => !gone.has(copyKey(one)))];
  if (met.length === 0) return { ok: true, nesting: { ...start, nested: kept }, pushed: 0, off: 0 };
  if (isPiece) {
    const { nested } = fillSheet(parts, sheet, { gap, holdDown }, { rounds: 1, seed: 1 }, kept);
    const found = new Set(nested.map(copyKey));
    return { ok: true, nesting: { ...start, nested }, pushed: met.length, off: met.filter((one) => !found.has(copyKey(one))).length };
  }
  // room for all that has to make way, above everything else at worst
  const above = met.reduce((sum, one) => {
    const box = boxOf(parts[one.part]!.region);
    return sum + Math.hypot(boxWidth(box), boxHeight(box)) + 2 * gap;
  }, 0);
  const bounds = boxOf(sheet.outline);
  const length = Math.min(bounds.maxY, nestedLength({ nested: kept }, parts) + above + 2 * holdDown);
  const strip = { ...sheet, outline: boxRegion({ ...bounds, maxY: length }) };
  const { nested } = fillSheet(parts, strip, { gap, holdDown }, { rounds: 1, seed: 1 }, kept);
  return { ok: true, nesting: { ...start, nested }, pushed: met.length, off: 0 };
}
