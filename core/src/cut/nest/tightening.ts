import { copied, Crowd, putBack, type Lie } from './crowd';
import { gather } from './gather';
import type { Nested, NestOptions, NestPart } from './nester';
import { sheetWidth, type Sheet } from './sheet';
import { QUARTERS } from './turns';

/** Shares by which the strip is made shorter: the first, and the last that is tried. */
const CLOSER = { first: 0.004, last: 0.0004 } as const;
/** So often parts are pushed apart on a shorter strip. */
const SWEEPS = 80;

/**
 * The last hundredths of a layout on a strip: a search moves outlines that are followed lightly, and a tenth of a millimetre or two stay between parts that
 * touch. Here they are followed closely, all parts are drawn together by a little, in proportion, and pushed apart where they touch. None changes places.
 */
export class Tightening {
  readonly #crowd: Crowd;
  /** No strip is shorter than what the locked ones reach, mm. */
  readonly #stays: number;
  #best: { readonly length: number; readonly at: Lie };
  #by: number = CLOSER.first;

  /**
   * @param nested a layout without overlaps
   * @param turns that parts may lie in, in quarters
   * @param locked copies that stay where they lie, as `copyKey` calls them
   */
  constructor(
    parts: readonly NestPart[],
    sheet: Sheet,
    options: NestOptions,
    nested: readonly Nested[],
    turns: readonly number[] = QUARTERS,
    locked: ReadonlySet<string> = new Set(),
  ) {
    const width = sheetWidth(sheet) - 2 * options.holdDown + options.gap;
    // nothing is looked for at random
    const crowd = new Crowd(parts, options, nested, 1, turns, locked, { width }, 'fine');
    this.#crowd = crowd;
    crowd.exact = true;
    this.#stays = Math.max(0, ...crowd.items.map((item, i) => (item.locked ? crowd.top(i) : 0)));
    crowd.length = crowd.reach();
    this.#best = { length: crowd.length, at: copied(crowd.at) };
    if (!crowd.free()) this.#by = 0;
  }

  /**
   * Draws all together once more.
   *
   * @returns whether there is anything left to try
   */
  step(): boolean {
    if (this.#by < CLOSER.last) return false;
    const crowd = this.#crowd;
    const { length } = this.#best;
    crowd.length = Math.max(this.#stays, length * (1 - this.#by));
    const share = crowd.length / length;
    crowd.items.forEach((item, i) => {
      if (item.locked) return;
      crowd.at.y[i] = crowd.at.y[i]! * share;
      crowd.keepIn(i, crowd.length);
    });
    if (crowd.settle(SWEEPS) && crowd.reach() < length) this.#best = { length: crowd.reach(), at: copied(crowd.at) };
    else {
      putBack(crowd.at, this.#best.at);
      this.#by /= 2;
    }
    return this.#by >= CLOSER.last;
  }

  /** The best layout so far. */
  nested(): readonly Nested[] {
    return this.#crowd.asNested(this.#best.at);
  }

  /** The same with what lies loose in it pushed to the left. */
  gathered(): readonly Nested[] {
    putBack(this.#crowd.at, this.#best.at);
    gather(this.#crowd);
    const found = this.#crowd.asNested(this.#crowd.at);
    putBack(this.#crowd.at, this.#best.at);
    return found;
  }
}
