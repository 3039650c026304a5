import { good, parseNumber } from '@kolleta/core/units';

/** Relative humidity as it is typed in percent, from 0 to 1. */
export function readHumidity(text: string) {
  const percent = parseNumber(text, 'Humidity', { least: 0, most: 99, units: ['%'] });
  return percent.ok ? good(percent.value / 100) : percent;
}
