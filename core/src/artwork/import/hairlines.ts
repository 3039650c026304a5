import { boxOfPaths, type Path, type Point, type Segment } from '../../geometry';
import { endOf, type Way } from './dxfWays';
import { joinWays, meetWithin } from './joinWays';
import { loopsAsMeant } from './loopsAsMeant';

/** A line that is stroked and not filled, in the drawing's own units. */
export interface Hairline {
  readonly colour: string;
  readonly path: Path;
  /** How wide its pen is. */
  readonly width: number;
  /** Where what it paints stands among all that is painted. */
  readonly at: number;
}

/** A pen thinner than this share of the drawing draws where a knife goes, not film that stays. */
const THIN = 1 / 300;

/** Whether a pen draws where a knife goes, in a drawing whose larger side is so long. */
export const isThin = (width: number, size: number): boolean => width <= size * THIN;

/** With more open lines than this share of the closed ones it is a drawing of lines, not a cut file. */
const MOST_OPEN = 0.2;

/** The ways of a path, one after another. */
function waysOf(path: Path): Segment[][] {
  const ways: Segment[][] = [];
  for (const segment of path) {
    if (segment[0] === 'M') ways.push([segment]);
    else ways.at(-1)?.push(segment);
  }
  return ways;
}

const twoThirds = (from: Point, to: Point): Point => [from[0] + (2 / 3) * (to[0] - from[0]), from[1] + (2 / 3) * (to[1] - from[1])];

/** A line as a way of straight steps and cubics; nothing where it goes nowhere. */
function wayOfLine(line: readonly Segment[], colour: string): Way | undefined {
  const [first, ...rest] = line;
  if (first?.[0] !== 'M') return undefined;
  const way: Way = { from: first[1], segments: [], closed: rest.at(-1)?.[0] === 'Z', colour, layer: '' };
  for (const segment of rest) {
    if (segment[0] === 'Q') way.segments.push(['C', twoThirds(endOf(way), segment[1]), twoThirds(segment[2], segment[1]), segment[2]]);
    else if (segment[0] !== 'Z') way.segments.push(segment);
  }
  return way.segments.length > 0 ? way : undefined;
}

/** A drawing whose thin lines are where the knife goes. */
export interface CutLines {
  readonly outlines: readonly { readonly colour: string; readonly path: Path; readonly fill: 'nonzero' | 'evenodd' }[];
  /** Lines that do not close. */
  readonly open: number;
  /** Outlines that were there twice. */
  readonly twice: number;
  /** Gaps that were closed. */
  readonly healed: number;
}

/**
 * Takes thin lines for outlines, as cut files have them: lines of one colour that meet are joined, what
 * lies within another is a hole, and what was drawn twice counts once.
 *
 * @param mm millimetres a unit of the drawing, where it says so
 * @returns nothing where lines are thick enough to be meant as film, or none closes
 */
export function cutLines(lines: readonly Hairline[], mm?: number): CutLines | undefined {
  const box = boxOfPaths(lines.map(({ path }) => path));
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  if (!(size > 0) || lines.some(({ width }) => !isThin(width, size))) return undefined;
  const same = meetWithin(size, mm);
  const ways = lines.flatMap(({ colour, path }) => waysOf(path).flatMap((way) => wayOfLine(way, colour) ?? []));
  const { closed, open, healed } = joinWays(ways, same);
  const byColour = new Map<string, Way[]>();
  for (const way of closed) byColour.set(way.colour, [...(byColour.get(way.colour) ?? []), way]);
  let twice = 0;
  const outlines = [...byColour].map(([colour, own]) => {
    const meant = loopsAsMeant(own, same);
    twice += meant.twice;
    return { colour, path: meant.path, fill: meant.fill };
  });
  return closed.length > 0 && open.length <= closed.length * MOST_OPEN ? { outlines, open: open.length, twice, healed } : undefined;
}
