import { KNIFE } from '../../facts';
import { boxOfPoints, distance, type Path, type Point, type Ring, type Segment } from '../../geometry';
import type { DrawnPart } from '../../job';
import { good, refused, type Result } from '../../units';
import type { ImportedDrawing } from './importSvg';
import { lighten } from './lighten';
import { readHpgl } from './readHpgl';

/** Steps in a mm, as almost every machine counts them. */
const STEPS_A_MM = 1 / KNIFE.step;
/** Ends nearer than this are one point, steps. */
const SAME = 2;
/** A knife goes on this far past its beginning at most, so that the corner there is cut through, steps. */
const OVERCUT = 2.5 * STEPS_A_MM;

/** One stroke of the knife, from where it went down to where it came up, steps. */
interface Stroke {
  readonly points: readonly Point[];
  readonly pen: boolean;
}

/** The strokes of the knife, in order. */
function strokesIn(text: string): Result<Stroke[]> {
  const read = readHpgl(text);
  if (!read.ok) return read;
  const strokes: { points: Point[]; pen: boolean }[] = [];
  let at: Point = [0, 0];
  let down = false;
  for (const move of read.value.moves) {
    if (move.down) {
      if (!down) strokes.push({ points: [at], pen: move.pen === true });
      strokes.at(-1)!.points.push(move.to);
    }
    down = move.down;
    at = move.to;
  }
  return good(strokes);
}

/** A stroke as the ring that it closes, without what the knife cut twice at its end; nothing where it stays open. */
function ringOf(points: readonly Point[]): Ring | undefined {
  const [first] = points;
  if (!first || points.length < 4) return undefined;
  // the first return to the beginning from which it is not far to the end of the stroke
  let left = 0;
  for (let i = points.length - 1; i >= 3; i--) {
    if (distance(points[i]!, first) <= SAME && left <= OVERCUT) {
      let end = i;
      while (end > 3 && distance(points[end - 1]!, first) <= SAME) end -= 1;
      return points.slice(0, end);
    }
    left += distance(points[i]!, points[i - 1]!);
    if (left > OVERCUT) break;
  }
  return undefined;
}

/**
 * Takes in an HPGL cut file, to cut it again: each stroke of the knife that closes is an outline, what lies within another is a hole. Along
 * the feed is taken for upward.
 *
 * @param text the job as a cutter gets it
 * @param name its name, for problems
 * @returns one part in black, millimetres, with the size that it was cut at; lines that stay open and what a pen wrote are named as left out
 */
export function importHpgl(text: string, name: string, newId: () => string): Result<ImportedDrawing> {
  const read = strokesIn(text);
  if (!read.ok)
    return refused(
      `"${name}" is no cut file that can be read: ${read.problem.found}`,
      'an HPGL file',
      name,
      'Save it again as HPGL or SVG, and take it in again.',
    );
  const knife = read.value.filter(({ pen }) => !pen);
  const rings = knife.map(({ points }) => ringOf(points)).filter((ring) => ring !== undefined);
  const open = knife.length - rings.length;
  const box = boxOfPoints(rings.flat());
  if (rings.length === 0 || !(box.maxX > box.minX) || !(box.maxY > box.minY))
    return refused(`"${name}" has no closed outline.`, 'closed outlines', name, 'Take in the drawing that it was made from.');
  // a roll-fed machine counts along the feed first: turned by a quarter the film runs up again
  const at = ([u, v]: Point): Point => [(box.maxY - v) / STEPS_A_MM, (u - box.minX) / STEPS_A_MM];
  const path: Path = rings.flatMap((ring): Segment[] => [...ring.map((p, i): Segment => [i === 0 ? 'M' : 'L', at(p)]), ['Z']]);
  const written = read.value.length - knife.length;
  const leftOut = [
    ...(open > 0 ? [`${open} open ${open === 1 ? 'line' : 'lines'}`] : []),
    ...(written > 0 ? [`${written} ${written === 1 ? 'line' : 'lines'} that a pen wrote`] : []),
  ];
  const parts: DrawnPart[] = [{ id: newId(), colour: '#000000', path, fill: 'evenodd' }];
  const light = lighten(parts, name);
  const asDrawn = { width: (box.maxY - box.minY) / STEPS_A_MM, height: (box.maxX - box.minX) / STEPS_A_MM };
  return light.ok ? good({ parts: light.value, leftOut, asDrawn }) : light;
}
