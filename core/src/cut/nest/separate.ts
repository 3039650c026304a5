// Longer than 300 lines: one search over one state, whose steps (move, shorten, give up, round) change it together.
import { numbersFrom } from '../../geometry';
import { Collisions } from './collisions';
import { copyKey, lyingOf, placeOf } from './keptLayout';
import { nestBody, type NestShape } from './nestShape';
import type { Nested, NestOptions, NestPart, Nesting } from './nester';
import { sheetWidth, type Sheet } from './sheet';
import { paceFor, type Pace } from './pace';
import { QUARTERS } from './turns';

/** One copy of a part on the strip: which shape, and where its middle lies, mm. */
interface Item {
  readonly part: number;
  readonly copy: number;
  readonly area: number;
  /** Its shapes, by their numbers among all. */
  readonly shapes: readonly number[];
  /** It stays where it is; the others lie round it. */
  readonly locked: boolean;
}

/** Where items lie: the shape of each by its number, and its middle, mm. */
interface Lie {
  readonly shape: Int32Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

const copied = ({ shape, x, y }: Lie): Lie => ({ shape: shape.slice(), x: x.slice(), y: y.slice() });
const putBack = (to: Lie, from: Lie) => {
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
/** How much shorter the strip is made to begin with, how much less each time that it was given up, and the least, a share. */
const SHRINK = { first: 0.01, least: 0.001, after: 0.9 };
/** Steps of pushing closer, shares of the strip. */
const SQUEEZE = { first: 0.008, last: 0.0004, sweeps: 80 };
/** So often parts change places where pushing apart led nowhere. */
const SWAPS = 3;
/** Outlines of no more edges are simple. */
const SIMPLE = 16;
/** Rounds of pushing apart, and sweeps over all pairs in each. */
const SETTLE = { rounds: 8, sweeps: 20 };
/** Steps of pushing to one side, mm. */
const GATHER = { first: 4, last: 0.05 } as const;
/** Less than this share of the least overlap so far is progress. */
const PROGRESS = 0.98;
/**
 * Parts on a strip, moved until none overlaps, and the strip made shorter again: guided separation. Each overlapping part in turn is put where it
 * overlaps least, looked for at random and near by; pairs that go on overlapping weigh more and more (guided local search; Egeblad, Nielsen and
 * Odgaard, 2007; Umetani and others, 2009).
 */
export class Separation {
  readonly #items: Item[];
  readonly #collisions = new Collisions();
  readonly #shapes: readonly NestShape[];
  readonly #random: () => number;
  readonly #weights: Float64Array;
  /** Where they lie now. */
  readonly #at: Lie;
  /** Width that middles may use, and the length that is tried now, mm. */
  readonly #width: number;
  #length: number;
  /** No strip is shorter than what the locked ones reach, mm. */
  readonly #stays: number;
  #best: { readonly length: number; readonly at: Lie };
  readonly #simple: boolean;
  #shrink: number;
  readonly #pace: Pace;
  #stuck = 0;
  #least = Infinity;
  /** How often this strip was tried, and what overlapped least on it. */
  #tries = 0;
  #nearest: Lie | undefined;
  #nearestTotal = Infinity;
  /** The order in which items are looked at, another each round. */
  readonly #order: Int32Array;
  /** How much an item's overlaps weigh: the fourth root of the area of its hull. */
  readonly #heavy: Float64Array;
  /** Outlines are looked at, not only grids: what the grids take for free is nearly so. */
  #exact = false;

  /**
   * @param start a layout without overlaps
   * @param seed the same seed and rounds give the same layout
   * @param turns that parts may lie in, in quarters
   * @param locked copies that stay where the start has them, as `copyKey` calls them
   */
  constructor(
    readonly parts: readonly NestPart[],
    sheet: Sheet,
    readonly options: NestOptions,
    start: Nesting,
    seed: number,
    turns: readonly number[] = QUARTERS,
    locked: ReadonlySet<string> = new Set(),
  ) {
    this.#random = numbersFrom(seed);
    const { gap, holdDown } = options;
    this.#width = sheetWidth(sheet) - 2 * holdDown + gap;
    const bodies = parts.map((part) => nestBody(part, gap, turns));
    const edge = holdDown - gap / 2;
    const n = start.nested.length;
    this.#at = { shape: new Int32Array(n), x: new Float64Array(n), y: new Float64Array(n) };
    const shapes: NestShape[] = [];
    const add = (some: readonly NestShape[]) => {
      shapes.push(...some);
      return this.#collisions.add(some);
    };
    const numbers = bodies.map((body) => add(body.shapes));
    this.#items = start.nested.map(({ part, copy, place }, i): Item => {
      const { region } = parts[part]!;
      const { turn, x, y } = lyingOf(place, region);
      const known = bodies[part]!.shapes.findIndex((one) => Math.abs(one.turn - turn) < 1e-6);
      // a hand may have turned it otherwise than is looked for
      const own = known < 0 ? add(nestBody({ region }, gap, [turn]).shapes) : [];
      this.#at.shape[i] = own[0] ?? numbers[part]![known]!;
      this.#at.x[i] = x - edge;
      this.#at.y[i] = y - edge;
      return { part, copy, area: bodies[part]!.area, shapes: [...own, ...numbers[part]!], locked: locked.has(copyKey({ part, copy })) };
    });
    this.#shapes = shapes;
    this.#simple = this.#shapes.reduce((sum, { ax }) => sum + ax.length, 0) <= SIMPLE * shapes.length;
    this.#pace = paceFor(n, this.#simple);
    this.#collisions.ready(this.#pace);
    this.#shrink = SHRINK.first;
    this.#weights = new Float64Array(n * n).fill(1);
    this.#order = Int32Array.from({ length: n }, (_, i) => i);
    this.#heavy = Float64Array.from(this.#items, ({ shapes: [first] }) => shapes[first!]!.weight);
    this.#stays = Math.max(0, ...this.#items.map((item, i) => (item.locked ? this.#top(i) : 0)));
    for (let i = 0; i < n; i++) this.#keepIn(i, Infinity);
    this.#length = this.#reach();
    this.#best = { length: Infinity, at: copied(this.#at) };
    // grown outlines may meet where true ones do not: the first round then separates
    if (this.#free()) {
      this.#best = { length: this.#length, at: copied(this.#at) };
      this.#shorten();
    }
  }

  /** mm of the strip that the best layout takes, its gap with it; without end while none is known that is free of overlaps. */
  get length(): number {
    return this.#best.length;
  }

  #top(i: number): number {
    return this.#at.y[i]! + this.#shapes[this.#at.shape[i]!]!.maxY;
  }

  #reach(): number {
    return this.#items.reduce((most, _, i) => Math.max(most, this.#top(i)), 0);
  }

  #keepIn(i: number, length: number): void {
    if (this.#items[i]!.locked) return;
    const { x, y, shape } = this.#at;
    const { minX, maxX, minY, maxY } = this.#shapes[shape[i]!]!;
    x[i] = Math.max(-minX, Math.min(this.#width - maxX, x[i]!));
    y[i] = Math.max(-minY, Math.min(length - maxY, y[i]!));
  }

  /** What the overlap of two items costs, unweighed; 0 where they do not. */
  #bad(i: number, j: number): number {
    const { shape, x, y } = this.#at;
    const [one, other] = [this.#shapes[shape[i]!]!, this.#shapes[shape[j]!]!];
    const dx = x[j]! - x[i]!;
    const dy = y[j]! - y[i]!;
    if (one.maxX <= other.minX + dx || other.maxX + dx <= one.minX || one.maxY <= other.minY + dy || other.maxY + dy <= one.minY) return 0;
    const depth = this.#exact
      ? this.#collisions.exactDepth(shape[i]!, shape[j]!, dx, dy)
      : this.#collisions.depth(shape[i]!, shape[j]!, dx, dy);
    return Math.sqrt(depth) * this.#heavy[i]! * this.#heavy[j]!;
  }

  /** What one item at a place costs, weighed; more than enough is enough. */
  #cost(i: number, one: number, atX: number, atY: number, enough: number): number {
    const { shape, x, y } = this.#at;
    const shapes = this.#shapes;
    const own = shapes[one]!;
    const exact = this.#exact;
    const heavy = this.#heavy;
    const n = heavy.length;
    let sum = 0;
    const left = atX + own.minX;
    const right = atX + own.maxX;
    const low = atY + own.minY;
    const high = atY + own.maxY;
    const weights = this.#weights;
    for (let j = 0; j < n; j++) {
      const other = shapes[shape[j]!]!;
      const ox = x[j]!;
      const oy = y[j]!;
      if (right <= ox + other.minX || ox + other.maxX <= left || high <= oy + other.minY || oy + other.maxY <= low || j === i) continue;
      const depth = exact
        ? this.#collisions.exactDepth(one, shape[j]!, ox - atX, oy - atY)
        : this.#collisions.depth(one, shape[j]!, ox - atX, oy - atY);
      if (depth === 0) continue;
      sum += Math.sqrt(depth) * heavy[j]! * heavy[i]! * weights[i * n + j]!;
      if (sum >= enough) return sum;
    }
    return sum;
  }

  /** Whether no two overlap, by their outlines. */
  #free(): boolean {
    const n = this.#items.length;
    const { shape, x, y } = this.#at;
    let free = true;
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        if (this.#items[i]!.locked && this.#items[j]!.locked) continue;
        if (this.#bad(i, j) > 0 || this.#collisions.missed(shape[i]!, shape[j]!, x[j]! - x[i]!, y[j]! - y[i]!)) free = false;
      }
    return free;
  }

  /** The best place for an item that is found by looking at random, near by, and downhill from the best of those. */
  #move(i: number, now: number): void {
    const item = this.#items[i]!;
    const at = this.#at;
    const random = this.#random;
    const { shapes } = item;
    const pace = this.#pace;
    let kept: { cost: number; shape: number; x: number; y: number }[] = [{ cost: now, shape: at.shape[i]!, x: at.x[i]!, y: at.y[i]! }];
    const look = (index: number, x: number, y: number) => {
      const shape = this.#shapes[index]!;
      const cx = Math.max(-shape.minX, Math.min(this.#width - shape.maxX, x));
      const cy = Math.max(-shape.minY, Math.min(this.#length - shape.maxY, y));
      const worst = kept.length < pace.kept ? Infinity : kept.at(-1)!.cost;
      const cost = this.#cost(i, index, cx, cy, worst);
      if (cost >= worst) return;
      kept.push({ cost, shape: index, x: cx, y: cy });
      kept.sort((a, b) => a.cost - b.cost);
      kept = kept.slice(0, pace.kept);
    };
    const any = () => shapes[Math.floor(random() * shapes.length)]!;
    const fits = ({ minX, maxX, minY, maxY }: NestShape) => maxX - minX <= this.#width + 1e-9 && maxY - minY <= this.#length + 1e-9;
    for (let k = 0; k < pace.random && kept[0]!.cost > 0; k++) {
      const index = any();
      const shape = this.#shapes[index]!;
      if (fits(shape))
        look(
          index,
          -shape.minX + random() * (this.#width - shape.maxX + shape.minX),
          -shape.minY + random() * (this.#length - shape.maxY + shape.minY),
        );
    }
    const own = this.#shapes[at.shape[i]!]!;
    const size = Math.max(own.maxX - own.minX, own.maxY - own.minY);
    for (let k = 0; k < pace.near && kept[0]!.cost > 0; k++) {
      const index = random() < SEARCH.asTurned ? at.shape[i]! : any();
      const reach = size * SEARCH.reaches[k % 2]!;
      if (fits(this.#shapes[index]!)) look(index, at.x[i]! + (random() - 0.5) * reach, at.y[i]! + (random() - 0.5) * reach);
    }
    let best = kept[0]!;
    for (const begun of kept) {
      let here = begun;
      let step = size * SEARCH.step;
      const { minX, maxX, minY, maxY } = this.#shapes[here.shape]!;
      while (step > SEARCH.least && here.cost > 0) {
        let next = here;
        // along, across and both at once, in an order that changes
        const turn = random() * Math.PI;
        for (let k = 0; k < 4; k++) {
          const angle = turn + (k * Math.PI) / 2;
          const x = Math.max(-minX, Math.min(this.#width - maxX, here.x + step * Math.cos(angle)));
          const y = Math.max(-minY, Math.min(this.#length - maxY, here.y + step * Math.sin(angle)));
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

  #shorten(): void {
    this.#length = this.#best.length * (1 - this.#shrink);
    const tallest = this.#items.reduce((most, { shapes }) => {
      const fits = shapes
        .map((index) => this.#shapes[index]!)
        .map(({ minY, maxY, minX, maxX }) => (maxX - minX <= this.#width + 1e-9 ? maxY - minY : Infinity));
      return Math.max(most, Math.min(...fits));
    }, 0);
    this.#length = Math.max(this.#length, tallest, this.#stays);
    for (let i = 0; i < this.#items.length; i++) this.#keepIn(i, this.#length);
    this.#exact = false;
    this.#weights.fill(1);
    this.#stuck = 0;
    this.#least = Infinity;
    this.#tries = 0;
    this.#nearest = undefined;
    this.#nearestTotal = Infinity;
  }

  /**
   * Two large parts change places in what overlapped least on this strip, and it is tried again; after some tries back to the best layout,
   * and a little less off.
   */
  #giveUp(): void {
    const items = this.#items;
    this.#tries += 1;
    let swaps = 1;
    if (this.#tries > this.#pace.tries) {
      putBack(this.#at, this.#best.at);
      this.#shrink = Math.max(SHRINK.least, this.#shrink * SHRINK.after);
      this.#shorten();
    } else {
      // what the grids took for free and was not is no place to go on from
      if (this.#exact) {
        this.#nearest = undefined;
        this.#nearestTotal = Infinity;
        swaps = SWAPS;
      } else if (this.#nearest) putBack(this.#at, this.#nearest);
      this.#exact = false;
      this.#weights.fill(1);
      this.#stuck = 0;
      this.#least = Infinity;
    }
    if (items.length < 2) return;
    const large = items
      .map(({ area, locked }, i) => ({ i, area, locked }))
      .filter((one) => !one.locked)
      .toSorted((a, b) => b.area - a.area)
      .slice(0, Math.max(2, Math.ceil(items.length / 3)));
    if (large.length === 0) return;
    const { x, y } = this.#at;
    for (let k = 0; k < swaps; k++) {
      const [a, b] = [0, 1].map(() => large[Math.floor(this.#random() * large.length)]!.i) as [number, number];
      [x[a], y[a], x[b], y[b]] = [x[b]!, y[b]!, x[a]!, y[a]!];
      for (const i of [a, b]) this.#keepIn(i, this.#length);
    }
  }

  /**
   * Parts whose outlines still meet are pushed apart a little, all of them over and over.
   *
   * @returns whether none meet any more
   */
  #settle(sweeps: number = SETTLE.sweeps): boolean {
    const n = this.#items.length;
    const { shape, x, y } = this.#at;
    for (let sweep = 0; sweep < sweeps; sweep++) {
      let met = false;
      for (let i = 0; i < n; i++)
        for (let j = i + 1; j < n; j++) {
          const [fast, loose] = [this.#items[i]!.locked, this.#items[j]!.locked];
          if (fast && loose) continue;
          const way = this.#collisions.wayOut(shape[i]!, shape[j]!, x[j]! - x[i]!, y[j]! - y[i]!);
          if (!way) continue;
          met = true;
          const share = fast ? 1 : loose ? 0 : 0.5;
          x[j]! += way[0] * share;
          y[j]! += way[1] * share;
          x[i]! -= way[0] * (1 - share);
          y[i]! -= way[1] * (1 - share);
          this.#keepIn(i, this.#length);
          this.#keepIn(j, this.#length);
        }
      if (!met) return this.#free();
    }
    return false;
  }

  /** Parts that just fit are pushed closer, as far as they go without changing places. */
  #squeeze(): void {
    let by: number = SQUEEZE.first;
    while (by > SQUEEZE.last) {
      this.#length = Math.max(this.#stays, this.#best.length * (1 - by));
      for (let i = 0; i < this.#items.length; i++) this.#keepIn(i, this.#length);
      if (this.#settle(SQUEEZE.sweeps) && this.#reach() < this.#best.length) this.#best = { length: this.#reach(), at: copied(this.#at) };
      else {
        putBack(this.#at, this.#best.at);
        by /= 2;
      }
    }
  }

  /** One round: every part that overlaps is moved once. Where none does any more, the layout is the best so far and the strip is made shorter. */
  round(): void {
    const items = this.#items;
    const n = items.length;
    if (n === 0) return;
    // a new order each round
    for (let k = n - 1; k > 0; k--) {
      const other = Math.floor(this.#random() * (k + 1));
      const kept = this.#order[k]!;
      this.#order[k] = this.#order[other]!;
      this.#order[other] = kept;
    }
    const { shape, x, y } = this.#at;
    const settled = this.#exact && this.#simple && this.#settle();
    if (this.#exact && this.#simple && !settled) {
      this.#stuck += 1;
      if (this.#stuck > SETTLE.rounds) this.#giveUp();
      return;
    }
    for (const i of this.#order) {
      if (settled || items[i]!.locked) continue;
      const now = this.#cost(i, shape[i]!, x[i]!, y[i]!, Infinity);
      if (now > 0) this.#move(i, now);
    }
    let [total, worst] = [0, 0];
    const pairs: { i: number; j: number; bad: number }[] = [];
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        if (items[i]!.locked && items[j]!.locked) continue;
        const bad = this.#bad(i, j);
        if (bad > 0) pairs.push({ i, j, bad });
        else this.#weights[i * n + j] = this.#weights[j * n + i] = Math.max(1, this.#weights[i * n + j]! * FADE);
        total += bad;
        worst = Math.max(worst, bad);
      }
    if (pairs.length === 0) {
      if (!this.#exact) {
        // free by the grids: what outlines still meet is parted with all else in its place
        this.#exact = true;
        if (!this.#free()) {
          this.#weights.fill(1);
          this.#stuck = 0;
          this.#least = Infinity;
          return;
        }
      } else if (!this.#free()) return;
      const length = this.#reach();
      if (length < this.#best.length) this.#best = { length, at: copied(this.#at) };
      if (this.#simple) this.#squeeze();
      return this.#shorten();
    }
    const { more: least, most } = this.#pace;
    for (const { i, j, bad } of pairs) {
      const more = least + (most - least) * (bad / worst);
      this.#weights[i * n + j] = this.#weights[j * n + i] = this.#weights[i * n + j]! * more;
    }
    if (total < this.#nearestTotal) {
      this.#nearestTotal = total;
      this.#nearest = copied(this.#at);
    }
    if (total < this.#least * PROGRESS) {
      this.#least = total;
      this.#stuck = 0;
    } else this.#stuck += 1;
    if (this.#stuck > this.#pace.stuck && this.#best.length < Infinity) this.#giveUp();
  }

  /** The best layout so far. */
  nested(): Nested[] {
    return this.#asNested(this.#best.at);
  }

  /**
   * The best layout so far, what lies loose in it pushed to the left as far as it goes: no longer than it was, and what is left of the film beside it
   * is in one piece.
   */
  gathered(): Nested[] {
    const kept = copied(this.#at);
    const exact = this.#exact;
    putBack(this.#at, this.#best.at);
    this.#exact = true;
    const { shape, x, y } = this.#at;
    const left = (i: number) => x[i]! + this.#shapes[shape[i]!]!.minX;
    const clear = (i: number, to: number) =>
      this.#items.every(
        (_, j) =>
          j === i ||
          (this.#collisions.exactDepth(shape[i]!, shape[j]!, x[j]! - to, y[j]! - y[i]!) === 0 &&
            !this.#collisions.missed(shape[i]!, shape[j]!, x[j]! - to, y[j]! - y[i]!)),
      );
    for (const i of this.#items.map((_, k) => k).toSorted((a, b) => left(a) - left(b))) {
      if (this.#items[i]!.locked) continue;
      for (let step: number = GATHER.first; step >= GATHER.last; step /= 2) {
        while (left(i) - step >= 0 && clear(i, x[i]! - step)) x[i]! -= step;
      }
    }
    const found = copied(this.#at);
    putBack(this.#at, kept);
    this.#exact = exact;
    return this.#asNested(found);
  }

  #asNested({ shape, x, y }: Lie): Nested[] {
    const edge = this.options.holdDown - this.options.gap / 2;
    return this.#items.map(({ part, copy }, i) => {
      const lying = { turn: this.#shapes[shape[i]!]!.turn, x: x[i]! + edge, y: y[i]! + edge };
      return { part, copy, sheet: 0, place: placeOf(lying, this.parts[part]!.region) };
    });
  }
}
