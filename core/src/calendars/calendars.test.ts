import { expect, describe, it } from '@jest/globals';
import nodeIcal from 'node-ical';
import { calendarFile as file } from '../../test/calendarFile';
import { DEMO_START, demoWorkshop } from '../../test/sampleJobs';
import { shippedFaces } from '../../test/faces';
import { planWorkshop } from '../plan';
import { stepTitle } from '../words';
import { MOST_OFF, readDaysOff } from './readDaysOff';
import { writeCalendar } from './writeCalendar';

const ZONE = 'Europe/Dublin';
const NOW = Date.parse('2026-12-01T09:40:00Z');
const UNTIL = Date.parse('2027-06-01T00:00:00Z');
const read = (text: string, zone = ZONE) => readDaysOff(text, 'off.ics', zone, NOW, UNTIL);
const spans = (text: string, zone?: string) => {
  const found = read(text, zone);
  if (!found.ok) throw new Error(found.problem.found);
  return found.value.spans.map(({ start, end, name }) => [new Date(start).toISOString(), new Date(end).toISOString(), name]);
};
const problem = (text: string) => {
  const found = read(text);
  if (found.ok) throw new Error('read');
  return found.problem;
};

describe('days off from a calendar', () => {
  it('are whole days of the workshop, in winter and in summer', () => {
    expect(spans(file('SUMMARY:Christmas\nDTSTART;VALUE=DATE:20261224\nDTEND;VALUE=DATE:20261228'))).toEqual([
      ['2026-12-24T00:00:00.000Z', '2026-12-28T00:00:00.000Z', 'Christmas'],
    ]);
    // a day without an end is one day; in summer it begins an hour earlier by UTC
    expect(spans(file('DTSTART;VALUE=DATE:20270503'))).toEqual([['2027-05-02T23:00:00.000Z', '2027-05-03T23:00:00.000Z', undefined]]);
    expect(spans(file('DTSTART;VALUE=DATE:20261224'), 'America/Chicago')[0]![0]).toBe('2026-12-24T06:00:00.000Z');
  });
  it('are hours in UTC, in a zone that is known, in one that the file describes, and in none', () => {
    expect(spans(file('DTSTART:20261203T140000Z\nDTEND:20261203T160000Z'))[0]!.slice(0, 2)).toEqual([
      '2026-12-03T14:00:00.000Z',
      '2026-12-03T16:00:00.000Z',
    ]);
    expect(spans(file('DTSTART;TZID=America/New_York:20261203T090000\nDURATION:PT2H'))[0]!.slice(0, 2)).toEqual([
      '2026-12-03T14:00:00.000Z',
      '2026-12-03T16:00:00.000Z',
    ]);
    expect(spans(file('DTSTART:20270503T090000\nDTEND:20270503T100000'))[0]![0]).toBe('2027-05-03T08:00:00.000Z');
    const own = file('DTSTART;TZID=Shed time:20261203T090000\nDTEND;TZID=Shed time:20261203T100000').replace(
      'BEGIN:VEVENT',
      [
        'BEGIN:VTIMEZONE',
        'TZID:Shed time',
        'BEGIN:STANDARD',
        'DTSTART:19700101T000000',
        'TZOFFSETFROM:+0300',
        'TZOFFSETTO:+0300',
        'END:STANDARD',
        'END:VTIMEZONE',
        'BEGIN:VEVENT',
      ].join('\r\n'),
    );
    expect(spans(own)[0]![0]).toBe('2026-12-03T06:00:00.000Z');
  });
  it('are followed where they repeat, but for the times that are left out', () => {
    const weekly = file(
      'SUMMARY:Market\nDTSTART;TZID=Europe/Dublin:20261001T090000\nDTEND;TZID=Europe/Dublin:20261001T120000\nRRULE:FREQ=WEEKLY;UNTIL=20270430T000000Z\nEXDATE;TZID=Europe/Dublin:20261210T090000',
    );
    const found = spans(weekly);
    expect(found[0]).toEqual(['2026-12-03T09:00:00.000Z', '2026-12-03T12:00:00.000Z', 'Market']);
    expect(found.map(([start]) => start)).not.toContain('2026-12-10T09:00:00.000Z');
    // by the clock on the wall, once it is summer too
    expect(found.at(-1)![0]).toBe('2027-04-29T08:00:00.000Z');
    expect(spans(file('DTSTART;VALUE=DATE:20200101\nRRULE:FREQ=YEARLY')).map(([start]) => start)).toEqual(['2027-01-01T00:00:00.000Z']);
  });
  it('leave out what is over, cancelled or leaves one free, and say where nothing is left', () => {
    const gone = [
      'DTSTART;VALUE=DATE:20261224\nSTATUS:CANCELLED',
      'DTSTART;VALUE=DATE:20261225\nTRANSP:TRANSPARENT',
      'DTSTART;VALUE=DATE:20251224',
    ];
    expect(problem(file(...gone)).found).toBe('“off.ics” has no days off in the months to come.');
    expect(spans(file(...gone, 'DTSTART;VALUE=DATE:20261226'))).toHaveLength(1);
    expect(problem(file()).wayOut).toBe('Choose another calendar.');
  });
  it.each([
    ['no calendar', 'hello'],
    ['nothing', ''],
    ['cut off', file('DTSTART;VALUE=DATE:20261224').slice(0, 70)],
    ['a picture', '\u0089PNG\r\n\u001a\n'],
    ['an endless one', 'BEGIN:VCALENDAR\r\n'.repeat(300_000)],
  ])('refuse %s with the way out', (_what, text) => {
    const found = problem(text);
    expect(found.wayOut).toMatch(/calendar/i);
  });
  it('refuse a calendar of very many entries, and follow none for ever', () => {
    const many = file(
      ...Array.from(
        { length: MOST_OFF + 1 },
        (_, i) =>
          `DTSTART:202612${String(3 + (i % 25)).padStart(2, '0')}T140000Z\nDTEND:202612${String(3 + (i % 25)).padStart(2, '0')}T150000Z`,
      ),
    );
    expect(problem(many).found).toContain(`more than ${MOST_OFF}`);
    expect(problem(file('DTSTART:20261203T140000Z\nDTEND:20261203T140001Z\nRRULE:FREQ=SECONDLY')).found).toContain(`more than ${MOST_OFF}`);
    // an entry without a start, or with a senseless one, does not keep the others from being read, and is named
    const some = read(file('SUMMARY:when?', 'DTSTART:99999999', 'DTSTART;VALUE=DATE:20261226'));
    expect(some.ok && [some.value.spans.length, some.value.leftOut]).toEqual([
      1,
      ['“when?” has no time that can be read', 'An entry without a name has no time that can be read'],
    ]);
  });
  it.each([
    'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30',
    'FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30',
    'FREQ=WEEKLY;BYMONTH=2;BYDAY=MO;INTERVAL=520',
    'FREQ=HOURLY;BYMONTHDAY=31;BYMONTH=4',
    'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
    'FREQ=MONTHLY;BYMONTHDAY=31;BYMONTH=6',
    'FREQ=MINUTELY;BYMONTH=1;UNTIL=20261231T000000Z',
  ])('what repeats by %s ends, and the others are taken', (rule) => {
    const found = read(
      file(`SUMMARY:Never\nDTSTART:20200101T090000Z\nDTEND:20200101T093000Z\nRRULE:${rule}`, 'DTSTART;VALUE=DATE:20261226'),
    );
    expect(found.ok && found.value.spans.length).toBe(1);
    // what ends by itself is over; what does not is named
    const endless = /DAILY|SECONDLY|HOURLY|MINUTELY/.test(rule);
    if (endless) expect(found.ok && found.value.leftOut).toEqual(['“Never” repeats in a way that takes too long to follow']);
    // a zone of the file may be told by such a rule as well
    const zoned = file('DTSTART;TZID=Shed:20261203T090000\nDTEND;TZID=Shed:20261203T100000', 'DTSTART;VALUE=DATE:20261226').replace(
      'BEGIN:VEVENT',
      [
        ...['BEGIN:VTIMEZONE', 'TZID:Shed', 'BEGIN:STANDARD', 'DTSTART:20200101T000000', `RRULE:${rule}`],
        ...['TZOFFSETFROM:+0300', 'TZOFFSETTO:+0300', 'END:STANDARD', 'END:VTIMEZONE', 'BEGIN:VEVENT'],
      ].join('\r\n'),
    );
    const there = read(zoned);
    expect(there.ok && there.value.spans.map(({ start }) => new Date(start).toISOString())).toContain('2026-12-26T00:00:00.000Z');
  });
  it('what has repeated for years is followed to the days to come, and very many entries are read', () => {
    const daily = spans(file('DTSTART;TZID=Europe/Dublin:20190101T130000\nDTEND;TZID=Europe/Dublin:20190101T140000\nRRULE:FREQ=DAILY'));
    expect(daily[0]![0]).toBe('2026-12-01T13:00:00.000Z');
    expect(daily).toHaveLength(182);
    const over = Array.from({ length: 16_000 }, (_, i) => `DTSTART;VALUE=DATE:2025${String(1 + (i % 12)).padStart(2, '0')}10`);
    expect(spans(file(...over, 'DTSTART;VALUE=DATE:20261226'))).toHaveLength(1);
  });
  it('a time that is moved or cancelled is its own entry’s, told by its id', () => {
    const series = (uid: string, name: string, at: string) =>
      `UID:${uid}\nSUMMARY:${name}\nDTSTART:20261203T${at}Z\nDURATION:PT1H\nRRULE:FREQ=DAILY;COUNT=3`;
    const entries = (...own: string[]) => file(...own).replaceAll(/UID:\d+\r\nUID/g, 'UID');
    const market = series('m', 'Market', '090000');
    const moved = 'UID:m\nSUMMARY:Market\nRECURRENCE-ID:20261204T090000Z\nDTSTART:20261204T200000Z\nDURATION:PT30M';
    const gone = 'UID:m\nSTATUS:CANCELLED\nRECURRENCE-ID:20261205T090000Z\nDTSTART:20261205T090000Z\nDURATION:PT1H';
    // the other begins at the same moments, and keeps them
    const found = spans(entries(market, series('o', 'Other', '090000'), moved, gone));
    const of = (name: string) =>
      found.filter(([, , one]) => one === name).map(([start, end]) => `${start!.slice(8, 16)} ${end!.slice(11, 16)}`);
    expect(of('Market')).toEqual(['03T09:00 10:00', '04T20:00 20:30']);
    expect(of('Other')).toEqual(['03T09:00 10:00', '04T09:00 10:00', '05T09:00 10:00']);
    // told by another zone’s clock it is the same time; without its entry it is one by itself
    const elsewhere = moved.replace('RECURRENCE-ID:20261204T090000Z', 'RECURRENCE-ID;TZID=Europe/Paris:20261204T100000');
    expect(spans(entries(market, elsewhere))).toHaveLength(3);
    expect(spans(entries(moved))).toEqual([['2026-12-04T20:00:00.000Z', '2026-12-04T20:30:00.000Z', 'Market']]);
  });
});

describe('the calendar of the workshop', () => {
  it('has each step to come with its alarm, and each date, as another reader reads it', () => {
    const { shop, jobs, events } = demoWorkshop();
    const plan = planWorkshop(jobs, shop, events, DEMO_START, shippedFaces());
    const text = writeCalendar(plan.schedule.steps, jobs, shop.name, DEMO_START);
    const entries = Object.values(nodeIcal.sync.parseICS(text)).filter((one) => one.type === 'VEVENT');
    const waiting = plan.schedule.steps.filter(({ state }) => state === 'waiting');
    const dates = jobs.filter(({ deadline }) => deadline !== undefined && deadline > DEMO_START);
    expect(entries).toHaveLength(waiting.reduce((sum, { spans: own }) => sum + own.length, 0) + dates.length);
    for (const { step, start, end, spans: own } of waiting.filter((s) => s.spans.length === 1)) {
      const entry = entries.find(({ uid }) => uid === `${encodeURIComponent(step.id)}@kolleta`)!;
      expect([entry.start.getTime(), entry.end.getTime(), entry.summary]).toEqual([start, end, stepTitle(step)]);
      expect(entry.description).toBe(jobs.find(({ id }) => id === step.job)!.name);
      expect(own).toHaveLength(1);
    }
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(entries.length);
    // lines end as they have to and are no longer than may be
    for (const line of text.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
  });
  it('keeps names with commas, quotes and letters of any script whole', () => {
    const text = writeCalendar(
      [],
      [{ id: 'j', name: 'Größe; "Zwölf, ja" \u0645\u0631\u062d\u0628\u0627', deadline: NOW + 864e5 }],
      'A; B, C',
      NOW,
    );
    const [entry] = Object.values(nodeIcal.sync.parseICS(text)).filter((one) => one.type === 'VEVENT');
    expect(entry!.summary).toBe('Größe; "Zwölf, ja" \u0645\u0631\u062d\u0628\u0627: wanted');
  });
});
