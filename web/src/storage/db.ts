import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Job, Patch, Shop, WorkEvent } from '@kolleta/core/job';

/** One change of a job and the change that takes it back. */
export interface Change {
  label: string;
  at: number;
  forward: Patch;
  inverse: Patch;
}

/** The changes of one job, kept over a reload. */
export interface History {
  id: string;
  past: Change[];
  future: Change[];
}

/** Small things that belong to this browser. */
export interface Setting {
  key: 'clockOffset' | 'isDemo';
  value: number;
}

/** Everything that Kolleta keeps in the browser. */
export class WorkshopDatabase extends Dexie {
  jobs!: EntityTable<Job, 'id'>;
  shop!: Table<{ id: 'shop'; shop: Shop }, 'shop'>;
  events!: Table<WorkEvent, string>;
  history!: EntityTable<History, 'id'>;
  settings!: EntityTable<Setting, 'key'>;

  constructor(name = 'kolleta') {
    super(name);
    // numbered migrations: a version that has landed is never changed, only followed
    this.version(1).stores({ jobs: 'id, closed', shop: 'id', events: 'id, job, at', history: 'id', settings: 'key' });
  }
}

export const db = new WorkshopDatabase();
