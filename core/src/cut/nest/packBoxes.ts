import { countWork } from '../../units';
import { packFree, type FreeRule } from './freeBoxes';
import type { PackedBox, PackItem, Packing } from './packing';

interface Step {
  x: number;
  y: number;
  width: number;
}

/** So many levels of a skyline are looked along in a step. */
const LEVELS = 10;

/** The lowest place for a box on a skyline, leftmost among equals. */
function lowest(skyline: readonly Step[], width: number, across: number): { x: number; y: number } | undefined {
  let best: { x: number; y: number } | undefined;
  for (let i = 0; i < skyline.length; i++) {
    const x = skyline[i]!.x;
    if (x + width > across + 1e-9) break;
    let y = 0;
    for (let k = i; k < skyline.length && skyline[k]!.x < x + width - 1e-9; k++) y = Math.max(y, skyline[k]!.y);
    if (!best || y < best.y - 1e-9) best = { x, y };
  }
  return best;
}

/** Raises the skyline under a box just laid. */
function raise(skyline: readonly Step[], box: { x: number; width: number; top: number }): Step[] {
  const end = box.x + box.width;
  const next: Step[] = [];
  for (const step of skyline) {
    const stepEnd = step.x + step.width;
    if (step.x < box.x - 1e-9) next.push({ ...step, width: Math.min(stepEnd, box.x) - step.x });
    if (step.x <= box.x + 1e-9 && stepEnd > box.x + 1e-9 && !next.some((s) => s.x === box.x))
      next.push({ x: box.x, y: box.top, width: box.width });
    if (stepEnd > end + 1e-9) next.push({ x: Math.max(step.x, end), y: step.y, width: stepEnd - Math.max(step.x, end) });
  }
  const all = next.some((s) => s.x === box.x) ? next : [...next, { x: box.x, y: box.top, width: box.width }];
  return all.filter((s) => s.width > 1e-9).toSorted((a, b) => a.x - b.x);
}

/** Lays boxes in the order in which they come, each in its turn at the lowest place of the skyline. */
export function packInOrder(items: readonly PackItem[], across: number, gap: number, turn: (item: PackItem) => boolean): Packing {
  let skyline: Step[] = [{ x: 0, y: 0, width: across + gap }];
  const boxes: PackedBox[] = [];
  const tooWide: string[] = [];
  for (const item of items) {
    const ways = [false, true].filter((turned) => (turned ? !item.fixed : true) && (turned ? item.height : item.width) <= across + 1e-9);
    if (ways.length === 0) {
      tooWide.push(item.id);
      continue;
    }
    const turned = ways.includes(turn(item)) ? turn(item) : ways[0]!;
    const [width, height] = turned ? [item.height, item.width] : [item.width, item.height];
    // each box carries its gap to the right and above; the film is a gap wider, so none is wasted at the edge
    countWork(skyline.length / LEVELS);
    const place = lowest(skyline, width + gap, across + gap)!;
    boxes.push({ id: item.id, ...place, width, height, turned });
    skyline = raise(skyline, { x: place.x, width: width + gap, top: place.y + height + gap });
  }
  return { boxes, length: boxes.reduce((most, b) => Math.max(most, b.y + b.height), 0), tooWide };
}

/** Free room is looked through for so many boxes and no more, by both rules for few: beyond that the skyline alone is quick enough. */
const MOST_FREE = 120;
const FEW = 20;
const RULES: readonly FreeRule[] = ['lowest', 'tightest'];

/**
 * Lays boxes on film of a width, as short as several orders make it: by the skyline (bottom-left heuristic; Burke, Kendall and Whitwell,
 * 2004), and into what is free under it.
 *
 * @param items boxes, mm
 * @param across usable width of the film, mm
 * @param gap between any two boxes, mm
 * @returns every box once, none closer than the gap to another, all within the width; those too wide either way are named
 */
export function packBoxes(items: readonly PackItem[], across: number, gap: number): Packing {
  const orders: ((a: PackItem, b: PackItem) => number)[] = [
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width - a.width || b.height - a.height,
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height) || Math.min(b.width, b.height) - Math.min(a.width, a.height),
    (a, b) => b.width + b.height - a.width - a.height,
  ];
  const turns: ((item: PackItem) => boolean)[] = [
    () => false,
    () => true,
    (item) => item.height > item.width,
    (item) => item.width > item.height,
  ];
  let best: Packing | undefined;
  const keep = (packing: Packing) => {
    if (!best || packing.length < best.length - 1e-9) best = packing;
  };
  for (const order of orders) {
    const sorted = items.toSorted(order);
    for (const turn of turns) keep(packInOrder(sorted, across, gap, turn));
    if (items.length <= MOST_FREE)
      for (const rule of items.length <= FEW ? RULES : RULES.slice(0, 1)) keep(packFree(sorted, across, gap, rule));
  }
  return best ?? { boxes: [], length: 0, tooWide: [] };
}

/** A checker: pairs of boxes nearer than the gap, and boxes off the film. */
export function packingFaults({ boxes }: Packing, across: number, gap: number): string[] {
  const off = boxes.filter((b) => b.x < -1e-6 || b.y < -1e-6 || b.x + b.width > across + 1e-6).map((b) => `${b.id} is off the film`);
  const near = boxes.flatMap((a, i) =>
    boxes.slice(i + 1).flatMap((b) => {
      const apart = Math.max(b.x - a.x - a.width, a.x - b.x - b.width, b.y - a.y - a.height, a.y - b.y - b.height);
      return apart < gap - 1e-6 ? [`${a.id} and ${b.id} are ${apart.toFixed(3)} apart`] : [];
    }),
  );
  return [...off, ...near];
}
