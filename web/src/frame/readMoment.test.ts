import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readMoment, sayMoment } from './readMoment';
import { law } from '../../../core/test/depth';

/** Tuesday 1 December 2026, 09:40 in Dublin. */
const NOW = Date.parse('2026-12-01T09:40:00Z');
const read = (text: string, zone = 'Europe/Dublin') => {
  const result = readMoment(text, zone, NOW);
  return result.ok ? (result.value === undefined ? 'none' : new Date(result.value).toISOString()) : 'refused';
};

describe('a moment as it is spoken', () => {
  it.each([
    ['Fri 4 Dec, 17:00', '2026-12-04T17:00:00.000Z'],
    ['friday 5pm', '2026-12-04T17:00:00.000Z'],
    ['Fri 4 Dec 17:00', '2026-12-04T17:00:00.000Z'],
    ['friday', '2026-12-04T17:00:00.000Z'],
    ['tomorrow noon', '2026-12-02T12:00:00.000Z'],
    ['2026-12-05 12:00', '2026-12-05T12:00:00.000Z'],
    ['2026-12-05T12:00', '2026-12-05T12:00:00.000Z'],
    ['4 july 2027 6pm', '2027-07-04T17:00:00.000Z'],
    ['', 'none'],
    ['no date', 'none'],
    ['soonish', 'refused'],
    ['glass', 'refused'],
  ])('“%s”', (text, at) => expect(read(text)).toBe(at));
  it('is of the workshop’s zone, not of the device', () => {
    expect(read('friday 5pm', 'America/Chicago')).toBe('2026-12-04T23:00:00.000Z');
    expect(read('friday 5pm', 'Asia/Kolkata')).toBe('2026-12-04T11:30:00.000Z');
    // past midnight there, it is already Wednesday
    expect(read('today 8pm', 'Pacific/Kiritimati')).toBe('2026-12-01T06:00:00.000Z');
  });
  it('what is shown is read again as it was, in any zone', () => {
    const minute = fc.integer({ min: 1, max: 400 * 24 * 60 });
    fc.assert(
      fc.property(minute, fc.constantFrom('Europe/Dublin', 'America/Chicago', 'Asia/Kolkata', 'Australia/Sydney'), (minutes, zone) => {
        const at = NOW + minutes * 60_000;
        const again = readMoment(sayMoment(at, zone, NOW), zone, NOW);
        // in the hour that comes twice when clocks go back either is meant
        expect(again.ok && Math.abs(again.value! - at) % 3_600_000).toBe(0);
        expect(again.ok && Math.abs(again.value! - at)).toBeLessThanOrEqual(3_600_000);
      }),
      law(200),
    );
  });
});
