import { copied, Crowd, putBack, type Lie } from './crowd';
import { gather } from './gather';
import type { Nested, NestOptions, NestPart, Nesting } from './nester';
import { sheetWidth, type Sheet } from './sheet';
import { QUARTERS } from './turns';

/** How much shorter the strip is made to begin with, how much less each time that it was given up, and the least, a share. */
const SHRINK = { first: 0.01, least: 0.001, after: 0.9 };
/** Steps of pushing closer, shares of the strip. */
const SQUEEZE = { first: 0.008, last: 0.0004, sweeps: 80 };
/** A strip on which parts overlap by a hair is made so much longer, shares. */
const LOOSER = [0, 0.0005, 0.002, 0.005] as const;
/** So often parts change places where pushing apart led nowhere. */
const SWAPS = 3;
/** Rounds of pushing apart, and sweeps over all pairs in each. */
const SETTLE = { rounds: 8, sweeps: 20 };
/** Less than this share of the least overlap so far is progress. */
const PROGRESS = 0.98;
/**
 * Parts on a strip, moved until none overlaps, and the strip made shorter again: guided separation. Each overlapping part in turn is put where it
 * overlaps least, looked for at random and near by; pairs that go on overlapping weigh more and more (guided local search; Egeblad, Nielsen and
 * Odgaard, 2007; Umetani and others, 2009).
 */
export class Separation {
  readonly #crowd: Crowd;
  /** No strip is shorter than what the locked ones reach, mm. */
  readonly #stays: number;
  #best: { readonly length: number; readonly at: Lie };
  #shrink: number = SHRINK.first;
  #stuck = 0;
  #least = Infinity;
  /** How often this strip was tried, and what overlapped least on it. */
  #tries = 0;
  #nearest: Lie | undefined;
  #nearestTotal = Infinity;

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
    const { gap, holdDown } = options;
    const crowd = new Crowd(parts, options, start.nested, seed, turns, locked, { width: sheetWidth(sheet) - 2 * holdDown + gap });
    this.#crowd = crowd;
    this.#stays = Math.max(0, ...crowd.items.map((item, i) => (item.locked ? crowd.top(i) : 0)));
    for (let i = 0; i < crowd.items.length; i++) crowd.keepIn(i, Infinity);
    crowd.length = crowd.reach();
    this.#best = { length: Infinity, at: copied(crowd.at) };
    // grown outlines may meet where true ones do not: the first round then separates
    if (crowd.free() || (crowd.simple && this.#loosened())) {
      this.#best = { length: crowd.length, at: copied(crowd.at) };
      this.#shorten();
    }
  }

  /** mm of the strip that the best layout takes, its gap with it; without end while none is known that is free of overlaps. */
  get length(): number {
    return this.#best.length;
  }

  #shorten(): void {
    this.#crowd.length = this.#best.length * (1 - this.#shrink);
    const tallest = this.#crowd.items.reduce((most, { shapes }) => {
      const fits = shapes
        .map((index) => this.#crowd.shapes[index]!)
        .map(({ minY, maxY, minX, maxX }) => (maxX - minX <= this.#crowd.width + 1e-9 ? maxY - minY : Infinity));
      return Math.max(most, Math.min(...fits));
    }, 0);
    this.#crowd.length = Math.max(this.#crowd.length, tallest, this.#stays);
    for (let i = 0; i < this.#crowd.items.length; i++) this.#crowd.keepIn(i, this.#crowd.length);
    this.#crowd.exact = false;
    this.#crowd.weights.fill(1);
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
    const items = this.#crowd.items;
    this.#tries += 1;
    let swaps = 1;
    if (this.#tries > this.#crowd.pace.tries) {
      putBack(this.#crowd.at, this.#best.at);
      this.#shrink = Math.max(SHRINK.least, this.#shrink * SHRINK.after);
      this.#shorten();
    } else {
      // what the grids took for free and was not is no place to go on from
      if (this.#crowd.exact) {
        this.#nearest = undefined;
        this.#nearestTotal = Infinity;
        swaps = SWAPS;
      } else if (this.#nearest) putBack(this.#crowd.at, this.#nearest);
      this.#crowd.exact = false;
      this.#crowd.weights.fill(1);
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
    const { x, y } = this.#crowd.at;
    for (let k = 0; k < swaps; k++) {
      const [a, b] = [0, 1].map(() => large[Math.floor(this.#crowd.random() * large.length)]!.i) as [number, number];
      [x[a], y[a], x[b], y[b]] = [x[b]!, y[b]!, x[a]!, y[a]!];
      for (const i of [a, b]) this.#crowd.keepIn(i, this.#crowd.length);
    }
  }

  /**
   * Parts that overlap by a hair are pushed apart, on a strip that is hardly longer.
   *
   * @returns whether none meet any more; if not they lie as they lay
   */
  #loosened(): boolean {
    const [length, before] = [this.#crowd.length, copied(this.#crowd.at)];
    // by their outlines: grids take what touches for overlapping
    this.#crowd.exact = true;
    for (const by of LOOSER) {
      this.#crowd.length = length * (1 + by);
      if (this.#crowd.settle(SQUEEZE.sweeps)) {
        this.#crowd.length = this.#crowd.reach();
        return true;
      }
      putBack(this.#crowd.at, before);
    }
    this.#crowd.length = length;
    this.#crowd.exact = false;
    return false;
  }

  /** Parts that just fit are pushed closer, as far as they go without changing places. */
  #squeeze(): void {
    let by: number = SQUEEZE.first;
    while (by > SQUEEZE.last) {
      this.#crowd.length = Math.max(this.#stays, this.#best.length * (1 - by));
      for (let i = 0; i < this.#crowd.items.length; i++) this.#crowd.keepIn(i, this.#crowd.length);
      if (this.#crowd.settle(SQUEEZE.sweeps) && this.#crowd.reach() < this.#best.length)
        this.#best = { length: this.#crowd.reach(), at: copied(this.#crowd.at) };
      else {
        putBack(this.#crowd.at, this.#best.at);
        by /= 2;
      }
    }
  }

  /** One round: every part that overlaps is moved once. Where none does any more, the layout is the best so far and the strip is made shorter. */
  round(): void {
    const crowd = this.#crowd;
    if (crowd.items.length === 0) return;
    const settling = crowd.exact && crowd.simple;
    if (settling) crowd.shuffle();
    if (settling && !crowd.settle(SETTLE.sweeps)) {
      this.#stuck += 1;
      if (this.#stuck > SETTLE.rounds) this.#giveUp();
      return;
    }
    const total = settling ? crowd.weigh() : crowd.sweep();
    if (total === 0) {
      if (!crowd.exact) {
        // free by the grids: what outlines still meet is parted with all else in its place
        crowd.exact = true;
        if (!crowd.free()) {
          crowd.weights.fill(1);
          this.#stuck = 0;
          this.#least = Infinity;
          return;
        }
      } else if (!crowd.free()) return;
      const length = crowd.reach();
      if (length < this.#best.length) this.#best = { length, at: copied(crowd.at) };
      if (crowd.simple) this.#squeeze();
      return this.#shorten();
    }
    if (total < this.#nearestTotal) {
      this.#nearestTotal = total;
      this.#nearest = copied(crowd.at);
    }
    if (total < this.#least * PROGRESS) {
      this.#least = total;
      this.#stuck = 0;
    } else this.#stuck += 1;
    if (this.#stuck > crowd.pace.stuck && this.#best.length < Infinity) this.#giveUp();
  }

  /** The best layout so far. */
  nested(): Nested[] {
    return this.#crowd.asNested(this.#best.at);
  }

  /**
   * The best layout so far, what lies loose in it pushed to the left as far as it goes: no longer than it was, and what is left of the film beside it
   * is in one piece.
   */
  gathered(): Nested[] {
    const kept = copied(this.#crowd.at);
    putBack(this.#crowd.at, this.#best.at);
    gather(this.#crowd);
    const found = this.#crowd.asNested(this.#crowd.at);
    putBack(this.#crowd.at, kept);
    return found;
  }
}
