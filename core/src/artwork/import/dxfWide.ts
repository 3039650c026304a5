import { distance, linesOf, ringsOf, strokeOutline, union, type Path, type Point, type Region, type Ring } from '../../geometry';
import { polyline, ringWay, type Loose, type Vertex } from './dxfWays';

/** A vertex with the width of the stretch that begins there, at both its ends, units of the drawing. */
export interface WideVertex extends Vertex {
  readonly from: number;
  readonly to: number;
}

/** Corners are mitred as far as this, widths. */
const MITRE = 4;

/** A stretch that grows wider or slimmer along its points. */
function tapered(points: readonly Point[], from: number, to: number): Region {
  const length = points.slice(1).reduce((sum, p, i) => sum + distance(points[i]!, p), 0);
  let along = 0;
  const pieces = points.slice(1).flatMap((b, i): Region[] => {
    const a = points[i]!;
    const own = distance(a, b);
    if (own === 0) return [];
    const half = (way: number) => (from + ((to - from) * way) / length) / 2;
    const [h, k] = [half(along), half(along + own)];
    along += own;
    const [nx, ny] = [-(b[1] - a[1]) / own, (b[0] - a[0]) / own];
    const ring: Ring = [
      [a[0] - nx * h, a[1] - ny * h],
      [b[0] - nx * k, b[1] - ny * k],
      [b[0] + nx * k, b[1] + ny * k],
      [a[0] + nx * h, a[1] + ny * h],
    ];
    return [[{ outer: ring, holes: [] }]];
  });
  return union(...pieces);
}

/**
 * A polyline with widths as what it paints.
 *
 * @param scale working mm a unit of the drawing
 * @returns closed ways; none where it has no width
 */
export function wideWays(vertices: readonly WideVertex[], closed: boolean, scale: number): Loose[] {
  if (!vertices.some(({ from, to }) => from > 0 || to > 0)) return [];
  const [first] = vertices;
  const even = vertices.every(({ from, to }) => from === first!.from && to === first!.from);
  let region: Region;
  if (even) {
    const way = polyline(vertices, closed);
    if (!way) return [];
    const path: Path = [['M', way.from], ...way.segments, ...(closed ? ([['Z']] as const) : [])];
    region = strokeOutline(linesOf(path, [scale, 0, 0, scale, 0, 0]), {
      width: first!.from * scale,
      cap: 'butt',
      join: 'miter',
      miterLimit: MITRE,
    });
  } else {
    const count = closed ? vertices.length : vertices.length - 1;
    const pieces = Array.from({ length: count }, (_, i) => {
      const { from, to, ...a } = vertices[i]!;
      const way = polyline([a, vertices[(i + 1) % vertices.length]!], false);
      const [line] = way ? linesOf([['M', way.from], ...way.segments], [scale, 0, 0, scale, 0, 0]) : [];
      return line ? tapered(line.points, from * scale, to * scale) : [];
    });
    region = union(...pieces);
  }
  return ringsOf(region).map((ring) => ringWay(ring.map(([x, y]): Point => [x / scale, y / scale])));
}
