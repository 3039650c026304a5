import { TZDate } from '@date-fns/tz';
import { refused, good, type Result } from '@kolleta/core/units';

/** A moment as the text of a date-and-time field, in the workshop's zone. */
export function toField(at: number, zone: string): string {
  if (!Number.isFinite(at)) return '';
  const d = new TZDate(at, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`;
}

/** The moment that a date-and-time field shows, in the workshop's zone. */
export function fromField(text: string, zone: string): Result<number> {
  const match = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(text);
  if (!match) return refused('That is not a date and time.', 'a date and a time', 'Wanted', 'Choose a day and a time.');
  const [y, mo, d, h, mi] = match.slice(1).map(Number) as [number, number, number, number, number];
  return good(new TZDate(y, mo - 1, d, h, mi, zone).getTime());
}
