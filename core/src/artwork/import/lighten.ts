import { boxHeight, boxWidth, boxOfPaths, simplifyWay, type Path, type Point, type Segment } from '../../geometry';
import type { DrawnPart } from '../../job';
import { good, refused, type Result } from '../../units';

/** More edges than this in one drawing are planned by no device in time. */
export const MOST_SEGMENTS = 60_000;
/** With more edges than this every edit would hold the page up: such a drawing is not taken in. */
const MOST_TAKEN = 20_000;
/** Drawings of fewer segments are left as they are. */
const MANY = 5_000;
/** Straight runs shorter than this are left as they are. */
const RUN = 8;
/** Points nearer to the line between their neighbours than this share of the drawing's larger side go: 0.005 mm of 200 mm. */
const SHARE = 1 / 40_000;

/** A path whose long runs of straight edges have no more points than they need. */
function lighter(path: Path, tolerance: number): Path {
  const out: Segment[] = [];
  let run: Point[] = [];
  const end = () => {
    // the first point is where the pen stands already
    const kept = run.length > RUN ? simplifyWay(run, tolerance) : run;
    for (const point of kept.slice(1)) out.push(['L', point]);
    run = [];
  };
  let pen: Point = [0, 0];
  for (const segment of path) {
    if (segment[0] === 'L') {
      if (run.length === 0) run = [pen];
      run.push(segment[1]);
    } else {
      end();
      out.push(segment);
    }
    if (segment[0] !== 'Z') pen = segment.at(-1) as Point;
  }
  end();
  return out;
}

/** How many segments a drawing has. */
export const segmentsIn = (parts: readonly DrawnPart[]): number => parts.reduce((sum, part) => sum + part.path.length, 0);

/**
 * A drawing of very many edges with the points left out that change nothing that a knife could follow; others as they are.
 *
 * @returns a problem when it still has more edges than can be planned in time
 */
export function lighten(parts: DrawnPart[], name: string): Result<DrawnPart[]> {
  if (segmentsIn(parts) < MANY) return good(parts);
  const box = boxOfPaths(parts.map(({ path }) => path));
  const tolerance = Math.max(boxWidth(box), boxHeight(box)) * SHARE;
  const light = parts.map((part) => ({ ...part, path: lighter(part.path, tolerance) }));
  const segments = segmentsIn(light);
  if (segments <= MOST_TAKEN) return good(light);
  return refused(
    `"${name}" has ${segments.toLocaleString('en')} edges, more than can be worked with.`,
    `a drawing of up to ${MOST_TAKEN.toLocaleString('en')} edges`,
    name,
    'Simplify its paths, or take in only what is to be cut.',
  );
}
