import {
  applyToRegion,
  boxCentre,
  boxOf,
  boxRegion,
  numbersFrom,
  offset,
  regionArea,
  then,
  translation,
  type Box,
  type Transform,
} from '../../geometry';
import { cellsOf, FreeCells, type CellShape } from './cells';
import { QUARTER_TURNS } from './turns';
import { grownOutline } from './nestShape';
import type { Nested, NestBudget, NestOptions, NestPart, Nesting } from './nester';
import { nestedLength } from './nestedLength';
import type { Sheet } from './sheet';

/** Cells are no smaller than this, mm, and a sheet has no more of them. */
const CELL = { least: 0.5, most: 300_000 } as const;
/** What lies in a cell is no further from its middle than this share of its side. */
const REACH = Math.SQRT1_2;
/** How much more than their size it counts how well parts use the film, where they are taken by that. */
const DENSE = 3;
/** How much sizes are shuffled from round to round. */
const SHUFFLED = 0.6;

/** What of some parts lies on a sheet, and what is left of it. */
export interface Filled {
  readonly nested: readonly Nested[];
  /** mm² of parts. */
  readonly area: number;
  /** mm² of the largest upright box that stays free. */
  readonly free: number;
}

/** A part in one of its turns, as the cells that it takes for itself. */
interface Turned {
  readonly turn: Transform;
  readonly cells: CellShape;
}

/** A part as the cells of its box. */
function asBox({ turn, cells }: Turned): Turned {
  const { left: from, right: to } = cells;
  return { turn, cells: { ...cells, rows: cells.rows.map(() => [{ from, to }]) } };
}

/**
 * Parts laid on a sheet of any outline, with holes, until no more fit: each at the lowest place where it fits, by its true outline, also in holes of
 * others (bottom-left on cells; Dowsland, Vaid and Dowsland, 2002). Every round tries another order.
 */
class SheetFill {
  readonly #cell: number;
  readonly #box: Box;
  readonly #areas: readonly number[];
  readonly #sizes: readonly number[];
  /** Of what a part takes for itself, with its gap, the share that is film. */
  readonly #dense: readonly number[];
  readonly #turned: readonly (readonly Turned[])[];
  readonly #items: readonly { readonly part: number; readonly copy: number }[];
  readonly #room: () => FreeCells;

  /**
   * @param sheet of bounded size; `options.holdDown` is kept free along its edges and its holes
   * @param fixed copies that lie where they are and are not moved
   * @param least cells are no smaller than this, mm: larger ones are quicker, and lose that much room
   */
  constructor(
    parts: readonly NestPart[],
    sheet: Sheet,
    { gap, holdDown }: NestOptions,
    readonly seed: number,
    readonly fixed: readonly Nested[] = [],
    least: number = CELL.least,
  ) {
    const box = boxOf(sheet.outline);
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    const cell = Math.max(least, Math.sqrt((width * height) / CELL.most));
    const reach = REACH * cell;
    const origin = translation(-box.minX, -box.minY);
    // every part and every edge keeps half a gap for itself: two that share no cell are a whole gap apart
    const edge = Math.max(0, holdDown - gap / 2) + reach;
    const usable = cellsOf(applyToRegion(origin, offset(sheet.outline, -edge)), cell);
    const [columns, rows] = [Math.ceil(width / cell), Math.ceil(height / cell)];
    const grown = parts.map(({ region }) => grownOutline(region, gap + 2 * reach));
    this.#cell = cell;
    this.#box = box;
    this.#areas = parts.map(({ region }) => regionArea(region));
    this.#sizes = parts.map(({ region }) => {
      const own = boxOf(region);
      return Math.max(own.maxX - own.minX, own.maxY - own.minY) ** 2;
    });
    this.#dense = parts.map(({ region }, p) => {
      const own = boxOf(region);
      const taken = Math.min(regionArea(grown[p]!), (own.maxX - own.minX + gap) * (own.maxY - own.minY + gap));
      return regionArea(region) / Math.max(1e-9, taken);
    });
    this.#turned = parts.map(({ region, fixed: upright }, p): Turned[] => {
      const [cx, cy] = boxCentre(boxOf(region));
      return (upright ? QUARTER_TURNS.slice(0, 1) : QUARTER_TURNS).map((quarter) => {
        const turn = then(translation(-cx, -cy), quarter);
        return { turn, cells: cellsOf(applyToRegion(turn, grown[p]!), cell) };
      });
    });
    this.#room = () => {
      const free = new FreeCells(columns, rows, usable);
      for (const { part, place } of fixed) free.take(cellsOf(applyToRegion(then(place, origin), grown[part]!), cell), 0, 0);
      return free;
    };
    const given = new Set(fixed.map(({ part, copy }) => `${part}/${copy}`));
    this.#items = parts.flatMap(({ copies }, part) =>
      Array.from({ length: copies }, (_, copy) => ({ part, copy })).filter(({ copy }) => !given.has(`${part}/${copy}`)),
    );
  }

  /** The largest first: by their area, their longer side or how well they use the film in turn, the first three rounds just so, then shuffled. */
  #order(round: number): number[] {
    const random = numbersFrom(this.seed * 7919 + round);
    const sizes = this.#items.map(({ part }) => {
      const way = round % 3;
      const size = way === 0 ? this.#areas[part]! : way === 1 ? this.#sizes[part]! : this.#areas[part]! * this.#dense[part]! ** DENSE;
      return size * (round < 3 ? 1 : Math.exp((random() - 0.5) * 2 * SHUFFLED));
    });
    return this.#items.map((_, i) => i).toSorted((a, b) => sizes[b]! - sizes[a]! || a - b);
  }

  /**
   * What finds room in the order of a round; the same round gives the same.
   *
   * @param rows the one quarter turn in which parts lie by their boxes; without it by their outlines, in any
   */
  round(round: number, rows?: 0 | 1): Filled {
    const [cell, box] = [this.#cell, this.#box];
    const free = this.#room();
    const nested: Nested[] = [...this.fixed];
    let area = this.fixed.reduce((sum, { part }) => sum + this.#areas[part]!, 0);
    const full = new Set<number>();
    for (const i of this.#order(round)) {
      const { part, copy } = this.#items[i]!;
      // what found no room once finds none later
      if (full.has(part)) continue;
      let found: { at: Turned; column: number; row: number; top: number } | undefined;
      const turned = this.#turned[part]!;
      for (const at of rows === undefined ? turned : turned.slice(rows, rows + 1).map(asBox)) {
        const place = free.lowest(at.cells, found ? found.top - at.cells.rows.length - at.cells.low : Infinity);
        if (!place) continue;
        const top = place.row + at.cells.low + at.cells.rows.length;
        if (!found || top < found.top) found = { at, ...place, top };
      }
      if (!found) {
        full.add(part);
        continue;
      }
      free.take(found.at.cells, found.column, found.row);
      area += this.#areas[part]!;
      const to = translation(found.column * cell + box.minX, found.row * cell + box.minY);
      nested.push({ part, copy, sheet: 0, place: then(found.at.turn, to) });
    }
    const left = free.largestBox();
    return { nested, area, free: left.columns * left.rows * cell * cell };
  }
}

/**
 * The best of some rounds on a sheet or an offcut: most film used, then the largest box left free.
 *
 * @param fixed copies that lie where they are and are not moved
 */
export function fillSheet(
  parts: readonly NestPart[],
  sheet: Sheet,
  options: NestOptions,
  { rounds, seed }: NestBudget,
  fixed: readonly Nested[] = [],
): Filled {
  const fill = new SheetFill(parts, sheet, options, seed, fixed);
  let best: Filled = { nested: [], area: -1, free: 0 };
  // what takes the lowest place there is between two others is in the way of a plain row
  const plain = rounds > 1 ? ([0, 1] as const).map((rows) => [0, rows] as const) : [];
  for (const [round, rows] of [...Array.from({ length: rounds }, (_, i) => [i] as const), ...plain]) {
    const found = fill.round(round, rows);
    if (found.area > best.area + 1e-6 || (found.area > best.area - 1e-6 && found.free > best.free)) best = found;
  }
  return best;
}

/** Cells of a strip on which only a start is looked for, mm. */
const COARSE = 1.2;

/**
 * Parts on a roll's free end by their outlines, as short as some rounds make it: what a search begins with.
 *
 * @param before a layout of the same parts
 * @param fixed copies that lie where they are and are not moved
 * @returns the one before, where nothing shorter was found
 */
export function startByOutlines(
  parts: readonly NestPart[],
  sheet: Sheet,
  options: NestOptions,
  { rounds, seed }: NestBudget,
  before: Nesting,
  fixed: readonly Nested[] = [],
): Nesting {
  let best = { length: nestedLength(before, parts), nesting: before };
  const bounds = boxOf(sheet.outline);
  const outline = boxRegion({ ...bounds, maxY: bounds.minY + best.length + options.holdDown });
  const fill = new SheetFill(parts, { ...sheet, outline }, options, seed, fixed, COARSE);
  const all = parts.reduce((sum, { copies }) => sum + copies, 0);
  for (let round = 0; round < rounds; round++) {
    const { nested } = fill.round(round);
    const length = nestedLength({ nested }, parts);
    if (nested.length === all && length < best.length) best = { length, nesting: { nested, tooLarge: [] } };
  }
  return best.nesting;
}
