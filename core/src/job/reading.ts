import type { Id } from './ids';
import type { Job, Mark } from './job';
import type { ReadingId, ReadingKind } from './readingKinds';
import { valueAt, type Patch, type Step } from './patch';

export type StationId = 'measure' | 'draw' | 'fit' | 'cut' | 'weed' | 'tape' | 'prepare' | 'place' | 'paint' | 'cure' | 'log' | 'price';
export type Verdict = 'fine' | 'watch' | 'stop';

/** A named change to the job that clears a reading. */
export interface Remedy {
  label: string;
  patch: Patch;
  /** It leaves out something that the maker drew or wrote: never the first thing that is offered to the eye. */
  takesAway?: true;
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
  id: ReadingId;
  station: StationId;
  verdict: Verdict;
  /** What is judged; which mark of several it is about stands in `of`. */
  title: string;
  /** The mark that it is about, and how it is called where there are others. */
  mark?: Id;
  of?: string;
  /** The figure, for a person. */
  value: string;
  /** What it was judged against, for a person. */
  limit: string;
  why: string;
  /** What only a specialist reads: forces, energies, angles. */
  figures?: string;
  /** Changes to the job that clear it; applying one and planning again clears it. */
  remedies: Remedy[];
  /** What helps outside the job: buy, wait, measure again. */
  advice?: string;
  /** Places to point at, mm in the zone. */
  places?: readonly (readonly [number, number])[];
  /** The reason given for going on against a stop. */
  overridden?: string;
}

/** What a reading of one mark says of it: which it is, and its name where there are several. */
export const aboutMark = ({ id, name }: Pick<Mark, 'id' | 'name'>, several: boolean): Pick<Reading, 'mark' | 'of'> => ({
  mark: id,
  ...(several ? { of: name } : {}),
});

/** What kind of reading it is: its id begins with it. */
export const kindOf = ({ id }: Pick<Reading, 'id'>): ReadingKind => id.split(':', 1)[0] as ReadingKind;

/** The title of a reading, with the mark that it is about. */
export const readingTitle = ({ title, of }: Pick<Reading, 'title' | 'of'>): string => (of === undefined ? title : `${title} · ${of}`);

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
