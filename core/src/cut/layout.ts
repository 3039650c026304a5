import {
  applyToPoint,
  applyToRegion,
  boxCentre,
  boxHeight,
  boxOf,
  boxRegion,
  boxWidth,
  edgeLength,
  growBox,
  mirrorAt,
  roundedBox,
  type Region,
  type Transform,
} from '../geometry';
import { FILM_KINDS, LABEL, LAYOUT, TECHNIQUES } from '../facts';
import type { Film, Id, JobId, Machine, Mark } from '../job';
import type { Entry } from './tour';
import { writtenLength, type PenLine } from './toolpath/penLines';
import type { Nested, Nester, NestPart } from './nest/nester';
import { holdDownOf } from './holdDown';
import { oneLoad } from './oneLoad';
import { freeEnd, type Sheet } from './nest/sheet';
import { skyline } from './nest/skyline';

/** One mark's film to be cut, `copies` times. */
export interface CutPart {
  readonly job: JobId;
  readonly mark: Id;
  readonly name: string;
  readonly copies: number;
  /** Outline to cut around its own middle, as it is cut: mirrored already, with the stencil's border. */
  readonly region: Region;
  /** What a pen writes on it before it is cut, in the same place. */
  readonly pen?: readonly PenLine[];
}

/** A part on the film. */
export interface LaidPart {
  readonly job: JobId;
  readonly mark: Id;
  readonly copy: number;
  /** Which of the layout's outlines. */
  readonly outline: number;
  /** Takes the outline to its place, mm from the film's lower left corner. */
  readonly place: Transform;
  /** In which order its rings are cut, and where each is begun; without it as they come. */
  readonly cut?: readonly Entry[];
}

/** One film's layout. */
export interface FilmLayout {
  readonly film: Film;
  /** What it is cut from. */
  readonly sheet: Sheet;
  readonly machine?: Machine;
  /** What is cut, each around its own middle. */
  readonly outlines: readonly Region[];
  /** What a pen writes on each of them, where anything is written. */
  readonly pens?: readonly (readonly PenLine[] | undefined)[];
  readonly parts: readonly LaidPart[];
  /** Cuts that part the waste, which the knife makes last. */
  readonly relief?: readonly PenLine[];
  /** Bits that are easily lost, cut once more on film that is taken anyway; in their places. */
  readonly spares?: readonly Region[];
  /** Ticks where a mark goes on in another load, which has them too. */
  readonly register?: readonly PenLine[];
  /** Across the film, mm. */
  readonly width: number;
  /** Between any two parts, mm; the usual gap where it does not say. */
  readonly gap?: number;
  /** Taken from the roll with the hold-down margins, mm. */
  readonly taken: number;
  /** Knife down, mm. */
  readonly knife: number;
  /** Knife up between outlines, mm. */
  readonly travel: number;
  readonly minutes: number;
  /** What finds no room on it, whichever way it is turned. */
  readonly tooWide: readonly TooWide[];
  /** The same as they would be cut, each with its outline's number: a larger sheet may have room for them. */
  readonly noRoom?: readonly (CutPart & { readonly outline: number })[];
  /** Jobs of which some parts found no room on it, and are still to be cut afterwards. */
  readonly unfinished?: readonly JobId[];
}

/** Whether the cut is mirrored: what is seen through the piece is put on its back, and what is pressed on lies face down. */
export const cutMirrored = (mark: Pick<Mark, 'technique' | 'seenThrough'>): boolean =>
  TECHNIQUES[mark.technique].mirrored === 'always' || mark.seenThrough;

/** What of a mark says how it is cut; the size of its plate, where labels of a list are all of one size, mm. */
export type CutMark = Pick<Mark, 'technique' | 'seenThrough'> & { readonly plate?: { readonly width: number; readonly height: number } };

/** The plate of a written label: around its words, or of the size that all of a list have. */
export function plateOutline(region: Region, plate?: CutMark['plate']): Region {
  const box = boxOf(region);
  const [cx, cy] = boxCentre(box);
  const { width, height } = plate ?? { width: boxWidth(box), height: boxHeight(box) };
  const words = { minX: cx - width / 2, maxX: cx + width / 2, minY: cy - height / 2, maxY: cy + height / 2 };
  return roundedBox(growBox(words, LABEL.margin), LABEL.corner);
}

/**
 * The outline that the knife follows for a mark's layer.
 *
 * @param region the layer as it is seen, around the mark's middle, mm
 * @returns mirrored when seen through; a stencil gets its border of film
 */
export function cutOutline(region: Region, mark: CutMark): Region {
  const { border, penned } = TECHNIQUES[mark.technique];
  if (penned) return plateOutline(region, mark.plate);
  const framed = border > 0 ? [...boxRegion(growBox(boxOf(region), border)), ...region] : region;
  return cutMirrored(mark) ? applyToRegion(mirrorAt(0), framed) : framed;
}

/** The machine for a film: the narrowest that takes its whole width from the roll, else the widest. */
export const machineFor = (film: Film, machines: readonly Machine[]): Machine | undefined =>
  machines.filter((m) => m.rollFed && m.width >= film.width).toSorted((a, b) => a.width - b.width)[0] ??
  machines.toSorted((a, b) => oneLoad(b).width - oneLoad(a).width)[0];

function travelBetween(parts: readonly LaidPart[], outlines: readonly Region[]): number {
  let [x, y] = [0, 0];
  let sum = 0;
  for (const part of parts) {
    for (const { outer, holes } of outlines[part.outline]!) {
      for (const ring of [...holes, outer]) {
        const [px, py] = applyToPoint(part.place, ring[0]!);
        sum += Math.hypot(px - x, py - y);
        [x, y] = [px, py];
      }
    }
  }
  return sum;
}

/** The gap that a layout keeps between any two parts, mm. */
export const gapOf = ({ gap }: Pick<FilmLayout, 'gap'>): number => gap ?? LAYOUT.gap;

/** How far along the film the parts reach, mm. */
function reachOf(parts: readonly Pick<LaidPart, 'outline' | 'place'>[], outlines: readonly Region[]): number {
  let reach = 0;
  for (const { outline, place } of parts)
    for (const { outer } of outlines[outline]!) for (const point of outer) reach = Math.max(reach, applyToPoint(place, point)[1]);
  return reach;
}

/** Layouts of today are worked out in one round, without chance. */
const BUDGET = { rounds: 1, seed: 1 } as const;

/** Parts of a film that has a direction are not turned. */
export const asLaid = <P extends NestPart>({ kind }: Pick<Film, 'kind'>, parts: readonly P[]): readonly P[] =>
  FILM_KINDS[kind].directed ? parts.map((part) => ({ ...part, fixed: true })) : parts;

/** A mark that is wider than its film, whichever way it is turned: its smaller side; its longer one, all copies one after the other, mm. */
export interface TooWide {
  readonly name: string;
  readonly mark: Id;
  readonly side: number;
  readonly long: number;
}

/** Marks by their names, each with the widest of its parts. */
function tooWideOf(parts: readonly CutPart[]): TooWide[] {
  const found = new Map<string, TooWide>();
  for (const { name, mark, region, copies } of parts) {
    const box = boxOf(region);
    const sides = [boxWidth(box), boxHeight(box)] as const;
    const known = found.get(name);
    const side = Math.max(known?.side ?? 0, Math.min(...sides));
    found.set(name, { name, mark, side, long: (known?.long ?? 0) + Math.max(...sides) * copies });
  }
  return [...found.values()];
}

/**
 * Lays the parts of one film on its roll.
 *
 * @param parts of all jobs that share the film
 * @param nester the way of laying them
 * @param gap between any two parts, mm
 * @returns one layout as short as the nester finds; film taken includes a hold-down margin at each end, knife minutes the loading
 */
export function layoutFilm(
  film: Film,
  parts: readonly CutPart[],
  machines: readonly Machine[],
  nester: Nester = skyline,
  gap: number = LAYOUT.gap,
): FilmLayout {
  const machine = machineFor(film, machines);
  const width = Math.min(film.width, machine ? oneLoad(machine).width : film.width);
  const sheet = freeEnd(film, width);
  const outlines = parts.map((part) => part.region);
  const holdDown = holdDownOf(machine);
  const { nested, tooLarge } = nester(asLaid(film, parts), [sheet], { gap, holdDown }, BUDGET);
  const laid = nested.map(({ place, part }) => ({ outline: part, place }));
  const noRoom = tooLarge.map((outline) => ({ ...parts[outline]!, outline }));
  return {
    ...layoutOf(film, sheet, machine, parts, nested, { width, taken: nested.length === 0 ? 0 : reachOf(laid, outlines) + holdDown }),
    tooWide: tooWideOf(noRoom),
    ...(noRoom.length > 0 ? { noRoom } : {}),
    ...(gap === LAYOUT.gap ? {} : { gap }),
  };
}

/**
 * A layout of parts that lie in their places on a sheet: what the knife and a pen go, and how long that takes.
 *
 * @param taken and width of the film under it, mm
 */
export function layoutOf(
  film: Film,
  sheet: Sheet,
  machine: Machine | undefined,
  parts: readonly CutPart[],
  nested: readonly Nested[],
  { width, taken }: { readonly width: number; readonly taken: number },
): FilmLayout {
  const outlines = parts.map((part) => part.region);
  const laid = nested.map(({ part, copy, place }): LaidPart => {
    const { job, mark } = parts[part]!;
    return { job, mark, copy, outline: part, place };
  });
  const edges = outlines.map(edgeLength);
  const knife = laid.reduce((sum, { outline }) => sum + edges[outline]!, 0);
  const travel = travelBetween(laid, outlines);
  const pens = parts.map(({ pen }) => pen);
  const written = laid.reduce((sum, { outline }) => sum + writtenLength(pens[outline] ?? []), 0);
  const minutes =
    laid.length === 0 || !machine ? 0 : machine.load + (knife / machine.knife + travel / machine.travel + written / LABEL.write) / 60;
  return {
    ...{ film, sheet, machine, outlines, parts: laid, width, knife, travel, minutes, taken, tooWide: [] },
    ...(written > 0 ? { pens } : {}),
  };
}
