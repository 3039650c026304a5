import { TZDate } from '@date-fns/tz';
import ICAL from 'ical.js';
import { good, MINUTE_MS, refused, type Result } from '../units';

/** Time off as a calendar has it, UTC ms. */
export interface SpanOff {
  readonly start: number;
  readonly end: number;
  readonly name?: string;
}

/** What was read of a calendar, and the entries that were not taken, each with its reason. */
export interface DaysOff {
  readonly spans: readonly SpanOff[];
  readonly leftOut: readonly string[];
}

/** Larger files are no calendar of days off, characters. */
const MOST_TEXT = 5_000_000;
/** No more spans than this are taken. */
export const MOST_OFF = 400;
/** What repeats is followed by so many steps at most, of one entry and of a whole file. */
const MOST_STEPS = { entry: 20_000, file: 100_000 };
/** Further apart than any two clocks of the same moment. */
const TWO_DAYS_MS = 2 * 24 * 60 * MINUTE_MS;
/** Names are cut there. */
const MOST_NAME = 120;

/** An entry repeats in a way that cannot be followed: too often for too long, or at times that never come. */
class TooManySteps extends Error {}

/** Steps that may still be taken. */
const left = { entry: 0, file: 0 };
function step(): void {
  left.entry -= 1;
  left.file -= 1;
  if (left.entry < 0 || left.file < 0) throw new TooManySteps();
}

/** The library's iterator goes on for ever where nothing fits; this one counts its steps. */
class CountedIterator extends ICAL.RecurIterator {
  override check_contracting_rules(): boolean {
    step();
    return super.check_contracting_rules();
  }
  override increment_year(by: number): void {
    step();
    super.increment_year(by);
  }
}
// entries and the zones that a file describes are followed by the same rules
ICAL.Recur.prototype.iterator = function (this: ICAL.Recur, dtstart: ICAL.Time) {
  return new CountedIterator({ rule: this, dtstart });
};

const zones = new Map<string, boolean>();
/** Whether a zone is one that the clock knows. */
function isZone(zone: string): boolean {
  if (!zones.has(zone)) {
    try {
      new Intl.DateTimeFormat('en', { timeZone: zone });
      zones.set(zone, true);
    } catch {
      zones.set(zone, false);
    }
  }
  return zones.get(zone)!;
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

const textOf = (component: ICAL.Component, property: string): string => String(component.getFirstPropertyValue(property) ?? '');
const zoneOf = (component: ICAL.Component, property: string) =>
  component.getFirstProperty(property)?.getFirstParameter('tzid') as string | undefined;
const isGone = (event: ICAL.Component): boolean =>
  /^cancelled$/i.test(textOf(event, 'status')) || /^transparent$/i.test(textOf(event, 'transp'));
const nameOf = (event: ICAL.Component): string => textOf(event, 'summary').slice(0, MOST_NAME);

/** An entry that repeats, with the times of it that were moved or cancelled. */
interface Series {
  readonly master?: ICAL.Component;
  readonly moved: readonly ICAL.Component[];
}

/** Entries by what they belong to: a moved time of one never moves another's. */
function seriesOf(events: readonly ICAL.Component[]): Series[] {
  const byUid = new Map<string, ICAL.Component[]>();
  const single: ICAL.Component[] = [];
  for (const event of events) {
    const uid = textOf(event, 'uid');
    if (uid === '') single.push(event);
    else if (byUid.has(uid)) byUid.get(uid)!.push(event);
    else byUid.set(uid, [event]);
  }
  const groups = [...byUid.values()].flatMap((own): Series[] => {
    const moved = own.filter((event) => event.hasProperty('recurrence-id'));
    const masters = own.filter((event) => !event.hasProperty('recurrence-id'));
    return masters.length === 0 ? [{ moved }] : masters.map((master, i) => ({ master, moved: i === 0 ? moved : [] }));
  });
  return [...groups, ...single.map((master): Series => ({ master, moved: [] }))];
}

/** The times of one series that lie in a stretch of time, handed on one by one until nobody wants more. */
function follow({ master, moved }: Series, zone: string, from: number, until: number, take: (span: SpanOff) => boolean): void {
  // what is long over is passed by without a look at the clock
  const longOver = (last: ICAL.Time) => last.toUnixTime() * 1000 < from - TWO_DAYS_MS;
  const put = (component: ICAL.Component, first: ICAL.Time, last: ICAL.Time, as = component) => {
    if (longOver(last)) return { start: -Infinity, goesOn: true };
    const [start, end] = [
      instantOf(first, zoneOf(component, 'dtstart'), zone),
      instantOf(last, zoneOf(component, component.hasProperty('dtend') ? 'dtend' : 'dtstart'), zone),
    ];
    const name = nameOf(as);
    const wanted = end > start && end > from && start < until && !isGone(as);
    return { start, goesOn: !wanted || take({ start, end, ...(name ? { name } : {}) }) };
  };
  for (const component of moved) {
    const event = new ICAL.Event(component, { exceptions: [] });
    if (!put(component, event.startDate, event.endDate).goesOn) return;
  }
  if (!master || isGone(master)) return;
  const event = new ICAL.Event(master, { strictExceptions: true, exceptions: [...moved] });
  if (!event.isRecurring()) return void put(master, event.startDate, event.endDate);
  const own = zoneOf(master, 'dtstart');
  const elsewhere = new Set(
    moved.map((one) => instantOf(one.getFirstPropertyValue('recurrence-id') as ICAL.Time, zoneOf(one, 'recurrence-id') ?? own, zone)),
  );
  const rules = master.getAllProperties('rrule').map((rule) => rule.getFirstValue() as ICAL.Recur);
  // the library takes a day that no month has for one of the next
  const months = rules.length === 1 ? (rules[0]!.parts as { BYMONTH?: number[] }).BYMONTH : undefined;
  const times = event.iterator();
  for (;;) {
    step();
    const next = times.next() as ICAL.Time | undefined;
    if (!next) return;
    if (months && !months.includes(next.month)) continue;
    const { startDate, endDate, item } = event.getOccurrenceDetails(next);
    if (longOver(endDate) || elsewhere.has(instantOf(next, own, zone))) continue;
    const { start, goesOn } = put(master, startDate, endDate, item.component);
    if (!goesOn || start >= until) return;
  }
}

/**
 * Reads days and hours off from a calendar file (iCalendar, RFC 5545). Entries that repeat are followed, each with its own exceptions; those that are
 * cancelled, or that say that one is free meanwhile, are left out.
 *
 * @param text of the file
 * @param name of the file, for what is said of it
 * @param zone the workshop's
 * @param from what ends before is left out, UTC ms
 * @param until what begins after is left out
 * @returns spans by their start; refused where it is no calendar or has nothing in that time
 */
export function readDaysOff(text: string, name: string, zone: string, from: number, until: number): Result<DaysOff> {
  const wrong = (found: string) =>
    refused(found, 'a calendar file (.ics)', name, 'Export the calendar again, or type the days. Nothing was changed.');
  if (text.length > MOST_TEXT) return wrong(`“${name}” is too large for days off.`);
  left.file = MOST_STEPS.file;
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
  const leftOut: string[] = [];
  for (const series of seriesOf(events)) {
    left.entry = MOST_STEPS.entry;
    try {
      follow(series, zone, from, until, (span) => spans.push(span) <= MOST_OFF);
    } catch (error) {
      const which = nameOf(series.master ?? series.moved[0]!);
      leftOut.push(
        `${which ? `“${which}”` : 'An entry without a name'} ${error instanceof TooManySteps ? 'repeats in a way that takes too long to follow' : 'has no time that can be read'}`,
      );
    }
    if (spans.length > MOST_OFF) break;
  }
  if (spans.length === 0)
    return refused(
      `“${name}” has no days off in the months to come.`,
      'entries that take time',
      name,
      [
        ...leftOut.slice(0, 3).map((one) => `${one}.`),
        events.length > leftOut.length ? 'Its entries are over, cancelled, or leave one free.' : '',
        'Choose another calendar.',
      ]
        .filter((one) => one !== '')
        .join(' '),
    );
  if (spans.length > MOST_OFF)
    return refused(
      `“${name}” has more than ${MOST_OFF} entries.`,
      'days off',
      name,
      'Choose a calendar of days off only. Nothing was changed.',
    );
  return good({ spans: spans.toSorted((a, b) => a.start - b.start || a.end - b.end), leftOut });
}
