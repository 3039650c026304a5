import type { CoatId } from '../facts';
import type { Job, Piece, Shop, WorkEvent } from '../job';
import { good, refused, type Problem, type Result } from '../units';
import { jobFault, logFault, shopFault, type Fault } from './soundJob';
import { jobFile, workshopFile } from './generated/validators';
import { FILE_VERSION } from './version';

/**
 * What makes a file of a version one of the next, the first for version 1. Both only add: version 2 outlines, features, edits, lists, a shelf;
 * version 3 supplies, sheets and offcuts, carriers, presses, patterns of jobs, counts of stock, hours beside the week; version 4 reverse masks,
 * etched and heat-applied marks with their films, edges and tools, sealers, steps of one's own, what a job needs;
 * version 5 old coats and prints, what is primed or left out of the usual steps, bridges, strokes, ways of taping, kept layouts,
 * film that was lost, pieces that were spoiled, test cuts and blades, offcuts with their outlines, relief cuts; version 6 layouts laid by hand, the gap
 * between parts, blades that trail, carrier sheets that were used and renewed, film whose liner was cut.
 */
const MIGRATIONS: readonly ((data: Record<string, unknown>) => Record<string, unknown>)[] = [
  (data) => data,
  (data) => data,
  (data) => data,
  (data) => data,
  (data) => data,
];

/** Everything that a workshop is. */
export interface Workshop {
  shop: Shop;
  jobs: Job[];
  events: WorkEvent[];
}

/** A moment as text; one that never was is the first of all, so that everything else can be saved. */
const iso = (at: number) => new Date(Number.isFinite(at) && Math.abs(at) <= 8.64e15 ? at : 0).toISOString();
const instant = (text: string) => Date.parse(text);

type Filed<T, K extends keyof T> = Omit<T, K> & { [key in K]: T[key] extends number ? string : string | undefined };

/** A job as it is filed: its moments as text. */
type FiledJob = Filed<Omit<Job, 'piece' | 'pins'>, 'createdAt' | 'deadline'> & { piece: FiledPiece; pins?: { step: string; at: string }[] };
type FiledPiece = Omit<Piece, 'painted'> & { painted?: { coat: CoatId; at?: string } };

function fileJob({ piece: { painted, ...piece }, deadline, pins, ...rest }: Job): FiledJob {
  const old = painted && { coat: painted.coat, ...(painted.at === undefined ? {} : { at: iso(painted.at) }) };
  return {
    ...rest,
    piece: { ...piece, ...(old ? { painted: old } : {}) },
    createdAt: iso(rest.createdAt),
    ...(deadline === undefined || !Number.isFinite(deadline) ? {} : { deadline: iso(deadline) }),
    ...(pins ? { pins: pins.map(({ step, at }) => ({ step, at: iso(at) })) } : {}),
  } as FiledJob;
}

function unfileJob({ piece: { painted, ...piece }, deadline, pins, createdAt, ...rest }: FiledJob): Job {
  const old = painted && { coat: painted.coat, ...(painted.at === undefined ? {} : { at: instant(painted.at) }) };
  return {
    ...rest,
    piece: { ...piece, ...(old ? { painted: old } : {}) },
    createdAt: instant(createdAt),
    ...(deadline === undefined ? {} : { deadline: instant(deadline) }),
    ...(pins ? { pins: pins.map(({ step, at }) => ({ step, at: instant(at) })) } : {}),
  } as Job;
}

type Span = NonNullable<Shop['hours']['extra']>[number] | NonNullable<Shop['hours']['off']>[number];
type FiledSpan<S extends Span> = Omit<S, 'start' | 'end'> & { start: string; end: string };

const fileSpan = <S extends Span>({ start, end, ...rest }: S) => ({ ...rest, start: iso(start), end: iso(end) });
const unfileSpan = <S extends Span>({ start, end, ...rest }: FiledSpan<S>) =>
  ({ ...rest, start: instant(start), end: instant(end) }) as unknown as S;

/** A shop as it is filed: its moments as text. */
function fileShop({ patterns, hours: { extra, off, ...hours }, ...rest }: Shop): object {
  return {
    ...rest,
    hours: { ...hours, ...(extra ? { extra: extra.map(fileSpan) } : {}), ...(off ? { off: off.map(fileSpan) } : {}) },
    ...(patterns ? { patterns: patterns.map((pattern) => ({ ...pattern, job: fileJob(pattern.job) })) } : {}),
  };
}

function unfileShop(filed: object): Shop {
  const { patterns, hours, ...rest } = filed as Omit<Shop, 'hours' | 'patterns'> & {
    patterns?: { id: string; name: string; job: FiledJob }[];
    hours: Omit<Shop['hours'], 'extra' | 'off'> & {
      extra?: FiledSpan<NonNullable<Shop['hours']['extra']>[number]>[];
      off?: FiledSpan<NonNullable<Shop['hours']['off']>[number]>[];
    };
  };
  const { extra, off, ...week } = hours;
  return {
    ...rest,
    hours: {
      ...week,
      ...(extra ? { extra: extra.map((span) => unfileSpan<NonNullable<Shop['hours']['extra']>[number]>(span)) } : {}),
      ...(off ? { off: off.map((span) => unfileSpan<NonNullable<Shop['hours']['off']>[number]>(span)) } : {}),
    },
    ...(patterns ? { patterns: patterns.map((pattern) => ({ ...pattern, job: unfileJob(pattern.job) })) } : {}),
  };
}

/** A job as the text of a file. */
export const writeJobFile = (job: Job): string =>
  `${JSON.stringify({ kolleta: 'job', version: FILE_VERSION, job: fileJob(job) }, null, 1)}\n`;

/** A whole workshop as the text of a file. */
export const writeWorkshopFile = ({ shop, jobs, events }: Workshop): string =>
  `${JSON.stringify({ kolleta: 'workshop', version: FILE_VERSION, shop: fileShop(shop), jobs: jobs.map(fileJob), events: events.map((event) => ({ ...event, at: iso(event.at) })) }, null, 1)}\n`;

const AGAIN = 'Nothing was changed. Export the file again, or choose another one.';

/** A file of any version that has been, as one of the newest; what has no version is left to the schema. */
function migrated(data: Record<string, unknown>): unknown {
  const { version } = data;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return data;
  const steps = MIGRATIONS.slice(version - 1);
  return steps.length === 0 ? data : { ...steps.reduce((file, step) => step(file), data), version: FILE_VERSION };
}

/** Reads the JSON and finds out what kind of file it is and of which version. */
function open(text: string, name: string): Result<{ kind: 'job' | 'workshop'; data: unknown }> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    const cut = /^\s*\{/.test(text) && !/\}\s*$/.test(text);
    return refused(
      cut
        ? `"${name}" breaks off after ${text.length.toLocaleString('en')} characters: it was not saved whole.`
        : `"${name}" is not a Kolleta file.`,
      'a file that Kolleta exported',
      name,
      AGAIN,
    );
  }
  const { kolleta, version } = (data ?? {}) as { kolleta?: unknown; version?: unknown };
  if (kolleta !== 'job' && kolleta !== 'workshop')
    return refused(`"${name}" is not a Kolleta file.`, '"kolleta": "job" or "workshop"', `${name} /kolleta`, AGAIN);
  if (typeof version === 'number' && version > FILE_VERSION) {
    return refused(
      `"${name}" was written by a newer Kolleta (version ${version}; this one reads up to ${FILE_VERSION}).`,
      `version ${FILE_VERSION}`,
      `${name} /version`,
      'Nothing was changed. Reload to get the newer Kolleta, then open it again.',
    );
  }
  return good({ kind: kolleta, data: migrated(data as Record<string, unknown>) });
}

function faultOf(validate: typeof jobFile, name: string): { ok: false; problem: Problem } {
  const [error] = validate.errors ?? [];
  const path = error?.instancePath || '/';
  const extra = error?.params?.['additionalProperty'];
  if (typeof extra === 'string')
    return refused(
      `"${name}" has a field that Kolleta does not know: ${path === '/' ? '' : path}/${extra}.`,
      'only documented fields',
      `${name} ${path === '/' ? '' : path}/${extra}`,
      AGAIN,
    );
  return refused(
    `"${name}" does not fit at ${path}: it ${error?.message ?? 'is wrong'}.`,
    error?.message ?? 'a documented field',
    `${name} ${path}`,
    AGAIN,
  );
}

const refusedAt = (name: string, root: string, { path, found, expected }: Fault): { ok: false; problem: Problem } =>
  refused(`"${name}" holds ${found}, at ${root}${path}.`, expected, `${name} ${root}${path}`, AGAIN);

/**
 * Reads a job file.
 *
 * @returns the job; a problem naming the place when it is truncated, newer, has unknown fields or does not fit
 */
export function readJobFile(text: string, name: string): Result<Job> {
  const opened = open(text, name);
  if (!opened.ok) return opened;
  if (opened.value.kind !== 'job')
    return refused(`"${name}" is a whole workshop, not one job.`, 'a job file', name, 'Open it under “Workshop file” instead.');
  if (!jobFile(opened.value.data)) return faultOf(jobFile, name);
  const job = unfileJob((opened.value.data as { job: Parameters<typeof unfileJob>[0] }).job);
  const fault = jobFault(job);
  return fault ? refusedAt(name, '/job', fault) : good(job);
}

/** A workshop as it was read, with the jobs that could not be taken. */
export interface ReadWorkshop extends Workshop {
  /** Jobs that cannot be planned, by name, and why; everything else was taken. */
  leftOut?: { name: string; why: string }[];
}

/** Reads a workshop file; a problem naming the place when it does not fit. A job that cannot be planned is left out and named. */
export function readWorkshopFile(text: string, name: string): Result<ReadWorkshop> {
  const opened = open(text, name);
  if (!opened.ok) return opened;
  if (opened.value.kind !== 'workshop')
    return refused(`"${name}" is one job, not a whole workshop.`, 'a workshop file', name, 'Open it under “Open a job file” instead.');
  if (!workshopFile(opened.value.data)) return faultOf(workshopFile, name);
  const data = opened.value.data as {
    shop: object;
    jobs: Parameters<typeof unfileJob>[0][];
    events: (Omit<WorkEvent, 'at'> & { at: string })[];
  };
  const all = data.jobs.map(unfileJob);
  const ids = new Set<string>();
  const leftOut: { name: string; why: string }[] = [];
  const jobs = all.filter((job, i) => {
    const fault = jobFault(job) ?? (ids.has(job.id) ? { path: '/id', found: 'an id that another job has', expected: '' } : undefined);
    ids.add(job.id);
    if (fault) leftOut.push({ name: job.name || job.id, why: `${fault.found}, at /jobs/${i}${fault.path}` });
    return !fault;
  });
  const shop = unfileShop(data.shop);
  const fault = shopFault(shop);
  if (fault) return refusedAt(name, '/shop', fault);
  try {
    new Intl.DateTimeFormat('en', { timeZone: shop.hours.zone });
  } catch {
    return refused(
      `"${name}" names a time zone that does not exist, at /shop/hours/zone.`,
      'an IANA zone such as Europe/Dublin',
      `${name} /shop/hours/zone`,
      AGAIN,
    );
  }
  const events = data.events.map((event) => ({ ...event, at: instant(event.at) }) as WorkEvent);
  const wrong = logFault(events);
  if (wrong) return refusedAt(name, '/events', wrong);
  return good({ shop, jobs, events, ...(leftOut.length > 0 ? { leftOut } : {}) });
}
