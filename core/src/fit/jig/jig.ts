import { bendAt, bendRegion, keptFree, usableOf, wallBox } from '../../blanks';
import { FEATURES } from '../../facts';
import {
  boxAround,
  boxOf,
  boxOfPoints,
  boxRegion,
  intersection,
  ringsOf,
  type Box,
  type Point,
  type Region,
  type Ring,
} from '../../geometry';
import type { Piece, Zone } from '../../job';

/** A line of a jig, mm on the wall laid flat. */
export interface JigLine {
  /** cut: along it the paper is cut. wall: the piece's edge. Others as they say. */
  readonly kind: 'cut' | 'wall' | 'zone' | 'mark' | 'centre' | 'stop' | 'hinge' | 'feature' | 'check';
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** A paper template at the size of the piece. */
export interface Jig {
  readonly lines: readonly JigLine[];
  readonly words: readonly { readonly at: Point; readonly text: string }[];
  readonly box: Box;
}

/** The line by which a print is checked, mm. */
export const CHECK_MM = 100;
/** Paper beyond the zone of a flat piece, mm. */
const PAPER = 15;
/** The tab by which a wrap is closed, mm: it goes under the other end. */
const TAB = 12;

const closed = (kind: JigLine['kind'], region: Region): JigLine[] =>
  ringsOf(region).map((ring: Ring) => ({ kind, points: ring, closed: true }));

/** One mark as it lies on the wall laid flat. */
export interface JigMark {
  readonly name: string;
  readonly flat: readonly { readonly region: Region }[];
  /** Its lower edge along the wall, mm above the foot, and the height at which its widths are true. */
  readonly foot: number;
  readonly at: number;
  /** Of a scatter, where its copies go on the wall: they are numbered, so that the jig is their placing map. */
  readonly places?: readonly Point[];
}

/**
 * A paper template: the zone, the marks, their centre lines, hinge line and height stop, seam, handle and what else is on the piece, and
 * the line along which it is cut. On round pieces it is cut so that it wraps round and
 * meets itself, with a tab; on flat ones along the zone with some paper around, or along the piece's own edge where that is nearer.
 *
 * @param say a length for a person
 * @returns lines in mm on the wall laid flat, and a check line of 100 mm inside the paper or below it
 */
export function jigFor(piece: Piece, zone: Zone, marks: readonly JigMark[], say: (mm: number) => string): Jig {
  const { shape } = piece;
  const round = shape.kind !== 'flat';
  const wall = wallBox(shape);
  const { clear, inner } = usableOf(zone, piece);
  const half = shape.height / 2;
  const flat = (box: Box): Region => (round ? bendRegion(boxRegion(box), shape, half) : boxRegion(box));
  const bend = bendAt(shape, half);
  const paper: Box = round
    ? { ...wall, maxX: wall.maxX + TAB }
    : {
        minX: Math.max(wall.minX, clear.minX - PAPER),
        maxX: Math.min(wall.maxX, clear.maxX + PAPER),
        minY: Math.max(wall.minY, clear.minY - PAPER),
        maxY: Math.min(wall.maxY, clear.maxY + PAPER),
      };
  const lines: JigLine[] = [...closed('cut', flat(paper)), ...closed('zone', flat(clear)), ...(inner ? closed('zone', flat(inner)) : [])];
  if (round) {
    lines.push({ kind: 'wall', points: [bend([wall.maxX, 0]), bend([wall.maxX, shape.height])], closed: false });
  }
  for (const feature of piece.features ?? []) {
    for (const region of keptFree({ ...feature, clear: 0 }, shape)) {
      const inPaper = intersection(region, boxRegion(paper));
      if (inPaper.length > 0) lines.push(...closed('feature', bendRegion(inPaper, shape, half)));
    }
  }
  const middle = (clear.minX + clear.maxX) / 2;
  lines.push({ kind: 'centre', points: [bend([middle, paper.minY]), bend([middle, paper.maxY])], closed: false });
  const words: Jig['words'][number][] = (piece.features ?? []).flatMap((feature) => {
    const at = bend([feature.x, feature.y + feature.height / 2]);
    const inside = feature.x >= paper.minX && feature.x <= paper.maxX && feature.y + feature.height / 2 <= paper.maxY;
    return inside ? [{ at, text: FEATURES[feature.kind].name }] : [];
  });
  for (const mark of marks) {
    for (const { region } of mark.flat) lines.push(...closed('mark', region));
    const box = boxAround(mark.flat.map(({ region }) => boxOf(region)));
    if (!Number.isFinite(box.minX)) continue;
    words.push(...(mark.places ?? []).map((place, i) => ({ at: bend(place), text: `${i + 1}` })));
    if (!round) {
      // the tape is laid over it, and one half is pressed down after the other
      const y = (box.minY + box.maxY) / 2;
      lines.push({
        kind: 'hinge',
        points: [
          [Math.max(paper.minX, box.minX - PAPER), y],
          [Math.min(paper.maxX, box.maxX + PAPER), y],
        ],
        closed: false,
      });
    }
    // the stop runs along the foot, so that a strip of that width under the mark holds its height on every piece
    const across = Array.from({ length: 25 }, (_, i): Point => bend([clear.minX + ((clear.maxX - clear.minX) * i) / 24, mark.foot]));
    lines.push({ kind: 'stop', points: across, closed: false });
    words.push({ at: [box.minX, box.minY - 4.5], text: `${mark.name}: stop ${say(mark.foot)} above the foot` });
  }
  const covered = boxOfPoints(lines.flatMap((line) => [...line.points]));
  const y = covered.minY - 8;
  lines.push({
    kind: 'check',
    points: [
      [covered.minX, y],
      [covered.minX + CHECK_MM, y],
    ],
    closed: false,
  });
  words.push({ at: [covered.minX, y - 5], text: 'This line is 100 mm long. Measure it before you cut.' });
  const box = boxAround([
    boxOfPoints(lines.flatMap((line) => [...line.points])),
    { minX: covered.minX, maxX: covered.minX + CHECK_MM, minY: y - 7, maxY: y },
  ]);
  return { lines, words, box };
}
