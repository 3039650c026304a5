import { expect, it } from '@jest/globals';
import { testStep } from '../../test/steps';
import { demoWorkshop } from '../../test/sampleJobs';
import { makeAgain, type WorkEvent } from '../job';
import { logOf } from './record';
import { noteFinish } from './noting';
import { spoiledOf } from './spoiled';

const place = testStep('j/place', { kind: 'place' });
const wrong = (press: string, at: number, spoiled?: number): WorkEvent[] =>
  noteFinish([], { ...place, job: 'j' }, press, at, { wrong: { what: 'It sits crooked', again: true, ...(spoiled ? { spoiled } : {}) } });

it('pieces that were spoiled are counted with what went wrong, until that is taken back, and are never more than there are', () => {
  const set = { id: 'j', count: 12 };
  expect(spoiledOf([], set)).toEqual({ spoiled: 0, good: 12 });
  const events = [...wrong('a', 1, 2), ...wrong('b', 2), ...wrong('c', 3, 1)];
  expect(spoiledOf(events, set)).toEqual({ spoiled: 3, good: 9 });
  expect(spoiledOf(events, { id: 'other', count: 3 }).spoiled).toBe(0);
  expect(spoiledOf(events, { id: 'j', count: 2 })).toEqual({ spoiled: 2, good: 0 });
  expect(spoiledOf([...events, { id: 'x', at: 4, kind: 'reversed', event: 'a' }], set).spoiled).toBe(1);
  expect(logOf(events).map(({ what }) => what)).toContain('It sits crooked, and it cost 2 pieces');
});
it('they are planned as a job of their own, wanted with the others', () => {
  const [job] = demoWorkshop().jobs.filter(({ deadline }) => deadline !== undefined);
  expect(makeAgain(job!, 2, 'n', 'Again', 5)).toMatchObject({
    id: 'n',
    name: 'Again',
    count: 2,
    deadline: job!.deadline,
    closed: false,
    createdAt: 5,
  });
});
