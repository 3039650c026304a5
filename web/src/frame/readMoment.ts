import { TZDate } from '@date-fns/tz';
import { casual } from 'chrono-node/en';
import { formatMoment } from '@kolleta/core/schedule';
import { good, refused, type Result } from '@kolleta/core/units';

/** The hour that is meant where only a day is named. */
const CLOSING = 17;
const HALF_YEAR_MS = 182 * 24 * 3_600_000;

/** A moment as one says it, with the year where it is far off: "Fri 4 Dec 17:00", "Fri 3 Dec 2027 17:00". */
export function sayMoment(at: number, zone: string, now: number): string {
  const said = formatMoment(at, zone);
  return Math.abs(at - now) < HALF_YEAR_MS || !Number.isFinite(at)
    ? said
    : said.replace(/ (\d\d:\d\d)$/, ` ${new TZDate(at, zone).getFullYear()} $1`);
}

/**
 * Reads a moment as it is spoken: "Fri 4 Dec, 17:00", "friday 5pm", "tomorrow noon", "in 3 days", "2026-12-04 17:00".
 *
 * @param now UTC ms, from which "tomorrow" counts
 * @returns UTC ms in the workshop's zone; a day alone means five in the afternoon; nothing and "no date" mean none
 */
export function readMoment(text: string, zone: string, now: number): Result<number | undefined> {
  const plain = text.trim();
  if (plain === '' || /^(no date|none|never|-|–)$/i.test(plain)) return good(undefined);
  const here = new TZDate(now, zone);
  // chrono counts in the device's own clock: it is given the wall clock of the workshop, and its answer is read as that
  const wall = new Date(here.getFullYear(), here.getMonth(), here.getDate(), here.getHours(), here.getMinutes());
  const [found, more] = casual.parse(plain, wall, { forwardDate: true });
  if (!found || more || !/[\d\p{L}]/u.test(found.text))
    return refused(`“${plain}” is not a day.`, 'a day and a time', 'Wanted', 'Type it as fri 4 dec 17:00, friday 5pm, or tomorrow noon.');
  const start = found.start;
  const part = (name: 'year' | 'month' | 'day' | 'hour' | 'minute') => start.get(name) ?? 0;
  const timed = start.isCertain('hour');
  const at = new TZDate(
    part('year'),
    part('month') - 1,
    part('day'),
    timed ? part('hour') : CLOSING,
    timed ? part('minute') : 0,
    zone,
  ).getTime();
  return good(at);
}
