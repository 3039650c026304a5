import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { good, MINUTE_MS, refused, type Result } from '../units';
import { stepTitle } from '../words';
import type { JobId } from '../job';
import type { PlacedStep } from '../schedule';

/** Time off as a calendar has it, UTC ms. */
export interface SpanOff {
  readonly start: number;
  readonly end: number;
  readonly name?: string;
}

/** Larger files are no calendar of days off, characters. */
const MOST_TEXT = 5_000_000;
/** No more spans than this are taken. */
export const MOST_OFF = 400;
/** What repeats is followed so far, of one entry. */
const MOST_REPEATS = 2000;

/** Whether a zone is one that the clock knows. */
function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** A time of a calendar as an instant. Days, and times of no zone, are those of the workshop. */
function instantOf(time: ICAL.Time, tzid: string | undefined, zone: string): number {
  const local = (where: string) => new TZDate(time.year, time.month - 1, time.day, time.hour, time.minute, time.second, where).getTime();
  if (time.isDate) return new TZDate(time.year, time.month - 1, time.day, 0, 0, 0, zone).getTime();
  if (time.zone === ICAL.Timezone.utcTimezone) return time.toUnixTime() * 1000;
  if (tzid !== undefined && isZone(tzid)) return local(tzid);
  // a zone that the file itself describes
  if (time.zone && time.zone !== ICAL.Timezone.localTimezone) return time.toUnixTime() * 1000;
  return local(zone);
}

const isGone = (event: ICAL.Component): boolean =>
  /^cancelled$/i.test(String(event.getFirstPropertyValue('status') ?? '')) ||
  /^transparent$/i.test(String(event.getFirstPropertyValue('transp') ?? ''));

/**
 * Reads days and hours off from a calendar file (iCalendar, RFC 5545). Entries that repeat are followed; those that are cancelled, or that say
 * that one is free meanwhile, are left out.
 *
 * @param text of the file
 * @param name of the file, for what is said of it
 * @param zone the workshop's
 * @param from what ends before is left out, UTC ms
 * @param until what begins after is left out
 * @returns spans by their start; refused where it is no calendar or has nothing in that time
 */
export function readDaysOff(text: string, name: string, zone: string, from: number, until: number): Result<readonly SpanOff[]> {
  const wrong = (found: string) =>
    refused(found, 'a calendar file (.ics)', name, 'Export the calendar again, or type the days. Nothing was changed.');
  if (text.length > MOST_TEXT) return wrong(`“${name}” is too large for days off.`);
  let events: ICAL.Component[];
  try {
    const parsed = ICAL.parse(text) as unknown[];
    const calendars = (typeof parsed[0] === 'string' ? [parsed] : parsed).map((one) => new ICAL.Component(one as unknown as string));
    for (const calendar of calendars)
      for (const described of calendar.getAllSubcomponents('vtimezone')) {
        const tzid = described.getFirstPropertyValue('tzid');
        if (typeof tzid === 'string' && !isZone(tzid)) ICAL.TimezoneService.register(new ICAL.Timezone(described));
      }
    events = calendars.flatMap((calendar) => calendar.getAllSubcomponents('vevent'));
  } catch {
    return wrong(`“${name}” cannot be read as a calendar.`);
  }
  const spans: SpanOff[] = [];
  for (const component of events) {
    if (isGone(component)) continue;
    try {
      const event = new ICAL.Event(component);
      // one time of an entry that repeats, moved: it is told with the entry
      if (event.isRecurrenceException()) continue;
      const tzid = component.getFirstProperty('dtstart')?.getParameter('tzid') as string | undefined;
      const summary = event.summary as string | null;
      const take = (first: ICAL.Time, last: ICAL.Time) => {
        const [start, end] = [instantOf(first, tzid, zone), instantOf(last, tzid, zone)];
        if (end > start && end > from && start < until) spans.push({ start, end, ...(summary ? { name: summary.slice(0, 120) } : {}) });
        return start;
      };
      if (!event.isRecurring()) {
        take(event.startDate, event.endDate);
        continue;
      }
      const times = event.iterator();
      for (let i = 0; i < MOST_REPEATS && spans.length <= MOST_OFF; i++) {
        const next = times.next() as ICAL.Time | undefined;
        if (!next) break;
        const { startDate, endDate } = event.getOccurrenceDetails(next);
        if (take(startDate, endDate) >= until) break;
      }
    } catch {
      // an entry without a start is none
    }
  }
  if (spans.length === 0)
    return refused(
      `“${name}” has no days off in the months to come.`,
      'entries that take time',
      name,
      events.length > 0 ? 'Its entries are over, cancelled, or leave one free. Choose another calendar.' : 'Choose another calendar.',
    );
  if (spans.length > MOST_OFF)
    return refused(
      `“${name}” has more than ${MOST_OFF} entries.`,
      'days off',
      name,
      'Choose a calendar of days off only. Nothing was changed.',
    );
  return good(spans.toSorted((a, b) => a.start - b.start || a.end - b.end));
}

/** A job, as a calendar tells it. */
export interface CalendarJob {
  readonly id: JobId;
  readonly name: string;
  /** When it is wanted, UTC ms. */
  readonly deadline?: number;
}

/** UTC in the basic format of calendars. */
const utcTime = (at: number): ICAL.Time => ICAL.Time.fromJSDate(new Date(at), true);

/** An alarm so many minutes before. */
function alarm(minutes: number, words: string): ICAL.Component {
  const one = new ICAL.Component('valarm');
  one.addPropertyWithValue('action', 'DISPLAY');
  one.addPropertyWithValue('description', words);
  one.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-minutes * 60));
  return one;
}

/**
 * Steps to come and dates as a calendar file (iCalendar, RFC 5545), each step with an alarm when it begins, each date with one the day before.
 *
 * @param steps in time; what is done or runs is left out
 * @param jobs whose dates are told; those without one are left out
 * @param now UTC ms
 */
export function writeCalendar(steps: readonly PlacedStep[], jobs: readonly CalendarJob[], workshop: string, now: number): string {
  const calendar = new ICAL.Component(['vcalendar', [], []] as unknown as string);
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Kolleta//Steps of the workshop//EN');
  calendar.addPropertyWithValue('x-wr-calname', workshop);
  const names = new Map(jobs.map(({ id, name }) => [id, name]));
  const add = (uid: string, start: number, end: number, summary: string, description: string | undefined, before: number) => {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${encodeURIComponent(uid)}@kolleta`);
    event.addPropertyWithValue('dtstamp', utcTime(now));
    event.addPropertyWithValue('dtstart', utcTime(start));
    event.addPropertyWithValue('dtend', utcTime(end));
    event.addPropertyWithValue('summary', summary);
    if (description) event.addPropertyWithValue('description', description);
    event.addSubcomponent(alarm(before, summary));
    calendar.addSubcomponent(event);
  };
  for (const { step, spans, state } of steps) {
    if (state !== 'waiting') continue;
    // a step that pauses goes on later
    spans.forEach(({ start, end }, i) =>
      add(`${step.id}${i > 0 ? `+${i}` : ''}`, start, end, `${stepTitle(step)}${i > 0 ? ' (go on)' : ''}`, names.get(step.job), 0),
    );
  }
  for (const { id, name, deadline } of jobs)
    if (deadline !== undefined && deadline > now)
      add(`${id}/date`, deadline, deadline + 15 * MINUTE_MS, `${name}: wanted`, undefined, 24 * 60);
  return `${calendar.toString()}\r\n`;
}
