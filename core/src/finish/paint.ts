import { PAINT } from '../facts';
import type { PullAt } from '../job';
import type { DryingTimes } from './drying';

/** When a stencil may come off after the last coat, minutes. */
export function pullWindow(pullAt: PullAt, times: DryingTimes): { least: number; most?: number } {
  if (pullAt === 'halfDry') return { least: 0.5 * times.touchDry, most: times.touchDry };
  if (pullAt === 'nearlyDry') return { least: times.touchDry, most: times.recoat };
  return { least: times.recoat };
}

/** Paint for a set, millilitres: `spread` is what a litre covers with that tool, m². */
export const paintNeeded = (areaMm2: number, coats: number, count: number, spread: number = PAINT.spreadDabbed): number =>
  Math.max(PAINT.leastMl, ((areaMm2 / 1e6) * coats * count * 1000 * (1 + PAINT.loss)) / spread);
