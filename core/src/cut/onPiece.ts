import {
  applyToRegion,
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  difference,
  offset,
  regionArea,
  simplifyRing,
  translation,
  type Region,
} from '../geometry';
import { LAYOUT } from '../facts';
import type { Film, FilmPiece, KeptLayout, Machine } from '../job';
import { SAME_MM } from '../units';
import { cellsOf, FreeCells } from './nest/cells';
import { fillSheet } from './nest/fillSheet';
import { asKeptOn, keptFor, partsKeyOn } from './nest/keptLayout';
import { asLaid, gapOf, layoutOf, machineFor, type CutPart, type FilmLayout } from './layout';
import { partsOf } from './layTogether';
import type { Sheet } from './nest/sheet';

/** A quarter turn, and back to the lower left corner. */
const turned = (region: Region): Region => {
  const box = boxOf(region);
  return applyToRegion([0, 1, -1, 0, box.maxY, -box.minX], region);
};

/**
 * A sheet or an offcut as it goes into a machine: on a carrier sheet where the machine has some, else by itself.
 *
 * @returns nothing where neither way round it goes in
 */
export function pieceSheet(film: Film, piece: FilmPiece, machine: Machine | undefined): Sheet | undefined {
  const outline: Region = piece.outline ?? boxRegion({ minX: 0, minY: 0, maxX: piece.width, maxY: piece.length });
  const beds = machine?.carriers?.length ? machine.carriers : machine ? [{ width: machine.width, length: machine.most }] : [];
  // without a carrier the rollers hold no less than this
  const least = machine && !machine.carriers?.length ? machine.least : 0;
  const goes = (region: Region) => {
    const box = boxOf(region);
    return (
      !machine ||
      beds.some(
        (bed) => boxWidth(box) <= bed.width + SAME_MM && boxHeight(box) <= bed.length + SAME_MM && boxHeight(box) >= least - SAME_MM,
      )
    );
  };
  const lies = [outline, turned(outline)].find(goes);
  return lies && { film, outline: lies, from: { kind: piece.kind, id: piece.id } };
}

/** What is laid on a piece, and how many marks find no room on it. */
export interface OnPiece {
  readonly layout: FilmLayout;
  readonly rest: number;
}

/** So many orders are tried: the first answer is there at once. */
const ROUNDS = 6;

/**
 * What was to be cut from the roll, laid on a sheet or an offcut instead: as much of it as finds room, by its true outlines.
 *
 * @param layouts of one film, as they would lie on the roll
 * @param kept layouts that were looked for or laid by hand before: one for just these parts on just this piece is taken
 * @returns nothing where the piece does not go into the machine
 */
export function layOnPiece(
  layouts: readonly FilmLayout[],
  piece: FilmPiece,
  machines: readonly Machine[],
  rounds = ROUNDS,
  kept: readonly KeptLayout[] = [],
): OnPiece | undefined {
  const [first] = layouts;
  if (!first) return undefined;
  // a machine with a carrier for it comes first
  const carrying = machines.find((one) => one.carriers?.length && pieceSheet(first.film, piece, one));
  const machine = carrying ?? machineFor(first.film, machines);
  const sheet = pieceSheet(first.film, piece, machine);
  if (!sheet) return undefined;
  const parts: CutPart[] = layouts.flatMap(partsOf);
  const laidOut = asLaid(first.film, parts);
  const options = { gap: gapOf(first), holdDown: LAYOUT.onCarrier };
  const own = kept.length > 0 ? keptFor(kept, first.film.id, partsKeyOn(laidOut, sheet), options.gap) : undefined;
  const nested = (own && asKeptOn(own, laidOut, sheet, options)) ?? fillSheet(laidOut, sheet, options, { rounds, seed: 1 }).nested;
  const box = boxOf(sheet.outline);
  const layout = layoutOf(first.film, sheet, machine, parts, nested, { width: boxWidth(box), taken: boxHeight(box) });
  const laid = parts.map((_, p) => nested.filter(({ part }) => part === p).length);
  const unfinished = [...new Set(parts.flatMap(({ job, copies }, p) => (laid[p]! < copies ? [job] : [])))];
  const rest = parts.reduce((sum, { copies }, p) => sum + copies - laid[p]!, 0);
  const gapped = first.gap === undefined ? layout : { ...layout, gap: first.gap };
  return { layout: unfinished.length > 0 ? { ...gapped, unfinished } : gapped, rest };
}

/** Cells in which the largest box of what is left is looked for, mm. */
const LOOKED = 2;
/** Outlines of what is left are simpler by so much, mm. */
const SIMPLER = 0.5;

/** The largest upright box in a region, mm. */
export function largestBoxIn(region: Region): { readonly width: number; readonly length: number } {
  const box = boxOf(region);
  const cells = cellsOf(applyToRegion(translation(-box.minX, -box.minY), region), LOOKED);
  const free = new FreeCells(Math.ceil(boxWidth(box) / LOOKED), Math.ceil(boxHeight(box) / LOOKED), cells);
  const { columns, rows } = free.largestBox();
  return { width: columns * LOOKED, length: rows * LOOKED };
}

/** Holes of an outline of film, and points of a ring, that a file takes. */
const FILED = { holes: 200, points: 2000 } as const;
const isFiled = (region: Region): boolean =>
  region.every(
    ({ outer, holes }) => holes.length <= FILED.holes && [outer, ...holes].every((ring) => ring.length >= 3 && ring.length <= FILED.points),
  );

/** What is left of the film of a layout, in pieces that are worth keeping. */
export interface Leftover {
  readonly width: number;
  readonly length: number;
  readonly outline: Region;
  /** The largest upright box in it, mm. */
  readonly box: { readonly width: number; readonly length: number };
}

/**
 * What is left of the film that a layout takes once its parts are out, with their gap around them; true outlines with their holes.
 *
 * @returns pieces with a box of `LAYOUT.leastOffcut` in them, the largest first
 */
export function leftOf(layout: FilmLayout): Leftover[] {
  const { sheet, width, taken } = layout;
  const whole = sheet.from.kind === 'roll' ? boxRegion({ minX: 0, minY: 0, maxX: width, maxY: taken }) : sheet.outline;
  const out = layout.parts.flatMap(({ outline, place }) => applyToRegion(place, offset(layout.outlines[outline]!, gapOf(layout))));
  const gone = [...out, ...(layout.spares ?? []).flatMap((region) => offset(region, gapOf(layout)))];
  // what relief cuts have parted is no offcut any more: it ends at their border
  const border = layout.relief?.find(({ closed }) => closed);
  const rest = difference(border ? difference(whole, [{ outer: border.points, holes: [] }]) : whole, gone);
  return rest
    .map((part): Leftover => {
      const region: Region = [{ outer: simplifyRing(part.outer, SIMPLER), holes: part.holes.map((hole) => simplifyRing(hole, SIMPLER)) }];
      const box = boxOf(region);
      const whole = applyToRegion(translation(-box.minX, -box.minY), region);
      const largest = largestBoxIn(whole);
      // an outline with more holes than a file takes is kept as the largest box in it
      const outline = isFiled(whole) ? whole : boxRegion({ minX: 0, minY: 0, maxX: largest.width, maxY: largest.length });
      const size = boxOf(outline);
      return { width: boxWidth(size), length: boxHeight(size), outline, box: largest };
    })
    .filter(({ box }) => Math.min(box.width, box.length) >= LAYOUT.leastOffcut)
    .toSorted((a, b) => regionArea(b.outline) - regionArea(a.outline));
}
