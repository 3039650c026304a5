import { applyToRegion, boxCentre, boxOf, numbersFrom, offset, regionArea, then, translation, type Transform } from '../../geometry';
import { cellsOf, FreeCells, type CellShape } from './cells';
import { QUARTER_TURNS } from './keptLayout';
import { grownOutline } from './nestShape';
import type { Nested, NestBudget, NestOptions, NestPart } from './nester';
import type { Sheet } from './sheet';

/** Cells are no smaller than this, mm, and a sheet has no more of them. */
const CELL = { least: 0.5, most: 300_000 } as const;
/** What lies in a cell is no further from its middle than this share of its side. */
const REACH = Math.SQRT1_2;
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

/**
 * Lays parts on a sheet of any outline, with holes, until no more fit: each at the lowest place where it fits, by its true outline, also in
 * holes of others (bottom-left on cells; Dowsland, Vaid and Dowsland, 2002). Again and again in other orders, the best of which is kept: most
 * film used, then the largest box left free.
 *
 * @param sheet of bounded size; `options.holdDown` is kept free along its edges and its holes
 * @param fixed copies that lie where they are and are not moved
 * @param rounds of `budget`: orders that are tried; the first is by size
 * @param better told of each better layout; true from it ends the search
 */
export function fillSheet(
  parts: readonly NestPart[],
  sheet: Sheet,
  { gap, holdDown }: NestOptions,
  { rounds, seed }: NestBudget,
  fixed: readonly Nested[] = [],
  better: (best: Filled, round: number) => boolean = () => false,
): Filled {
  const box = boxOf(sheet.outline);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const cell = Math.max(CELL.least, Math.sqrt((width * height) / CELL.most));
  const reach = REACH * cell;
  const origin = translation(-box.minX, -box.minY);
  // every part and every edge keeps half a gap for itself: two that share no cell are a whole gap apart
  const edge = Math.max(0, holdDown - gap / 2) + reach;
  const usable = cellsOf(applyToRegion(origin, offset(sheet.outline, -edge)), cell);
  const [columns, rows] = [Math.ceil(width / cell), Math.ceil(height / cell)];
  const areas = parts.map(({ region }) => regionArea(region));
  const grown = parts.map(({ region }) => grownOutline(region, gap + 2 * reach));
  const turned = parts.map(({ region, fixed: upright }, p): Turned[] => {
    const [cx, cy] = boxCentre(boxOf(region));
    return (upright ? QUARTER_TURNS.slice(0, 1) : QUARTER_TURNS).map((quarter) => {
      const turn = then(translation(-cx, -cy), quarter);
      return { turn, cells: cellsOf(applyToRegion(turn, grown[p]!), cell) };
    });
  });
  const room = (): FreeCells => {
    const free = new FreeCells(columns, rows, usable);
    for (const { part, place } of fixed) free.take(cellsOf(applyToRegion(then(place, origin), grown[part]!), cell), 0, 0);
    return free;
  };
  const given = new Set(fixed.map(({ part, copy }) => `${part}/${copy}`));
  const items = parts.flatMap(({ copies }, part) =>
    Array.from({ length: copies }, (_, copy) => ({ part, copy })).filter(({ copy }) => !given.has(`${part}/${copy}`)),
  );
  const fixedArea = fixed.reduce((sum, { part }) => sum + areas[part]!, 0);
  let best: Filled = { nested: [], area: -1, free: 0 };
  for (let round = 0; round < rounds; round++) {
    const random = numbersFrom(seed * 7919 + round);
    const sizes = items.map(({ part }) => {
      const own = boxOf(parts[part]!.region);
      const size = round % 2 === 0 ? areas[part]! : Math.max(own.maxX - own.minX, own.maxY - own.minY) ** 2;
      return size * (round < 2 ? 1 : Math.exp((random() - 0.5) * 2 * SHUFFLED));
    });
    const order = items.map((_, i) => i).toSorted((a, b) => sizes[b]! - sizes[a]! || a - b);
    const free = room();
    const nested: Nested[] = [...fixed];
    let area = fixedArea;
    const full = new Set<number>();
    for (const i of order) {
      const { part, copy } = items[i]!;
      // what found no room once finds none later
      if (full.has(part)) continue;
      let found: { at: Turned; column: number; row: number; top: number } | undefined;
      for (const at of turned[part]!) {
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
      area += areas[part]!;
      const to = translation(found.column * cell + box.minX, found.row * cell + box.minY);
      nested.push({ part, copy, sheet: 0, place: then(found.at.turn, to) });
    }
    const left = free.largestBox();
    const filled: Filled = { nested, area, free: left.columns * left.rows * cell * cell };
    if (filled.area > best.area + 1e-6 || (filled.area > best.area - 1e-6 && filled.free > best.free)) {
      best = filled;
      if (better(best, round)) break;
    }
  }
  return best;
}
