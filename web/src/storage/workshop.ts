import type { Workshop } from '@kolleta/core/jobFile';
import { assumeClock, clockOffset, keepClockOffset, now, readClock, setClock } from './clock';
import type { Bench } from '@kolleta/core/plan';
import { assumeBench, loadBench } from './benchCache';
import { loadStanding } from './standing';
import { db, WorkshopDatabase } from './db';
import { keep, noteGone, putBack } from './keeping';
import { withPenOf } from './pen';
import { emptyShop } from '@kolleta/core/job';
import { forgetPlace, goTo, noteOpened, PLACE, databaseOf, wasOpened } from './place';
import { readWorkshop, type WorkshopState } from './useWorkshop';

/** Where the demo's clock starts: Tuesday 1 December 2026, 09:40 in Dublin. */
export const DEMO_START = Date.parse('2026-12-01T09:40:00Z');

const everythingOf = (database: WorkshopDatabase) => [
  ...[database.jobs, database.shop, database.events, database.history, database.settings, database.snapshots, database.runs],
];
/** So many earlier workshops are kept for undo. */
const MOST_SNAPSHOTS = 3;

async function putWorkshop({ shop, jobs, events }: Workshop, isDemo: boolean, database: WorkshopDatabase = db): Promise<void> {
  await Promise.all([database.jobs.clear(), database.events.clear(), database.history.clear(), database.runs.clear()]);
  await database.shop.put({ id: 'shop', shop });
  await database.jobs.bulkPut(jobs);
  await database.events.bulkPut(events);
  await database.settings.put({ key: 'isDemo', value: isDemo ? 1 : 0 });
  if (database === db) await setClock(isDemo ? DEMO_START : undefined);
  else await database.settings.put({ key: 'clockOffset', value: 0 });
}

/** Keeps the workshop as it is, with its undo, what was sent to the cutter, and its clock: what takes its place can be taken back. */
async function takeSnapshot(why: string, from = db): Promise<void> {
  const state = await readWorkshop(from);
  if (!state) return;
  const { shop, jobs, events, isDemo } = state;
  const [history, runs, clock] = await Promise.all([from.history.toArray(), from.runs.toArray(), from.settings.get('clockOffset')]);
  await from.snapshots.add({ at: Date.now(), why, isDemo, workshop: { shop, jobs, events }, history, runs, clock: clock?.value ?? 0 });
  const old = await from.snapshots.orderBy('id').reverse().offset(MOST_SNAPSHOTS).primaryKeys();
  await from.snapshots.bulkDelete(old as number[]);
}

/** Puts a whole workshop in the place of what is there, all of it or nothing; what was there can be brought back. */
export const replaceWorkshop = (workshop: Workshop, isDemo: boolean, why = 'Another workshop'): Promise<void> =>
  keep(
    why,
    () =>
      db.transaction('rw', everythingOf(db), async () => {
        await takeSnapshot(why);
        await putWorkshop(workshop, isDemo);
      }),
    () => workshop,
  );

/** Puts a workshop that this tab still has back into a browser that has thrown it away. */
export const putWorkshopBack = (workshop: Workshop, isDemo: boolean): Promise<boolean> =>
  putBack(async () => {
    await db.open();
    await db.transaction('rw', everythingOf(db), async () => {
      const offset = clockOffset();
      await putWorkshop(workshop, isDemo);
      await keepClockOffset(offset);
    });
    noteOpened(PLACE);
  });

/**
 * Brings back an earlier workshop with all that was kept of it, the last that was replaced unless another is asked for. What is there now is kept in its
 * place, so that this can be taken back too.
 *
 * @returns its name, or nothing when it is not there
 */
export const bringBack = (id?: number): Promise<string | undefined> =>
  keep('Bring back', () =>
    db.transaction('rw', everythingOf(db), async () => {
      const earlier = await (id === undefined ? db.snapshots.orderBy('id').last() : db.snapshots.get(id));
      if (earlier?.id === undefined) return undefined;
      const { workshop, isDemo, history, runs = [], clock } = earlier;
      const { name } = workshop.shop;
      await takeSnapshot(`Bring back “${name}”`);
      await putWorkshop(workshop, isDemo);
      await Promise.all([db.history.bulkPut(history), db.runs.bulkPut(runs), db.snapshots.delete(earlier.id)]);
      if (clock !== undefined) await keepClockOffset(clock);
      return name;
    }),
  );

/** Notes that the workshop went out to a file. */
export const noteBackup = (): Promise<void> =>
  keep('Back up', async () => void (await db.settings.put({ key: 'backedUpAt', value: now() })));

const demoParts = () => Promise.all([import('@kolleta/core/jobFile'), import('../../../demo/workshop.json?raw')]);

/** The demo workshop as it was read when Kolleta was built; else from the file that ships. */
async function readDemo(): Promise<Workshop> {
  const [built] = await Promise.all(
    Object.values(import.meta.glob<Workshop>('../generated/demoWorkshop.json', { import: 'default' })).map((load) => load()),
  );
  if (built) return built;
  const [{ readWorkshopFile }, demo] = await demoParts();
  const read = readWorkshopFile(demo.default, 'the demo workshop');
  if (!read.ok) throw new Error(read.problem.found);
  return read.value;
}

/** The demo's Bench as it was laid out when Kolleta was built; a convenience, and left out where it is not there. */
const readDemoBench = async (): Promise<Bench | undefined> => {
  const found = await Promise.all(
    Object.values(import.meta.glob<Bench>('../generated/demoBench.json', { import: 'default' })).map((load) => load()),
  );
  return found[0];
};

/** A workshop with nothing in it, in the device's zone. */
const emptyWorkshop = (): Workshop => ({
  shop: emptyShop(Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC', navigator.language),
  jobs: [],
  events: [],
});

/** Puts the demo as it ships in the place of the demo as it was used. */
export const demoAnew = async (): Promise<void> => replaceWorkshop(await readDemo(), true, 'The demo anew');

/** Puts an empty workshop in the place of one's own, which can be brought back. */
export const beginAgain = (): Promise<void> => replaceWorkshop(emptyWorkshop(), false, 'Begin empty');

/** Goes to the demo workshop; one's own stays as it is. */
export const visitDemo = (): void => goTo('demo');

/** Leaves the demo: for one's own workshop, or for the questions that begin one. */
export async function leaveDemo(): Promise<void> {
  // an earlier Kolleta kept the demo where one's own is
  if (PLACE === 'own') await replaceWorkshop(emptyWorkshop(), false, 'Leave the demo');
  goTo('own', PLACE === 'demo' && wasOpened('own') ? '#/' : '#/begin');
}

/** Puts a workshop that came as a file where one's own is kept, and goes there. */
export async function openAsOwn(workshop: Workshop, why: string): Promise<void> {
  if (PLACE === 'own') return replaceWorkshop(workshop, false, why);
  await withPenOf('own', async () => {
    const own = new WorkshopDatabase(databaseOf('own'));
    await own.transaction('rw', everythingOf(own), async () => {
      await takeSnapshot(why, own);
      await putWorkshop(workshop, false, own);
    });
    own.close();
  });
  noteOpened('own');
  goTo('own');
}

const demoState = (demo: Workshop): WorkshopState => ({
  shop: demo.shop,
  // in the order in which the database gives them back: the same state then, and nothing is planned twice
  jobs: demo.jobs.toSorted((a, b) => a.createdAt - b.createdAt),
  events: demo.events.toSorted((a, b) => (a.id < b.id ? -1 : 1)),
  isDemo: true,
  saves: 0,
});

/** Notices when the browser throws the database away, or closes it, while this tab is open. */
export function watchDatabase(): void {
  db.on('versionchange', (event) => {
    // somebody deletes it; a newer Kolleta that only changes it is met by the next write
    if (event.newVersion === null || event.newVersion === 0) noteGone();
  });
  db.on('close', () => {
    void readWorkshop().then(
      (state) => state ?? noteGone(),
      () => undefined,
    );
  });
}

/** The browser has thrown away what was kept here. */
export class StorageEmptied extends Error {}

/** Begins again after the browser emptied its storage. */
export const forgetOpened = (): void => forgetPlace(PLACE);

/**
 * The workshop that is kept here; at the very first start the demo workshop, and at the first start of one's own an empty one.
 *
 * @throws StorageEmptied when a workshop was kept here and is gone
 * @param expect told at a first start, before the database has answered, what will be returned unless it holds something after all
 */
export async function openWorkshop(expect: (state: WorkshopState) => void = () => undefined): Promise<WorkshopState> {
  const fresh = !wasOpened(PLACE);
  const ahead =
    fresh && PLACE === 'demo'
      ? Promise.all([readDemo(), readDemoBench()]).then(([demo, bench]) => ({ demo, bench, state: demoState(demo) }))
      : undefined;
  ahead?.then(
    ({ state, bench }) => {
      if (bench) assumeBench(state, bench);
      assumeClock(DEMO_START);
      expect(state);
    },
    () => undefined,
  );
  const [kept] = await Promise.all([readWorkshop(), fresh && PLACE === 'demo' ? undefined : Promise.all([loadBench(), loadStanding()])]);
  if (!fresh && !kept) throw new StorageEmptied();
  if (kept) {
    noteOpened(PLACE);
    await readClock();
    return kept;
  }
  if (!ahead) {
    const empty = emptyWorkshop();
    await db.transaction('rw', everythingOf(db), () => putWorkshop(empty, false));
    noteOpened(PLACE);
    return { ...empty, isDemo: false, saves: 0 };
  }
  const { demo, state } = await ahead;
  // written while the first screen is drawn: edits queue up behind it, and a storage that does not take it is told like any other
  void keep('Begin with the demo workshop', async () => {
    await db.transaction('rw', everythingOf(db), () => putWorkshop(demo, true));
    // only now: a page killed before would miss a workshop that never was
    noteOpened(PLACE);
  });
  return state;
}
