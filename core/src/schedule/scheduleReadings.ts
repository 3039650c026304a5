import { capital, inSentence, MINUTE_MS, formatDuration } from '../units';
import { setAt, type Job, type Reading } from '../job';
import { stepTitle, waitWords } from '../words';
import { HORIZON_DAYS, type Holdup, type JobSchedule } from './solve';

/** What stands in the place of a moment that never was: nothing on a page may fail over one. */
const NEVER = 'no date';
const isMoment = (at: number): boolean => Number.isFinite(at) && Math.abs(at) <= 8.64e15;

const formats = new Map<string, Intl.DateTimeFormat>();

/** A format of a zone, made once: making one takes longer than using it. */
function formatIn(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${zone} ${options.weekday ?? ''}`;
  const known = formats.get(key);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone: zone, ...options });
  formats.set(key, made);
  return made;
}

/** A moment for a person, in the workshop's zone: "Fri 4 Dec 17:00". */
export const formatMoment = (at: number, zone: string): string => {
  if (!isMoment(at)) return NEVER;
  const parts = formatIn(zone, { weekday: 'short', day: 'numeric', month: 'short' }).formatToParts(at);
  const get = (type: string) => parts.find((p) => p.type === type)?.value ?? '';
  return `${get('weekday')} ${get('day')} ${get('month')} ${get('hour')}:${get('minute')}`;
};

/** The day of a moment: "Fri 4 Dec". */
export const formatDate = (at: number, zone: string): string => formatMoment(at, zone).replace(/ \d\d:\d\d$/, '');

/** From so far away a moment is said by its day, ms. */
const BY_DAY_MS = 2 * 24 * 60 * MINUTE_MS;

/** Promises are made in quarters of an hour, ms. */
const QUARTER_MS = 15 * MINUTE_MS;

/** A moment that is promised, as one says it: rounded up to a quarter of an hour. */
export const formatPromise = (at: number, zone: string): string => formatMoment(Math.ceil(at / QUARTER_MS) * QUARTER_MS, zone);

/** The same, by the day when it is days away. */
export const formatDay = (at: number, zone: string, now: number): string =>
  at - now < BY_DAY_MS ? formatPromise(at, zone) : formatDate(at, zone);

/** The clock time in the workshop's zone: "17:00". */
export const formatTime = (at: number, zone: string): string => (!isMoment(at) ? NEVER : formatIn(zone, {}).format(at));

/** What holds a job up, in words. */
export function holdupWords(holdup: Holdup): string {
  switch (holdup.kind) {
    case 'waits':
      return `The longest wait is ${(holdup.minutes / 60).toFixed(1)} h until ${waitWords(holdup.until)}.`;
    case 'work':
      return 'Its hands-on work alone takes longer than is left.';
    case 'hours':
      return `Working hours: ${Math.round(holdup.minutes / 60)} h pass while the workshop is closed.`;
    case 'others':
      return 'Alone it would be packed in time; other jobs have the hands before it.';
  }
}

const AS_WANTED = { packed: 'packed', filled: 'ready to be filled', washed: 'fit for water' } as const;
const TITLES = { packed: 'Packed in time', filled: 'Ready to be filled in time', washed: 'Fit for water in time' } as const;

/**
 * Whether a job will be what it is wanted as when it is wanted, and whether a greatest wait was missed.
 *
 * @param hasHours whether there are working hours at all
 */
export function scheduleReadings(job: Job, schedule: JobSchedule, zone: string, hasHours = true): Reading[] {
  const readings: Reading[] = [];
  const base = { id: 'date' as const, station: 'cure' as const, title: TITLES[job.wantedAs ?? 'packed'] };
  const { ready } = schedule;
  if (ready === undefined) {
    readings.push({
      ...base,
      verdict: 'stop',
      value: 'never',
      limit: `within ${HORIZON_DAYS} days`,
      why: hasHours
        ? `“${schedule.unplaced ? stepTitle(schedule.unplaced) : 'A step'}” finds no room in the working hours of the next ${HORIZON_DAYS} days.`
        : 'No working hours are set, so nothing can be planned.',
      remedies: [],
      advice: 'Add working hours in Workshop.',
    });
  } else if (job.deadline === undefined) {
    readings.push({
      ...base,
      verdict: 'fine',
      value: formatPromise(ready, zone),
      limit: 'no date asked',
      why: 'It takes its turn after the jobs with a date.',
      remedies: [],
    });
  } else if (ready <= job.deadline) {
    const spare = (job.deadline - ready) / MINUTE_MS;
    readings.push({
      ...base,
      verdict: 'fine',
      value: formatPromise(ready, zone),
      limit: formatMoment(job.deadline, zone),
      why: `${formatDuration(spare)} to spare${schedule.latestStart ? `; begin by ${formatMoment(schedule.latestStart, zone)} at the latest` : ''}.`,
      remedies: [],
    });
  } else {
    const later = Math.ceil(ready / (60 * MINUTE_MS)) * 60 * MINUTE_MS;
    const first = schedule.holdup?.kind === 'others' ? [{ label: 'Do this job first', patch: setAt(['priority'], job.priority + 10) }] : [];
    readings.push({
      ...base,
      verdict: 'stop',
      value: formatPromise(ready, zone),
      limit: formatMoment(job.deadline, zone),
      why: `${schedule.holdup?.kind === 'others' ? 'Late' : 'Impossible'}: ${AS_WANTED[job.wantedAs ?? 'packed']} ${formatDuration((ready - job.deadline) / MINUTE_MS)} after it is wanted. ${schedule.holdup ? holdupWords(schedule.holdup) : ''}`,
      remedies: [...first, { label: `Agree on ${formatMoment(later, zone)}`, patch: setAt(['deadline'], later) }],
      advice: schedule.holdup?.kind === 'waits' ? 'A warmer, drier room or a faster coat shortens the wait.' : undefined,
    });
  }
  const begins = schedule.steps.filter(({ state }) => state === 'waiting').reduce((first, { start }) => Math.min(first, start), Infinity);
  const closed = schedule.steps.filter(({ state, step: { opens } }) => state === 'waiting' && opens && opens.at > begins).at(-1);
  if (closed?.step.opens)
    readings.push({
      id: 'dry',
      station: 'prepare',
      verdict: 'watch',
      title: 'Not dry yet',
      value: formatMoment(closed.step.opens.at, zone),
      limit: `before ${inSentence(stepTitle(closed.step))}`,
      why: `${capital(waitWords(closed.step.opens))}, and until then tape lifts it and its vapour lifts the film. What is planned waits for it.`,
      remedies: [],
      advice: 'A warmer, drier room shortens the wait. Say in Measure when it was put on.',
    });
  for (const missed of schedule.broken) {
    const step = schedule.steps.find((s) => s.step.id === missed.step);
    readings.push({
      id: `missed:${missed.step}`,
      station: step?.step.station ?? 'cure',
      verdict: 'watch',
      title: 'A wait ran out',
      value: step ? stepTitle(step.step) : missed.step,
      limit: waitWords(missed),
      why: 'This step comes later than is good. Go on at once, with more care than usual.',
      remedies: [],
      advice: 'What happened goes into the log with “Went wrong”.',
    });
  }
  return readings;
}
