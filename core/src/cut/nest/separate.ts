// Longer than 300 lines: one search over one state, whose steps (move, shorten, give up, round) change it together.
import { numbersFrom } from '../../geometry';
import { badness, overlap } from './collide';
import { copyKey, lyingOf, placeOf } from './keptLayout';
import { nestBody, type NestBody, type NestShape } from './nestShape';
import type { Nested, NestOptions, NestPart, Nesting } from './nester';
import { sheetWidth, type Sheet } from './sheet';
import { paceFor, type Pace } from './pace';
import { QUARTERS } from './turns';

/** One copy of a part on the strip: which shape, and where its middle lies, mm. */
interface Item {
  readonly part: number;
  readonly copy: number;
  readonly body: NestBody;
  /** It stays where it is; the others lie round it. */
  readonly locked: boolean;
  shape: NestShape;
  x: number;
  y: number;
}

/** How a placement is looked for. */
const SEARCH = {
  /** How often a part near by stays as it is turned; and how far near by is, in its larger side, by turns. */
  asTurned: 0.5,
  reaches: [0.25, 1],
  /** The first step downhill, in its larger side. */
  step: 0.1,
} as const;
/** Weights of pairs that do not overlap any more. */
const FADE = 0.95;
/** How much less the strip is made shorter each time that it was given up, and the least, a share. */
const SHRINK = { least: 0.001, after: 0.7 };
/** Less than this share of the least overlap so far is progress. */
const PROGRESS = 0.98;
/**
 * Parts on a strip, moved until none overlaps, and the strip made shorter again: guided separation. Each overlapping part in turn is put where it
 * overlaps least, looked for at random and near by; pairs that go on overlapping weigh more and more (guided local search; Egeblad, Nielsen and
 * Odgaard, 2007; Umetani and others, 2009).
 */
export class Separation {
  readonly #items: Item[];
  readonly #random: () => number;
  readonly #weights: Float64Array;
  readonly #fine: number;
  /** Width that middles may use, and the length that is tried now, mm. */
  readonly #width: number;
  #length: number;
  /** No strip is shorter than what the locked ones reach, mm. */
  readonly #stays: number;
  #best: { readonly length: number; readonly at: readonly Pick<Item, 'shape' | 'x' | 'y'>[] };
  #shrink: number;
  readonly #pace: Pace;
  #stuck = 0;
  #least = Infinity;
  /** How often this strip was tried, and what overlapped least on it. */
  #tries = 0;
  #nearest: readonly Pick<Item, 'shape' | 'x' | 'y'>[] | undefined;
  #nearestTotal = Infinity;
  /** The order in which items are looked at, another each round. */
  readonly #order: Int32Array;

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
    this.#items = start.nested.map(({ part, copy, place }) => {
      const { region } = parts[part]!;
      const { turn, x, y } = lyingOf(place, region);
      const known = bodies[part]!;
      // a hand may have turned it otherwise than is looked for
      const shape = known.shapes.find((one) => Math.abs(one.turn - turn) < 1e-6) ?? nestBody({ region }, gap, [turn]).shapes[0]!;
      const body = known.shapes.includes(shape) ? known : { ...known, shapes: [shape, ...known.shapes] };
      return { part, copy, body, locked: locked.has(copyKey({ part, copy })), shape, x: x - edge, y: y - edge };
    });
    const n = this.#items.length;
    this.#pace = paceFor(n);
    this.#shrink = this.#pace.shrink;
    this.#weights = new Float64Array(n * n).fill(1);
    this.#order = Int32Array.from({ length: n }, (_, i) => i);
    const sides = this.#items.reduce((sum, { shape }) => sum + shape.maxX - shape.minX + shape.maxY - shape.minY, 0);
    this.#fine = Math.max(0.05, (this.#pace.fine * sides) / Math.max(1, 2 * n));
    this.#stays = Math.max(0, ...this.#items.filter((item) => item.locked).map(({ y, shape }) => y + shape.maxY));
    for (const item of this.#items) this.#keepIn(item, Infinity);
    this.#length = this.#items.reduce((most, { y, shape }) => Math.max(most, y + shape.maxY), 0);
    this.#best = { length: this.#total() === 0 ? this.#length : Infinity, at: this.#places() };
    // grown outlines may meet where true ones do not: the first round then separates
    if (this.#best.length < Infinity) this.#shorten();
  }

  /** mm of the strip that the best layout takes, its gap with it; without end while none is known that is free of overlaps. */
  get length(): number {
    return this.#best.length;
  }

  #places(): Pick<Item, 'shape' | 'x' | 'y'>[] {
    return this.#items.map(({ shape, x, y }) => ({ shape, x, y }));
  }

  #keepIn(item: Item, length: number): void {
    if (item.locked) return;
    const { shape } = item;
    item.x = Math.max(-shape.minX, Math.min(this.#width - shape.maxX, item.x));
    item.y = Math.max(-shape.minY, Math.min(length - shape.maxY, item.y));
  }

  /** What one item at a place costs, weighed; more than enough is enough. */
  #cost(i: number, shape: NestShape, x: number, y: number, enough: number): number {
    const items = this.#items;
    const n = items.length;
    let sum = 0;
    const left = x + shape.minX;
    const right = x + shape.maxX;
    const low = y + shape.minY;
    const high = y + shape.maxY;
    for (let j = 0; j < n; j++) {
      if (j === i) continue;
      const other = items[j]!;
      const o = other.shape;
      if (right <= other.x + o.minX || other.x + o.maxX <= left || high <= other.y + o.minY || other.y + o.maxY <= low) continue;
      const dx = other.x - x;
      const dy = other.y - y;
      if (!overlap(shape, o, dx, dy)) continue;
      sum += badness(shape, o, dx, dy, this.#fine) * this.#weights[i * n + j]!;
      if (sum >= enough) return sum;
    }
    return sum;
  }

  #total(): number {
    return this.#items.reduce((sum, { shape, x, y, locked }, i) => sum + (locked ? 0 : this.#cost(i, shape, x, y, Infinity)), 0);
  }

  /** The best place for an item that is found by looking at random, near by, and downhill from the best of those. */
  #move(i: number, now: number): void {
    const item = this.#items[i]!;
    const random = this.#random;
    const { shapes } = item.body;
    let kept: { cost: number; shape: NestShape; x: number; y: number }[] = [{ cost: now, shape: item.shape, x: item.x, y: item.y }];
    const look = (shape: NestShape, x: number, y: number) => {
      const cx = Math.max(-shape.minX, Math.min(this.#width - shape.maxX, x));
      const cy = Math.max(-shape.minY, Math.min(this.#length - shape.maxY, y));
      const worst = kept.length < this.#pace.kept ? Infinity : kept.at(-1)!.cost;
      const cost = this.#cost(i, shape, cx, cy, worst);
      if (cost >= worst) return;
      kept.push({ cost, shape, x: cx, y: cy });
      kept.sort((a, b) => a.cost - b.cost);
      kept = kept.slice(0, this.#pace.kept);
    };
    const any = () => shapes[Math.floor(random() * shapes.length)]!;
    const fits = (shape: NestShape) => shape.maxX - shape.minX <= this.#width + 1e-9 && shape.maxY - shape.minY <= this.#length + 1e-9;
    for (let k = 0; k < this.#pace.random && kept[0]!.cost > 0; k++) {
      const shape = any();
      if (fits(shape))
        look(
          shape,
          -shape.minX + random() * (this.#width - shape.maxX + shape.minX),
          -shape.minY + random() * (this.#length - shape.maxY + shape.minY),
        );
    }
    const size = Math.max(item.shape.maxX - item.shape.minX, item.shape.maxY - item.shape.minY);
    for (let k = 0; k < this.#pace.near && kept[0]!.cost > 0; k++) {
      const shape = random() < SEARCH.asTurned ? item.shape : any();
      const reach = size * SEARCH.reaches[k % 2]!;
      if (fits(shape)) look(shape, item.x + (random() - 0.5) * reach, item.y + (random() - 0.5) * reach);
    }
    let best = kept[0]!;
    for (const begun of kept) {
      let here = begun;
      let step = size * SEARCH.step;
      while (step > this.#pace.least && here.cost > 0) {
        let next = here;
        // along, across and both at once, in an order that changes
        const turn = random() * Math.PI;
        for (let k = 0; k < 4; k++) {
          const angle = turn + (k * Math.PI) / 2;
          const x = Math.max(-here.shape.minX, Math.min(this.#width - here.shape.maxX, here.x + step * Math.cos(angle)));
          const y = Math.max(-here.shape.minY, Math.min(this.#length - here.shape.maxY, here.y + step * Math.sin(angle)));
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
    item.shape = best.shape;
    item.x = best.x;
    item.y = best.y;
  }

  #shorten(): void {
    this.#length = this.#best.length * (1 - this.#shrink);
    const tallest = this.#items.reduce(
      (most, { body }) =>
        Math.max(
          most,
          Math.min(...body.shapes.map(({ minY, maxY, minX, maxX }) => (maxX - minX <= this.#width + 1e-9 ? maxY - minY : Infinity))),
        ),
      0,
    );
    this.#length = Math.max(this.#length, tallest, this.#stays);
    for (const item of this.#items) this.#keepIn(item, this.#length);
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
    if (this.#tries > this.#pace.tries || !this.#nearest) {
      this.#best.at.forEach((place, i) => Object.assign(items[i]!, place));
      this.#shrink = Math.max(SHRINK.least, this.#shrink * SHRINK.after);
      this.#shorten();
    } else {
      this.#nearest.forEach((place, i) => Object.assign(items[i]!, place));
      this.#weights.fill(1);
      this.#stuck = 0;
      this.#least = Infinity;
    }
    if (items.length < 2 || this.#random() > this.#pace.swapped) return;
    const large = items
      .map((item, i) => ({ i, area: item.body.area, locked: item.locked }))
      .filter((one) => !one.locked)
      .toSorted((a, b) => b.area - a.area)
      .slice(0, Math.max(2, Math.ceil(items.length / 3)));
    if (large.length === 0) return;
    const [a, b] = [0, 1].map(() => items[large[Math.floor(this.#random() * large.length)]!.i]!) as [Item, Item];
    [a.x, a.y, b.x, b.y] = [b.x, b.y, a.x, a.y];
    for (const item of [a, b]) this.#keepIn(item, this.#length);
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
    for (const i of this.#order) {
      const { shape, x, y, locked } = items[i]!;
      if (locked) continue;
      const now = this.#cost(i, shape, x, y, Infinity);
      if (now > 0) this.#move(i, now);
    }
    let [total, worst] = [0, 0];
    const pairs: { i: number; j: number; bad: number }[] = [];
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        const [a, b] = [items[i]!, items[j]!];
        if (a.locked && b.locked) continue;
        const [dx, dy] = [b.x - a.x, b.y - a.y];
        const bad = overlap(a.shape, b.shape, dx, dy) ? badness(a.shape, b.shape, dx, dy, this.#fine) : 0;
        if (bad > 0) pairs.push({ i, j, bad });
        else this.#weights[i * n + j] = this.#weights[j * n + i] = Math.max(1, this.#weights[i * n + j]! * FADE);
        total += bad;
        worst = Math.max(worst, bad);
      }
    if (pairs.length === 0) {
      const length = items.reduce((most, { y, shape }) => Math.max(most, y + shape.maxY), 0);
      if (length < this.#best.length) this.#best = { length, at: this.#places() };
      return this.#shorten();
    }
    const { more: least, most } = this.#pace;
    for (const { i, j, bad } of pairs) {
      const more = least + (most - least) * (bad / worst);
      this.#weights[i * n + j] = this.#weights[j * n + i] = this.#weights[i * n + j]! * more;
    }
    if (total < this.#nearestTotal) {
      this.#nearestTotal = total;
      this.#nearest = this.#places();
    }
    if (total < this.#least * PROGRESS) {
      this.#least = total;
      this.#stuck = 0;
    } else this.#stuck += 1;
    if (this.#stuck > this.#pace.stuck && this.#best.length < Infinity) this.#giveUp();
  }

  /** The best layout so far. */
  nested(): Nested[] {
    const edge = this.options.holdDown - this.options.gap / 2;
    return this.#items.map(({ part, copy }, i) => {
      const { shape, x, y } = this.#best.at[i]!;
      return { part, copy, sheet: 0, place: placeOf({ turn: shape.turn, x: x + edge, y: y + edge }, this.parts[part]!.region) };
    });
  }
}
