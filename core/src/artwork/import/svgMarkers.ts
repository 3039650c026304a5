import type { Element } from '@xmldom/xmldom';
import { applyToPoint, boxRegion, then, type Path, type Point, type Region, type Transform } from '../../geometry';
import { frameTransform, roomIn, viewBoxOf, type Room } from './svgFrame';
import { userLength } from './svgStyle';

/** Where a marker stands on a line: which of the three, its place, and the way that the line goes there, radians. */
export interface MarkerPlace {
  readonly which: 'marker-start' | 'marker-mid' | 'marker-end';
  readonly at: Point;
  readonly angle: number;
}

/** A vertex with the ways into it and out of it; a way of no length is none. */
interface Vertex {
  readonly at: Point;
  into?: Point;
  out?: Point;
}

const towards = (from: Point, to: Point): Point | undefined => {
  const [x, y] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(x, y);
  return length > 0 ? [x / length, y / length] : undefined;
};

/** The mean of two ways; the one where there is only one. */
function between(a: Point | undefined, b: Point | undefined): number {
  if (a && b && Math.hypot(a[0] + b[0], a[1] + b[1]) > 1e-9) return Math.atan2(a[1] + b[1], a[0] + b[0]);
  const one = a ?? b;
  return one ? Math.atan2(one[1], one[0]) : 0;
}

/** The vertices of a path (SVG 2, 13.7.4); where a way is closed its end goes on into its start. */
function verticesOf(path: Path, within: ReadonlySet<number>): Vertex[] {
  const found: Vertex[] = [];
  const passed = new Set<Vertex>();
  let start = 0;
  let now: Point = [0, 0];
  for (const [i, segment] of path.entries()) {
    if (segment[0] === 'M') {
      start = found.length;
      found.push({ at: (now = segment[1]) });
      continue;
    }
    const last = found.at(-1);
    const first = found[start];
    if (segment[0] === 'Z') {
      if (!last || !first) continue;
      const way = towards(last.at, first.at);
      last.out ??= way ?? first.out;
      first.into = way ?? last.into;
      found.push({ at: first.at, into: way ?? last.into, ...(first.out ? { out: first.out } : {}) });
      now = first.at;
      continue;
    }
    const points = segment.slice(1) as Point[];
    const end = points.at(-1)!;
    // a control that lies on its end says nothing of the way: the next one does
    const out = [...points].map((point) => towards(now, point)).find(Boolean);
    const into = [now, ...points.slice(0, -1)]
      .toReversed()
      .map((point) => towards(point, end))
      .find(Boolean);
    if (last && out) last.out ??= out;
    found.push({ at: end, ...((into ?? last?.into) ? { into: into ?? last?.into } : {}) });
    if (within.has(i)) passed.add(found.at(-1)!);
    now = end;
  }
  return found.filter((vertex) => !passed.has(vertex));
}

/**
 * The places of markers on a path: at its first vertex, at its last, and at all between.
 *
 * @param within segments, by their places in the path, that end within an arc
 */
export function markerPlaces(path: Path, within: ReadonlySet<number>): MarkerPlace[] {
  const vertices = verticesOf(path, within);
  return vertices.flatMap(({ at, into, out }, i): MarkerPlace[] => {
    const angle = between(into, out);
    if (vertices.length === 1)
      return [
        { which: 'marker-start', at, angle },
        { which: 'marker-end', at, angle },
      ];
    return [{ which: i === 0 ? 'marker-start' : i === vertices.length - 1 ? 'marker-end' : 'marker-mid', at, angle }];
  });
}

/** A marker in its place: where its frame stands on the line, how what is in it is brought there, and what of it is seen. */
interface MarkerFrame {
  readonly placed: Transform;
  readonly inner: Transform;
  /** In the marker's frame, its reference point at 0. */
  readonly seen: Region;
  readonly room: Room;
}

/** A marker's width and height where it does not say, its own units (SVG 2, 13.7.1). */
const USUAL_SIDE = 3;

/**
 * A marker in its place on a line.
 *
 * @param pen width of the line, user units: what a marker is as large as, unless it says otherwise
 */
export function markerFrame(marker: Element, { which, at, angle }: MarkerPlace, pen: number): MarkerFrame {
  const side = (name: string) => userLength(marker.getAttribute(name)) ?? USUAL_SIDE;
  const [width, height] = [side('markerWidth'), side('markerHeight')];
  const scale = marker.getAttribute('markerUnits') === 'userSpaceOnUse' ? 1 : pen;
  const orient = marker.getAttribute('orient') ?? '0';
  const fixed = Number.parseFloat(orient);
  const back = orient === 'auto-start-reverse' && which === 'marker-start' ? Math.PI : 0;
  const turned = orient.startsWith('auto') ? angle + back : ((Number.isFinite(fixed) ? fixed : 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turned), Math.sin(turned)];
  const placed: Transform = [scale * cos, scale * sin, -scale * sin, scale * cos, at[0], at[1]];
  const box = viewBoxOf(marker);
  const room = roomIn(box, width, height);
  const frame = frameTransform(marker, 0, 0, width, height);
  // its reference point lies on the line
  const [x, y] = applyToPoint(frame, [
    userLength(marker.getAttribute('refX'), room.width) ?? 0,
    userLength(marker.getAttribute('refY'), room.height) ?? 0,
  ]);
  return {
    placed,
    inner: then(then(frame, [1, 0, 0, 1, -x, -y]), placed),
    seen: boxRegion({ minX: -x, minY: -y, maxX: width - x, maxY: height - y }),
    room,
  };
}
