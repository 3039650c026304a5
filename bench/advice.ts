import { bulbExcess, bulbReach, bulbSnips, checkTaper, sectorOf } from '../core/src/blanks';
import { BULB, LIMITS } from '../core/src/facts';
import { bestTurn, outlinePoints, turnDrawn } from '../core/src/fit';
import { largestIn } from '../core/src/fit/largestIn';
import {
  applyToRegion,
  boxOf,
  boxRegion,
  difference,
  intersection,
  offset,
  regionArea,
  regionOf,
  rotation,
  scaling,
  then,
  thickness as measure,
  translation,
  union,
  type Point,
  type Region,
} from '../core/src/geometry';
import { offItsCurve, spur } from '../core/test/knownShapes';
import { atMost, seeded, type Figure } from './figure';

const box = (minX: number, minY: number, maxX: number, maxY: number): Region => boxRegion({ minX, minY, maxX, maxY });
const between = (random: () => number, low: number, high: number) => low + (high - low) * random();

const thickness = (region: Region, under: number) => measure(region, under, LIMITS.tip);

/** Hairs and tapers on stout parts whose widths are known: how many are missed or read more than 2 % off. */
export function inspectFigures(): Figure[] {
  const random = seeded(11);
  let [hairs, tapers, tips] = [0, 0, 0];
  for (let i = 0; i < 1600; i++) {
    const limit = between(random, 0.6, 1.9);
    const turn = rotation(random() * 7);
    const width = limit * between(random, 0.02, 0.98);
    const { least } = thickness(applyToRegion(turn, spur(width, width, between(random, 2.6, 15))), limit);
    if (!(Math.abs(least / width - 1) < 0.02)) hairs++;
    const root = limit * between(random, 1.3, 3);
    const length = between(random, 3, 30);
    const thinFor = (length * limit) / root;
    const taper = thickness(applyToRegion(turn, spur(root, 0.001, length)), limit);
    if (thinFor > 2 + limit / 4 && taper.least === Infinity) tapers++;
    if (thinFor < 1.9 && taper.least !== Infinity) tips++;
  }
  return [
    atMost('inspect/hairs-missed-of-1600', hairs, 0, ''),
    atMost('inspect/tapers-missed-of-1600', tapers, 0, ''),
    atMost('inspect/tips-taken-for-strokes-of-1600', tips, 0, ''),
  ];
}

const marked = (region: Region) => {
  const { minX, maxX, minY, maxY } = boxOf(region);
  const middle = applyToRegion(translation(-(minX + maxX) / 2, -(minY + maxY) / 2), region);
  return { layers: [{ film: 'f', region: middle }], width: maxX - minX, height: maxY - minY, missing: [], closedUp: [], perUnit: 1 };
};
type Drawn = Parameters<typeof turnDrawn>[0];
const usable = (room: Region) => ({ clear: boxOf(room), inner: boxOf(room), free: room, room });

/** Nearly convex zones, and marks that may be turned. */
function placeFigures(): Figure[] {
  const random = seeded(12);
  let [cramped, below] = [0, 0];
  for (let i = 0; i < 120; i++) {
    const x = between(random, -80, 80);
    const zone = difference(box(-100, -60, 100, 60), box(x, 60 - between(random, 0.5, 20), x + between(random, 0.3, 6), 61));
    const art = marked(box(0, 0, between(random, 20, 60), 24)) as unknown as Drawn;
    const { scale, at } = largestIn(outlinePoints(art), art.layers, usable(zone), 3);
    const placed = applyToRegion(then(scaling(scale), translation(at![0], at![1])), art.layers[0]!.region);
    if (regionArea(difference(offset(placed, 2.9), zone)) > 0.01) cramped++;
    const room = union(
      box(0, 0, between(random, 60, 120), between(random, 30, 60)),
      box(between(random, 0, 20), 0, between(random, 30, 50), between(random, 60, 120)),
    );
    const odd = marked(
      applyToRegion(rotation(random() * 6), union(box(0, 0, between(random, 10, 40), 4), box(0, 0, 4, between(random, 5, 25)))),
    ) as unknown as Drawn;
    const size = (drawn: Drawn) => largestIn(outlinePoints(drawn), drawn.layers, usable(room), 0).scale;
    if (size(turnDrawn(odd, bestTurn(outlinePoints(odd), odd, usable(room)))) < size(odd) * (1 - 1e-6)) below++;
  }
  return [atMost('fit/notches-that-cost-no-room-of-120', cramped, 0, ''), atMost('fit/best-turn-below-upright-of-120', below, 0, '')];
}

/** Differences of shapes at random against what is left and taken together. */
function differenceFigure(): Figure {
  const random = seeded(13);
  const blob = () => {
    const level = random() < 0.5;
    const points = Array.from({ length: 3 + Math.floor(random() * 12) }, (): Point => [
      Math.round(random() * 60_000) / 1000,
      Math.round((level ? 20 + Math.round(random() * 8) + (random() - 0.5) * 0.01 : random() * 60) * 1000) / 1000,
    ]);
    return regionOf([points], 'evenodd');
  };
  let wrong = 0;
  for (let i = 0; i < 20_000; i++) {
    const [a, b] = [blob(), blob()];
    if (Math.abs(regionArea(difference(a, b)) + regionArea(intersection(a, b)) - regionArea(a)) > 0.5) wrong++;
  }
  return atMost('fit/differences-wrong-of-20000', wrong, 0, '');
}

/** Bellies and tapers against their own formulas, looked at more finely. */
export function blankFigures(): Figure[] {
  const random = seeded(14);
  let [reach, needless, off] = [0, 0, 0];
  for (let i = 0; i < 400; i++) {
    const bulb = {
      kind: 'bulb' as const,
      diameter: between(random, 60, 260),
      along: between(random, 25, 200),
      height: between(random, 40, 200),
    };
    if (bulb.height / bulb.along > 2.6) continue;
    const limit = [BULB.paperTape, BULB.calendered, BULB.cast][i % 3]!;
    const found = bulbReach(bulb, limit);
    const most = Math.min(found, Math.max(bulb.height, bulb.diameter));
    // all the way to it film is not too long, and right after it is
    const inside = Array.from({ length: 200 }, (_, k) => (most * 0.999 * (k + 1)) / 200).every((r) => bulbExcess(bulb, r) <= limit * 1.001);
    const beyond = !Number.isFinite(found) || bulbExcess(bulb, found * 1.001 + 1e-6) >= limit * 0.999;
    if (!inside || !beyond) reach++;
    const r = between(random, 5, 120);
    if (
      bulbSnips(bulb, r) !== undefined &&
      Array.from({ length: 60 }, (_, k) => (r * (k + 1)) / 60).every((d) => bulbExcess(bulb, d) <= BULB.paperTape)
    )
      needless++;
  }
  for (let i = 0; i < 400; i++) {
    const taper = {
      kind: 'taper' as const,
      rim: between(random, 30, 300),
      foot: between(random, 30, 300),
      height: between(random, 30, 300),
    };
    if (!checkTaper(taper).ok || !sectorOf(taper)) continue;
    const at = random() * taper.height;
    const edge = Array.from({ length: 3 }, (): Point => [between(random, -120, 120), random() * taper.height]);
    off = Math.max(off, offItsCurve(taper, edge, at));
  }
  return [
    atMost('blanks/bulb-reach-wrong-of-400', reach, 0, ''),
    atMost('blanks/needless-snips-of-400', needless, 0, ''),
    atMost('blanks/bent-edge-off-its-arc', off, 0.0101, 'mm'),
  ];
}

/** Rooms and shapes that fits are made of. */
export const roomFigures = (): Figure[] => [...placeFigures(), differenceFigure()];
