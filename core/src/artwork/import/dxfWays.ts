import type { Point, Segment } from '../../geometry';
import { arcAbout } from './arc';

/** A place in a DXF. */
export interface Vertex {
  x: number;
  y: number;
  bulge?: number;
}
/** A pair of a file: what it says, and of what. */
export interface Group {
  readonly code: number;
  readonly value: string;
}
/** What the reader tells of an entity; which fields there are depends on its type. */
export interface Entity {
  type: string;
  /** All that stands in the file of it. */
  groups?: readonly Group[];
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
  layer: string;
}
/** A way of no colour yet. */
export type Loose = Omit<Way, 'colour' | 'layer'>;

export const endOf = (way: Way): Point => (way.segments.at(-1)?.at(-1) as Point | undefined) ?? way.from;

export function reversed(way: Way): Way {
  const points: Point[] = [way.from, ...way.segments.map((s) => s.at(-1) as Point)];
  const segments = way.segments
    .map((segment, i): Segment => (segment[0] === 'C' ? ['C', segment[2] as Point, segment[1] as Point, points[i]!] : ['L', points[i]!]))
    .toReversed();
  return { ...way, from: points.at(-1)!, segments };
}

export const at = ({ x, y }: Vertex): Point => [x, y];

/** An arc of more bulge is a whole circle but for what nobody sees. */
const MOST_BULGE = 1e6;

/** A polyline with bulges: each is the tangent of a quarter of its arc's angle. */
export function polyline(vertices: readonly Vertex[], closed: boolean): Loose | undefined {
  const [first] = vertices;
  if (!first || vertices.length < 2) return undefined;
  const segments: Segment[] = [];
  const count = closed ? vertices.length : vertices.length - 1;
  for (let i = 0; i < count; i++) {
    const [a, b] = [vertices[i]!, vertices[(i + 1) % vertices.length]!];
    const bulge = a.bulge ?? 0;
    const chord = Math.hypot(b.x - a.x, b.y - a.y);
    // also what is no number is straight
    if (!(Math.abs(bulge) > 1e-9 && Math.abs(bulge) < MOST_BULGE && chord > 0)) segments.push(['L', at(b)]);
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

/** From one angle on to the next, over nothing and up to a whole turn, radians: 270° to 0° are 90°. */
function forward(sweep: number): number {
  const rest = sweep % (2 * Math.PI);
  return rest > 1e-9 ? rest : rest + 2 * Math.PI;
}

export const degrees = (angle: number) => (angle * Math.PI) / 180;

/** A ring as a way. */
export const ringWay = (ring: readonly Point[]): Loose => ({
  from: ring[0]!,
  segments: ring.slice(1).map((p): Segment => ['L', p]),
  closed: true,
});

/**
 * An arc about a centre as a way, from one angle to another, radians: counter-clockwise, or the other way; a whole turn where they are the same.
 *
 * @param turn of the first of the two radii, radians
 */
export function arcWay(centre: Point, radii: Point, turn: number, [from, to]: Point, clockwise = false): Loose {
  const sweep = clockwise ? -forward(from - to) : forward(to - from);
  const [x, y] = [radii[0] * Math.cos(from), radii[1] * Math.sin(from)];
  return {
    from: [centre[0] + x * Math.cos(turn) - y * Math.sin(turn), centre[1] + x * Math.sin(turn) + y * Math.cos(turn)],
    segments: arcAbout(centre, radii, turn, from, sweep),
    closed: Math.abs(sweep) > 2 * Math.PI - 1e-6,
  };
}
