import { good, refused, type Result } from '../units';

/** A span of a day, minutes after midnight. */
export type DaySpan = readonly [start: number, end: number];

const DAY = 1440;

/** Hours are drawn in steps of a quarter of an hour, minutes. */
export const SPAN_STEP = 15;
/** What of a span is dragged. */
export type SpanEdge = 'start' | 'end' | 'both';

/** The nearest step within the day, minutes after midnight. */
export const snapMinutes = (minutes: number): number => Math.max(0, Math.min(DAY, Math.round(minutes / SPAN_STEP) * SPAN_STEP));

/**
 * A span of which an end, or all, was dragged by so many minutes: in steps, never out of the day, never shorter than a step.
 */
export function dragSpan([start, end]: DaySpan, edge: SpanEdge, by: number): [number, number] {
  if (edge === 'start') return [Math.min(snapMinutes(start + by), end - SPAN_STEP), end];
  if (edge === 'end') return [start, Math.max(snapMinutes(end + by), start + SPAN_STEP)];
  const shift = Math.max(-start, Math.min(DAY - end, snapMinutes(start + by) - start));
  return [start + shift, end + shift];
}

/** A time of day as the clock shows it: "09:00", "24:00". */
export const formatTimeOfDay = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

/** Spans in words: "09:00–12:30, 13:30–18:00"; "off" for none. */
export const formatSpans = (spans: readonly DaySpan[]): string =>
  spans.length === 0 ? 'off' : spans.map(([start, end]) => `${formatTimeOfDay(start)}–${formatTimeOfDay(end)}`).join(', ');

/** A time of day as it is typed: "9", "9:30", "9.30", "9am", "12:30 pm", "noon", "midnight". */
function parseTimeOfDay(text: string, isEnd: boolean): number | undefined {
  const plain = text.trim().toLowerCase();
  if (plain === 'noon') return DAY / 2;
  if (plain === 'midnight') return isEnd ? DAY : 0;
  const found = /^(\d{1,2})(?:[:.](\d{2}))?\s*([ap])?\.?m?\.?$/.exec(plain);
  if (!found) return undefined;
  const [hour, minute] = [Number(found[1]), Number(found[2] ?? 0)];
  if (minute > 59 || hour > 24 || (found[3] && (hour < 1 || hour > 12))) return undefined;
  const of24 = found[3] ? (hour % 12) + (found[3] === 'p' ? 12 : 0) : hour;
  const minutes = of24 * 60 + minute;
  return minutes > DAY ? undefined : minutes === 0 && isEnd ? DAY : minutes;
}

/** Spans in order, joined where they touch or overlap. */
export function tidySpans(spans: readonly DaySpan[]): [number, number][] {
  const tidy: [number, number][] = [];
  for (const [start, end] of spans.filter(([from, to]) => to > from).toSorted((a, b) => a[0] - b[0])) {
    const last = tidy.at(-1);
    if (last && start <= last[1]) last[1] = Math.max(last[1], end);
    else tidy.push([start, end]);
  }
  return tidy;
}

/**
 * Reads the working times of a day: "9-12:30, 13:30-18", "7pm to 9:30pm", "off".
 *
 * @returns minutes after midnight, in order and apart
 */
export function parseSpans(text: string, where: string): Result<[number, number][]> {
  const plain = text.trim().toLowerCase();
  if (plain === '' || plain === 'off' || plain === 'none' || plain === 'closed') return good([]);
  const spans: DaySpan[] = [];
  for (const part of plain.split(/[,;&]| and /)) {
    const [from, to, more] = part.split(/\s*(?:–|—|-|\bto\b)\s*/);
    const [start, end] = [parseTimeOfDay(from ?? '', false), parseTimeOfDay(to ?? '', true)];
    if (start === undefined || end === undefined || more !== undefined)
      return refused(
        `"${part.trim()}" is not a time to work.`,
        'a start and an end',
        where,
        'Type it as 9-12:30, 13:30-18, or 7pm-9:30pm, or off.',
      );
    if (end <= start)
      return refused(
        `"${part.trim()}" ends before it begins.`,
        'a start before its end',
        where,
        'Work past midnight belongs to the next day: end this one at 24:00.',
      );
    spans.push([start, end]);
  }
  const tidy = tidySpans(spans);
  return tidy.length > 6 ? refused(`"${text}" has too many parts.`, 'up to 6', where, 'Join some of them.') : good(tidy);
}
