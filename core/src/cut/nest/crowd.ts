// Longer than 300 lines: the one state that every step of a search changes, in the loops that all of its time goes into.
import { boxOf, boxRegion, difference, growBox, translation, applyToRegion, numbersFrom, type Point, type Region } from '../../geometry';
import { Collisions } from './collisions';
import { copyKey, lyingOf, placeOf } from './keptLayout';
import { nestBody, shapeOf, type Detail, type NestShape } from './nestShape';
import type { Nested, NestOptions, NestPart } from './nester';
import { paceFor, type Pace } from './pace';

/** One copy of a part on film, or the film's own edge. */
export interface Item {
  /** -1 for the edge of the film. */
  readonly part: number;
  readonly copy: number;
  readonly area: number;
  /** Its shapes, by their numbers among all. */
  readonly shapes: readonly number[];
  /** It stays where it is; the others lie round it. */
  readonly locked: boolean;
}

/** Where items lie: the shape of each by its number, and its middle, mm. */
export interface Lie {
  readonly shape: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

export const copied = ({ shape, x, y }: Lie): Lie => ({ shape: shape.slice(), x: x.slice(), y: y.slice() });
export const putBack = (to: Lie, from: Lie) => {
  to.shape.set(from.shape);
  to.x.set(from.x);
  to.y.set(from.y);
};

/** How a placement is looked for. */
const SEARCH = {
  /** How often a part near by stays as it is turned; and how far near by is, in its larger side, by turns. */
  asTurned: 0.5,
  reaches: [0.25, 1],
  /** The first step downhill, in its larger side. */
  step: 0.1,
  /** And the last, mm. */
  least: 0.2,
} as const;
/** Weights of pairs that do not overlap any more. */
const FADE = 0.95;
/** Outlines of no more edges are simple. */
const SIMPLE = 16;
/** What lies beyond the edge of a sheet is this wide, mm: parts lean back onto it. */
const BEYOND = 40;
/** Parts that are not on the film now lie far from it and from each other, mm. */
const PARKED = { at: 1e6, apart: 1e4 } as const;

/**
 * Parts on film that may overlap, and what it takes to part them: each overlapping part in turn is put where it overlaps least, looked for at random
 * and near by; pairs that go on overlapping weigh more and more (guided local search; Egeblad, Nielsen and Odgaard, 2007; Umetani and others, 2009).
 */
export class Crowd {
  readonly items: Item[];
  readonly collisions = new Collisions();
  readonly shapes: readonly NestShape[];
  readonly random: () => number;
  readonly weights: Float64Array;
  /** Where they lie now. */
  readonly at: Lie;
  /** The film that middles may use, mm. */
  readonly width: number;
  length: number;
  readonly simple: boolean;
  readonly pace: Pace;
  /** Outlines are looked at, not only grids: what the grids take for free is nearly so. */
  exact = false;
  /** The order in which items are looked at, another each round. */
  readonly #order: Int32Array;
  /** How much an item's overlaps weigh: the fourth root of the area of its hull. */
  readonly #heavy: Float64Array;
  /** Least and greatest x, least and greatest y of each shape, by its number. */
  readonly #boxes: Float64Array;
  readonly #parked: Uint8Array;
  /** Those on the film. */
  #present: readonly number[];
  /** Where the corner of the film lies that middles may use, mm. */
  readonly #edge: Point;

  /**
   * @param nested where they lie
   * @param turns that parts may lie in, in quarters
   * @param locked copies that stay where they are, as `copyKey` calls them
   * @param usable film of any outline, where it is no endless strip: the box of it is `width` by its length
   */
  constructor(
    readonly parts: readonly NestPart[],
    { gap, holdDown }: NestOptions,
    nested: readonly Nested[],
    seed: number,
    turns: readonly number[],
    locked: ReadonlySet<string>,
    film: { readonly width: number; readonly usable?: Region },
    detail: Detail = 'light',
  ) {
    this.random = numbersFrom(seed);
    this.width = film.width;
    const bodies = parts.map((part) => nestBody(part, gap, turns, detail));
    const around = film.usable && boxOf(film.usable);
    const edge: Point = around ? [around.minX, around.minY] : [holdDown - gap / 2, holdDown - gap / 2];
    this.#edge = edge;
    const n = nested.length + (film.usable ? 1 : 0);
    this.at = { shape: new Int32Array(n), x: new Float64Array(n), y: new Float64Array(n) };
    const shapes: NestShape[] = [];
    const add = (some: readonly NestShape[]) => {
      shapes.push(...some);
      return this.collisions.add(some);
    };
    const numbers = bodies.map((body) => add(body.shapes));
    this.items = nested.map(({ part, copy, place }, i): Item => {
      const { region } = parts[part]!;
      const { turn, x, y } = lyingOf(place, region);
      const known = bodies[part]!.shapes.findIndex((one) => Math.abs(one.turn - turn) < 1e-6);
      // a hand may have turned it otherwise than is looked for
      const own = known < 0 ? add(nestBody({ region }, gap, [turn], detail).shapes) : [];
      this.at.shape[i] = own[0] ?? numbers[part]![known]!;
      this.at.x[i] = x - edge[0];
      this.at.y[i] = y - edge[1];
      return { part, copy, area: bodies[part]!.area, shapes: [...own, ...numbers[part]!], locked: locked.has(copyKey({ part, copy })) };
    });
    this.shapes = shapes;
    this.simple = shapes.reduce((sum, { ax }) => sum + ax.length, 0) <= SIMPLE * shapes.length;
    this.pace = paceFor(nested.length, this.simple);
    this.collisions.ready(this.pace);
    this.length = Infinity;
    if (film.usable && around) {
      const beyond = difference(boxRegion(growBox(around, BEYOND)), film.usable);
      const [number] = add([shapeOf(applyToRegion(translation(-around.minX, -around.minY), beyond), 0)]) as [number];
      this.at.shape[n - 1] = number;
      this.items.push({ part: -1, copy: 0, area: 0, shapes: [number], locked: true });
      this.length = around.maxY - around.minY;
    }
    this.#boxes = Float64Array.from(shapes.flatMap(({ minX, maxX, minY, maxY }) => [minX, maxX, minY, maxY]));
    this.weights = new Float64Array(n * n).fill(1);
    this.#order = Int32Array.from({ length: n }, (_, i) => i);
    this.#heavy = Float64Array.from(this.items, ({ shapes: [first] }) => shapes[first!]!.weight);
    this.#parked = new Uint8Array(n);
    this.#present = [...this.#order];
  }

  /** How far along the film an item reaches, mm. */
  top(i: number): number {
    return this.at.y[i]! + this.shapes[this.at.shape[i]!]!.maxY;
  }

  /** How far all of them reach, mm. */
  reach(): number {
    return this.items.reduce((most, _, i) => Math.max(most, this.top(i)), 0);
  }

  /** Moves an item onto the film, so long. */
  keepIn(i: number, length: number): void {
    if (this.items[i]!.locked || this.#parked[i]) return;
    const { x, y, shape } = this.at;
    const { minX, maxX, minY, maxY } = this.shapes[shape[i]!]!;
    x[i] = Math.max(-minX, Math.min(this.width - maxX, x[i]!));
    y[i] = Math.max(-minY, Math.min(length - maxY, y[i]!));
  }

  /** What the overlap of two items costs, unweighed; 0 where they do not. */
  #bad(i: number, j: number): number {
    const { shape, x, y } = this.at;
    const [one, other] = [this.shapes[shape[i]!]!, this.shapes[shape[j]!]!];
    const dx = x[j]! - x[i]!;
    const dy = y[j]! - y[i]!;
    if (one.maxX <= other.minX + dx || other.maxX + dx <= one.minX || one.maxY <= other.minY + dy || other.maxY + dy <= one.minY) return 0;
    const depth = this.exact
      ? this.collisions.exactDepth(shape[i]!, shape[j]!, dx, dy)
      : this.collisions.depth(shape[i]!, shape[j]!, dx, dy);
    return Math.sqrt(depth) * this.#heavy[i]! * this.#heavy[j]!;
  }

  /** What one item at a place costs, weighed; more than enough is enough. */
  #cost(i: number, one: number, atX: number, atY: number, enough: number): number {
    const { shape, x, y } = this.at;
    const boxes = this.#boxes;
    const exact = this.exact;
    const heavy = this.#heavy;
    const n = heavy.length;
    const present = this.#present;
    const collisions = this.collisions;
    let sum = 0;
    const left = atX + boxes[one * 4]!;
    const right = atX + boxes[one * 4 + 1]!;
    const low = atY + boxes[one * 4 + 2]!;
    const high = atY + boxes[one * 4 + 3]!;
    const weights = this.weights;
    for (let k = 0; k < present.length; k++) {
      const j = present[k]!;
      const other = shape[j]!;
      const at = other * 4;
      const oy = y[j]!;
      if (high <= oy + boxes[at + 2]! || oy + boxes[at + 3]! <= low) continue;
      const ox = x[j]!;
      if (right <= ox + boxes[at]! || ox + boxes[at + 1]! <= left || j === i) continue;
      const depth = exact ? collisions.exactDepth(one, other, ox - atX, oy - atY) : collisions.depth(one, other, ox - atX, oy - atY);
      if (depth === 0) continue;
      sum += Math.sqrt(depth) * heavy[j]! * heavy[i]! * weights[i * n + j]!;
      if (sum >= enough) return sum;
    }
    return sum;
  }

  /** Whether no two overlap, by their outlines. */
  free(): boolean {
    const present = this.#present;
    const { shape, x, y } = this.at;
    let free = true;
    for (let a = 0; a < present.length; a++)
      for (let b = a + 1; b < present.length; b++) {
        const [i, j] = [present[a]!, present[b]!];
        if (this.items[i]!.locked && this.items[j]!.locked) continue;
        if (this.#bad(i, j) > 0 || this.collisions.missed(shape[i]!, shape[j]!, x[j]! - x[i]!, y[j]! - y[i]!)) free = false;
      }
    return free;
  }

  /** The best place for an item that is found by looking at random, near by, and downhill from the best of those. */
  move(i: number, now: number): void {
    const item = this.items[i]!;
    const at = this.at;
    const random = this.random;
    const { shapes } = item;
    const pace = this.pace;
    const kept: { cost: number; shape: number; x: number; y: number }[] = [{ cost: now, shape: at.shape[i]!, x: at.x[i]!, y: at.y[i]! }];
    const look = (index: number, x: number, y: number) => {
      const shape = this.shapes[index]!;
      const cx = Math.max(-shape.minX, Math.min(this.width - shape.maxX, x));
      const cy = Math.max(-shape.minY, Math.min(this.length - shape.maxY, y));
      const worst = kept.length < pace.kept ? Infinity : kept.at(-1)!.cost;
      const cost = this.#cost(i, index, cx, cy, worst);
      if (cost >= worst) return;
      let to = kept.length;
      while (to > 0 && kept[to - 1]!.cost > cost) to--;
      kept.splice(to, 0, { cost, shape: index, x: cx, y: cy });
      if (kept.length > pace.kept) kept.pop();
    };
    const any = () => shapes[Math.floor(random() * shapes.length)]!;
    const fits = ({ minX, maxX, minY, maxY }: NestShape) => maxX - minX <= this.width + 1e-9 && maxY - minY <= this.length + 1e-9;
    for (let k = 0; k < pace.random && kept[0]!.cost > 0; k++) {
      const index = any();
      const shape = this.shapes[index]!;
      if (fits(shape))
        look(
          index,
          -shape.minX + random() * (this.width - shape.maxX + shape.minX),
          -shape.minY + random() * (this.length - shape.maxY + shape.minY),
        );
    }
    const own = this.shapes[at.shape[i]!]!;
    const size = Math.max(own.maxX - own.minX, own.maxY - own.minY);
    for (let k = 0; k < pace.near && kept[0]!.cost > 0; k++) {
      const index = random() < SEARCH.asTurned ? at.shape[i]! : any();
      const reach = size * SEARCH.reaches[k % 2]!;
      if (fits(this.shapes[index]!)) look(index, at.x[i]! + (random() - 0.5) * reach, at.y[i]! + (random() - 0.5) * reach);
    }
    let best = kept[0]!;
    for (const begun of kept) {
      let here = begun;
      let step = size * SEARCH.step;
      const { minX, maxX, minY, maxY } = this.shapes[here.shape]!;
      while (step > SEARCH.least && here.cost > 0) {
        let next = here;
        // along, across and both at once, in an order that changes
        const turn = random() * Math.PI;
        for (let k = 0; k < 4; k++) {
          const angle = turn + (k * Math.PI) / 2;
          const x = Math.max(-minX, Math.min(this.width - maxX, here.x + step * Math.cos(angle)));
          const y = Math.max(-minY, Math.min(this.length - maxY, here.y + step * Math.sin(angle)));
          const cost = this.#cost(i, here.shape, x, y, next.cost);
          if (cost < next.cost) next = { cost, shape: here.shape, x, y };
          if (cost === 0) break;
        }
        if (next === here) step *= 0.5;
        else here = next;
      }
      if (here.cost < best.cost) best = here;
      if (best.cost === 0) break;
    }
    at.shape[i] = best.shape;
    at.x[i] = best.x;
    at.y[i] = best.y;
  }

  /**
   * Parts whose outlines still meet are pushed apart a little, all of them over and over.
   *
   * @returns whether none meet any more
   */
  settle(sweeps: number): boolean {
    const n = this.items.length;
    const { shape, x, y } = this.at;
    for (let sweep = 0; sweep < sweeps; sweep++) {
      let met = false;
      for (let i = 0; i < n; i++)
        for (let j = i + 1; j < n; j++) {
          const [fast, loose] = [this.items[i]!.locked, this.items[j]!.locked];
          if (fast && loose) continue;
          const way = this.collisions.wayOut(shape[i]!, shape[j]!, x[j]! - x[i]!, y[j]! - y[i]!);
          if (!way) continue;
          met = true;
          const share = fast ? 1 : loose ? 0 : 0.5;
          x[j]! += way[0] * share;
          y[j]! += way[1] * share;
          x[i]! -= way[0] * (1 - share);
          y[i]! -= way[1] * (1 - share);
          this.keepIn(i, this.length);
          this.keepIn(j, this.length);
        }
      if (!met) return this.free();
    }
    return false;
  }

  /** Takes an item off the film. */
  park(i: number): void {
    this.#parked[i] = 1;
    this.#present = this.#present.filter((one) => one !== i);
    this.at.x[i] = PARKED.at + i * PARKED.apart;
    this.at.y[i] = 0;
  }

  /** Puts one on it again, wherever it overlaps least. */
  unpark(i: number): void {
    this.#parked[i] = 0;
    this.#present = [...this.#present, i];
    this.move(i, Infinity);
  }

  isParked(i: number): boolean {
    return this.#parked[i] === 1;
  }

  /**
   * Moves every part that overlaps once, in an order that changes, and weighs the pairs that still do more than before.
   *
   * @returns how much all overlaps come to, unweighed
   */
  sweep(): number {
    this.shuffle();
    const { shape, x, y } = this.at;
    for (const i of this.#order) {
      if (this.items[i]!.locked || this.#parked[i]) continue;
      const now = this.#cost(i, shape[i]!, x[i]!, y[i]!, Infinity);
      if (now > 0) this.move(i, now);
    }
    return this.weigh();
  }

  /** A new order for the next sweep. */
  shuffle(): void {
    for (let k = this.items.length - 1; k > 0; k--) {
      const other = Math.floor(this.random() * (k + 1));
      const kept = this.#order[k]!;
      this.#order[k] = this.#order[other]!;
      this.#order[other] = kept;
    }
  }

  /** Pairs that overlap weigh more, others less; how much all overlaps come to, unweighed. */
  weigh(): number {
    const { items, weights } = this;
    const n = items.length;
    let [total, worst] = [0, 0];
    const pairs: { i: number; j: number; bad: number }[] = [];
    const present = this.#present;
    for (let a = 0; a < present.length; a++)
      for (let b = a + 1; b < present.length; b++) {
        const [i, j] = [present[a]!, present[b]!];
        if (items[i]!.locked && items[j]!.locked) continue;
        const bad = this.#bad(i, j);
        if (bad > 0) pairs.push({ i, j, bad });
        else weights[i * n + j] = weights[j * n + i] = Math.max(1, weights[i * n + j]! * FADE);
        total += bad;
        worst = Math.max(worst, bad);
      }
    const { more: least, most } = this.pace;
    for (const { i, j, bad } of pairs) {
      const more = least + (most - least) * (bad / worst);
      weights[i * n + j] = weights[j * n + i] = weights[i * n + j]! * more;
    }
    return total;
  }

  /** Where those on the film lie. */
  asNested({ shape, x, y }: Lie): Nested[] {
    return this.items.flatMap(({ part, copy }, i): Nested[] => {
      if (part < 0 || this.#parked[i]) return [];
      const lying = { turn: this.shapes[shape[i]!]!.turn, x: x[i]! + this.#edge[0], y: y[i]! + this.#edge[1] };
      return [{ part, copy, sheet: 0, place: placeOf(lying, this.parts[part]!.region) }];
    });
  }
}
