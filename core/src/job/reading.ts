import type { Job } from './job';
import { valueAt, type Patch, type Step } from './patch';

export type StationId = 'measure' | 'draw' | 'fit' | 'cut' | 'weed' | 'tape' | 'prepare' | 'place' | 'paint' | 'cure' | 'log';
export type Verdict = 'fine' | 'watch' | 'stop';

/** A named change to the job that clears a reading. */
export interface Remedy {
  label: string;
  patch: Patch;
  /** What stood in the fields that it changes when it was worked out. */
  saw?: readonly { path: readonly Step[]; value: unknown }[];
}

/** A remedy that knows what it saw in the fields that it changes. */
export const withSight = (remedy: Remedy, job: Job): Remedy => ({
  ...remedy,
  saw: remedy.patch.map(({ path }) => ({ path, value: valueAt(job, path) })),
});

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/** Whether the fields that a remedy changes still hold what it saw there; otherwise it has to be worked out anew. */
export const stillHolds = (remedy: Remedy, job: Job): boolean =>
  (remedy.saw ?? []).every(({ path, value }) => same(valueAt(job, path), value));

/** A computed result with its verdict. */
export interface Reading {
  /** `kind` or `kind:place`, the same from one plan to the next. */
  id: string;
  station: StationId;
  verdict: Verdict;
  title: string;
  /** The figure, for a person. */
  value: string;
  /** What it was judged against, for a person. */
  limit: string;
  why: string;
  /** Changes to the job that clear it; applying one and planning again clears it. */
  remedies: Remedy[];
  /** What helps outside the job: buy, wait, measure again. */
  advice?: string;
  /** Places to point at, mm in the zone. */
  places?: readonly (readonly [number, number])[];
  /** The reason given for going on against a stop. */
  overridden?: string;
}

/** Whether a reading keeps film from being cut: a stop that nobody answers for, other than of the date. */
export const holdsCut = (reading: Reading): boolean =>
  reading.verdict === 'stop' && !reading.overridden && reading.station !== 'cure' && reading.station !== 'log';

const WEIGHT: Record<Verdict, number> = { fine: 0, watch: 1, stop: 2 };

/** The gravest verdict among readings. */
export const gravest = (readings: readonly Reading[]): Verdict =>
  readings.reduce<Verdict>((worst, { verdict, overridden }) => {
    const own: Verdict = overridden && verdict === 'stop' ? 'watch' : verdict;
    return WEIGHT[own] > WEIGHT[worst] ? own : worst;
  }, 'fine');
