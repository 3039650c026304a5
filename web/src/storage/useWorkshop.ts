import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useRef } from 'react';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import { db } from './db';
import { savesOf } from './write';

export interface WorkshopState {
  shop: Shop;
  jobs: Job[];
  events: WorkEvent[];
  isDemo: boolean;
  /** The number of the last save that it holds. */
  saves: number;
  /** When it last went out to a file, UTC ms. */
  backedUpAt?: number;
}

/** Reads the workshop; nothing before the first start. */
export async function readWorkshop(from = db): Promise<WorkshopState | undefined> {
  const [shop, jobs, events, demo, backup, saves] = await from.transaction('r', [from.shop, from.jobs, from.events, from.settings], () =>
    Promise.all([
      from.shop.get('shop'),
      from.jobs.toArray(),
      from.events.toArray(),
      from.settings.get('isDemo'),
      from.settings.get('backedUpAt'),
      savesOf(from),
    ]),
  );
  if (!shop) return undefined;
  return {
    shop: shop.shop,
    jobs: jobs.toSorted((a, b) => a.createdAt - b.createdAt),
    events,
    isDemo: demo?.value === 1,
    saves,
    ...(backup ? { backedUpAt: backup.value } : {}),
  };
}

const sameState = (a: WorkshopState, b: WorkshopState): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The workshop as it was read at the start, and again after every change. */
export function useStoredWorkshop(first: WorkshopState): WorkshopState {
  // a storage that does not answer is told by the bands; the screen goes on with what it has
  const stored = useLiveQuery(() => readWorkshop().catch(() => undefined));
  const kept = useRef(first);
  // the first live answer is what was read already: the same object, so that nothing is planned twice
  if (stored && stored !== kept.current && !(kept.current === first && sameState(stored, first))) kept.current = stored;
  return kept.current;
}

export const WorkshopContext = createContext<WorkshopState | undefined>(undefined);

/** The workshop, within the shell. */
export function useWorkshop(): WorkshopState {
  const state = useContext(WorkshopContext);
  if (!state) throw new Error('useWorkshop: used outside the shell');
  return state;
}
