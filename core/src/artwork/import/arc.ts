import type { Point, Segment } from '../../geometry';

/** Arcs are parted into cubics of at most this angle: an eighth of a turn leaves its circle by 4 parts in a million, a quarter by 270. */
const MOST_ANGLE = Math.PI / 4;

/** An arc about a centre as cubics, from one angle over another; the starting point is not repeated. */
export function arcAbout(centre: Point, radii: Point, turn: number, from: number, sweep: number): Segment[] {
  const n = Math.max(1, Math.ceil(Math.abs(sweep) / MOST_ANGLE - 1e-9));
  const step = sweep / n;
  const k = (4 / 3) * Math.tan(step / 4);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const place = (x: number, y: number): Point => [
    centre[0] + radii[0] * x * cos - radii[1] * y * sin,
    centre[1] + radii[0] * x * sin + radii[1] * y * cos,
  ];
  return Array.from({ length: n }, (_, i): Segment => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    return [
      'C',
      place(Math.cos(a) - k * Math.sin(a), Math.sin(a) + k * Math.cos(a)),
      place(Math.cos(b) + k * Math.sin(b), Math.sin(b) - k * Math.cos(b)),
      place(Math.cos(b), Math.sin(b)),
    ];
  });
}

/**
 * An arc from one point to another as cubics, by the conversion of endpoints to centre that the SVG recommendation gives (W3C, 2018, appendix B.2).
 *
 * @param turn of the ellipse's first axis, degrees
 * @returns a straight line where a radius is nothing, and nothing where the ends are one point
 */
export function arcBetween(from: Point, to: Point, radii: Point, turn: number, large: boolean, sweep: boolean): Segment[] {
  let [rx, ry] = [Math.abs(radii[0]), Math.abs(radii[1])];
  if (from[0] === to[0] && from[1] === to[1]) return [];
  if (rx === 0 || ry === 0) return [['L', to]];
  const phi = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(phi), Math.sin(phi)];
  const [dx, dy] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2];
  const [x, y] = [cos * dx + sin * dy, -sin * dx + cos * dy];
  const reach = (x * x) / (rx * rx) + (y * y) / (ry * ry);
  if (reach > 1) [rx, ry] = [rx * Math.sqrt(reach), ry * Math.sqrt(reach)];
  const below = rx * rx * y * y + ry * ry * x * x;
  const root = Math.sqrt(Math.max(0, (rx * rx * ry * ry - below) / below)) * (large === sweep ? -1 : 1);
  const [cx, cy] = [(root * rx * y) / ry, (-root * ry * x) / rx];
  const centre: Point = [cos * cx - sin * cy + (from[0] + to[0]) / 2, sin * cx + cos * cy + (from[1] + to[1]) / 2];
  const start = Math.atan2((y - cy) / ry, (x - cx) / rx);
  let angle = Math.atan2((-y - cy) / ry, (-x - cx) / rx) - start;
  if (sweep && angle < 0) angle += 2 * Math.PI;
  if (!sweep && angle > 0) angle -= 2 * Math.PI;
  const cubics = arcAbout(centre, [rx, ry], phi, start, angle);
  const last = cubics.at(-1)!;
  // ends exactly where it was told to
  return [...cubics.slice(0, -1), ['C', last[1] as Point, last[2] as Point, to]];
}
