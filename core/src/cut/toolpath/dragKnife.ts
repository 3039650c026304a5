import type { Point } from '../../geometry';

/** Turns smaller than this are made on the way: the tip strays by next to nothing, radians. */
const ON_THE_WAY = (2 * Math.PI) / 180;
/** A turn on the spot is made in steps of this, radians. */
const STEP = (12 * Math.PI) / 180;

const headingOf = ([ax, ay]: Point, [bx, by]: Point): number => Math.atan2(by - ay, bx - ax);

/** The turn from one heading to another, -π to π. */
const turnBetween = (from: number, to: number): number => {
  const turn = (to - from) % (2 * Math.PI);
  return turn > Math.PI ? turn - 2 * Math.PI : turn <= -Math.PI ? turn + 2 * Math.PI : turn;
};

/** The way of the axis, and the heading at its end. */
export interface AxisWay {
  readonly points: readonly Point[];
  readonly heading: number;
}

/**
 * The way that the axis of a drag knife goes so that its tip, which trails behind it, follows a line: ahead of the tip by the offset, and at each corner
 * round the tip, which stays where it is.
 *
 * @param line what the tip cuts, mm, at least two points
 * @param offset of the tip behind the axis, mm, over 0
 * @param heading in which the knife points before, radians; it turns on its first point. Without it the knife points along the line already.
 */
export function axisWay(line: readonly Point[], offset: number, heading?: number): AxisWay {
  const way = line.filter((point, i) => i === 0 || Math.hypot(point[0] - line[i - 1]![0], point[1] - line[i - 1]![1]) > 1e-6);
  if (way.length < 2) return { points: way, heading: heading ?? 0 };
  const points: Point[] = [];
  let now = heading ?? headingOf(way[0]!, way[1]!);
  const ahead = ([x, y]: Point, angle: number) => void points.push([x + offset * Math.cos(angle), y + offset * Math.sin(angle)]);
  ahead(way[0]!, now);
  for (let i = 0; i + 1 < way.length; i++) {
    const next = headingOf(way[i]!, way[i + 1]!);
    const turn = turnBetween(now, next);
    if (Math.abs(turn) > ON_THE_WAY) {
      const steps = Math.ceil(Math.abs(turn) / STEP);
      for (let k = 1; k <= steps; k++) ahead(way[i]!, now + (turn * k) / steps);
    }
    now = next;
    ahead(way[i + 1]!, now);
  }
  return { points, heading: now };
}
