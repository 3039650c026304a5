import { testStep } from '../../test/steps';
import { describe, expect, it } from '@jest/globals';
import { plateJob, textMark } from '../../test/sampleJobs';
import type { JobSchedule } from './solve';
import { formatMoment, formatTime, scheduleReadings } from './scheduleReadings';

const ZONE = 'Europe/Dublin';
const pack = testStep('j/pack', { kind: 'pack', about: { kind: 'pack', pieces: { count: 1, name: 'glass' } } });
const PACKED = Date.parse('2026-12-03T11:30:00Z');
const H = 3_600_000;
const schedule = (more: Partial<JobSchedule> = {}): JobSchedule => ({
  job: 'j',
  steps: [{ step: pack, start: PACKED - H, end: PACKED, spans: [], state: 'waiting' }] as never,
  packed: PACKED,
  packedAlone: PACKED,
  care: [],
  broken: [],
  late: false,
  ready: 'packed' in more ? more.packed : PACKED,
  ...more,
});
const read = (deadline: number | undefined, own = schedule()) =>
  scheduleReadings(plateJob(textMark('x'), deadline === undefined ? {} : { deadline }), own, ZONE);

describe('moments', () => {
  it('are written in the workshop’s zone, summer and winter', () => {
    expect(formatMoment(PACKED, ZONE)).toBe('Thu 3 Dec 11:30');
    expect(formatMoment(Date.parse('2026-07-03T11:30:00Z'), ZONE)).toBe('Fri 3 Jul 12:30');
    expect(formatTime(Date.parse('2026-12-03T00:05:00Z'), ZONE)).toBe('00:05');
  });
});

describe('packed in time', () => {
  it('without a date it takes its turn', () => expect(read(undefined)[0]).toMatchObject({ verdict: 'fine', limit: 'no date asked' }));
  it('in time says what is to spare and when to begin at the latest', () => {
    const [reading] = read(PACKED + 5 * H, schedule({ latestStart: PACKED }));
    expect(reading).toMatchObject({ verdict: 'fine', value: 'Thu 3 Dec 11:30' });
    expect(reading!.why).toBe('5 h to spare; begin by Thu 3 Dec 11:30 at the latest.');
  });
  it('to the minute is in time', () => expect(read(PACKED)[0]!.verdict).toBe('fine'));
  it('late by other jobs offers to go first', () => {
    const [reading] = read(PACKED - 2 * H, schedule({ holdup: { kind: 'others' }, packedAlone: PACKED - 9 * H }));
    expect(reading!.why).toMatch(/^Late: packed 2 h after/);
    expect(reading!.remedies.map((c) => c.label)).toEqual(['Do this job first', 'Agree on Thu 3 Dec 12:00']);
  });
  it('impossible by a wait names it, and only another date helps', () => {
    const [reading] = read(
      PACKED - 2 * H,
      schedule({ holdup: { kind: 'waits', minutes: 240, until: { why: 'beforeFilm', coat: 'waterStain' } } }),
    );
    expect(reading!.why).toMatch(/^Impossible: .*water stain dries before film/);
    expect(reading!.remedies).toHaveLength(1);
    expect(reading!.advice).toMatch(/warmer/);
  });
  it('goes by what it is wanted as: a first wash comes days after it is packed', () => {
    const asked = (deadline: number) =>
      scheduleReadings(plateJob(textMark('x'), { deadline, wantedAs: 'washed' }), schedule({ ready: PACKED + 72 * H }), ZONE)[0]!;
    expect(asked(PACKED + 80 * H)).toMatchObject({ verdict: 'fine', title: 'Fit for water in time', value: 'Sun 6 Dec 11:30' });
    const late = asked(PACKED + 60 * H);
    expect(late.verdict).toBe('stop');
    expect(late.why).toMatch(/fit for water 12 h after it is wanted/);
    expect(late.remedies.at(-1)!.label).toBe('Agree on Sun 6 Dec 12:00');
  });
  it('no room in the calendar is a stop that names the step', () =>
    expect(read(PACKED, schedule({ steps: [], packed: undefined, unplaced: pack }))[0]).toMatchObject({
      verdict: 'stop',
      value: 'never',
      why: expect.stringContaining('“Check, wrap and label the glass” finds no room'),
    }));
  it('a wait that ran out is a watch at its station', () => {
    const missed = read(PACKED, schedule({ broken: [{ step: 'j/pack', after: 'j/place', why: 'halfDry' }] }))[1];
    expect(missed).toMatchObject({ id: 'missed:j/pack', verdict: 'watch', station: 'cure', value: 'Check, wrap and label the glass' });
  });
});
