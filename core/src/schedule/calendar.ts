import { TZDate, tzOffset } from '@date-fns/tz';
import { WORKDAY } from '../facts';
import { MINUTE_MS } from '../units';
import type { Hours, Id } from '../job';

const HOUR_MS = 60 * MINUTE_MS;
const DAY_MS = 24 * HOUR_MS;

/** A span of working time, UTC instants in ms. */
export interface Window {
  readonly start: number;
  readonly end: number;
}

/** Midnight before a moment, so many days later, in a zone. */
export function midnightOf(at: number, zone: string, later = 0): number {
  const local = new TZDate(at, zone);
  return new TZDate(local.getFullYear(), local.getMonth(), local.getDate() + later, 0, 0, 0, zone).getTime();
}

/** The date of a moment in a zone: "2026-12-03". */
export const dayOf = (at: number, zone: string): string => {
  const local = new TZDate(at, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${local.getFullYear()}-${two(local.getMonth() + 1)}-${two(local.getDate())}`;
};

/** Somebody, with when they work where that is not when the workshop does. */
export interface Worker {
  readonly id: Id;
  readonly week?: Hours['week'];
}

/**
 * The working windows from a moment on, in the workshop's own zone: a change of clocks moves them with the wall clock.
 *
 * @param hours working times a weekday, spans beside them, and time off
 * @param from UTC ms; a window that has begun starts there
 * @param days how many days to look ahead
 * @param who somebody, with hours and time off of their own; the workshop as a whole where it is nobody
 */
export function workingWindows(hours: Hours, from: number, days: number, who?: Worker): Window[] {
  const off = (hours.off ?? []).filter((span) => span.who === undefined || span.who === who?.id);
  return freeOf(weekWindows({ ...hours, week: who?.week ?? hours.week }, from, days), off);
}

function weekWindows(hours: Hours, from: number, days: number): Window[] {
  const local = new TZDate(from, hours.zone);
  const windows: Window[] = [];
  const offsetAt = (utc: number) => tzOffset(hours.zone, new Date(utc));
  // days are counted as if the zone were UTC; the offset is looked up once a day, and by the minute only where clocks change
  const first = Date.UTC(local.getFullYear(), local.getMonth(), local.getDate());
  let offset = offsetAt(first - 12 * HOUR_MS);
  for (let d = 0; d <= days; d++) {
    const midnight = first + d * DAY_MS;
    const evening = offsetAt(midnight + 36 * HOUR_MS);
    const steady = evening === offset;
    const day = new Date(midnight);
    offset = steady ? offset : offsetAt(midnight + 12 * HOUR_MS);
    for (const [start, end] of hours.week[day.getUTCDay()] ?? []) {
      const at = (minutes: number) =>
        steady
          ? midnight + (minutes - offset) * MINUTE_MS
          : new TZDate(
              day.getUTCFullYear(),
              day.getUTCMonth(),
              day.getUTCDate(),
              Math.floor(minutes / 60),
              minutes % 60,
              hours.zone,
            ).getTime();
      const window = { start: Math.max(from, at(start)), end: at(end) };
      if (window.end - window.start >= MINUTE_MS) windows.push(window);
    }
    offset = evening;
  }
  return joined(windows, hours.extra ?? [], from);
}

/** Windows with what is worked beside the week: sorted, apart, none before `from`. */
function joined(windows: Window[], extra: readonly Window[], from: number): Window[] {
  const more = extra.map(({ start, end }) => ({ start: Math.max(from, start), end })).filter(({ start, end }) => end - start >= MINUTE_MS);
  if (more.length === 0) return windows;
  return joinedWindows([...windows, ...more]);
}

/** Spans in any order, sorted, and joined where they touch or overlap. */
export function joinedWindows(spans: readonly Window[]): Window[] {
  const all: Window[] = [];
  for (const span of spans.toSorted((a, b) => a.start - b.start)) {
    const last = all.at(-1);
    if (last && span.start <= last.end) all[all.length - 1] = { start: last.start, end: Math.max(last.end, span.end) };
    else all.push(span);
  }
  return all;
}

/** Hours as days: from the first to the last of those that no night lies between. */
export function workingDays(windows: readonly Window[]): Window[] {
  const days: Window[] = [];
  for (const { start, end } of windows) {
    const last = days.at(-1);
    if (last && start - last.end < WORKDAY.night * MINUTE_MS) days[days.length - 1] = { start: last.start, end };
    else days.push({ start, end });
  }
  return days;
}

/** What two lists of windows, each sorted and apart, share from a moment on. */
export function sharedWindows(a: readonly Window[], b: readonly Window[], from: number): Window[] {
  const shared: Window[] = [];
  let [i, k] = [firstEndingAfter(a, from), firstEndingAfter(b, from)];
  while (i < a.length && k < b.length) {
    const [start, end] = [Math.max(a[i]!.start, b[k]!.start), Math.min(a[i]!.end, b[k]!.end)];
    if (end > start) shared.push({ start, end });
    if (a[i]!.end < b[k]!.end) i += 1;
    else k += 1;
  }
  return shared;
}

/** Free spans left when busy ones are taken out; windows are sorted and apart, busy ones in any order. */
export function freeOf(windows: readonly Window[], busy: readonly Window[]): Window[] {
  if (busy.length === 0) return [...windows];
  const free: Window[] = [];
  const taken = joinedWindows(busy);
  let next = 0;
  for (const window of windows) {
    let { start } = window;
    while (next < taken.length && taken[next]!.end <= start) next += 1;
    for (let i = next; i < taken.length && taken[i]!.start < window.end; i++) {
      if (taken[i]!.start > start) free.push({ start, end: taken[i]!.start });
      start = Math.max(start, taken[i]!.end);
    }
    if (start < window.end) free.push({ start, end: window.end });
  }
  return free;
}

/** The first of windows, sorted and apart, that ends after a moment. */
export function firstEndingAfter(windows: readonly Window[], at: number): number {
  let [low, high] = [0, windows.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if (windows[mid]!.end > at) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** Free spans left when a few more are taken out: the same as `freeOf`, without looking at all of them again. */
export function takeOut(free: readonly Window[], spans: readonly Window[]): readonly Window[] {
  let left = free;
  for (const { start, end } of spans) {
    const first = firstEndingAfter(left, start);
    let next = first;
    while (next < left.length && left[next]!.start < end) next += 1;
    if (next === first) continue;
    const [a, b] = [left[first]!, left[next - 1]!];
    const kept = [...(a.start < start ? [{ start: a.start, end: start }] : []), ...(b.end > end ? [{ start: end, end: b.end }] : [])];
    left = left.toSpliced(first, next - first, ...kept);
  }
  return left;
}
