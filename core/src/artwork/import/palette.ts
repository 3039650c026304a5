/** A colour: red, green and blue, 0 to 255. */
export type Colour = readonly [number, number, number];

/** How far two colours stand apart, squared: green counts most, as it does to the eye. */
export const squared = (a: Colour, r: number, g: number, b: number) => 2 * (a[0] - r) ** 2 + 4 * (a[1] - g) ** 2 + 3 * (a[2] - b) ** 2;

/** A picture as a canvas gives it: red, green, blue and opacity of each pixel, 0 to 255, row by row from the top. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** The median of values from 0 to 255, counted. */
export function medianOf(counts: Uint32Array, all: number): number {
  let sum = 0;
  for (let value = 0; value < counts.length; value++) if ((sum += counts[value]!) * 2 > all) return value;
  return 0;
}

/** Pixels that colours are learned from. */
const SAMPLE = 20_000;
const ROUNDS = 12;

/** So many more colours than wanted are learned, and the least told apart joined again: specks and soft edges then take no place of their own. */
const SPARE = 5;

/** The colours that a picture is made of: k-means (Lloyd, 1982) from starts far apart, then the nearest joined by Ward's cost (1963). */
export function palette({ data, width, height }: Picture, k: number): Colour[] {
  const n = width * height;
  const step = Math.max(1, Math.floor(n / SAMPLE));
  const pixels: Colour[] = [];
  for (let i = 0; i < n; i += step) if (data[4 * i + 3]! > 127) pixels.push([data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!]);
  const [first] = pixels;
  if (!first) return [];
  const far = (chosen: readonly Colour[]) =>
    pixels.reduce<{ p: Colour; d: number }>(
      (best, p) => {
        const d = Math.min(...chosen.map((c) => squared(c, ...p)));
        return d > best.d ? { p, d } : best;
      },
      { p: first, d: -1 },
    );
  let centres: Colour[] = [first];
  while (centres.length < k + SPARE) {
    const next = far(centres);
    if (next.d < 12) break;
    centres.push(next.p);
  }
  let counts = centres.map(() => 0);
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (const p of pixels) {
      let [best, least] = [0, Infinity];
      centres.forEach((c, i) => {
        const d = squared(c, ...p);
        if (d < least) [best, least] = [i, d];
      });
      const s = sums[best]!;
      s[0]! += p[0];
      s[1]! += p[1];
      s[2]! += p[2];
      s[3]! += 1;
    }
    counts = sums.map((s) => s[3]!);
    centres = centres.map((c, i) =>
      counts[i]! > 0 ? [sums[i]![0]! / counts[i]!, sums[i]![1]! / counts[i]!, sums[i]![2]! / counts[i]!] : c,
    );
  }
  let groups = centres.map((c, i) => ({ c, n: counts[i]! })).filter((g) => g.n > 0);
  while (groups.length > k) {
    let best = { i: 0, j: 1, cost: Infinity };
    groups.forEach((a, i) =>
      groups.slice(0, i).forEach((b, j) => {
        const cost = ((a.n * b.n) / (a.n + b.n)) * squared(a.c, ...(b.c as [number, number, number]));
        if (cost < best.cost) best = { i, j, cost };
      }),
    );
    const [a, b] = [groups[best.i]!, groups[best.j]!];
    // the colour of the larger is kept: what joins it is an edge or a speck of it
    const joined = { c: a.n >= b.n ? a.c : b.c, n: a.n + b.n };
    groups = [...groups.filter((_, i) => i !== best.i && i !== best.j), joined];
  }
  // soft edges draw a mean towards what lies beside it: the median is the colour itself
  const own = groups.map(() => [0, 1, 2].map(() => new Uint32Array(256)));
  const found = groups.map(() => 0);
  for (const p of pixels) {
    let [best, least] = [0, Infinity];
    groups.forEach((group, i) => {
      const d = squared(group.c, ...p);
      if (d < least) [best, least] = [i, d];
    });
    for (let k = 0; k < 3; k++) own[best]![k]![p[k]!]! += 1;
    found[best]! += 1;
  }
  return groups.map((group, i) => (found[i]! > 0 ? (own[i]!.map((count) => medianOf(count, found[i]!)) as unknown as Colour) : group.c));
}
