import { CornerFit, cornersFit } from './cornerFit';
import { nestedLength } from './nestedLength';
import type { Nested, NestOptions, NestPart, Nesting } from './nester';
import { Separation } from './separate';
import type { Sheet } from './sheet';
import { QUARTERS } from './turns';

/**
 * A search for a shorter layout of parts on a roll's free end, round by round. Parts with straight sides are first laid corner into corner; from
 * what is shortest they are moved on.
 */
export class NestingSearch {
  #corners: CornerFit | undefined;
  #separation: Separation | undefined;

  /**
   * @param start a layout without overlaps
   * @param seed the same seed and rounds give the same layout
   * @param from whether to begin with the start alone, or with corners where these parts have any
   */
  constructor(
    readonly parts: readonly NestPart[],
    readonly sheet: Sheet,
    readonly options: NestOptions,
    readonly start: Nesting,
    readonly seed: number,
    from: 'asItIs' | 'corners',
    readonly turns: readonly number[] = QUARTERS,
    readonly locked: ReadonlySet<string> = new Set(),
  ) {
    if (from === 'corners' && locked.size === 0 && cornersFit(parts)) this.#corners = new CornerFit(parts, sheet, options);
    else this.#separation = this.#from(start);
  }

  #from(start: Nesting): Separation {
    return new Separation(this.parts, this.sheet, this.options, start, this.seed, this.turns, this.locked);
  }

  round(): void {
    if (this.#separation) return this.#separation.round();
    if (this.#corners!.step()) return;
    const nested = this.#corners!.nested();
    const shorter = nested && nestedLength({ nested }, this.parts) < nestedLength(this.start, this.parts);
    this.#separation = this.#from(shorter ? { ...this.start, nested } : this.start);
    // what cannot be laid without overlaps is no layout
    if (this.#separation.length === Infinity) this.#separation = this.#from(this.start);
  }

  /** The best layout so far; the start while there is none that is shorter. */
  nested(): readonly Nested[] {
    const { length = Infinity } = this.#separation ?? {};
    return length < Infinity ? this.#separation!.nested() : this.start.nested;
  }

  /** The same with what lies loose in it pushed to the left. */
  gathered(): readonly Nested[] {
    const { length = Infinity } = this.#separation ?? {};
    return length < Infinity ? this.#separation!.gathered() : this.start.nested;
  }
}
