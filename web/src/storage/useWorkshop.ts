import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext } from 'react';
import type { Job, Shop, WorkEvent } from '@kolleta/core/job';
import { db } from './db';

export interface WorkshopState {
  shop: Shop;
  jobs: Job[];
  events: WorkEvent[];
  isDemo: boolean;
}

/** The workshop as it is kept, and again after every change. */
export function useStoredWorkshop(): WorkshopState | undefined {
  return useLiveQuery(async () => {
    const [shop, jobs, events, demo] = await Promise.all([db.shop.get('shop'), db.jobs.toArray(), db.events.toArray(), db.settings.get('isDemo')]);
    if (!shop) return undefined;
    return { shop: shop.shop, jobs: jobs.toSorted((a, b) => a.createdAt - b.createdAt), events, isDemo: demo?.value === 1 };
  });
}

export const WorkshopContext = createContext<WorkshopState | undefined>(undefined);

/** The workshop, within the shell. */
export function useWorkshop(): WorkshopState {
  const state = useContext(WorkshopContext);
  if (!state) throw new Error('useWorkshop: used outside the shell');
  return state;
}
