import type { Picture } from './palette';

/** Places that the light is learned from: along the edge, and in all. */
const ALONG_EDGE = 400;
const IN_ALL = 20_000;
/** What is this much darker or lighter than the light that is learned is no ground. */
const GROUND = 0.18;
const ROUNDS = 5;
/** Light that differs by less over a picture, as a share, is even. */
const EVEN = 0.1;

/** The light of the ground, 0 to 255, at a place: from 0 to 1 across and down. */
export type Light = (u: number, v: number) => number;

interface Sample {
  readonly u: number;
  readonly v: number;
  readonly light: number;
}

/** How light a pixel is, 0 to 255. */
export const lightOf = (data: Uint8ClampedArray, i: number): number =>
  0.2126 * data[4 * i]! + 0.7152 * data[4 * i + 1]! + 0.0722 * data[4 * i + 2]!;

const terms = (u: number, v: number): readonly number[] => [1, u, v, u * u, u * v, v * v];

/** The surface of second degree that lies nearest to samples (least squares, by Gauss and Jordan); the mean where there is none. */
function surface(samples: readonly Sample[]): Light {
  const rows = Array.from({ length: 6 }, () => new Array<number>(7).fill(0));
  for (const { u, v, light } of samples) {
    const t = terms(u, v);
    for (let i = 0; i < 6; i++) {
      for (let j = 0; j < 6; j++) rows[i]![j]! += t[i]! * t[j]!;
      rows[i]![6]! += t[i]! * light;
    }
  }
  for (let i = 0; i < 6; i++) {
    let pivot = i;
    for (let k = i + 1; k < 6; k++) if (Math.abs(rows[k]![i]!) > Math.abs(rows[pivot]![i]!)) pivot = k;
    if (Math.abs(rows[pivot]![i]!) < 1e-9) {
      const mean = samples.reduce((sum, { light }) => sum + light, 0) / Math.max(1, samples.length);
      return () => mean;
    }
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    for (let k = 0; k < 6; k++) {
      if (k === i) continue;
      const by = rows[k]![i]! / rows[i]![i]!;
      for (let j = i; j < 7; j++) rows[k]![j]! -= by * rows[i]![j]!;
    }
  }
  const found = rows.map((row, i) => row[6]! / row[i]!);
  return (u, v) => terms(u, v).reduce((sum, t, i) => sum + t * found[i]!, 0);
}

/**
 * The light that falls on the ground of a picture: what its edge is like, and all within it that is like that.
 *
 * @returns nothing where the light is even, or too little of the picture is ground to say
 */
export function unevenLight({ width, height, data }: Picture): Light | undefined {
  const sample = (i: number): Sample => ({ u: (i % width) / width, v: Math.floor(i / width) / height, light: lightOf(data, i) });
  const solid = (i: number) => data[4 * i + 3]! > 127;
  const edge: Sample[] = [];
  const step = Math.max(1, Math.floor((2 * (width + height)) / ALONG_EDGE));
  for (let x = 0; x < width; x += step) edge.push(...[x, (height - 1) * width + x].filter(solid).map(sample));
  for (let y = 0; y < height; y += step) edge.push(...[y * width, y * width + width - 1].filter(solid).map(sample));
  if (edge.length < ALONG_EDGE / 4) return undefined;
  const all: Sample[] = [];
  const apart = Math.max(1, Math.floor((width * height) / IN_ALL));
  for (let i = 0; i < width * height; i += apart) if (solid(i)) all.push(sample(i));
  let light = surface(edge);
  let ground = edge;
  for (let round = 0; round < ROUNDS; round++) {
    const near = ({ u, v, light: own }: Sample) => Math.abs(own - light(u, v)) < GROUND * 255 * (round === 0 ? 1.5 : 1);
    // along the edge lies little else; within, what is like it
    ground = (round === 0 ? edge : all).filter(near);
    if (ground.length < 60) return undefined;
    light = surface(ground);
  }
  if (ground.length < all.length / 5) return undefined;
  let [least, most] = [Infinity, -Infinity];
  for (const { u, v } of ground) {
    const here = light(u, v);
    least = Math.min(least, here);
    most = Math.max(most, here);
  }
  return most - least > EVEN * 255 && least > 8 ? light : undefined;
}

/** A picture as it would be if the light fell on all of it as where it is brightest; as it is, where the light is even. */
export function evened(picture: Picture): Picture {
  const light = unevenLight(picture);
  if (!light) return picture;
  const { width, height, data } = picture;
  let most = 0;
  for (const u of [0, 0.25, 0.5, 0.75, 1]) for (const v of [0, 0.25, 0.5, 0.75, 1]) most = Math.max(most, light(u, v));
  const out = new Uint8ClampedArray(data);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = 4 * (y * width + x);
      const by = most / Math.max(8, light(x / width, y / height));
      for (let k = 0; k < 3; k++) out[i + k] = data[i + k]! * by;
    }
  return { width, height, data: out };
}
