import type { Workshop } from '@kolleta/core/jobFile';
import { assumeClock, readClock, setClock } from './clock';
import { db } from './db';
import { readWorkshop, type WorkshopState } from './useWorkshop';

/** Where the demo's clock starts: Tuesday 1 December 2026, 09:40 in Dublin. */
export const DEMO_START = Date.parse('2026-12-01T09:40:00Z');

/** Puts a whole workshop in the place of what is there, all of it or nothing. */
export async function replaceWorkshop({ shop, jobs, events }: Workshop, isDemo: boolean): Promise<void> {
  await db.transaction('rw', [db.jobs, db.shop, db.events, db.history, db.settings], async () => {
    await Promise.all([db.jobs.clear(), db.events.clear(), db.history.clear()]);
    await db.shop.put({ id: 'shop', shop });
    await db.jobs.bulkPut(jobs);
    await db.events.bulkPut(events);
    await db.settings.put({ key: 'isDemo', value: isDemo ? 1 : 0 });
  });
  await setClock(isDemo ? DEMO_START : undefined);
}

const demoParts = () => Promise.all([import('@kolleta/core/jobFile'), import('../../../demo/workshop.json?raw')]);

/** The demo workshop from the file that ships. */
async function readDemo(): Promise<Workshop> {
  const [{ readWorkshopFile }, demo] = await demoParts();
  const read = readWorkshopFile(demo.default, 'the demo workshop');
  if (!read.ok) throw new Error(read.problem.found);
  return read.value;
}

/** Puts the demo workshop in the place of what is there. */
export const loadDemo = async (): Promise<void> => replaceWorkshop(await readDemo(), true);

/** Keeps films, tapes, machines and hours, and begins without jobs and log. */
export async function startEmpty(): Promise<void> {
  const shop = (await db.shop.get('shop'))?.shop;
  if (shop) await replaceWorkshop({ shop: { ...shop, name: 'My workshop' }, jobs: [], events: [] }, false);
}

const demoState = (demo: Workshop): WorkshopState => ({
  shop: demo.shop,
  // in the order in which the database gives them back: the same state then, and nothing is planned twice
  jobs: demo.jobs.toSorted((a, b) => a.createdAt - b.createdAt),
  events: demo.events.toSorted((a, b) => (a.id < b.id ? -1 : 1)),
  isDemo: true,
});

/**
 * The workshop that is kept here; at the very first start the demo workshop.
 *
 * @param expect told at a first start, before the database has answered, what will be returned unless it holds something after all
 */
export async function openWorkshop(expect: (state: WorkshopState) => void = () => undefined): Promise<WorkshopState> {
  const fresh = localStorage.getItem('opened') === null;
  const ahead = fresh ? readDemo().then((demo) => ({ demo, state: demoState(demo) })) : undefined;
  ahead?.then(
    ({ state }) => {
      assumeClock(DEMO_START);
      expect(state);
    },
    () => undefined,
  );
  const kept = await readWorkshop();
  localStorage.setItem('opened', 'yes');
  if (kept) {
    await readClock();
    return kept;
  }
  const { demo, state } = ahead ? await ahead : await readDemo().then((read) => ({ demo: read, state: demoState(read) }));
  await replaceWorkshop(demo, true);
  return state;
}
