import { applyToRegion, boxOf, translation, then, type Region } from '../geometry';
import { layoutOf, type CutPart, type FilmLayout } from './layout';
import type { Nested } from './nest/nester';
import { holdDownOf } from './holdDown';
import { oneLoad } from './oneLoad';
import type { PenLine } from './toolpath/penLines';

/** Film is parted where at least this much is free along it, mm. */
const FREE = 1;
/** How long a tick is that shows where two loads join, mm; both have it in the same place. */
const TICK = 8;

/** One shape of a part in its place on the film. */
interface Laid {
  readonly part: number;
  readonly shape: Region[number];
  readonly from: number;
  readonly to: number;
}

/** Where no shape is from `low` to `high`: the middles of free stretches along the film, mm. */
function gapsBetween(shapes: readonly Laid[], low: number, high: number): number[] {
  const sorted = shapes.toSorted((a, b) => a.from - b.from);
  const gaps: number[] = [];
  let reach = -Infinity;
  for (const { from, to } of sorted) {
    if (reach > -Infinity && from - reach >= FREE && (from + reach) / 2 > low && (from + reach) / 2 <= high) gaps.push((from + reach) / 2);
    reach = Math.max(reach, to);
  }
  return gaps;
}

/**
 * A layout that is longer than its machine takes in one go, in loads: parted where no letter and no shape is. Where a mark goes on in the next
 * load both have ticks at the same place, which are laid together.
 *
 * @returns one layout a load, each from the beginning of its film; the layout itself where one load is enough; nothing where no place is free
 *   across the film at which it could be parted
 */
export function inLoads(layout: FilmLayout): FilmLayout[] | undefined {
  const { machine, sheet, parts, outlines, width } = layout;
  const most = machine ? oneLoad(machine).length : Infinity;
  if (!(layout.taken > most) || !machine || sheet.from.kind !== 'roll') return [layout];
  const shapes = parts.flatMap(({ outline, place }, part): Laid[] =>
    outlines[outline]!.map((shape) => {
      const box = boxOf(applyToRegion(place, [shape]));
      return { part, shape, from: box.minY, to: box.maxY };
    }),
  );
  // a stencil's frame holds its letters: they cannot be parted from it
  const end = Math.max(...shapes.map(({ to }) => to));
  const margin = holdDownOf(machine);
  const room = most - 2 * margin;
  const joins: number[] = [];
  let low = margin;
  while (end - low > room) {
    const join = gapsBetween(shapes, low, low + room).at(-1);
    if (join === undefined) return undefined;
    joins.push(join);
    low = join;
  }
  const bounds = [margin, ...joins, end];
  return bounds.slice(1).map((high, i) => {
    const from = bounds[i]!;
    const shift = translation(0, margin - from);
    const here = parts.flatMap((part, p) => {
      const own = shapes.filter((one) => one.part === p && one.from >= from - 1e-6 && one.to <= high + 1e-6).map(({ shape }) => shape);
      return own.length > 0 ? [{ part, own, whole: own.length === outlines[part.outline]!.length }] : [];
    });
    const cut = here.map(({ part, own }): CutPart => ({ job: part.job, mark: part.mark, name: part.mark, copies: 1, region: own }));
    const nested = here.map(({ part }, n): Nested => ({ part: n, copy: 0, sheet: 0, place: then(part.place, shift) }));
    const goesOn = (at: number) => {
      const sides = new Map<number, Set<boolean>>();
      for (const { part, from: a } of shapes) sides.set(part, (sides.get(part) ?? new Set()).add(a < at));
      return [...sides.values()].some((both) => both.size > 1);
    };
    const ticks = [from, high]
      .filter((at) => joins.includes(at) && goesOn(at))
      .flatMap((at): PenLine[] => {
        const y = at - from + margin;
        return [margin, width - margin - TICK].map((x) => ({
          points: [
            [x, y],
            [x + TICK, y],
          ],
          closed: false,
        }));
      });
    const taken = high - from + 2 * margin;
    return {
      ...layoutOf(layout.film, sheet, machine, cut, nested, { width, taken }),
      ...(layout.gap === undefined ? {} : { gap: layout.gap }),
      ...(ticks.length > 0 ? { register: ticks } : {}),
    };
  });
}
