import { beforeEach, expect, it, jest } from '@jest/globals';
import type { Job, Shop } from '@kolleta/core/job';
import type { Plan } from '@kolleta/core/plan';
import { db, type Standing } from './db';
import { keepDerived, readDerived } from './derived';
import { keepStanding, loadStanding, standsFor } from './standing';
import type { WorkshopState } from './useWorkshop';

const hours = { zone: 'UTC', week: Array.from({ length: 7 }, () => [[540, 1020] as [number, number]]) };
const state = (pins: Job['pins'], shop: Partial<Pick<Shop, 'hours' | 'people' | 'order'>> = {}): WorkshopState =>
  ({
    shop: { machines: [], hours, ...shop },
    jobs: [{ id: 'j', ...(pins ? { pins } : {}) }],
    events: [],
    isDemo: false,
    saves: 0,
  }) as unknown as WorkshopState;
/** A plan in which two steps begin then. */
const plan = (a: number, b: number): Plan =>
  ({
    schedule: {
      solution: new Map([
        [
          'j',
          {
            broken: [],
            steps: [
              { step: { id: 'j/a' }, start: a, end: a + 1, spans: [], state: 'waiting' },
              { step: { id: 'k/b' }, start: b, end: b + 1, spans: [], state: 'waiting' },
            ],
          },
        ],
      ]),
    },
  }) as unknown as Plan;
const at = (of: WorkshopState) => [...(standsFor(of) ?? [])].map(([step, { at: start }]) => [step, start]);

beforeEach(async () => {
  await db.cache.clear();
  await loadStanding();
});

it('is nothing before the first plan, and what the last plan said after it, as long as who works when is the same', () => {
  expect(standsFor(state(undefined))).toBeUndefined();
  keepStanding(state(undefined), plan(10, 20));
  expect(at(state(undefined))).toEqual([
    ['j/a', 10],
    ['k/b', 20],
  ]);
  expect(standsFor(state(undefined, { people: [{ id: 'p', name: 'Ann' }] }))).toBeUndefined();
  expect(standsFor(state(undefined, { order: ['b', 'a'] }))).toBeUndefined();
  // a day off moves only what has to move
  expect(at(state(undefined, { hours: { ...hours, off: [{ id: 'o', start: 5, end: 15 }] } }))).toHaveLength(2);
});

it('is what it was before, for who is called away and comes back', () => {
  keepStanding(state(undefined), plan(10, 20));
  const away = state(undefined, { hours: { ...hours, off: [{ id: 'o', start: Date.now() - 60_000, end: Date.now() + 3_600_000 }] } });
  keepStanding(away, plan(70, 80));
  expect(at(away)[0]).toEqual(['j/a', 70]);
  const back = state(undefined, { hours: { ...hours, off: [{ id: 'o', start: Date.now() - 60_000, end: Date.now() - 1 }] } });
  expect(at(back)[0]).toEqual(['j/a', 10]);
});

it('comes back where a step that was put somewhere is taken back, and is nothing where what stood before one was let go is not known', async () => {
  keepStanding(state(undefined), plan(10, 20));
  const put = state([{ step: 'j/a', at: 40 }]);
  expect(at(put)).toHaveLength(2);
  keepStanding(put, plan(40, 50));
  expect(at(put)[0]).toEqual(['j/a', 40]);
  expect(at(state(undefined))[0]).toEqual(['j/a', 10]);
  // opened anew, only the last plan is known: where a step is let go all is planned anew
  await db.cache.put({ id: 'standing', standing: { shop: '', pins: [], stands: new Map() } });
  jest.useFakeTimers();
  try {
    keepStanding(put, plan(40, 50));
    jest.advanceTimersByTime(60_000);
  } finally {
    jest.useRealTimers();
  }
  await new Promise((resolve) => setTimeout(resolve, 50));
  await loadStanding();
  expect(at(put)[0]).toEqual(['j/a', 40]);
  expect(standsFor(state(undefined))).toBeUndefined();
});

it('is thrown away where another Kolleta kept it', async () => {
  const standing = { shop: '', pins: [], stands: new Map([['j/a', { at: 5 }]]) } as unknown as Standing;
  await keepDerived({ id: 'standing', standing });
  expect(await readDerived('standing')).toMatchObject({ standing });
  await db.cache.put({ ...(await db.cache.get('standing'))!, build: 'another' });
  expect(await readDerived('standing')).toBeUndefined();
  await db.cache.put({ id: 'standing', standing });
  expect(await readDerived('standing')).toBeUndefined();
});
