import { MM_PER_INCH, type LengthSystem } from '../units';

/** The next size down that is easy to say: whole fives of mm (whole mm under 20), or quarter inches; mm. */
export function handySizeBelow(mm: number, system: LengthSystem): number {
  const step = system === 'mm' ? (mm <= 20 ? 1 : 5) : MM_PER_INCH / 4;
  const handy = Math.floor(mm / step - 1e-9) * step;
  return handy > 0 ? handy : mm;
}
