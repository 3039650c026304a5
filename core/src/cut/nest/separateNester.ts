import type { Nester } from './nester';
import { Separation } from './separate';
import { skyline } from './skyline';

/**
 * Lays the true outlines of parts on the first sheet, taken for a roll's free end, by guided separation: it begins with the boxes, and goes on
 * for so many rounds. Holes take smaller parts.
 */
export const separate: Nester = (parts, sheets, options, { rounds, seed }) => {
  const start = skyline(parts, sheets, options, { rounds, seed });
  const [sheet] = sheets;
  if (!sheet || start.nested.length === 0) return start;
  const search = new Separation(parts, sheet, options, start, seed);
  for (let round = 0; round < rounds; round++) search.round();
  return search.length < Infinity ? { nested: search.nested(), tooLarge: start.tooLarge } : start;
};
