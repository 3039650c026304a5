import Delaunator from 'delaunator';
import { boxHeight, boxOf, boxWidth } from './box';
import { edgeLength, ringLength } from './perimeter';
import { pointInside } from './inside';
import { distance, type Part, type Point, type Region, type Ring } from './point';

/** A place where a stroke is thin: its middle, mm, and the width there, mm. */
export interface ThinPlace {
  readonly at: Point;
  readonly width: number;
}

/** The least stroke width of a region, with its places. */
export interface Thickness {
  /** The least width found, mm; `Infinity` when nothing narrows. */
  readonly least: number;
  /** One place a thin stroke, narrowest first. */
  readonly places: readonly ThinPlace[];
}

/** Feet further apart than this (seen from the middle) stand on opposite sides; corners give less. */
const OPPOSITE = (137 / 180) * Math.PI;

interface Sample {
  point: Point;
  ring: number;
  /** How far along its ring, mm. */
  along: number;
}

function sample(rings: readonly Ring[], step: number): Sample[] {
  const samples: Sample[] = [];
  rings.forEach((ring, r) => {
    let along = 0;
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const length = distance(a, b);
      const n = Math.max(1, Math.ceil(length / step));
      for (let k = 0; k < n; k++) {
        samples.push({ point: [a[0] + ((b[0] - a[0]) * k) / n, a[1] + ((b[1] - a[1]) * k) / n], ring: r, along: along + (length * k) / n });
      }
      along += length;
    });
  });
  return samples;
}

function circumcircle(a: Point, b: Point, c: Point): { centre: Point; radius: number } | undefined {
  const [bx, by, cx, cy] = [b[0] - a[0], b[1] - a[1], c[0] - a[0], c[1] - a[1]];
  const d = 2 * (bx * cy - by * cx);
  if (Math.abs(d) < 1e-12) return undefined;
  const [bb, cc] = [bx * bx + by * by, cx * cx + cy * cy];
  const [ux, uy] = [(cy * bb - by * cc) / d, (bx * cc - cx * bb) / d];
  return { centre: [a[0] + ux, a[1] + uy], radius: Math.hypot(ux, uy) };
}

/** Thin places of one part, by the middles of the empty circles that touch two opposite edges. */
function thinPlacesOfPart(part: Part, step: number, under: number): ThinPlace[] {
  const rings = [part.outer, ...part.holes];
  const samples = sample(rings, step);
  if (samples.length < 8) return [];
  const lengths = rings.map(ringLength);
  const { triangles } = Delaunator.from(samples as unknown as { point: Point }[], (s) => s.point[0], (s) => s.point[1]);
  const found: ThinPlace[] = [];
  const region: Region = [part];
  for (let t = 0; t < triangles.length; t += 3) {
    const feet = [samples[triangles[t]!]!, samples[triangles[t + 1]!]!, samples[triangles[t + 2]!]!] as const;
    const circle = circumcircle(feet[0].point, feet[1].point, feet[2].point);
    if (!circle || circle.radius * 2 > under || circle.radius <= 2 * step) continue;
    const { centre, radius } = circle;
    const opposite = [[0, 1], [1, 2], [0, 2]].some(([i, j]) => {
      const [p, q] = [feet[i as 0]!, feet[j as 1]!];
      const cos = ((p.point[0] - centre[0]) * (q.point[0] - centre[0]) + (p.point[1] - centre[1]) * (q.point[1] - centre[1])) / (radius * radius);
      if (Math.acos(Math.max(-1, Math.min(1, cos))) < OPPOSITE) return false;
      if (p.ring !== q.ring) return true;
      // a tip's two sides are opposite too, but close along the edge: half a turn round the tip is no stroke
      const apart = Math.abs(p.along - q.along);
      return Math.min(apart, lengths[p.ring]! - apart) > Math.PI * radius * 1.6;
    });
    if (opposite && pointInside(centre, region)) found.push({ at: centre, width: 2 * radius });
  }
  return found;
}

/**
 * The least local stroke width, by sampling the edge and looking at the empty circles between opposite edges (medial axis
 * from a Delaunay triangulation; Brandt and Algazi, 1992). Corners and pointed tips do not count as strokes.
 *
 * @param region mm
 * @param under widths at or above this, mm, are not of interest; work grows as it shrinks
 * @returns least width and its places, one a stroke, narrowest first; right within 2 % above a quarter of `under`.
 *   Narrower strokes are found as an absence after moving the edges inward, and reported as that quarter.
 */
export function thickness(region: Region, under: number): Thickness {
  const budget = edgeLength(region) / 30_000;
  const step = Math.max(under / 16, budget, 0.02);
  const all: ThinPlace[] = [];
  for (const part of region) {
    const box = boxOf([part]);
    const slim = Math.min(boxWidth(box), boxHeight(box));
    // a part that is slim as a whole is sampled finer, or nothing of it would be measured
    const own = Math.max(0.004, Math.min(step, slim / 12));
    const places = thinPlacesOfPart(part, own, under);
    all.push(...places);
  }
  all.sort((a, b) => a.width - b.width);
  const places: ThinPlace[] = [];
  for (const place of all) {
    if (places.length >= 24) break;
    if (places.every((other) => distance(other.at, place.at) > Math.max(under * 3, 2))) places.push(place);
  }
  return { least: places[0]?.width ?? Infinity, places };
}
