import { workingWindows } from '../schedule';
import type { Hours } from '../job';
import { MINUTE_MS } from '../units';

const DAY_MS = 24 * 60 * MINUTE_MS;

/**
 * Minutes of work between two moments: nights, days off and pauses that lie wholly between them are left out. Who goes on into a pause has worked
 * in it.
 *
 * @param start UTC ms
 * @param end UTC ms; not before it
 */
export function workedMinutes(hours: Hours, start: number, end: number): number {
  const days = Math.ceil((end - start) / DAY_MS) + 1;
  // a step that stands open for longer than that was forgotten
  if (days > 60) return (end - start) / MINUTE_MS;
  const windows = workingWindows(hours, start - DAY_MS, days + 1);
  const pauses = windows.slice(1).map((window, i) => ({ start: windows[i]!.end, end: window.start }));
  const paused = pauses.reduce((sum, pause) => sum + (pause.start >= start && pause.end <= end ? pause.end - pause.start : 0), 0);
  return (end - start - paused) / MINUTE_MS;
}
