import ICAL from 'ical.js';
import { MINUTE_MS } from '../units';
import { stepTitle } from '../words';
import type { JobId } from '../job';
import type { PlacedStep } from '../schedule';

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
