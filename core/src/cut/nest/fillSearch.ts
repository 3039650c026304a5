import { boxOf, boxWidth, IDENTITY, numbersFrom, offset, regionArea } from '../../geometry';
import { checkNesting } from './checkNesting';
import { copied, Crowd, putBack } from './crowd';
import { fillSheet } from './fillSheet';
import { copyKey } from './keptLayout';
import type { Nested, NestOptions, NestPart } from './nester';
import { nestBody } from './nestShape';
import type { Sheet } from './sheet';
import { QUARTERS } from './turns';

/** So often everything that overlaps is moved before a part has no room; fewer times where that leads nowhere. */
const SWEEPS = { most: 60, idle: 12 } as const;
/** Less than this share of the least overlap so far is progress. */
const PROGRESS = 0.98;
/** What a part takes the place of has at least so much room, a share of what it needs. */
const INSTEAD = 0.6;
/** How often one more part is put in, rather than a larger one for a smaller. */
const ONE_MORE = 0.3;
/** Areas that differ by less are the same, mm². */
const SAME = 1;

/** mm² that a part takes: halfway between its outline, grown by half the gap, and the hull of that. */
function roomOf(part: NestPart, gap: number): number {
  const { area, shapes } = nestBody(part, gap, [0]);
  return (area + shapes[0]!.weight ** 4) / 2;
}

/**
 * Of more parts than find room those that make most of it, laid one after the other: film that a round part leaves between itself and the next
 * is less than what a star leaves.
 */
export function fillFrugally(parts: readonly NestPart[], sheet: Sheet, options: NestOptions, seed: number): readonly Nested[] {
  const usable = regionArea(offset(sheet.outline, options.gap / 2 - options.holdDown));
  const rooms = parts.map((part) => roomOf(part, options.gap));
  const use = (part: number) => regionArea(parts[part]!.region) / rooms[part]!;
  let taken = 0;
  const copies = parts.map(() => 0);
  for (const part of parts.map((_, p) => p).toSorted((a, b) => use(b) - use(a)))
    for (let copy = 0; copy < parts[part]!.copies && taken + rooms[part]! <= usable; copy++) {
      taken += rooms[part]!;
      copies[part]! += 1;
    }
  const some = parts.map((part, p) => ({ ...part, copies: copies[p]! }));
  return fillSheet(some, sheet, options, { rounds: 2, seed }).nested;
}

/**
 * More and larger parts on a sheet or an offcut than find room one after the other: one more is put in, or a larger one for a smaller, and all are
 * moved until none overlaps; where that fails, they lie as before.
 */
export class FillSearch {
  readonly #crowd: Crowd;
  readonly #random: () => number;
  readonly #areas: readonly number[];
  readonly #rooms: readonly number[];
  /** All but the edge of the film, by their numbers. */
  readonly #all: readonly number[];

  /**
   * @param sheet of bounded size; `options.holdDown` is kept free along its edges and its holes
   * @param start what lies on it, without overlaps
   * @param seed the same seed and rounds give the same layout
   * @param locked copies that stay where the start has them, as `copyKey` calls them
   */
  constructor(
    readonly parts: readonly NestPart[],
    readonly sheet: Sheet,
    readonly options: NestOptions,
    start: readonly Nested[],
    seed: number,
    turns: readonly number[] = QUARTERS,
    locked: ReadonlySet<string> = new Set(),
  ) {
    const usable = offset(sheet.outline, options.gap / 2 - options.holdDown);
    const laid = new Set(start.map(copyKey));
    const others = parts.flatMap(({ copies }, part) =>
      Array.from({ length: copies }, (_, copy) => ({ part, copy, sheet: 0, place: IDENTITY })).filter((one) => !laid.has(copyKey(one))),
    );
    this.#random = numbersFrom(seed * 31 + 7);
    this.#crowd = new Crowd(parts, options, [...start, ...others], seed, turns, locked, { width: boxWidth(boxOf(usable)), usable });
    others.forEach((_, i) => this.#crowd.park(start.length + i));
    const areas = parts.map(({ region }) => regionArea(region));
    const rooms = parts.map((part) => roomOf(part, options.gap));
    this.#all = [...start, ...others].map((_, i) => i);
    this.#areas = this.#all.map((i) => areas[this.#crowd.items[i]!.part]!);
    this.#rooms = this.#all.map((i) => rooms[this.#crowd.items[i]!.part]!);
  }

  /** mm² of the parts that lie on it. */
  get area(): number {
    return this.#all.reduce((sum, i) => sum + (this.#crowd.isParked(i) ? 0 : this.#areas[i]!), 0);
  }

  /**
   * One part put in, alone or for another, if there is room for it then.
   *
   * @returns whether any part waits for room
   */
  round(): boolean {
    const crowd = this.#crowd;
    const waiting = this.#all.filter((i) => crowd.isParked(i));
    if (waiting.length === 0) return false;
    const pairs = this.#random() < ONE_MORE ? [] : this.#pairs(waiting);
    const { add, gone } = this.#any(pairs) ?? { add: this.#smallerOf(this.#any(waiting)!, this.#any(waiting)!), gone: undefined };
    const before = copied(crowd.at);
    if (gone !== undefined) crowd.park(gone);
    crowd.weights.fill(1);
    crowd.exact = false;
    crowd.unpark(add);
    if (this.#parted()) return true;
    crowd.park(add);
    if (gone !== undefined) crowd.unpark(gone);
    putBack(crowd.at, before);
    return true;
  }

  #any<T>(all: readonly T[]): T | undefined {
    return all[Math.floor(this.#random() * all.length)];
  }

  #smallerOf(a: number, b: number): number {
    return this.#areas[a]! < this.#areas[b]! ? a : b;
  }

  /** Larger parts that wait, and smaller ones on the film in whose place they may come. */
  #pairs(waiting: readonly number[]): { readonly add: number; readonly gone: number | undefined }[] {
    const here = this.#all.filter((i) => !this.#crowd.isParked(i) && !this.#crowd.items[i]!.locked);
    return waiting.flatMap((add) =>
      here
        .filter((gone) => this.#areas[gone]! < this.#areas[add]! - SAME && this.#rooms[gone]! > this.#rooms[add]! * INSTEAD)
        .map((gone) => ({ add, gone })),
    );
  }

  /** Whether everything on the film can be moved until nothing overlaps. */
  #parted(): boolean {
    const crowd = this.#crowd;
    let least = Infinity;
    let idle = 0;
    for (let k = 0; k < SWEEPS.most && idle < SWEEPS.idle; k++) {
      const total = crowd.sweep();
      if (total === 0) {
        if (crowd.exact ? crowd.free() : this.#freeByOutlines()) return true;
        least = Infinity;
        idle = 0;
      } else if (total < least * PROGRESS) {
        least = total;
        idle = 0;
      } else idle += 1;
    }
    return false;
  }

  /** What the grids take for free is looked at by its outlines, from now on too. */
  #freeByOutlines(): boolean {
    this.#crowd.exact = true;
    if (this.#crowd.free()) return true;
    this.#crowd.weights.fill(1);
    return false;
  }

  /** What lies on the film. */
  nested(): readonly Nested[] {
    return this.#crowd.asNested(this.#crowd.at);
  }

  /** Faults of it on the true outlines; one sentence each. */
  faults(): string[] {
    const nested = this.nested();
    return checkNesting({ nested, tooLarge: this.parts.map((_, p) => p) }, this.parts, [this.sheet], this.options);
  }
}
