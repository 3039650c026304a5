import { boxAround, boxOfPaths, mapPath, then, translation, rotation, type Path } from '../../geometry';

/** Room left where a full circle closes, em. */
const JOIN = 0.6;

/**
 * Letters set along an arc, each turned as a whole about the foot of its middle.
 *
 * @param glyphs letters on level lines, the first baseline at 0, centred about x = 0; em
 * @param degrees that the widest line spans, up to 360; above 0 the middle is on top, below 0 the arc hangs
 * @param lowest the lowest baseline, em (0 or below)
 */
export function arcText(glyphs: readonly Path[], degrees: number, lowest: number): Path[] {
  const boxes = glyphs.map((path) => boxOfPaths([path]));
  const all = boxAround(boxes);
  const span = Math.min(360, Math.abs(degrees));
  const width = all.maxX - all.minX + (span > 330 ? JOIN : 0);
  const angle = (span * Math.PI) / 180;
  if (!(width > 0) || angle < 1e-3) return [...glyphs];
  const up = degrees > 0;
  // the widest line keeps its length: on top of an arch the lowest line lies on the circle, in a hanging arc the highest
  const radius = width / angle;
  const middle = (all.minX + all.maxX) / 2;
  return glyphs.map((path, i) => {
    const x = (boxes[i]!.minX + boxes[i]!.maxX) / 2;
    const turn = ((up ? -1 : 1) * (x - middle)) / radius;
    const toFoot = translation(-x, up ? radius - lowest : -radius);
    return mapPath(path, then(toFoot, rotation(turn)));
  });
}
