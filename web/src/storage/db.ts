import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Answered } from '@kolleta/core/practice';
import type { FilmLayout, SentRun } from '@kolleta/core/cut';
import type { Job, Patch, Shop, WorkEvent } from '@kolleta/core/job';
import type { Workshop } from '@kolleta/core/jobFile';
import type { Bench } from '@kolleta/core/plan';
import type { Stands } from '@kolleta/core/schedule';
import { databaseOf, PLACE } from './place';

/** One change of a job and the change that takes it back. */
export interface Change {
  label: string;
  at: number;
  forward: Patch;
  inverse: Patch;
  /** Entries of the log that it made: taken back by their reversals. */
  events?: readonly WorkEvent[];
  /** The one that it made, as it was kept before there were several. */
  event?: WorkEvent;
}

/** The changes of one job, kept over a reload. */
export interface History {
  id: string;
  past: Change[];
  future: Change[];
}

/** Small things that belong to this browser. */
export interface Setting {
  key: 'clockOffset' | 'isDemo' | 'backedUpAt' | 'saves';
  value: number;
}

/** A job that was sent to the cutter, and what it last told. */
export interface CutterRun extends SentRun {
  at: number;
  /** What was sent, to draw it. */
  layout: FilmLayout;
  /** Outlines cut and film used when the cutter last answered. */
  strokes: number;
  used: number;
  /** A file that was saved for a cutter, of which the maker says what came of it; without it, a rehearsal. */
  by?: 'file';
  /** One load of several: it is rehearsed by itself, and booked with the others. */
  load?: { number: number; of: number };
  /** What became of it is in the log. */
  settled: boolean;
}

/** The workshop as it was before another was put in its place. */
export interface Snapshot {
  id?: number;
  at: number;
  why: string;
  workshop: Workshop;
  history: History[];
  isDemo: boolean;
  /** What was sent to the cutter, and how far its clock was ahead, ms; an earlier Kolleta did not keep them. */
  runs?: CutterRun[];
  clock?: number;
}

/** Where the steps stand by a plan that was shown, and for what workshop. */
export interface Standing {
  /** Who works when and with what, and the order that was kept: with another, all is planned anew. */
  readonly shop: string;
  /** Steps that were put at a moment: taken back, what stood before stands again. */
  readonly pins: readonly string[];
  /** Time off that is to come: who is back sooner finds what stood before. */
  readonly off?: string;
  readonly stands: Stands;
}

/** What is worked out anew where it is lost: the Bench as it was last laid out, and where the steps stood. */
export interface CacheRow {
  id: 'bench' | 'standing' | 'practice';
  /** What worked it out: another Kolleta may mean something else by it. */
  build?: string;
  signature?: string;
  bench?: Bench;
  standing?: Standing;
  /** Answers to drills, the newest last. */
  practice?: readonly Answered[];
}

/** Everything that Kolleta keeps in the browser. */
export class WorkshopDatabase extends Dexie {
  jobs!: EntityTable<Job, 'id'>;
  shop!: Table<{ id: 'shop'; shop: Shop }, 'shop'>;
  events!: Table<WorkEvent, string>;
  history!: EntityTable<History, 'id'>;
  settings!: EntityTable<Setting, 'key'>;
  runs!: EntityTable<CutterRun, 'run'>;
  snapshots!: EntityTable<Snapshot, 'id'>;
  cache!: Table<CacheRow, CacheRow['id']>;

  constructor(name = databaseOf(PLACE)) {
    // strict: a write counts as kept only when it is on the disk, so that it outlives a killed browser
    super(name, { chromeTransactionDurability: 'strict' });
    // numbered migrations: a version that has landed is never changed, only followed
    this.version(1).stores({ jobs: 'id, closed', shop: 'id', events: 'id, job, at', history: 'id', settings: 'key' });
    this.version(2).stores({ runs: 'run, at', snapshots: '++id, at', cache: 'id' });
  }
}

export const db = new WorkshopDatabase();
