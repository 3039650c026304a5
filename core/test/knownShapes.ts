import { bendAt, bendRegion, type Taper } from '../src/blanks';
import type { Point, Region } from '../src/geometry';

/** A stout block with a tapering spur to the right: so wide where it leaves, so wide at its end, both about y = 0; mm. */
export const spur = (root: number, end: number, length: number): Region => [
  {
    outer: [
      [-6, -5],
      [0, -5],
      [0, -root / 2],
      [length, -end / 2],
      [length, end / 2],
      [0, root / 2],
      [0, 5],
      [-6, 5],
    ],
    holes: [],
  },
];

/** How far the bent edges of a ring on a taper lie off the curves that they stand for, in the middle of each chord; the most, mm. */
export function offItsCurve(taper: Taper, edge: readonly Point[], at: number): number {
  const bent = bendRegion([{ outer: edge, holes: [] }], taper, at)[0]!.outer;
  const bend = bendAt(taper, at);
  let [k, most] = [0, 0];
  edge.forEach((a, i) => {
    const b = edge[(i + 1) % edge.length]!;
    const end = bend(b);
    const from = k;
    do k++;
    while (k < bent.length && Math.hypot(bent[k]![0] - end[0], bent[k]![1] - end[1]) > 1e-9);
    for (let piece = from; piece < k; piece++) {
      const t = (piece - from + 0.5) / (k - from);
      const [x, y] = bend([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]);
      const [p, q] = [bent[piece]!, bent[(piece + 1) % bent.length]!];
      const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (length > 0) most = Math.max(most, Math.abs((q[0] - p[0]) * (y - p[1]) - (q[1] - p[1]) * (x - p[0])) / length);
    }
  });
  return most;
}
