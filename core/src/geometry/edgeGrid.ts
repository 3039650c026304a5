import { boxOfPoints } from './box';
import { distance, type Ring } from './point';

/** Where a growing circle first met an edge. */
interface Touch {
  /** Its radius then, mm. */
  r: number;
  x: number;
  y: number;
  ring: number;
  /** How far along its ring, mm. */
  along: number;
}

/** Edges of rings, sorted into square cells. */
export interface EdgeGrid {
  /**
   * Grows the circle that touches the edge at a place into the part, until it meets another edge: `met` tells where.
   *
   * @param x of the place, on an edge, mm
   * @param nx unit direction in which its middle moves
   * @param most radius at which it stops, mm; no more than half a cell
   * @param own edge that it starts from, numbered through all rings; `beside`, where it starts from a corner, the other one
   * @returns whether anything was met
   */
  touch(x: number, y: number, nx: number, ny: number, most: number, own: number, beside: number): boolean;
  /** What the last circle met; the same object every time. */
  readonly met: Readonly<Touch>;
}

/** The most cells of a grid. */
const MOST_CELLS = 1_000_000;
/** Slighter slopes than this towards an edge's end are rounding. */
const LEVEL = 1e-9;

/**
 * Sorts the edges of rings into cells.
 *
 * @param wanted side of a cell, mm; larger where there would be too many
 */
export function gridOfEdges(rings: readonly Ring[], wanted: number): EdgeGrid {
  const n = rings.reduce((sum, ring) => sum + ring.length, 0);
  const [ax, ay, ux, uy, len, along] = Array.from({ length: 6 }, () => new Float64Array(n)) as Float64Array[];
  const of = new Int32Array(n);
  let e = 0;
  rings.forEach((points, ring) => {
    let from = 0;
    points.forEach((a, i) => {
      const b = points[(i + 1) % points.length]!;
      const length = distance(a, b);
      ax![e] = a[0];
      ay![e] = a[1];
      ux![e] = length > 0 ? (b[0] - a[0]) / length : 1;
      uy![e] = length > 0 ? (b[1] - a[1]) / length : 0;
      len![e] = length;
      along![e] = from;
      of[e] = ring;
      from += length;
      e++;
    });
  });
  const { minX, minY, maxX, maxY } = boxOfPoints(rings.flat());
  const [width, height] = [maxX - minX, maxY - minY];
  const cell = Math.max(wanted, Math.sqrt((width * height) / MOST_CELLS), (width + height) / MOST_CELLS);
  const [columns, rows] = [Math.floor(width / cell) + 1, Math.floor(height / cell) + 1];
  const columnOf = (x: number) => Math.max(0, Math.min(columns - 1, Math.floor((x - minX) / cell)));
  const rowOf = (y: number) => Math.max(0, Math.min(rows - 1, Math.floor((y - minY) / cell)));

  // each edge stands in every cell that it passes, row by row; counted first, then written
  const starts = new Int32Array(columns * rows + 1);
  let sorted = new Int32Array(0);
  let next = starts;
  for (let pass = 0; pass < 2; pass++) {
    for (let i = 0; i < n; i++) {
      const [x0, y0] = [ax![i]!, ay![i]!];
      const [x1, y1] = [x0 + ux![i]! * len![i]!, y0 + uy![i]! * len![i]!];
      const [bottom, top] = y0 < y1 ? [y0, y1] : [y1, y0];
      const [low, high] = [rowOf(bottom), rowOf(top)];
      for (let row = low; row <= high; row++) {
        // the stretch of the edge within this row
        let [xa, xb] = [x0, x1];
        if (low !== high) {
          const from = Math.max(bottom, Math.min(top, minY + row * cell));
          const to = Math.max(bottom, Math.min(top, minY + (row + 1) * cell));
          xa = x0 + ((x1 - x0) * (from - y0)) / (y1 - y0);
          xb = x0 + ((x1 - x0) * (to - y0)) / (y1 - y0);
        }
        const last = row * columns + columnOf(Math.max(xa, xb));
        for (let at = row * columns + columnOf(Math.min(xa, xb)); at <= last; at++) {
          if (pass === 0) starts[at + 1]!++;
          else sorted[next[at]!++] = i;
        }
      }
    }
    if (pass === 0) {
      for (let i = 0; i < columns * rows; i++) starts[i + 1]! += starts[i]!;
      sorted = new Int32Array(starts[columns * rows]!);
      next = starts.slice();
    }
  }

  const hit: Touch = { r: 0, x: 0, y: 0, ring: 0, along: 0 };
  return {
    met: hit,
    touch(px, py, nx, ny, most, own, beside) {
      const cx = px + nx * most;
      const cy = py + ny * most;
      const left = columnOf(cx - most);
      const right = columnOf(cx + most);
      const high = rowOf(cy + most);
      let r = most;
      let edge = -1;
      let t = 0;
      for (let row = rowOf(cy - most); row <= high; row++) {
        const end = starts[row * columns + right + 1]!;
        for (let k = starts[row * columns + left]!; k < end; k++) {
          const i = sorted[k]!;
          if (i === own || i === beside) continue;
          const dx = ux![i]!;
          const dy = uy![i]!;
          const wx = px - ax![i]!;
          const wy = py - ay![i]!;
          const length = len![i]!;
          // an edge whose middle is further from the circle's than their reaches is not met by it, nor by one that is smaller
          const half = length / 2;
          const mx = wx + r * nx - half * dx;
          const my = wy + r * ny - half * dy;
          const reach = r + half;
          if (mx * mx + my * my > reach * reach) continue;
          // where on the edge the circle meets it, and its radius then
          const side = dx * wy - dy * wx;
          const away = dx * ny - dy * nx;
          const cos = side >= 0 ? away : -away;
          if (1 - cos > LEVEL) {
            const meets = Math.abs(side) / (1 - cos);
            // no end of an edge is met before its line is
            if (meets >= r) continue;
            // foot of the middle on the edge's line
            const foot = dx * (wx + meets * nx) + dy * (wy + meets * ny);
            if (foot >= 0 && foot <= length) {
              r = meets;
              edge = i;
              t = foot;
              continue;
            }
          }
          for (let last = 0; last < 2; last++) {
            const to = last * length;
            const qx = to * dx - wx;
            const qy = to * dy - wy;
            const squared = qx * qx + qy * qy;
            const ahead = nx * qx + ny * qy;
            if (ahead <= LEVEL * Math.sqrt(squared)) continue;
            const meets = squared / (2 * ahead);
            if (meets < r) {
              r = meets;
              edge = i;
              t = to;
            }
          }
        }
      }
      if (edge < 0 || !(r > 0)) return false;
      hit.r = r;
      hit.x = ax![edge]! + ux![edge]! * t;
      hit.y = ay![edge]! + uy![edge]! * t;
      hit.ring = of[edge]!;
      hit.along = along![edge]! + t;
      return true;
    },
  };
}
