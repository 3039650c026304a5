import { contours } from 'd3-contour';
import fitCurveModule from 'fit-curve';
import { signedArea, type Path, type Point, type Ring, type Segment } from '../../geometry';
import type { DrawnPart } from '../../job';
import { good, refused, type Result } from '../../units';
import { evened, lightOf } from './evenLight';
import { medianOf, palette, squared, type Colour, type Picture } from './palette';

const fitCurve = (fitCurveModule as unknown as { default?: typeof fitCurveModule }).default ?? fitCurveModule;

export interface TraceOptions {
  /** Colours to cut, 1 to 6; the ground is one more, and is left out. */
  readonly colours: number;
  /** With one colour: where between dark and light its edge lies, 0 to 1. */
  readonly level: number;
  /** With one colour: whether what is darker or what is lighter than the level is the mark. */
  readonly side: 'dark' | 'light';
  /** Light that falls unevenly is evened out first. */
  readonly even: boolean;
  /** Specks under so many pixels are taken into what is around them. */
  readonly despeckle: number;
  /** 0 rounds every corner, 1 keeps every corner sharp. */
  readonly corners: number;
  /** What is left out: the colour most found along the picture's edge, or none. */
  readonly ground: 'edge' | 'none';
}

export const TRACE_USUAL: TraceOptions = {
  ...{ colours: 1, level: 0.5, side: 'dark', even: false },
  ...{ despeckle: 12, corners: 0.5, ground: 'edge' },
};

/** Larger pictures are made smaller before, pixels. */
export const TRACE_MOST_PIXELS = 4_200_000;
/** A curve leaves the traced edge by so many pixels at most, about. */
const OFF = 0.4;
/** A run that leaves its chord by less is straight, pixels. */
const STRAIGHT = 0.3;

const hex = (c: Colour) =>
  `#${c
    .map((v) =>
      Math.round(Math.max(0, Math.min(255, v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** Where the edges on both sides of a place are straight over so many points, a smaller turn is a corner too. */
const STRAIGHT_SIDE = 8;
/** So many points of a run say how it meets a corner. */
const NEAR_CORNER = 12;

/** Where a ring turns sharply, or two straight edges meet: places at which it is parted before curves are fitted. */
function cornersOf(ring: Ring, sharpness: number): number[] {
  const reach = 4;
  const least = Math.PI * (0.62 - 0.42 * sharpness);
  const between = Math.PI * (0.22 - 0.16 * sharpness);
  const n = ring.length;
  const side = (i: number, way: 1 | -1) =>
    Array.from({ length: STRAIGHT_SIDE + 1 }, (_, k) => ring[(i + way * k + n * STRAIGHT_SIDE) % n]!);
  const straight = (i: number) =>
    sharpness > 0 && n > 4 * STRAIGHT_SIDE && lineThrough(side(i, 1)) !== undefined && lineThrough(side(i, -1)) !== undefined;
  const turns = ring.map((p, i) => {
    const [a, b] = [ring[(i - reach + n) % n]!, ring[(i + reach) % n]!];
    const turn = Math.atan2(b[1] - p[1], b[0] - p[0]) - Math.atan2(p[1] - a[1], p[0] - a[0]);
    return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
  });
  return turns.flatMap((turn, i) => {
    if (turn < between) return [];
    for (let d = -reach; d <= reach; d++) if (turns[(i + d + n) % n]! > turn || (turns[(i + d + n) % n]! === turn && d < 0)) return [];
    return turn >= least || straight(i) ? [i] : [];
  });
}

/** A line: a point of it, and its direction. */
interface Line {
  readonly at: Point;
  readonly way: Point;
}

/** A line through points: one of them and a direction; undefined when they do not lie on one. */
function lineThrough(run: readonly Point[]): Line | undefined {
  // the ends are blunted by the pixels
  const inner = run.length > 14 ? run.slice(3, -3) : run.length > 6 ? run.slice(2, -2) : run.length > 3 ? run.slice(1, -1) : run;
  const mean = inner.reduce<Point>(([x, y], p) => [x + p[0] / inner.length, y + p[1] / inner.length], [0, 0]);
  // the way in which they lie furthest apart: the first axis of their spread
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of inner) {
    xx += (x - mean[0]) ** 2;
    xy += (x - mean[0]) * (y - mean[1]);
    yy += (y - mean[1]) ** 2;
  }
  if (xx + yy < 1e-9) return undefined;
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const way: Point = [Math.cos(angle), Math.sin(angle)];
  const off = ([x, y]: Point) => (x - mean[0]) * way[1] - (y - mean[1]) * way[0];
  return inner.every((p) => Math.abs(off(p)) < STRAIGHT) ? { at: mean, way } : undefined;
}

/** Where two lines cross, when that is near a place. */
function crossing(one: Line | undefined, other: Line | undefined, near: Point): Point | undefined {
  if (!one || !other) return undefined;
  const cross = one.way[0] * other.way[1] - one.way[1] * other.way[0];
  if (Math.abs(cross) < 0.15) return undefined;
  const t = ((other.at[0] - one.at[0]) * other.way[1] - (other.at[1] - one.at[1]) * other.way[0]) / cross;
  const p: Point = [one.at[0] + one.way[0] * t, one.at[1] + one.way[1] * t];
  return Math.hypot(p[0] - near[0], p[1] - near[1]) < 2.5 ? p : undefined;
}

/** A traced ring as curves: sharp corners put back where straight edges meet, cubics fitted between the others (Schneider, 1990). */
function curvesOf(ring: Ring, sharpness: number): Segment[] {
  const n = ring.length;
  if (n < 3) return [];
  const corners = cornersOf(ring, sharpness);
  const starts = corners.length > 0 ? corners : [0];
  const runs = starts.map((from, i) => {
    const length = ((starts[(i + 1) % starts.length]! - from + n - 1) % n) + 1;
    return Array.from({ length: length + 1 }, (_, k) => ring[(from + k) % n]!);
  });
  const lines = runs.map((run) => (corners.length > 1 ? lineThrough(run) : undefined));
  // a run that bends further on may still be straight where it meets a corner
  const nearCorner = (run: readonly Point[], line: Line | undefined, end: boolean) =>
    line ?? (corners.length > 1 ? lineThrough(end ? run.slice(-NEAR_CORNER) : run.slice(0, NEAR_CORNER)) : undefined);
  const ends = runs.map((run, i) => {
    const before = (i + runs.length - 1) % runs.length;
    return crossing(nearCorner(runs[before]!, lines[before], true), nearCorner(run, lines[i], false), run[0]!) ?? run[0]!;
  });
  const segments: Segment[] = [['M', ends[0]!]];
  runs.forEach((run, i) => {
    const to = ends[(i + 1) % ends.length]!;
    if (lines[i]) segments.push(['L', to]);
    else {
      const way = [ends[i]!, ...run.slice(1, -1), to];
      for (const [, c, d, e] of fitCurve(way as unknown as number[][], OFF * OFF))
        segments.push(['C', c as unknown as Point, d as unknown as Point, e as unknown as Point]);
    }
  });
  segments.push(['Z']);
  return segments.every((s) => (s.slice(1) as Point[]).every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))) ? segments : [];
}

/**
 * Traces a picture into areas of a few colours with smooth edges.
 *
 * One colour: what is darker, or lighter, than a level. More: the picture's own main colours; each edge lies where two colours are equally near, to a
 * part of a pixel (marching squares
 * on the difference of their distances, so that soft edges give smooth lines). Specks go, corners stay.
 *
 * @param onProgress told the share done, 0 to 1, and may throw to stop
 * @returns one part a colour, in pixels, y up, the most covering first; a problem when the picture is empty, too large, or of one colour only
 */
export function tracePicture(
  given: Picture,
  options: TraceOptions,
  name: string,
  newId: () => string,
  onProgress: (share: number) => void = () => undefined,
): Result<{ parts: DrawnPart[]; leftOut: string[] }> {
  const { width, height } = given;
  const n = width * height;
  if (n === 0 || given.data.length < 4 * n) return refused(`"${name}" is an empty picture.`, 'a picture', name, 'Choose another picture.');
  if (n > TRACE_MOST_PIXELS)
    return refused(
      `"${name}" has ${Math.round(n / 1e6)} megapixels.`,
      'up to 4 megapixels',
      name,
      'Make it smaller, and take it in again.',
    );
  const picture = options.even ? evened(given) : given;
  const { data } = picture;
  const one = options.colours <= 1;
  const clear: Colour = [255, 255, 255];
  const found = one ? [] : palette(picture, Math.min(7, options.colours + (options.ground === 'edge' ? 1 : 0)));
  if (!one && found.length === 0)
    return refused(`"${name}" shows nothing.`, 'something that is not clear', name, 'Choose another picture.');
  onProgress(0.1);
  // the ground is what most of the edge is
  let ground = -1;
  if (!one && options.ground === 'edge') {
    const votes = found.map(() => 0);
    let open = 0;
    const vote = (i: number) => {
      if (data[4 * i + 3]! < 128) {
        open++;
        return;
      }
      let [best, least] = [0, Infinity];
      found.forEach((c, j) => {
        const d = squared(c, data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!);
        if (d < least) [best, least] = [j, d];
      });
      votes[best]! += 1;
    };
    for (let x = 0; x < width; x++) [x, (height - 1) * width + x].forEach(vote);
    for (let y = 0; y < height; y++) [y * width, y * width + width - 1].forEach(vote);
    const most = Math.max(...votes);
    if (most > open) ground = votes.indexOf(most);
  }
  const parts: (DrawnPart & { area: number })[] = [];
  const kept = one ? [0] : found.map((_, i) => i).filter((i) => i !== ground);
  const average = one ? colourOf(picture, options) : undefined;
  // what is clear is as if it lay on paper, and what is light as if on a board
  const paper = options.side === 'dark' ? 255 : 0;
  const trace = contours()
    .size([width + 2, height + 2])
    .smooth(true);
  for (const [done, c] of kept.entries()) {
    // a frame of nothing around, so that what touches the edge is closed
    const w2 = width + 2;
    const field = new Float64Array(w2 * (height + 2)).fill(-1000);
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x++) {
        const i = 4 * (y * width + x);
        const alpha = data[i + 3]! / 255;
        const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!];
        let value: number;
        if (one) {
          const light = (0.2126 * r + 0.7152 * g + 0.0722 * b) * alpha + paper * (1 - alpha);
          value = options.side === 'dark' ? options.level * 255 - light : light - options.level * 255;
        } else {
          let other = alpha < 1 ? 3 * 255 * 255 * alpha * alpha + squared(clear, 255, 255, 255) : Infinity;
          for (let j = 0; j < found.length; j++) if (j !== c) other = Math.min(other, squared(found[j]!, r, g, b));
          value = alpha < 0.5 ? -1000 * (0.5 - alpha) : Math.sqrt(other) - Math.sqrt(squared(found[c]!, r, g, b));
        }
        field[(y + 1) * w2 + x + 1] = value;
      }
    }
    onProgress(0.1 + (0.85 * (done + 0.4)) / kept.length);
    const shape = trace.contour(field as unknown as number[], 0);
    const path: Segment[] = [];
    let area = 0;
    for (const polygon of shape.coordinates) {
      for (const line of polygon) {
        const ring = line.slice(0, -1).map(([x, y]): Point => [x! - 1, height - (y! - 1)]);
        const size = Math.abs(signedArea(ring));
        if (size < options.despeckle) continue;
        area += signedArea(ring);
        path.push(...curvesOf(ring, options.corners));
      }
    }
    if (path.length > 0)
      parts.push({ id: newId(), colour: one ? hex(average!) : hex(found[c]!), path: path as Path, fill: 'evenodd', area: Math.abs(area) });
    onProgress(0.1 + (0.85 * (done + 1)) / kept.length);
  }
  if (parts.length === 0)
    return refused(
      `Nothing of "${name}" is left at these levels.`,
      'something darker than the level, or of another colour than the ground',
      name,
      'Move the level, take more colours, or take fewer specks away.',
    );
  onProgress(1);
  return good({
    parts: parts.toSorted((a, b) => b.area - a.area).map(({ id, colour, path, fill }) => ({ id, colour, path, fill })),
    leftOut: [],
  });
}

/** The colour of what is on the mark's side of the level: the median, for soft edges are none of it. */
function colourOf({ data }: Picture, { level, side }: TraceOptions): Colour {
  const counts = [0, 1, 2].map(() => new Uint32Array(256));
  let n = 0;
  for (let i = 0; i < data.length / 4; i++) {
    const light = lightOf(data, i);
    if (data[4 * i + 3]! < 128 || (side === 'dark' ? light > level * 255 : light < level * 255)) continue;
    for (let k = 0; k < 3; k++) counts[k]![data[4 * i + k]!]! += 1;
    n++;
  }
  return counts.map((count) => medianOf(count, n)) as unknown as Colour;
}
