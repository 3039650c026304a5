import { hatchWays } from './dxfHatch';
import { arcWay, at, polyline, ringWay, type Entity, type Loose, type Vertex } from './dxfWays';
import { wideWays, type WideVertex } from './dxfWide';
import { splinePoints, through } from './spline';

/** Numbers of a code, in the order in which they stand. */
const numbersOf = ({ groups = [] }: Entity, code: number): number[] =>
  groups.filter((group) => group.code === code).map(({ value }) => Number(value));

/** The first of a code, of the entity itself and not of what belongs to it. */
function ownNumber({ groups = [] }: Entity, code: number): number {
  for (const group of groups) {
    if (group.code === 0) break;
    if (group.code === code) return Number(group.value);
  }
  return 0;
}

/** The vertices of a polyline with the widths that they have, or that all have. */
function wideVertices(e: Entity): WideVertex[] {
  const vertices = (e.vertices ?? []) as (Vertex & { startWidth?: number; endWidth?: number })[];
  if (e.type === 'LWPOLYLINE') {
    const all = ownNumber(e, 43);
    return vertices.map(({ startWidth, endWidth, ...vertex }) => ({ ...vertex, from: startWidth ?? all, to: endWidth ?? all }));
  }
  const [from, to] = [ownNumber(e, 40), ownNumber(e, 41)];
  const own: { from?: number; to?: number }[] = [];
  for (const { code, value } of e.groups ?? []) {
    if (code === 0 && value === 'VERTEX') own.push({});
    const last = own.at(-1);
    if (last && code === 40) last.from = Number(value);
    if (last && code === 41) last.to = Number(value);
  }
  return vertices.map((vertex, i) => ({ ...vertex, from: own[i]?.from ?? from, to: own[i]?.to ?? to }));
}

/** Whether the plane that an entity lies in is looked at from behind. */
export const seenFromBehind = (e: Entity): boolean => {
  const z = e.extrusionDirection?.z ?? e.extrusionDirectionZ ?? ownNumber(e, 230);
  return z < 0;
};

/** The angles of a whole turn. */
const WHOLE = [0, 2 * Math.PI] as const;

/** How an entity becomes ways. */
export interface Reading {
  /** How near curves are followed, units of the drawing. */
  readonly tolerance: number;
  /** Working mm a unit of the drawing. */
  readonly scale: number;
}

/** One entity as ways; none when it is of a kind that has none. */
export function waysOf(e: Entity, { tolerance, scale }: Reading): Loose[] {
  const one = (way: Loose | undefined) => (way ? [way] : []);
  switch (e.type) {
    case 'LINE':
      return one(polyline(e.vertices ?? [], false));
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const wide = wideWays(wideVertices(e), e.shape === true, scale);
      return wide.length > 0 ? wide : one(polyline(e.vertices ?? [], e.shape === true));
    }
    case 'CIRCLE':
    case 'ARC': {
      if (!e.center || !(e.radius! > 0)) return [];
      // the reader gives angles in radians
      const angles = e.type === 'CIRCLE' ? WHOLE : ([e.startAngle ?? 0, e.endAngle ?? 0] as const);
      return [{ ...arcWay(at(e.center), [e.radius!, e.radius!], 0, angles), closed: e.type === 'CIRCLE' }];
    }
    case 'ELLIPSE': {
      if (!e.center || !e.majorAxisEndPoint) return [];
      const major = Math.hypot(e.majorAxisEndPoint.x, e.majorAxisEndPoint.y);
      const turn = Math.atan2(e.majorAxisEndPoint.y, e.majorAxisEndPoint.x);
      const [from, to] = [e.startAngle ?? 0, e.endAngle ?? 2 * Math.PI];
      const radii = [major, major * (e.axisRatio ?? 1)] as const;
      // from behind its angles run the other way, and its points stay where they are
      return [seenFromBehind(e) ? arcWay(at(e.center), radii, turn, [-from, -to], true) : arcWay(at(e.center), radii, turn, [from, to])];
    }
    case 'SPLINE': {
      const control = (e.controlPoints ?? []).map(at);
      const weights = numbersOf(e, 41);
      const points = splinePoints(
        {
          ...{ control, knots: e.knotValues ?? [], degree: e.degreeOfSplineCurve ?? 3 },
          ...(weights.length === control.length && weights.length > 0 ? { weights } : {}),
        },
        tolerance,
      );
      if (points.length >= 2) return [{ ...ringWay(points), closed: e.closed === true }];
      const fit = (e.fitPoints ?? []).map(at);
      return fit.length >= 2 ? [{ from: fit[0]!, segments: through(fit), closed: e.closed === true }] : [];
    }
    case 'TRACE':
    case 'SOLID': {
      const p = (e.points ?? []).map(at);
      // the third and fourth corners are given crosswise
      return p.length < 3 ? [] : [ringWay(p.length >= 4 ? [p[0]!, p[1]!, p[3]!, p[2]!] : p)];
    }
    case 'HATCH':
      return hatchWays(e.groups ?? [], tolerance);
    default:
      return [];
  }
}
