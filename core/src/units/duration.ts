export const MINUTE_MS = 60_000;
export const HOUR = 60;
export const DAY = 24 * HOUR;

/**
 * Writes a duration for a person: "12 min", "2 h 50", "19 d".
 *
 * @param minutes duration in minutes; negative counts as none
 */
export function formatDuration(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  if (minutes > 0 && minutes < 1) return 'under 1 min';
  if (whole < HOUR) return `${whole} min`;
  if (whole < 3 * DAY) {
    const left = whole % HOUR;
    return left ? `${Math.floor(whole / HOUR)} h ${String(left).padStart(2, '0')}` : `${whole / HOUR} h`;
  }
  const days = whole / DAY;
  return `${days < 10 ? days.toFixed(1).replace(/\.0$/, '') : Math.round(days)} d`;
}

/**
 * Writes a running clock: "03:42", or "1:03:42" from an hour on.
 *
 * @param seconds what is left or has passed; negative counts as none
 */
export function formatClock(seconds: number): string {
  const all = Math.max(0, Math.floor(seconds));
  const [h, m, s] = [Math.floor(all / 3600), Math.floor(all / 60) % 60, all % 60];
  const two = (n: number) => String(n).padStart(2, '0');
  return h ? `${h}:${two(m)}:${two(s)}` : `${two(m)}:${two(s)}`;
}
