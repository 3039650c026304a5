import { unevenLight, evened, lightOf } from './evenLight';
import { squared, type Colour, type Picture } from './palette';
import { TRACE_USUAL, type TraceOptions } from './tracePicture';

/** Pixels that are looked at. */
const LOOKED_AT = 60_000;
/** Neighbours that differ by more than this are an edge, where colours are mixed. */
const FLAT = 26;
/** Colours nearer than this are one, as `squared` has it. */
const SAME = 95 ** 2;
/** A colour that covers less of what is flat is none of its own. */
const LEAST_SHARE = 0.006;
const MOST_COLOURS = 6;
/** Steps of the level, as it can be set. */
const LEVEL_STEP = 0.05;

interface Cluster {
  centre: Colour;
  count: number;
  /** How many of it lie along the edge of the picture. */
  edge: number;
}

/** The colours that large flat areas of a picture have, the most covering first, and how many places of its edge are clear. */
function flatColours({ width, height, data }: Picture): { clusters: Cluster[]; clear: number; edge: number } {
  const step = Math.max(1, Math.floor(Math.sqrt((width * height) / LOOKED_AT)));
  const bins = new Map<number, { sum: [number, number, number]; count: number; edge: number }>();
  let [clear, edge] = [0, 0];
  for (let y = 0; y < height; y += step)
    for (let x = 0; x < width; x += step) {
      const i = y * width + x;
      const border = x < step || y < step || x >= width - step || y >= height - step;
      if (border) edge += 1;
      if (data[4 * i + 3]! < 128) {
        if (border) clear += 1;
        continue;
      }
      const beside = [x > 0 ? i - 1 : i, x < width - 1 ? i + 1 : i, y > 0 ? i - width : i, y < height - 1 ? i + width : i];
      const flat = beside.every(
        (j) => [0, 1, 2].every((k) => Math.abs(data[4 * i + k]! - data[4 * j + k]!) <= FLAT) && data[4 * j + 3]! > 127,
      );
      if (!flat) continue;
      const [r, g, b] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!];
      const key = ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);
      const bin = bins.get(key) ?? { sum: [0, 0, 0], count: 0, edge: 0 };
      [r, g, b].forEach((value, k) => (bin.sum[k]! += value));
      bin.count += 1;
      if (border) bin.edge += 1;
      bins.set(key, bin);
    }
  const clusters: Cluster[] = [];
  for (const { sum, count, edge: own } of [...bins.values()].toSorted((a, b) => b.count - a.count)) {
    const colour: Colour = [sum[0] / count, sum[1] / count, sum[2] / count];
    const near = clusters.find(({ centre }) => squared(centre, ...colour) < SAME);
    if (near) {
      near.count += count;
      near.edge += own;
    } else clusters.push({ centre: colour, count, edge: own });
  }
  const all = clusters.reduce((sum, { count }) => sum + count, 0);
  return { clusters: clusters.filter(({ count }) => count >= all * LEAST_SHARE).toSorted((a, b) => b.count - a.count), clear, edge };
}

const light = ([r, g, b]: Colour): number => lightOf(Uint8ClampedArray.of(r, g, b, 255), 0);

/**
 * How a picture is best traced, as far as it shows: how many colours its large flat areas have besides the ground, which is what most of its edge
 * is; where that is one, whether it is darker or lighter than the ground, and where between them the level lies; and whether uneven light
 * is to be evened out.
 */
export function guessTrace(picture: Picture): TraceOptions {
  const even = unevenLight(picture) !== undefined;
  const { clusters, clear, edge } = flatColours(even ? evened(picture) : picture);
  const onClear = clear > edge / 2;
  const ground = onClear
    ? undefined
    : clusters.reduce<Cluster | undefined>((most, one) => (!most || one.edge > most.edge ? one : most), undefined);
  const marks = clusters.filter((one) => one !== ground);
  const [mark] = marks;
  if (!mark) return { ...TRACE_USUAL, even };
  if (marks.length > 1) return { ...TRACE_USUAL, colours: Math.min(MOST_COLOURS, marks.length), even };
  const own = light(mark.centre);
  const around = ground ? light(ground.centre) : own < 128 ? 255 : 0;
  // two colours that are equally light are told apart by their hue
  if (Math.abs(own - around) < 40) return { ...TRACE_USUAL, colours: Math.min(2, clusters.length), even };
  const level = Math.round((own + around) / 2 / 255 / LEVEL_STEP) * LEVEL_STEP;
  return {
    ...TRACE_USUAL,
    even,
    side: own < around ? 'dark' : 'light',
    level: Math.min(0.95, Math.max(LEVEL_STEP, Number(level.toFixed(2)))),
  };
}
