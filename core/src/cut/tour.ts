import type { Point, Ring } from '../geometry';

/** One closed outline in the order of the cut, and at which of its points the knife goes in. */
export interface Entry {
  /** Which of the outlines. */
  readonly contour: number;
  /** Which of its points it begins and ends at. */
  readonly start: number;
}

/** So many points of an outline may be begun at. */
const ENTRIES = 24;
/** So many near outlines are looked at when two places in the order are changed. */
const NEAR = 12;
/** At most so many in a row are moved to another place. */
const MOVED = 3;
/** What is less than this better is not better, mm. */
const BETTER = 1e-6;

/** Points of a ring that the knife may go in at, as indices, evenly along it. */
function entriesOf(ring: Ring): number[] {
  if (ring.length <= ENTRIES) return ring.map((_, i) => i);
  const along: number[] = [0];
  for (let i = 1; i <= ring.length; i++) {
    const [a, b] = [ring[i - 1]!, ring[i % ring.length]!];
    along.push(along[i - 1]! + Math.hypot(b[0] - a[0], b[1] - a[1]));
  }
  const total = along[ring.length]!;
  const picked = new Set<number>();
  let i = 0;
  for (let k = 0; k < ENTRIES; k++) {
    while (i < ring.length - 1 && along[i + 1]! <= (total * k) / ENTRIES) i++;
    picked.add(i);
  }
  return [...picked];
}

/** An order while it is made better. */
export class Tour {
  readonly #entries: readonly (readonly number[])[];
  readonly #points: readonly (readonly Point[])[];
  readonly #before: readonly (readonly number[])[];
  readonly #after: number[][];
  order: number[];
  /** Where each outline stands in the order, and which of its entries it is begun at. */
  #at: Int32Array;
  #entry: Int32Array;

  constructor(
    rings: readonly Ring[],
    before: readonly (readonly number[])[],
    readonly home: Point,
  ) {
    this.#entries = rings.map(entriesOf);
    this.#points = this.#entries.map((entries, c) => entries.map((i) => rings[c]![i]!));
    this.#before = before;
    this.#after = rings.map(() => []);
    before.forEach((list, c) => {
      for (const b of list) this.#after[b]!.push(c);
    });
    this.#entry = new Int32Array(rings.length);
    this.order = this.#nearest();
    this.#at = new Int32Array(rings.length);
    this.#place();
  }

  #place(): void {
    this.order.forEach((c, i) => {
      this.#at[c] = i;
    });
  }

  #point(c: number): Point {
    return this.#points[c]![this.#entry[c]!]!;
  }

  /** Always the nearest that may be cut next. */
  #nearest(): number[] {
    const n = this.#points.length;
    const waits = Int32Array.from(this.#before, (list) => list.length);
    const left = new Set(Array.from({ length: n }, (_, c) => c));
    const order: number[] = [];
    let [x, y] = this.home;
    while (left.size > 0) {
      let best = { d: Infinity, c: -1, e: 0 };
      for (const c of left) {
        if (waits[c]! > 0) continue;
        const points = this.#points[c]!;
        for (let e = 0; e < points.length; e++) {
          const d = (points[e]![0] - x) ** 2 + (points[e]![1] - y) ** 2;
          if (d < best.d) best = { d, c, e };
        }
      }
      const { c, e } = best;
      left.delete(c);
      for (const a of this.#after[c]!) waits[a]! -= 1;
      this.#entry[c] = e;
      [x, y] = this.#point(c);
      order.push(c);
    }
    return order;
  }

  /** The points of entry that make this order shortest: exactly, since each outline ends where it begins. */
  enter(): void {
    const { order } = this;
    const back: Int32Array[] = [];
    let from: readonly Point[] = [this.home];
    let cost = Float64Array.of(0);
    for (const c of order) {
      const to = this.#points[c]!;
      const next = new Float64Array(to.length);
      const came = new Int32Array(to.length);
      for (let e = 0; e < to.length; e++) {
        let least = Infinity;
        for (let f = 0; f < from.length; f++) {
          const d = cost[f]! + Math.hypot(to[e]![0] - from[f]![0], to[e]![1] - from[f]![1]);
          if (d < least) {
            least = d;
            came[e] = f;
          }
        }
        next[e] = least;
      }
      back.push(came);
      [from, cost] = [to, next];
    }
    let e = 0;
    for (let k = 1; k < cost.length; k++) if (cost[k]! < cost[e]!) e = k;
    for (let i = order.length - 1; i >= 0; i--) {
      this.#entry[order[i]!] = e;
      e = back[i]![e]!;
    }
  }

  /** mm with the knife up. */
  get length(): number {
    let sum = 0;
    let [x, y] = this.home;
    for (const c of this.order) {
      const [px, py] = this.#point(c);
      sum += Math.hypot(px - x, py - y);
      [x, y] = [px, py];
    }
    return sum;
  }

  #gap(i: number, k: number): number {
    const { order } = this;
    if (k >= order.length) return 0;
    const a = i < 0 ? this.home : this.#point(order[i]!);
    const b = this.#point(order[k]!);
    return Math.hypot(a[0] - b[0], a[1] - b[1]);
  }

  /** Whether the outlines from i to k may stand in the opposite order. */
  #mayTurn(i: number, k: number): boolean {
    for (let j = i; j <= k; j++) for (const a of this.#after[this.order[j]!]!) if (this.#at[a]! <= k && this.#at[a]! >= i) return false;
    return true;
  }

  /** Whether the outlines from i to k may stand after the one at `to` instead (before it, where `to` lies before them). */
  #mayMove(i: number, k: number, to: number): boolean {
    for (let j = i; j <= k; j++) {
      const c = this.order[j]!;
      if (to > k) {
        for (const a of this.#after[c]!) if (this.#at[a]! > k && this.#at[a]! <= to) return false;
      } else for (const b of this.#before[c]!) if (this.#at[b]! < i && this.#at[b]! > to) return false;
    }
    return true;
  }

  #nearBy(): Int32Array[] {
    const points = this.order.map((_, c) => this.#point(c));
    return points.map(([x, y], c) => {
      const far = points.map(([px, py], o) => [(px - x) ** 2 + (py - y) ** 2, o] as const).filter(([, o]) => o !== c);
      far.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
      return Int32Array.from(far.slice(0, NEAR), ([, o]) => o);
    });
  }

  /** Turns stretches of the order round and moves short ones, as long as that makes it shorter (2-opt; Or-opt). */
  better(): boolean {
    const near = this.#nearBy();
    let any = false;
    let again = true;
    while (again) {
      again = false;
      for (let c = 0; c < this.order.length; c++) if (this.#turn(c, near[c]!) || this.#move(c, near[c]!)) again = true;
      any ||= again;
    }
    return any;
  }

  #turn(c: number, near: Int32Array): boolean {
    for (const o of near) {
      const [i, k] = [Math.min(this.#at[c]!, this.#at[o]!) + 1, Math.max(this.#at[c]!, this.#at[o]!)];
      if (k <= i) continue;
      const saved = this.#gap(i - 1, i) + this.#gap(k, k + 1) - this.#gap(i - 1, k) - (k + 1 < this.order.length ? this.#gap(i, k + 1) : 0);
      if (saved <= BETTER || !this.#mayTurn(i, k)) continue;
      const turned = this.order.slice(i, k + 1).reverse();
      this.order.splice(i, turned.length, ...turned);
      this.#place();
      return true;
    }
    return false;
  }

  #move(c: number, near: Int32Array): boolean {
    for (let n = 1; n <= MOVED; n++) {
      const i = this.#at[c]!;
      const k = i + n - 1;
      if (k >= this.order.length) break;
      const freed = this.#gap(i - 1, i) + this.#gap(k, k + 1) - (k + 1 < this.order.length ? this.#gap(i - 1, k + 1) : 0);
      if (freed <= BETTER) continue;
      for (const o of near) {
        const to = this.#at[o]!;
        if (to >= i - 1 && to <= k) continue;
        const added = this.#gap(to, i) + (to + 1 < this.order.length ? this.#gap(k, to + 1) - this.#gap(to, to + 1) : 0);
        if (freed - added <= BETTER || !this.#mayMove(i, k, to)) continue;
        const moved = this.order.splice(i, n);
        this.order.splice(to > k ? to - n + 1 : to + 1, 0, ...moved);
        this.#place();
        return true;
      }
    }
    return false;
  }

  entries(): Entry[] {
    return this.order.map((contour) => ({ contour, start: this.#entries[contour]![this.#entry[contour]!]! }));
  }
}
