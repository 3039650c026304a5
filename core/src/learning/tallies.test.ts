import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { demoWorkshop } from '../../test/sampleJobs';
import type { WorkEvent } from '../job';
import { lastTimeOf, lastTimeWords } from './lastTime';
import { filmByWeek, spoilageByCause, workTallies } from './tallies';
import { tookByJob } from './took';

const { events } = demoWorkshop({ past: true });
const DAY = 86_400_000;

describe('what the log adds up to', () => {
  it('counts every timed run once: by kind of work, and by job', () => {
    const timed = events.filter((event) => event.kind === 'done' && event.work && event.timed);
    const tallies = workTallies(events);
    expect(tallies.reduce((sum, { runs }) => sum + runs, 0)).toBe(timed.length);
    const by = tookByJob(events);
    const steps = events.filter(({ kind }) => kind === 'done').length;
    expect([...by.values()].reduce((sum, { steps: own }) => sum + own, 0)).toBe(steps);
    expect(by.get('gig-mugs')!.wrong).toBe(2);
    // taken back it counts no more
    const back: WorkEvent = { id: 'r', at: events.at(-1)!.at + 1, kind: 'reversed', event: timed[0]!.id };
    expect(workTallies([...events, back]).reduce((sum, { runs }) => sum + runs, 0)).toBe(timed.length - 1);
  });
  it('tells causes apart, with the pieces that they cost', () => {
    const causes = spoilageByCause(events);
    expect(causes.reduce((sum, { times }) => sum + times, 0)).toBe(events.filter(({ kind }) => kind === 'wrong').length);
    expect(causes.find(({ cause }) => cause === 'It sits crooked')).toMatchObject({ times: 1, pieces: 1 });
  });
  it('keeps all film in its weeks, each from a Monday, none left out between', () => {
    const cut = (at: number, area: number): WorkEvent => ({
      ...{ id: `c${at}`, at, kind: 'cut', job: 'j', step: 'j/cut', film: at % 2 ? 'a' : 'b', length: 10, area },
    });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 20_000, max: 20_200 }), fc.nat(90_000)), { minLength: 1, maxLength: 20 }), (cuts) => {
        const weeks = filmByWeek(
          cuts.map(([day, area], i) => cut(day * DAY + i, area)),
          () => 300,
        );
        const sum = weeks.reduce((all, { areas }) => all + [...areas.values()].reduce((a, b) => a + b, 0), 0);
        expect(sum).toBe(cuts.reduce((all, [, area]) => all + area, 0));
        weeks.forEach(({ monday }, i) => {
          expect(new Date(monday * DAY).getUTCDay()).toBe(1);
          if (i > 0) expect(monday - weeks[i - 1]!.monday).toBe(7);
        });
      }),
    );
    // an older entry knows only its length
    expect([...filmByWeek([{ ...cut(20_000 * DAY, 0), area: undefined } as WorkEvent], () => 300)[0]!.areas.values()]).toEqual([3000]);
    expect(filmByWeek([], () => 1)).toEqual([]);
  });
});

describe('the last time', () => {
  const step = (kind: 'weed' | 'place', of: object) => ({ id: 'new/step', kind, of });
  it('is of the same work and film: what went wrong first, then notes, then how long it took', () => {
    const found = lastTimeOf(events, step('weed', { film: 'glitter', technique: 'decal' }));
    expect(found.notes.map(({ note }) => note)).toEqual(['Glitter tears unless the waste is pulled flat.']);
    expect(lastTimeOf(events, step('weed', { film: 'permanent', technique: 'decal' })).notes).toEqual([]);
    const words = lastTimeWords(
      lastTimeOf(events, step('place', { film: 'permanent', technique: 'decal', ground: 'bareMetal' })),
      'Europe/Dublin',
    );
    expect(words[0]).toMatch(/^On Wed 18 Nov it went wrong: it sits crooked\. You noted: The foot stop/);
    expect(words.at(-1)).toMatch(/^Last time, on Thu 26 Nov, it took \d+ min; 16 min were planned\.$/);
  });
  it('is nothing for work that was never done, and not the step’s own', () => {
    expect(lastTimeOf(events, { id: 'x', kind: 'etch' })).toEqual({ wrongs: [], notes: [] });
    const own = events.find((event) => event.kind === 'wrong')!;
    const again = lastTimeOf([own], { id: 'step' in own ? own.step : '', kind: 'tape' });
    expect(again.wrongs).toEqual([]);
  });
});
