import { edgesCross, overlap } from './collide';
import type { NestShape } from './nestShape';
import { noFit, type NoFit } from './noFit';
import type { Pace } from './pace';
import { shapeCells, type ShapeCells } from './shapeCells';

/** Sides of cells, mm at least; and so many numbers in all of the grids at most. */
const CELL = { least: 0.4, most: 40_000_000 } as const;
/** A pair's grid is nearly as long as both shapes together: so many numbers for each of its cells. */
const BOTH = 4;
/** Outlines that cross overlap by so much at least, thirds of a cell. */
const LEAST = 0.3;
/** A way out is looked for so far, in cells, to this, mm, and so much to either side, radians. */
const WAY = 4;
const FINE = 0.001;
const TURNED = 0.3;
/** From so many thirds on a place between the numbers overlaps for sure. */
const SURE = 5;

/** One shape against another, in their turns: a grid, and how a place is turned to be looked up in it. */
interface Pair {
  readonly cos: number;
  readonly sin: number;
  readonly grid: NoFit;
}

/** A shape that takes part: of which kind, and how that is turned. */
interface Known {
  readonly shape: NestShape;
  readonly kind: number;
  /** Quarters from the kind's first shape. */
  readonly turn: number;
}

/**
 * How deep shapes overlap. Every two shapes in every two turns have one grid of numbers, made when it is first asked for; only where they may just
 * touch their outlines are looked at.
 */
export class Collisions {
  readonly #known: Known[] = [];
  readonly #firsts: NestShape[] = [];
  readonly #pairs: (Pair | undefined)[][] = [];
  readonly #grids = new Map<string, NoFit>();
  readonly #cells = new Map<string, ShapeCells>();
  /** Grids of shapes so thin somewhere that they met where their cells do not: their outlines are always looked at. */
  readonly #thin = new Set<NoFit>();
  #cell = 1;
  #third = 1 / 3;
  #rim = 1;

  /** Adds the shapes of one kind, the same outline in its turns; gives each its number. */
  add(shapes: readonly NestShape[]): number[] {
    const kind = this.#firsts.length;
    const [first] = shapes as readonly [NestShape];
    this.#firsts.push(first);
    return shapes.map((shape) => this.#known.push({ shape, kind, turn: (shape.turn - first.turn + 4) % 4 }) - 1);
  }

  /**
   * Chooses the grids' cells, when all shapes are there.
   *
   * @param cells along the mean side of the shapes
   * @param rim where outlines are taken to touch, thirds of a cell from the last number that is 0
   */
  ready({ cells, rim }: Pick<Pace, 'cells' | 'rim'>): void {
    this.#rim = rim;
    const sides = this.#firsts.map(({ minX, maxX, minY, maxY }) => [maxX - minX, maxY - minY] as const);
    const mean = sides.reduce((sum, [w, h]) => sum + w + h, 0) / Math.max(1, 2 * sides.length);
    const area = sides.reduce((sum, [w, h]) => sum + w * h, 0) / Math.max(1, sides.length);
    const turns = this.#known.length / Math.max(1, this.#firsts.length);
    const grids = (this.#firsts.length ** 2 * turns) / 2;
    this.#cell = Math.max(CELL.least, mean / cells, Math.sqrt((BOTH * area * grids) / CELL.most));
    this.#third = this.#cell / 3;
  }

  shape(index: number): NestShape {
    return this.#known[index]!.shape;
  }

  #cellsOf(kind: number, turn: number): ShapeCells {
    const key = `${kind} ${turn}`;
    const known = this.#cells.get(key);
    if (known) return known;
    const made = shapeCells(this.#firsts[kind]!, turn, this.#cell);
    this.#cells.set(key, made);
    return made;
  }

  #gridOf(a: number, b: number, turn: number): NoFit {
    const key = `${a} ${b} ${turn}`;
    const known = this.#grids.get(key);
    if (known) return known;
    const made = noFit(this.#cellsOf(a, 0), this.#cellsOf(b, turn));
    this.#grids.set(key, made);
    return made;
  }

  #pair(one: number, other: number): Pair {
    const row = (this.#pairs[one] ??= []);
    const known = row[other];
    if (known) return known;
    let [a, b, side] = [this.#known[one]!, this.#known[other]!, 1];
    // each two kinds once
    if (a.kind > b.kind) [a, b, side] = [b, a, -1];
    const turn = (b.turn - a.turn + 4) % 4;
    const angle = (-a.turn * Math.PI) / 2;
    return (row[other] = {
      cos: (side * Math.cos(angle)) / this.#cell,
      sin: (side * Math.sin(angle)) / this.#cell,
      grid: this.#gridOf(a.kind, b.kind, turn),
    });
  }

  /**
   * How deep the second shape lies in the first by the grid, mm, to about a third of a cell; 0 where they do not overlap.
   *
   * @param dx where the second lies against the first, mm
   */
  depth(one: number, other: number, dx: number, dy: number): number {
    const { cos, sin, grid } = this.#pairs[one]?.[other] ?? this.#pair(one, other);
    const u = dx * cos - dy * sin - grid.column;
    const v = dx * sin + dy * cos - grid.row;
    const c = Math.floor(u);
    const r = Math.floor(v);
    if (c < 0 || r < 0 || c >= grid.columns - 1 || r >= grid.rows - 1) return 0;
    const { depth, columns } = grid;
    const i = r * columns + c;
    const d00 = depth[i]!;
    const d10 = depth[i + 1]!;
    const d01 = depth[i + columns]!;
    const d11 = depth[i + columns + 1]!;
    if (d00 + d10 + d01 + d11 === 0) return 0;
    const fu = u - c;
    const fv = v - r;
    const low = d00 + (d10 - d00) * fu;
    const high = d01 + (d11 - d01) * fu;
    const thirds = low + (high - low) * fv - this.#rim;
    return thirds <= 0 ? 0 : thirds * this.#third;
  }

  /**
   * The same, and where the two may just touch by their outlines.
   *
   * @returns more than 0 where the outlines cross
   */
  exactDepth(one: number, other: number, dx: number, dy: number): number {
    const pair = this.#pairs[one]?.[other] ?? this.#pair(one, other);
    if (!this.#cross(one, other, pair, dx, dy)) return 0;
    return Math.max(LEAST * this.#third, this.depth(one, other, dx, dy));
  }

  /** Whether two shapes cross by their outlines, where they may: only then are these looked at. */
  #cross(one: number, other: number, { grid, cos, sin }: Pair, dx: number, dy: number): boolean {
    const c = Math.round(dx * cos - dy * sin - grid.column);
    const r = Math.round(dx * sin + dy * cos - grid.row);
    const nearest = c < 0 || r < 0 || c >= grid.columns || r >= grid.rows ? 0 : grid.depth[r * grid.columns + c]!;
    if (nearest === 0 && !this.#thin.has(grid)) return false;
    return nearest >= SURE || edgesCross(this.#known[one]!.shape, this.#known[other]!.shape, dx, dy);
  }

  /**
   * The way out for the second of two shapes that overlap: as a vector, mm.
   *
   * @returns undefined where they do not overlap, or reach so far into each other that there is no near way out
   */
  wayOut(one: number, other: number, dx: number, dy: number): [number, number] | undefined {
    const pair = this.#pairs[one]?.[other] ?? this.#pair(one, other);
    if (!this.#cross(one, other, pair, dx, dy)) return undefined;
    const cell = this.#cell;
    // downhill, as the numbers around it say
    const alongX = this.depth(one, other, dx - cell, dy) - this.depth(one, other, dx + cell, dy);
    const alongY = this.depth(one, other, dx, dy - cell) - this.depth(one, other, dx, dy + cell);
    let angle = alongX === 0 && alongY === 0 ? Math.atan2(dy, dx) : Math.atan2(alongY, alongX);
    const far = (towards: number, most: number): number => {
      const [x, y] = [Math.cos(towards), Math.sin(towards)];
      let free = Math.min(most, cell / 16);
      while (this.#cross(one, other, pair, dx + free * x, dy + free * y)) {
        if (free >= most) return Infinity;
        free = Math.min(most, free * 3);
      }
      let within = 0;
      while (free - within > FINE) {
        const middle = (free + within) / 2;
        if (this.#cross(one, other, pair, dx + middle * x, dy + middle * y)) within = middle;
        else free = middle;
      }
      return free;
    };
    let best = far(angle, WAY * cell);
    for (let by = TURNED; by > TURNED / 4; by /= 2)
      for (const side of [-1, 1]) {
        const turned = angle + side * by;
        const there = far(turned, Math.min(best, WAY * cell));
        if (there < best - FINE) [best, angle] = [there, turned];
      }
    return best < Infinity ? [best * Math.cos(angle), best * Math.sin(angle)] : undefined;
  }

  /** Whether two shapes overlap where their grid says that they do not; from then on their outlines are always looked at. */
  missed(one: number, other: number, dx: number, dy: number): boolean {
    if (!overlap(this.#known[one]!.shape, this.#known[other]!.shape, dx, dy)) return false;
    this.#thin.add(this.#pair(one, other).grid);
    return true;
  }
}
