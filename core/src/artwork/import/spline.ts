import type { Point, Segment } from '../../geometry';

/** A spline as files give it. */
export interface Spline {
  readonly control: readonly Point[];
  readonly knots: readonly number[];
  readonly degree: number;
  /** Of each control point; all the same where there are none. */
  readonly weights?: readonly number[];
}

/** A span is parted in two so often at most. */
const DEEPEST = 12;

/** The place of a spline at a parameter, in the span that begins at knot `k`, by the algorithm of de Boor (1972), in homogeneous coordinates. */
function placeOn({ control, knots, degree, weights }: Spline, t: number, k: number): Point {
  const d = Array.from({ length: degree + 1 }, (_, j): [number, number, number] => {
    const i = j + k - degree;
    const w = weights?.[i] ?? 1;
    const [x, y] = control[i]!;
    return [x * w, y * w, w];
  });
  for (let r = 1; r <= degree; r++)
    for (let j = degree; j >= r; j--) {
      const low = knots[j + k - degree]!;
      const high = knots[j + 1 + k - r]!;
      const share = high > low ? (t - low) / (high - low) : 0;
      const [a, b] = [d[j - 1]!, d[j]!];
      d[j] = [a[0] * (1 - share) + b[0] * share, a[1] * (1 - share) + b[1] * share, a[2] * (1 - share) + b[2] * share];
    }
  const [x, y, w] = d[degree]!;
  return [x / w, y / w];
}

/**
 * A spline as a way of straight lines that leave it by no more than a tolerance.
 *
 * @param tolerance in the units of its points
 * @returns its points, the first with them; nothing where it has too few points, or weights that are not over 0
 */
export function splinePoints(spline: Spline, tolerance: number): Point[] {
  const { control, knots, degree, weights } = spline;
  if (degree < 1 || control.length <= degree || knots.length < control.length + degree + 1 || weights?.some((w) => !(w > 0))) return [];
  const points: Point[] = [];
  for (let k = degree; k < control.length; k++) {
    const [low, high] = [knots[k]!, knots[k + 1]!];
    if (!(high > low)) continue;
    const add = (a: number, pa: Point, b: number, pb: Point, depth: number): void => {
      const length = Math.hypot(pb[0] - pa[0], pb[1] - pa[1]);
      // an S crosses its chord in the middle: it is looked at in three places
      const far = [0.25, 0.5, 0.75].some((share) => {
        const [x, y] = placeOn(spline, a + (b - a) * share, k);
        const off =
          length > 0 ? Math.abs((pb[0] - pa[0]) * (y - pa[1]) - (pb[1] - pa[1]) * (x - pa[0])) / length : Math.hypot(x - pa[0], y - pa[1]);
        return off > tolerance;
      });
      if (depth < DEEPEST && (far || depth < (degree > 1 ? 1 : 0))) {
        const t = (a + b) / 2;
        const middle = placeOn(spline, t, k);
        add(a, pa, t, middle, depth + 1);
        add(t, middle, b, pb, depth + 1);
      } else points.push(pb);
    };
    const first = placeOn(spline, low, k);
    if (points.length === 0) points.push(first);
    add(low, first, high, placeOn(spline, high, k), 0);
  }
  return points;
}

/** A curve through points, each span a cubic whose tangents are those of its neighbours (Catmull and Rom, 1974). */
export function through(points: readonly Point[]): Segment[] {
  return points.slice(1).map((b, i): Segment => {
    const [z, a, c] = [points[i - 1] ?? points[i]!, points[i]!, points[i + 2] ?? b];
    return ['C', [a[0] + (b[0] - z[0]) / 6, a[1] + (b[1] - z[1]) / 6], [b[0] - (c[0] - a[0]) / 6, b[1] - (c[1] - a[1]) / 6], b];
  });
}
