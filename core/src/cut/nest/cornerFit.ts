import {
  applyToPoint,
  applyToRegion,
  boxCentre,
  boxOf,
  boxRegion,
  difference,
  distance,
  offset,
  pointInside,
  regionArea,
  simplifyRing,
  translation,
  type Region,
  type Ring,
} from '../../geometry';
import { areaBelow, cornersInside, cornersOf, edgesOf, inWedge, STEP, touchingOf, type Corner, type Edges } from './corners';
import { placeOf } from './keptLayout';
import { grownOutline } from './nestShape';
import type { NestOptions, NestPart, Nested } from './nester';
import { sheetWidth, type Sheet } from './sheet';
import { QUARTERS, turnBy } from './turns';

/** What is taken away for a part reaches so far beyond its outline, which is a little within the true one, mm: no slivers stay between parts that touch,
 * and along a row it does not add up. */
const BEYOND = 0.012;
/** A layout that is longer than its parts fill by no more than this share has nothing to spare. */
const NOTHING_TO_SPARE = 1.0005;
/** Outlines of no more sides go corner into corner. */
const SIDES = 16;
/** What is wasted counts against what touches: so many times the side of its square. */
const WASTED = 4;
/** So many strips are kept beside each other, more in each turn. */
const WIDE = [10, 40, 160] as const;

/** A part in one of its turns, around its middle. */
interface Turned {
  readonly part: number;
  readonly turn: number;
  readonly ring: Ring;
  /** A little larger: what it takes. */
  readonly takes: Region;
  readonly area: number;
  readonly around: number;
}

/** Where one came to lie. */
interface Laid {
  readonly shape: Turned;
  readonly x: number;
  readonly y: number;
}

/** A strip half filled. */
interface Filling {
  readonly free: Region;
  readonly laid: readonly Laid[];
  /** How many of each part are left. */
  readonly left: readonly number[];
  /** mm of edges that touch; of edges in all; mm² that nothing will lie on. */
  readonly touching: number;
  readonly around: number;
  readonly wasted: number;
  /** Corners that nothing that is left goes into. */
  readonly dead: ReadonlySet<string>;
}

/** Another part in a corner of a filling, not yet taken out of what is free. */
interface Next {
  readonly from: Filling;
  readonly add: Laid;
  readonly touching: number;
  readonly score: number;
}

/** How good a half filled strip is: of the edges in it the share that touches, less what is wasted. */
const scoreOf = (touching: number, around: number, wasted: number): number => (touching - WASTED * Math.sqrt(wasted)) / around;

/** A part in each turn that it may lie in. */
function turnsOf({ region, fixed }: NestPart, part: number, gap: number): Turned[] {
  const [cx, cy] = boxCentre(boxOf(region));
  const outline = grownOutline(applyToRegion(translation(-cx, -cy), region), gap);
  return (fixed ? [0] : QUARTERS).map((turn) => {
    const ring = outline[0]!.outer.map((p) => applyToPoint(turnBy(turn), p));
    const own: Region = [{ outer: ring, holes: [] }];
    const around = ring.reduce((sum, p, i) => sum + distance(p, ring[(i + 1) % ring.length]!), 0);
    return { part, turn, ring, takes: offset(own, BEYOND), area: regionArea(own), around };
  });
}

const topOf = ({ laid }: Filling): number =>
  laid.reduce((most, { shape, y }) => Math.max(most, y + Math.max(...shape.ring.map((p) => p[1]))), 0);

/**
 * Parts with straight sides on a roll's free end, corner into corner: the lowest corner that is free takes, of all parts in all their quarter
 * turns, those of which most of the edges then touch. So many half filled strips are kept beside each other (beam search; Lowerre, 1976), each
 * time more of them. Parts that fit with no room to spare find to each other so, which no search by moving them does.
 */
export class CornerFit {
  readonly #turned: readonly (readonly Turned[])[];
  readonly #areas: readonly number[];
  readonly #count: number;
  /** The longest way around a part: no more touches with one more. */
  readonly #longest: number;
  readonly #empty: Filling;
  /** No layout is shorter, mm. */
  readonly #ideal: number;
  #beam: readonly Filling[];
  #turn = 0;
  #best: { readonly filling: Filling; readonly top: number } | undefined;

  /** @param parts whose outlines are each one ring of few straight sides, as `cornersFit` says */
  constructor(
    readonly parts: readonly NestPart[],
    sheet: Sheet,
    readonly options: NestOptions,
  ) {
    const { gap, holdDown } = options;
    const width = sheetWidth(sheet) - 2 * holdDown + gap;
    this.#turned = parts.map((part, p) => turnsOf(part, p, gap));
    this.#areas = this.#turned.map(([one]) => one!.area);
    this.#longest = Math.max(0, ...this.#turned.map(([one]) => one!.around));
    this.#count = parts.reduce((sum, { copies }) => sum + copies, 0);
    const whole = parts.reduce((sum, { copies }, p) => sum + copies * this.#areas[p]!, 0);
    this.#ideal = whole / width;
    this.#empty = {
      free: boxRegion({ minX: 0, minY: 0, maxX: width, maxY: 3 * this.#ideal + 2 * this.#longest }),
      laid: [],
      left: parts.map(({ copies }) => copies),
      touching: 0,
      around: 0,
      wasted: 0,
      dead: new Set(),
    };
    this.#beam = [this.#empty];
  }

  /**
   * One more part in each of the strips.
   *
   * @returns whether it is worth going on
   */
  step(): boolean {
    if (this.#turn >= WIDE.length || this.#count === 0) return false;
    const wide = WIDE[this.#turn]!;
    let found: Next[] = [];
    let least = -Infinity;
    for (const filling of this.#beam) {
      found.push(...this.#more(filling, least));
      if (found.length <= 2 * wide) continue;
      found = found.toSorted((a, b) => b.score - a.score).slice(0, wide);
      least = found.at(-1)!.score;
    }
    this.#beam = found
      .toSorted((a, b) => b.score - a.score)
      .slice(0, wide)
      .map((next) => taken(next, this.#areas));
    const done = this.#beam[0]?.laid.length === this.#count;
    if (this.#beam.length > 0 && !done) return true;
    for (const filling of this.#beam) {
      const top = topOf(filling);
      if (!this.#best || top < this.#best.top) this.#best = { filling, top };
    }
    this.#turn += 1;
    this.#beam = [this.#empty];
    // with nothing to spare there is no shorter one
    return this.#turn < WIDE.length && (this.#best?.top ?? Infinity) > this.#ideal * NOTHING_TO_SPARE;
  }

  /** The best layout so far, free of overlaps to some hundredths of a millimetre; nothing while there is none. */
  nested(): Nested[] | undefined {
    if (!this.#best) return undefined;
    const edge = this.options.holdDown - this.options.gap / 2;
    const copies = this.parts.map(() => 0);
    return this.#best.filling.laid.map(({ shape: { part, turn }, x, y }): Nested => {
      const copy = copies[part]!;
      copies[part] = copy + 1;
      return { part, copy, sheet: 0, place: placeOf({ turn, x: x + edge, y: y + edge }, this.parts[part]!.region) };
    });
  }

  /** What goes into the lowest corner of a strip that anything goes into. */
  #more(filling: Filling, least: number): Next[] {
    const { free, touching, around } = filling;
    const edges = edgesOf(free);
    const dead = new Set(filling.dead);
    for (const corner of cornersOf(free, boxOf(this.#empty.free).maxY - STEP)) {
      const key = `${Math.round(corner.at[0] / STEP)} ${Math.round(corner.at[1] / STEP)}`;
      if (dead.has(key)) continue;
      // all below has nothing that goes into it
      const wasted = filling.wasted + areaBelow(free, corner.at[1] - STEP);
      if (scoreOf(touching + this.#longest, around + this.#longest, wasted) <= least) return [];
      const nexts = inCorner({ ...filling, dead }, wasted, corner, edges, this.#turned, least);
      if (nexts.length > 0) return nexts;
      dead.add(key);
    }
    return [];
  }
}

/** Whether parts are such that corners go into corners: each of one ring with few straight sides. */
export const cornersFit = (parts: readonly NestPart[]): boolean =>
  parts.every(({ region }) => region.length === 1 && region[0]!.holes.length === 0 && region[0]!.outer.length <= SIDES);

/** All parts that go into a corner, `wasted` mm² below it. */
function inCorner(
  filling: Filling,
  wasted: number,
  corner: Corner,
  edges: Edges,
  turned: readonly (readonly Turned[])[],
  least: number,
): Next[] {
  const found: Next[] = [];
  for (const [part, shapes] of turned.entries()) {
    if (filling.left[part] === 0) continue;
    const seen = new Set<string>();
    for (const shape of shapes) {
      const { ring } = shape;
      if (scoreOf(filling.touching + shape.around, filling.around + shape.around, wasted) <= least) continue;
      const at = inWedge(ring, corner);
      if (!at) continue;
      const [x, y] = at;
      const touching = touchingOf(ring, x, y, edges);
      if (touching === undefined || cornersInside(ring, x, y, edges)) continue;
      const middle = ring.reduce<[number, number]>(([sx, sy], p) => [sx + p[0] / ring.length, sy + p[1] / ring.length], [x, y]);
      if (!pointInside(middle, filling.free)) continue;
      // a part that looks the same turned goes in once
      const key = `${Math.round(x * 5)} ${Math.round(y * 5)} ${Math.round(touching * 5)}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const score = scoreOf(filling.touching + touching, filling.around + shape.around, wasted);
      found.push({ from: filling, add: { shape, x, y }, touching, score });
    }
  }
  return found;
}

/** A part taken out of what is free. */
function taken({ from, add, touching }: Next, areas: readonly number[]): Filling {
  const { shape, x, y } = add;
  const left = from.left.map((n, part) => (part === shape.part ? n - 1 : n));
  const smallest = Math.min(...left.flatMap((n, part) => (n > 0 ? [areas[part]!] : [])));
  const pieces = difference(from.free, applyToRegion(translation(x, y), shape.takes)).map(({ outer, holes }) => ({
    outer: simplifyRing(outer, BEYOND / 2),
    holes,
  }));
  const [free, gone]: [Region[number][], Region[number][]] = [[], []];
  for (const piece of pieces) (regionArea([piece]) < smallest ? gone : free).push(piece);
  return {
    free,
    laid: [...from.laid, add],
    dead: from.dead,
    left,
    touching: from.touching + touching,
    around: from.around + shape.around,
    wasted: from.wasted + regionArea(gone),
  };
}
