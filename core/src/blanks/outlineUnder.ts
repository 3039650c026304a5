import { contours } from 'd3-contour';
import { squared, type Colour, type Picture } from '../artwork';
import { signedArea, simplifyRing, type Point, type Ring } from '../geometry';
import { good, refused, type Result } from '../units';

/** How unlike the colour that was pressed a place may be, 0 to 255, to begin with. */
export const ALIKE_USUAL = 24;
/** Fewer pixels are a speck, not a piece. */
const LEAST_PIXELS = 400;
/** Points to either side that a point of the edge is evened with. */
const EVEN = 2;
/** A line leaves the edge by so many pixels at most. */
const FINE = 0.15;
/** An edge is soft over so many pixels to either side; so much further off the ground shows its own colour. */
const SOFT = 6;
const FAR = 10;
/** Pixels on each side of the pressed one whose colour is taken. */
const AROUND = 3;

/** The mean colour around a place. */
function colourAt({ data, width, height }: Picture, x: number, y: number): Colour {
  const sum: [number, number, number] = [0, 0, 0];
  let n = 0;
  for (let py = Math.max(0, y - AROUND); py <= Math.min(height - 1, y + AROUND); py++) {
    for (let px = Math.max(0, x - AROUND); px <= Math.min(width - 1, x + AROUND); px++) {
      const i = 4 * (py * width + px);
      for (let c = 0; c < 3; c++) sum[c]! += data[i + c]!;
      n += 1;
    }
  }
  return [sum[0] / n, sum[1] / n, sum[2] / n];
}

/** Marks everything that hangs together with the starts, where `open` lets it. */
function flood(width: number, height: number, starts: Iterable<number>, open: (i: number) => boolean): Uint8Array {
  const reached = new Uint8Array(width * height);
  const stack: number[] = [];
  const visit = (i: number) => {
    if (reached[i] || !open(i)) return;
    reached[i] = 1;
    stack.push(i);
  };
  for (const i of starts) visit(i);
  while (stack.length > 0) {
    const i = stack.pop()!;
    const x = i % width;
    if (x > 0) visit(i - 1);
    if (x < width - 1) visit(i + 1);
    if (i >= width) visit(i - width);
    if (i < width * (height - 1)) visit(i + width);
  }
  return reached;
}

/** How many steps each place lies from the nearest that `is`, up to `most`; 0 there and further off. */
function stepsFrom(width: number, height: number, is: (i: number) => boolean, most: number): Uint8Array {
  const steps = new Uint8Array(width * height);
  let edge: number[] = [];
  for (let i = 0; i < steps.length; i++) if (is(i)) edge.push(i);
  for (let step = 1; step <= most; step++) {
    const next: number[] = [];
    const visit = (i: number) => {
      if (steps[i] || is(i)) return;
      steps[i] = step;
      next.push(i);
    };
    for (const i of edge) {
      const x = i % width;
      if (x > 0) visit(i - 1);
      if (x < width - 1) visit(i + 1);
      if (i >= width) visit(i - width);
      if (i < width * (height - 1)) visit(i + width);
    }
    edge = next;
  }
  return steps;
}

/** The mean colour of the places that `is` tells. */
function meanColour({ data, width, height }: Picture, is: (i: number) => boolean): Colour {
  const sum: [number, number, number] = [0, 0, 0];
  let n = 0;
  for (let i = 0; i < width * height; i++) {
    if (!is(i)) continue;
    n += 1;
    for (let c = 0; c < 3; c++) sum[c]! += data[4 * i + c]!;
  }
  return n > 0 ? [sum[0] / n, sum[1] / n, sum[2] / n] : [255, 255, 255];
}

/**
 * A ring whose points, about a pixel apart, are the means of themselves and their neighbours: the grain of a photo goes, corners stay to
 * half a pixel.
 */
const evened = (ring: Ring): Ring =>
  ring.map((_, i): Point => {
    const near = Array.from({ length: 2 * EVEN + 1 }, (__, k) => ring[(i + k - EVEN + ring.length) % ring.length]!);
    return [near.reduce((sum, p) => sum + p[0], 0) / near.length, near.reduce((sum, p) => sum + p[1], 0) / near.length];
  });

function* border(width: number, height: number): Generator<number> {
  for (let x = 0; x < width; x++) yield* [x, (height - 1) * width + x];
  for (let y = 1; y < height - 1; y++) yield* [y * width, y * width + width - 1];
}

/**
 * The outer edge of the piece that lies under a place of a photo: all that hangs together there and is alike in colour, with what it encloses.
 *
 * @param at pixels from the photo's upper left
 * @param alike how unlike the colour that was pressed a place may be, 0 to 255
 * @returns a ring in pixels; a problem when the colour runs over the photo's edge, or is only a speck
 */
export function outlineUnder(picture: Picture, [x, y]: Point, alike: number): Result<Ring> {
  const { data, width, height } = picture;
  const [sx, sy] = [Math.min(width - 1, Math.max(0, Math.floor(x))), Math.min(height - 1, Math.max(0, Math.floor(y)))];
  const colour = colourAt(picture, sx, sy);
  const unlike = new Float32Array(width * height);
  for (let i = 0; i < unlike.length; i++) unlike[i] = Math.sqrt(squared(colour, data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!)) / 3;
  const same = flood(width, height, [sy * width + sx], (i) => unlike[i]! < alike);
  for (const i of border(width, height))
    if (same[i])
      return refused(
        'The colour that you pressed runs over the edge of the photo.',
        'a piece that lies whole on a ground of another colour',
        'Outline',
        'Take colours that are more alike, lay the piece on a ground of another colour, or press round its edge point by point.',
      );
  const outside = flood(width, height, border(width, height), (i) => !same[i]);
  const inside = outside.reduce((n, reached) => n + (reached ? 0 : 1), 0);
  if (inside < LEAST_PIXELS)
    return refused(
      'There is only a speck of that colour.',
      'the face of the piece',
      'Outline',
      'Press on the plain face of the piece, or take colours that are less alike.',
    );
  const beyond = stepsFrom(width, height, (i) => !outside[i], FAR);
  const within = stepsFrom(width, height, (i) => !!outside[i], SOFT);
  const ground = meanColour(picture, (i) => beyond[i]! > SOFT);
  const apart = Math.max(1, Math.sqrt(squared(ground, ...colour)) / 3);
  // where the edge is soft, it lies where a place is as near to the ground's colour as to the piece's
  const field = Float64Array.from(outside, (reached, i) => {
    if (reached ? beyond[i]! > SOFT || !beyond[i] : !within[i] || !same[i]) return reached ? -1 : 1;
    const [r, g, b] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!];
    const value = Math.sqrt(squared(ground, r, g, b)) / 3 - unlike[i]!;
    return Math.max(-1, Math.min(1, value / apart));
  });
  const shape = contours()
    .size([width, height])
    .smooth(true)
    .contour(field as unknown as number[], 0);
  const rings = shape.coordinates.map((polygon) => polygon[0]!.slice(0, -1).map(([px, py]): Point => [px!, py!]));
  const largest = rings.reduce((a, b) => (Math.abs(signedArea(b)) > Math.abs(signedArea(a)) ? b : a));
  return good(simplifyRing(evened(largest), FINE));
}
