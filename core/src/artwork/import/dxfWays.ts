import type { Point, Segment } from '../../geometry';
import { arcAbout } from './arc';

/** Straight steps between two knots of a spline. */
const SPLINE_STEPS = 12;

/** A place in a DXF. */
export interface Vertex {
  x: number;
  y: number;
  bulge?: number;
}
/** What the reader tells of an entity; which fields there are depends on its type. */
export interface Entity {
  type: string;
  layer?: string;
  color?: number;
  visible?: boolean;
  inPaperSpace?: boolean;
  vertices?: Vertex[];
  shape?: boolean;
  center?: Vertex;
  radius?: number;
  startAngle?: number;
  endAngle?: number;
  majorAxisEndPoint?: Vertex;
  axisRatio?: number;
  controlPoints?: Vertex[];
  fitPoints?: Vertex[];
  knotValues?: number[];
  degreeOfSplineCurve?: number;
  closed?: boolean;
  rational?: boolean;
  points?: Vertex[];
  name?: string;
  position?: Vertex;
  xScale?: number;
  yScale?: number;
  rotation?: number;
  columnCount?: number;
  rowCount?: number;
  columnSpacing?: number;
  rowSpacing?: number;
  extrusionDirection?: { z?: number };
  extrusionDirectionZ?: number;
}
/** A way through the drawing: where it starts, and how it goes on. */
export interface Way {
  from: Point;
  segments: Segment[];
  closed: boolean;
  colour: string;
}

export const endOf = (way: Way): Point => (way.segments.at(-1)?.at(-1) as Point | undefined) ?? way.from;

export function reversed(way: Way): Way {
  const points: Point[] = [way.from, ...way.segments.map((s) => s.at(-1) as Point)];
  const segments = way.segments
    .map((segment, i): Segment => (segment[0] === 'C' ? ['C', segment[2] as Point, segment[1] as Point, points[i]!] : ['L', points[i]!]))
    .toReversed();
  return { ...way, from: points.at(-1)!, segments };
}

const at = ({ x, y }: Vertex): Point => [x, y];

/** A polyline with bulges: each is the tangent of a quarter of its arc's angle. */
function polyline(vertices: readonly Vertex[], closed: boolean): Omit<Way, 'colour'> | undefined {
  const [first] = vertices;
  if (!first || vertices.length < 2) return undefined;
  const segments: Segment[] = [];
  const count = closed ? vertices.length : vertices.length - 1;
  for (let i = 0; i < count; i++) {
    const [a, b] = [vertices[i]!, vertices[(i + 1) % vertices.length]!];
    const bulge = a.bulge ?? 0;
    const chord = Math.hypot(b.x - a.x, b.y - a.y);
    if (Math.abs(bulge) < 1e-9 || chord === 0) segments.push(['L', at(b)]);
    else {
      const sweep = 4 * Math.atan(bulge);
      const radius = chord / 2 / Math.sin(Math.abs(sweep) / 2);
      const off = (chord / 2) * ((1 - bulge * bulge) / (2 * bulge));
      const centre: Point = [(a.x + b.x) / 2 - ((b.y - a.y) / chord) * off, (a.y + b.y) / 2 + ((b.x - a.x) / chord) * off];
      const arc = arcAbout(centre, [radius, radius], 0, Math.atan2(a.y - centre[1], a.x - centre[0]), sweep);
      const last = arc.at(-1)!;
      segments.push(...arc.slice(0, -1), ['C', last[1] as Point, last[2] as Point, at(b)]);
    }
  }
  return { from: at(first), segments, closed };
}

/** Points of a B-spline by the algorithm of de Boor (1972). */
function spline(control: readonly Point[], knots: readonly number[], degree: number): Point[] {
  const n = control.length - 1;
  const place = (t: number, k: number): Point => {
    const d = Array.from({ length: degree + 1 }, (_, j) => control[j + k - degree]!);
    for (let r = 1; r <= degree; r++) {
      for (let j = degree; j >= r; j--) {
        const low = knots[j + k - degree]!;
        const high = knots[j + 1 + k - r]!;
        const share = high > low ? (t - low) / (high - low) : 0;
        d[j] = [d[j - 1]![0] * (1 - share) + d[j]![0] * share, d[j - 1]![1] * (1 - share) + d[j]![1] * share];
      }
    }
    return d[degree]!;
  };
  const points: Point[] = [];
  for (let k = degree; k <= n; k++) {
    const [low, high] = [knots[k]!, knots[k + 1]!];
    if (!(high > low)) continue;
    for (let i = points.length === 0 ? 0 : 1; i <= SPLINE_STEPS; i++) points.push(place(low + ((high - low) * i) / SPLINE_STEPS, k));
  }
  return points;
}

/** A curve through points, each span a cubic whose tangents are those of its neighbours (Catmull and Rom, 1974). */
function through(points: readonly Point[]): Segment[] {
  return points.slice(1).map((b, i): Segment => {
    const [z, a, c] = [points[i - 1] ?? points[i]!, points[i]!, points[i + 2] ?? b];
    return ['C', [a[0] + (b[0] - z[0]) / 6, a[1] + (b[1] - z[1]) / 6], [b[0] - (c[0] - a[0]) / 6, b[1] - (c[1] - a[1]) / 6], b];
  });
}

/** A sweep counter-clockwise: over nothing and up to a whole turn, radians. */
function forward(sweep: number): number {
  const rest = sweep % (2 * Math.PI);
  return rest > 1e-12 ? rest : rest + 2 * Math.PI;
}

export const degrees = (angle: number) => (angle * Math.PI) / 180;

/** One entity as a way; undefined when it is of a kind that has none. */
export function wayOf(e: Entity): Omit<Way, 'colour'> | undefined {
  switch (e.type) {
    case 'LINE':
      return polyline(e.vertices ?? [], false);
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return polyline(e.vertices ?? [], e.shape === true);
    case 'CIRCLE':
    case 'ARC': {
      if (!e.center || !(e.radius! > 0)) return undefined;
      // the reader gives angles in radians
      const from = e.type === 'CIRCLE' ? 0 : (e.startAngle ?? 0);
      let sweep = e.type === 'CIRCLE' ? 2 * Math.PI : (e.endAngle ?? 0) - from;
      sweep = forward(sweep);
      const centre = at(e.center);
      const r = e.radius!;
      return {
        from: [centre[0] + r * Math.cos(from), centre[1] + r * Math.sin(from)],
        segments: arcAbout(centre, [r, r], 0, from, sweep),
        closed: e.type === 'CIRCLE',
      };
    }
    case 'ELLIPSE': {
      if (!e.center || !e.majorAxisEndPoint) return undefined;
      const major = Math.hypot(e.majorAxisEndPoint.x, e.majorAxisEndPoint.y);
      const turn = Math.atan2(e.majorAxisEndPoint.y, e.majorAxisEndPoint.x);
      const minor = major * (e.axisRatio ?? 1);
      const from = e.startAngle ?? 0;
      let sweep = (e.endAngle ?? 2 * Math.PI) - from;
      sweep = forward(sweep);
      const [x, y] = [major * Math.cos(from), minor * Math.sin(from)];
      const start: Point = [e.center.x + x * Math.cos(turn) - y * Math.sin(turn), e.center.y + x * Math.sin(turn) + y * Math.cos(turn)];
      return { from: start, segments: arcAbout(at(e.center), [major, minor], turn, from, sweep), closed: sweep > 2 * Math.PI - 1e-6 };
    }
    case 'SPLINE': {
      const control = (e.controlPoints ?? []).map(at);
      const degree = e.degreeOfSplineCurve ?? 3;
      const knots = e.knotValues ?? [];
      if (control.length > degree && knots.length >= control.length + degree + 1) {
        const points = spline(control, knots, degree);
        if (points.length < 2) return undefined;
        return { from: points[0]!, segments: points.slice(1).map((p): Segment => ['L', p]), closed: e.closed === true };
      }
      const fit = (e.fitPoints ?? []).map(at);
      return fit.length >= 2 ? { from: fit[0]!, segments: through(fit), closed: e.closed === true } : undefined;
    }
    case 'SOLID': {
      const p = (e.points ?? []).map(at);
      if (p.length < 3) return undefined;
      // the third and fourth corners are given crosswise
      const ring = p.length >= 4 ? [p[0]!, p[1]!, p[3]!, p[2]!] : p;
      return { from: ring[0]!, segments: ring.slice(1).map((q): Segment => ['L', q]), closed: true };
    }
    default:
      return undefined;
  }
}
