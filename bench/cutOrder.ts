import { insideFirst, orderContours, travelOf } from '../core/src/cut';
import { boxOf, numbersFrom, type Point, type Ring } from '../core/src/geometry';
import { atMost, timed, type Figure } from './figure';

const CONTOURS = 500;
const SEEDS = 10;

const disc = (r: number, x: number, y: number, turn: number): Ring =>
  Array.from({ length: 24 }, (_, i): Point => [
    x + r * Math.cos((2 * Math.PI * i) / 24 + turn),
    y + r * Math.sin((2 * Math.PI * i) / 24 + turn),
  ]);

/** Outlines over 300 × 600 mm, half of them with another in them. */
function field(seed: number): Ring[] {
  const random = numbersFrom(seed * 31);
  const cells = Array.from({ length: 15 * 30 }, (_, i) => ({ i, key: random() })).sort((a, b) => a.key - b.key);
  const rings: Ring[] = [];
  for (const { i } of cells) {
    const [x, y] = [(i % 15) * 20 + 10 + (random() - 0.5) * 4, Math.floor(i / 15) * 20 + 10 + (random() - 0.5) * 4];
    rings.push(disc(7, x, y, random() * 6));
    if (random() < 0.5) rings.push(disc(3, x + random(), y, random() * 6));
  }
  return rings.slice(0, CONTOURS);
}

/** Rows of ten mm from left to right and back, each from its nearest end, every outline begun at its first point, what lies in another before it. */
function inRows(rings: readonly Ring[]): { contour: number; start: number }[] {
  const boxes = rings.map((ring) => boxOf([{ outer: ring, holes: [] }]));
  const rows = new Map<number, number[]>();
  boxes.forEach((box, i) => {
    const row = Math.floor((box.minY + box.maxY) / 20);
    rows.set(row, [...(rows.get(row) ?? []), i]);
  });
  let x = 0;
  return [...rows.keys()]
    .sort((a, b) => a - b)
    .flatMap((row) => {
      const own = rows.get(row)!.sort((a, b) => boxes[a]!.minX - boxes[b]!.minX);
      if (Math.abs(boxes[own.at(-1)!]!.minX - x) < Math.abs(boxes[own[0]!]!.minX - x)) own.reverse();
      x = boxes[own.at(-1)!]!.minX;
      return own.map((contour) => ({ contour, start: 0 }));
    });
}

/** Travel of the order of the cut against rows, and how long it takes to find. */
export async function cutOrderFigures(): Promise<Figure[]> {
  const sets = Array.from({ length: SEEDS }, (_, i) => field(i + 1));
  const shares = sets.map((rings) => (100 * travelOf(rings, orderContours(rings))) / travelOf(rings, inRows(rings)));
  const misplaced = sets.reduce((sum, rings) => {
    const at = new Map(orderContours(rings).map(({ contour }, i) => [contour, i]));
    return sum + insideFirst(rings).reduce((n, list, c) => n + list.filter((b) => at.get(b)! > at.get(c)!).length, 0);
  }, 0);
  return [
    atMost('order/500-contours-of-rows-mean', shares.reduce((sum, one) => sum + one, 0) / SEEDS, 42, '%'),
    atMost('order/500-contours', await timed((i) => orderContours(sets[Math.max(0, i)]!)), 1500, 'ms'),
    atMost('order/misplaced', misplaced, 0, 'outlines'),
  ];
}
