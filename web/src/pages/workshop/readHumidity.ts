import { good, refused } from '@kolleta/core/units';

/** Relative humidity as it is typed in percent, from 0 to 1. */
export function readHumidity(text: string) {
  const n = Number(text.replace('%', '').trim());
  return text.trim() !== '' && Number.isFinite(n) && n >= 0 && n <= 99
    ? good(n / 100)
    : refused(`"${text}" is not a humidity.`, '0 to 99 %', 'Humidity', 'Type percent, such as 55.');
}
