import type { PackedBox, PackItem, Packing } from './packing';

/** Room on the strip where nothing lies yet; it may overlap other room. */
interface Free {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const EPSILON = 1e-9;
/** Longer than any layout, mm. */
const ENDLESS = 1e9;

const contains = (a: Free, b: Free): boolean =>
  a.x <= b.x + EPSILON && a.y <= b.y + EPSILON && a.x + a.width >= b.x + b.width - EPSILON && a.y + a.height >= b.y + b.height - EPSILON;

const meets = (a: Free, b: Free): boolean =>
  a.x < b.x + b.width - EPSILON && b.x < a.x + a.width - EPSILON && a.y < b.y + b.height - EPSILON && b.y < a.y + a.height - EPSILON;

/** What is left of some room once a box lies on it: up to four overlapping rooms beside it. */
function without(room: Free, box: Free): Free[] {
  const left: Free[] = [];
  const [right, top] = [room.x + room.width, room.y + room.height];
  if (box.x > room.x + EPSILON) left.push({ ...room, width: box.x - room.x });
  if (box.x + box.width < right - EPSILON) left.push({ ...room, x: box.x + box.width, width: right - box.x - box.width });
  if (box.y > room.y + EPSILON) left.push({ ...room, height: box.y - room.y });
  if (box.y + box.height < top - EPSILON) left.push({ ...room, y: box.y + box.height, height: top - box.y - box.height });
  return left;
}

/** How a box finds its room: where its upper edge comes lowest, or where it fits most tightly. */
export type FreeRule = 'lowest' | 'tightest';

/**
 * Lays boxes in the order given into the room that is free, also under what lies over a gap (maximal rectangles; Jylänki, 2010). Each is
 * turned as it lies better.
 *
 * @param across usable width of the film, mm
 */
export function packFree(items: readonly PackItem[], across: number, gap: number, rule: FreeRule): Packing {
  let free: Free[] = [{ x: 0, y: 0, width: across + gap, height: ENDLESS }];
  // room in which nothing fits is not kept
  const least = Math.min(...items.map(({ width, height }) => Math.min(width, height))) + gap - EPSILON;
  const boxes: PackedBox[] = [];
  const tooWide: string[] = [];
  for (const { id, fixed, ...size } of items) {
    let best: { room: Free; turned: boolean; score: readonly [number, number, number] } | undefined;
    for (const turned of fixed ? [false] : [false, true]) {
      const [w, h] = turned ? [size.height + gap, size.width + gap] : [size.width + gap, size.height + gap];
      for (const room of free) {
        if (w > room.width + EPSILON || h > room.height + EPSILON) continue;
        const tight = Math.min(room.width - w, room.height - h);
        const score = rule === 'lowest' ? ([room.y + h, room.x, tight] as const) : ([tight, room.y + h, room.x] as const);
        if (best === undefined || isLess(score, best.score)) best = { room, turned, score };
      }
    }
    if (!best) {
      tooWide.push(id);
      continue;
    }
    const [width, height] = best.turned ? [size.height, size.width] : [size.width, size.height];
    const { x, y } = best.room;
    boxes.push({ id, x, y, width, height, turned: best.turned });
    const laid: Free = { x, y, width: width + gap, height: height + gap };
    // what the box does not meet stays as it was; of the new rooms those go that lie in another
    const kept = free.filter((room) => !meets(room, laid));
    const fresh = free.flatMap((room) => (meets(room, laid) ? without(room, laid) : []));
    const alive = fresh.filter(
      (room, i) =>
        !kept.some((other) => contains(other, room)) &&
        !fresh.some((other, k) => k !== i && contains(other, room) && (k < i || !contains(room, other))),
    );
    free = [...kept, ...alive].filter(({ width: w, height: h }) => Math.min(w, h) >= least);
  }
  return { boxes, length: boxes.reduce((most, b) => Math.max(most, b.y + b.height), 0), tooWide };
}

function isLess(a: readonly number[], b: readonly number[]): boolean {
  for (const [i, value] of a.entries()) {
    if (value < b[i]! - EPSILON) return true;
    if (value > b[i]! + EPSILON) return false;
  }
  return false;
}
