import { boxOfPoints, controlPoints, distance, type Path, type Point, type Segment } from '../../geometry';

/** A line that is stroked and not filled, in the drawing's own units. */
export interface Hairline {
  readonly colour: string;
  readonly path: Path;
  /** How wide its pen is. */
  readonly width: number;
}

/** A pen thinner than this share of the drawing draws where a knife goes, not film that stays. */
const THIN = 1 / 300;
/** Ends nearer than this share of the drawing meet. */
const MEET = 1 / 20_000;

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

const endsOf = (way: readonly Segment[]): [Point, Point] | undefined => {
  const first = way[0];
  const last = way.filter(([kind]) => kind !== 'Z').at(-1);
  return first && last && first[0] === 'M' ? [first[1] as Point, last.at(-1) as Point] : undefined;
};

/** A drawing whose thin lines are where the knife goes. */
export interface CutLines {
  readonly outlines: readonly { readonly colour: string; readonly path: Path }[];
  /** Lines that do not close. */
  readonly open: number;
}

/**
 * Takes the thin lines of a drawing that has nothing but thin lines for outlines, as cut files have them: those of one colour together, what
 * lies within another is a hole.
 *
 * @returns nothing where lines are thick enough to be meant as film, or none closes
 */
export function cutLines(lines: readonly Hairline[]): CutLines | undefined {
  const box = boxOfPoints(lines.flatMap(({ path }) => controlPoints(path)));
  const size = Math.max(box.maxX - box.minX, box.maxY - box.minY);
  if (!(size > 0) || lines.some(({ width }) => width > size * THIN)) return undefined;
  let [open, closed] = [0, 0];
  const byColour = new Map<string, Segment[]>();
  for (const { colour, path } of lines)
    for (const way of waysOf(path)) {
      const ends = endsOf(way);
      const shut = way.at(-1)?.[0] === 'Z';
      if (!ends || way.length < 3 || (!shut && distance(...ends) > size * MEET)) {
        open += 1;
        continue;
      }
      closed += 1;
      byColour.set(colour, [...(byColour.get(colour) ?? []), ...way, ...(shut ? [] : [['Z'] as const])]);
    }
  const outlines = [...byColour].map(([colour, path]) => ({ colour, path }));
  return closed > 0 && open <= closed * MOST_OPEN ? { outlines, open } : undefined;
}
