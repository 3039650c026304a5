import type { Workshop } from '@kolleta/core/jobFile';
import { Told } from './told';

/** A change that could not be saved; it lives on in this tab until it is tried again, saved in a file, or let go. */
export interface Unkept {
  /** What the user did. */
  readonly label: string;
  readonly run: () => Promise<unknown>;
  /** The same change of a workshop in memory, so that a file can hold it. */
  readonly onto: (workshop: Workshop) => Workshop;
}

/** Why changes are not saved. */
export interface Trouble {
  /** full: no room. failed: the storage does not take it. gone: the browser has thrown everything away while this tab was open. */
  readonly kind: 'full' | 'failed' | 'gone';
  readonly says: string;
  readonly unkept: readonly Unkept[];
}

/** What the browser's storage is doing for this tab. */
export interface Keeping {
  /** Writes under way. */
  readonly saving: number;
  /** Counts writes that were begun. */
  readonly writes: number;
  /** Whether this tab may write; undefined until the browser has said. */
  readonly pen: boolean | undefined;
  readonly trouble?: Trouble;
  /** Counts edits that were refused because another tab writes. */
  readonly refusals: number;
}

/** Another tab writes. */
export class NotTheWriter extends Told {}
/** A change was not saved; the page has told so already. */
export class NotKept extends Told {}
/** What was saved here is not there any more. */
export class DatabaseGone extends Error {
  override name = 'DatabaseGone';
}

// where there are no locks there are no two tabs to keep apart
let state: Keeping = { saving: 0, writes: 0, pen: 'locks' in navigator ? undefined : true, refusals: 0 };
const listeners = new Set<() => void>();
let knowPen: () => void = () => undefined;
const penKnown = new Promise<void>((resolve) => {
  knowPen = resolve;
});

function set(change: Partial<Keeping>): void {
  state = { ...state, ...change };
  for (const listener of [...listeners]) listener();
}

/** The state, for React's `useSyncExternalStore`. */
export const keepingNow = (): Keeping => state;
export function onKeeping(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Waits until the state is as wanted. */
export const keepingBecomes = (is: (state: Keeping) => boolean): Promise<void> =>
  new Promise((resolve) => {
    if (is(state)) return resolve();
    const off = onKeeping(() => {
      if (!is(state)) return;
      off();
      resolve();
    });
    return undefined;
  });

/** Says whether this tab may write. */
export function setPen(pen: boolean): void {
  set({ pen });
  knowPen();
}

const namesIn = (error: unknown): string => {
  const { name = '', message = '', inner } = (error ?? {}) as { name?: string; message?: string; inner?: unknown };
  return `${name} ${message} ${inner ? namesIn(inner) : ''}`;
};
const STORAGE = /quota|DatabaseGone|DatabaseClosed|InvalidState|UnknownError|OpenFailed|NotFoundError|AbortError|VersionError|Timeout/i;

/** Whether an error is the storage's and not ours. */
export const isStorageError = (error: unknown): boolean => STORAGE.test(namesIn(error));

function troubleOf(error: unknown): Pick<Trouble, 'kind' | 'says'> {
  const names = namesIn(error);
  if (/DatabaseGone/.test(names))
    return { kind: 'gone', says: 'The browser has thrown away what Kolleta saved here. This tab still has all of it.' };
  if (/quota/i.test(names)) return { kind: 'full', says: 'This browser has no room left for Kolleta.' };
  return { kind: 'failed', says: `The browser’s storage did not take it (${(error as Error).name ?? 'no reason given'}).` };
}

/** Notes that what was saved here is gone, as the browser told by itself. */
export function noteGone(): void {
  if (state.trouble?.kind !== 'gone') set({ trouble: { ...troubleOf(new DatabaseGone()), unkept: state.trouble?.unkept ?? [] } });
}

// one write after the other: a later one never overtakes one that is held
let tail: Promise<unknown> = Promise.resolve();
function inTurn<T>(run: () => Promise<T>): Promise<T> {
  const turn = tail.then(run);
  tail = turn.catch(() => undefined);
  return turn;
}

/** Tries what is held again, oldest first, until one fails again; what can no longer be done is left out and named. */
async function flush(): Promise<{ left: number; lost: string[] }> {
  const lost: string[] = [];
  for (;;) {
    const trouble = state.trouble;
    const [first, ...rest] = trouble?.unkept ?? [];
    if (!trouble || trouble.kind === 'gone') return { left: trouble?.unkept.length ?? 0, lost };
    if (!first) {
      set({ trouble: undefined });
      return { left: 0, lost };
    }
    try {
      await first.run();
    } catch (error) {
      if (isStorageError(error)) {
        set({ trouble: { ...troubleOf(error), unkept: state.trouble?.unkept ?? [] } });
        return { left: rest.length + 1, lost };
      }
      lost.push(first.label);
    }
    set({ trouble: { ...trouble, unkept: (state.trouble?.unkept ?? []).filter((one) => one !== first) } });
  }
}

/**
 * Saves something that the user did. Writes go one after the other; while one is held, later ones are held behind it.
 *
 * @param label what the user did
 * @param onto the same change of a workshop in memory
 * @throws NotTheWriter when another tab writes; NotKept when the storage fails, after the change is put by; our own mistakes as they are
 */
export async function keep<T>(label: string, run: () => Promise<T>, onto: Unkept['onto'] = (workshop) => workshop): Promise<T> {
  if (state.pen === undefined) await penKnown;
  if (!state.pen) {
    set({ refusals: state.refusals + 1 });
    throw new NotTheWriter('Another tab is writing here. Take over in the band at the top, then do it again.');
  }
  set({ saving: state.saving + 1, writes: state.writes + 1 });
  const hold = (trouble: Pick<Trouble, 'kind' | 'says'>): never => {
    set({ trouble: { ...trouble, unkept: [...(state.trouble?.unkept ?? []), { label, run, onto }] } });
    throw new NotKept(`${trouble.says} “${label}” is not saved yet.`);
  };
  try {
    return await inTurn(async () => {
      if (state.trouble) await flush();
      if (state.trouble) return hold(state.trouble);
      try {
        return await run();
      } catch (error) {
        if (isStorageError(error)) return hold(troubleOf(error));
        throw error;
      }
    });
  } finally {
    set({ saving: state.saving - 1 });
  }
}

/** Whether a change was taken: saved, or held until it can be. Where another tab writes it was not, and what was typed for it has to stay. */
export const wasTaken = (change: Promise<unknown>): Promise<boolean> =>
  change.then(
    () => true,
    (error: unknown) => {
      if (error instanceof NotKept) return true;
      if (error instanceof NotTheWriter) return false;
      throw error;
    },
  );

/** Tries everything again that is held, in order; what fails again stays. Names what could no longer be done. */
export const tryAgain = (): Promise<{ done: boolean; lost: string[] }> =>
  inTurn(async () => {
    const { left, lost } = await flush();
    return { done: left === 0 && !state.trouble, lost };
  });

/** Puts everything back that this tab has, in the place of what is gone; then nothing is held any more. */
export const putBack = (write: () => Promise<void>): Promise<boolean> =>
  inTurn(async () => {
    try {
      await write();
      set({ trouble: undefined });
      return true;
    } catch (error) {
      if (!isStorageError(error)) throw error;
      set({ trouble: { ...troubleOf(error), kind: 'gone', unkept: state.trouble?.unkept ?? [] } });
      return false;
    }
  });

/** A workshop with everything in it that is held in this tab. */
export const withUnkept = (workshop: Workshop, trouble: Trouble | undefined): Workshop =>
  (trouble?.unkept ?? []).reduce((all, { onto }) => {
    try {
      return onto(all);
    } catch {
      // a change of something that is no longer there
      return all;
    }
  }, workshop);

/** Lets what could not be saved go. */
export const letGo = (): void => set({ trouble: undefined });
