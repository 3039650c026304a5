import { BULB } from '../../facts';
import { good, refused, type Result } from '../../units';
import type { Shape } from '../../job';

export type Bulb = Extract<Shape, { kind: 'bulb' }>;

/** The diameter of a belly at a height along its wall, mm. */
export const bulbDiameterAt = ({ diameter, along, height }: Bulb, at: number): number =>
  Math.max(1, diameter - 2 * along * (1 - Math.cos((at - height / 2) / along)));

/** How high a belly stands whose wall is so long by tape, mm. */
export const bulbUpright = ({ along, height }: Bulb): number => 2 * along * Math.sin(Math.min(Math.PI / 2, height / 2 / along));

/** The place of a height along the wall above the foot, upright, mm. */
export const bulbUprightAt = (bulb: Bulb, at: number): number =>
  bulb.along * Math.sin((at - bulb.height / 2) / bulb.along) + bulbUpright(bulb) / 2;

/** Whether a belly can be: it neither closes on itself nor goes further round than from pole to pole. */
export function checkBulb(bulb: Bulb): Result<Bulb> {
  const sweep = bulb.height / 2 / bulb.along;
  const end = bulb.diameter - 2 * bulb.along * (1 - Math.cos(sweep));
  if (sweep < Math.PI / 2 && end > 5) return good(bulb);
  const longest = Math.min(Math.PI / 2, Math.acos(Math.max(-1, 1 - (bulb.diameter - 5) / 2 / bulb.along))) * 2 * bulb.along;
  return refused(
    `A wall of ${bulb.height.toFixed(0)} mm that curves with a radius of ${bulb.along.toFixed(0)} mm would close on itself.`,
    `a wall up to ${longest.toFixed(0)} mm`,
    'Bulb',
    'Measure the curve along the wall again: lay a ruler as a chord and measure how far the wall stands off its middle.',
  );
}

/** Directions and steps of the integration. */
const DIRECTIONS = 24;
const STEPS = 60;

/**
 * How much too long flat film is around a belly: the share by which the edge of a disk of radius r exceeds the circle that it lies on. On a
 * sphere 1 − sin t / t with
 * t = r/R; else by the Jacobi equation j″ = −K·j along lines from the middle (do Carmo, 1976, Differential geometry of curves and
 * surfaces), K the product of the two
 * curvatures there.
 *
 * @param r distance from the middle of the belly, mm
 * @returns share, 0 or more
 */
export function bulbExcess(bulb: Bulb, r: number): number {
  if (r <= 0) return 0;
  let sum = 0;
  for (let d = 0; d < DIRECTIONS; d++) {
    const up = Math.sin((d / DIRECTIONS) * 2 * Math.PI);
    const h = r / STEPS;
    let [j, v] = [0, 1];
    for (let i = 0; i < STEPS; i++) {
      const s = (i + 0.5) * h * up;
      const turn = s / bulb.along;
      const curvature = Math.cos(turn) / bulb.along / (bulbDiameterAt(bulb, s + bulb.height / 2) / 2);
      // midpoint rule
      const [jm, vm] = [j + (v * h) / 2, v - (curvature * j * h) / 2];
      j += vm * h;
      v -= curvature * jm * h;
    }
    sum += j;
  }
  return Math.max(0, 1 - sum / DIRECTIONS / r);
}

/** So finely the way outward is looked at for where film first is too long. */
const REACH_STEPS = 48;

/** What was found out of the last bellies: they are asked about again and again. */
const reaches = new Map<string, number>();
const MOST_REACHES = 64;

/**
 * How far from the middle of a belly film goes before it is so much too long, mm: where that is first so.
 *
 * @returns without end where it never is on this belly
 */
export function bulbReach(bulb: Bulb, limit: number): number {
  const key = `${bulb.diameter} ${bulb.along} ${bulb.height} ${limit}`;
  const known = reaches.get(key) ?? firstBeyond(bulb, limit);
  if (reaches.size > MOST_REACHES) reaches.clear();
  reaches.set(key, known);
  return known;
}

function firstBeyond(bulb: Bulb, limit: number): number {
  const far = Math.max(bulb.height, bulb.diameter);
  let before = 0;
  for (let i = 1; i <= REACH_STEPS; i++) {
    const r = (far * i) / REACH_STEPS;
    if (bulbExcess(bulb, r) <= limit) {
      before = r;
      continue;
    }
    let [low, high] = [before, r];
    for (let k = 0; k < 30; k++) {
      const mid = (low + high) / 2;
      if (bulbExcess(bulb, mid) <= limit) low = mid;
      else high = mid;
    }
    return low;
  }
  return Infinity;
}

/** Snips that let paper tape follow a belly. */
export interface Snips {
  readonly count: number;
  /** They begin so far from the middle, mm, and run to the edge. */
  readonly from: number;
  readonly length: number;
}

/**
 * How often tape has to be snipped from its edge toward the middle of a mark: n ≥ π·r / (R·acos(1 − limit)), R the mean radius.
 *
 * @param r from the middle to the tape's edge, mm
 * @returns undefined where tape follows by itself
 */
export function bulbSnips(bulb: Bulb, r: number, limit: number = BULB.paperTape): Snips | undefined {
  const from = bulbReach(bulb, limit);
  if (r <= from) return undefined;
  const mean = Math.sqrt((bulb.diameter / 2) * bulb.along);
  return { count: Math.ceil((Math.PI * r) / (mean * Math.acos(1 - limit))), from, length: r - from };
}
