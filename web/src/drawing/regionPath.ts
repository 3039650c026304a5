import type { PenLine } from '@kolleta/core/cut';
import { ringsOf, type Region } from '@kolleta/core/geometry';

const kept = new WeakMap<object, string>();

/** A region as SVG path data in mm, y up as it is: turn it with the scale of its group. */
export function regionPath(region: Region): string {
  const known = kept.get(region);
  if (known !== undefined) return known;
  const d = ringsOf(region)
    .map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`)
    .join('');
  kept.set(region, d);
  return d;
}

/** What a pen writes as SVG path data in mm, as `regionPath`. */
export const linePath = (lines: readonly PenLine[]): string =>
  lines.map(({ points, closed }) => `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}${closed ? 'Z' : ''}`).join('');
