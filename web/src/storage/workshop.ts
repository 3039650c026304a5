import type { Workshop } from '@kolleta/core/jobFile';
import { setClock } from './clock';
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

/** Loads the demo workshop from the file that ships. */
export async function loadDemo(): Promise<void> {
  const [{ readWorkshopFile }, demo] = await demoParts();
  const read = readWorkshopFile(demo.default, 'the demo workshop');
  if (!read.ok) throw new Error(read.problem.found);
  await replaceWorkshop(read.value, true);
}

/** Keeps films, tapes, machines and hours, and begins without jobs and log. */
export async function startEmpty(): Promise<void> {
  const shop = (await db.shop.get('shop'))?.shop;
  if (shop) await replaceWorkshop({ shop: { ...shop, name: 'My workshop' }, jobs: [], events: [] }, false);
}

/** The workshop that is kept here; at the very first start the demo workshop. */
export async function openWorkshop(): Promise<WorkshopState> {
  const fresh = localStorage.getItem('opened') === null;
  // a first start fetches the demo while the database opens
  if (fresh) void demoParts();
  const kept = await readWorkshop();
  if (!kept) await loadDemo();
  localStorage.setItem('opened', 'yes');
  const state = kept ?? (await readWorkshop());
  if (!state) throw new Error('the workshop could not be stored');
  return state;
}
