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
  IDENTITY,
  mirrorAt,
  then,
  translation,
  type Region,
  type Transform,
} from '../geometry';
import { LAYOUT, TECHNIQUES } from '../facts';
import type { Film, Id, JobId, Machine, Mark } from '../job';
import { packBoxes } from './nest/packBoxes';

/** A quarter turn without rounding. */
const QUARTER_TURN: Transform = [0, 1, -1, 0, 0, 0];

/** One mark's film to be cut, `copies` times. */
export interface CutPart {
  readonly job: JobId;
  readonly mark: Id;
  readonly name: string;
  readonly copies: number;
  /** Outline to cut around its own middle, as it is cut: mirrored already, with the stencil's border. */
  readonly region: Region;
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
}

/** One film's layout. */
export interface FilmLayout {
  readonly film: Film;
  readonly machine?: Machine;
  /** What is cut, each around its own middle. */
  readonly outlines: readonly Region[];
  readonly parts: readonly LaidPart[];
  /** Across the film, mm. */
  readonly width: number;
  /** Taken from the roll with the hold-down margins, mm. */
  readonly taken: number;
  /** Knife down, mm. */
  readonly knife: number;
  /** Knife up between outlines, mm. */
  readonly travel: number;
  readonly minutes: number;
  readonly tooWide: readonly string[];
}

/** Whether the cut is mirrored: what is seen through the piece is put on its back. */
const cutMirrored = (mark: Pick<Mark, 'technique' | 'seenThrough'>): boolean =>
  TECHNIQUES[mark.technique].mirrored === 'always' || mark.seenThrough;

/**
 * The outline that the knife follows for a mark's layer.
 *
 * @param region the layer as it is seen, around the mark's middle, mm
 * @returns mirrored when seen through; a stencil gets its border of film
 */
export function cutOutline(region: Region, mark: Pick<Mark, 'technique' | 'seenThrough'>): Region {
  const { border } = TECHNIQUES[mark.technique];
  const framed = border > 0 ? [...boxRegion(growBox(boxOf(region), border)), ...region] : region;
  return cutMirrored(mark) ? applyToRegion(mirrorAt(0), framed) : framed;
}

/** The machine for a film: the narrowest that takes its whole width from the roll, else the widest. */
export const machineFor = (film: Film, machines: readonly Machine[]): Machine | undefined =>
  machines.filter((m) => m.rollFed && m.width >= film.width).toSorted((a, b) => a.width - b.width)[0] ??
  machines.toSorted((a, b) => b.width - a.width)[0];

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

/**
 * Lays the parts of one film on its roll.
 *
 * @param parts of all jobs that share the film
 * @returns one layout as short as the packing finds; film taken includes a hold-down margin at each end, knife minutes the loading
 */
export function layoutFilm(film: Film, parts: readonly CutPart[], machines: readonly Machine[]): FilmLayout {
  const machine = machineFor(film, machines);
  const width = Math.min(film.width, machine?.width ?? film.width);
  const items = parts.flatMap((part, p) => {
    const box = boxOf(part.region);
    return Array.from({ length: part.copies }, (_, copy) => ({
      id: `${p}/${copy}`,
      width: boxWidth(box),
      height: boxHeight(box),
    }));
  });
  const packing = packBoxes(items, width - 2 * LAYOUT.holdDown, LAYOUT.gap);
  const laid = packing.boxes
    .toSorted((a, b) => a.y - b.y || a.x - b.x)
    .map(({ id, x, y, width: w, height: h, turned }): LaidPart => {
      const [p, copy] = id.split('/').map(Number) as [number, number];
      const part = parts[p]!;
      const [cx, cy] = boxCentre(boxOf(part.region));
      const upright = then(translation(-cx, -cy), turned ? QUARTER_TURN : IDENTITY);
      return {
        job: part.job,
        mark: part.mark,
        copy,
        outline: p,
        place: then(upright, translation(LAYOUT.holdDown + x + w / 2, LAYOUT.holdDown + y + h / 2)),
      };
    });
  const edges = parts.map((part) => edgeLength(part.region));
  const knife = packing.boxes.reduce((sum, { id }) => sum + edges[Number(id.split('/')[0])]!, 0);
  const travel = travelBetween(
    laid,
    parts.map((part) => part.region),
  );
  const minutes = laid.length === 0 || !machine ? 0 : machine.load + (knife / machine.knife + travel / machine.travel) / 60;
  return {
    film,
    machine,
    outlines: parts.map((part) => part.region),
    parts: laid,
    width,
    taken: laid.length === 0 ? 0 : packing.length + 2 * LAYOUT.holdDown,
    knife,
    travel,
    minutes,
    tooWide: [...new Set(packing.tooWide.map((id) => parts[Number(id.split('/')[0])]!.name))],
  };
}
