import type { JobChange } from './jobChange';

/** A change that could not be kept; it lives on in this tab until it is tried again, saved in a file, or let go. */
export interface Unkept {
  /** What the user did. */
  readonly label: string;
  readonly run: () => Promise<unknown>;
  /** The change of a job, so that a file can hold it. */
  readonly edit?: { readonly job: string; readonly change: JobChange };
}

/** Why changes are not kept. */
export interface Trouble {
  readonly kind: 'full' | 'failed';
  readonly says: string;
  readonly unkept: readonly Unkept[];
}

/** What the browser's storage is doing for this tab. */
export interface Keeping {
  /** Writes under way. */
  readonly saving: number;
  /** Whether this tab may write; undefined until the browser has said. */
  readonly pen: boolean | undefined;
  readonly trouble?: Trouble;
  /** Counts edits that were refused because another tab writes. */
  readonly refusals: number;
}

/** Another tab writes. */
export class NotTheWriter extends Error {}
/** A change was not kept; the page has told so already. */
export class NotKept extends Error {}

// where there are no locks there are no two tabs to keep apart
let state: Keeping = { saving: 0, pen: 'locks' in navigator ? undefined : true, refusals: 0 };
const listeners = new Set<() => void>();
let knowPen: () => void = () => undefined;
const penKnown = new Promise<void>((resolve) => {
  knowPen = resolve;
});

function set(change: Partial<Keeping>): void {
  state = { ...state, ...change };
  for (const listener of listeners) listener();
}

/** The state, for React's `useSyncExternalStore`. */
export const keepingNow = (): Keeping => state;
export function onKeeping(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says whether this tab may write. */
export function setPen(pen: boolean): void {
  set({ pen });
  knowPen();
}

const namesIn = (error: unknown): string => {
  const { name = '', message = '', inner } = (error ?? {}) as { name?: string; message?: string; inner?: unknown };
  return `${name} ${message} ${inner ? namesIn(inner) : ''}`;
};
const STORAGE = /quota|DatabaseClosed|InvalidState|UnknownError|OpenFailed|NotFoundError|AbortError|VersionError|Timeout/i;

/** Whether an error is the storage's and not ours. */
export const isStorageError = (error: unknown): boolean => STORAGE.test(namesIn(error));

/**
 * Writes something that the user did.
 *
 * @param label what the user did
 * @throws NotTheWriter when another tab writes; NotKept when the storage fails, after the change is put by; our own mistakes as they are
 */
export async function keep<T>(label: string, run: () => Promise<T>, edit?: Unkept['edit']): Promise<T> {
  if (state.pen === undefined) await penKnown;
  if (!state.pen) {
    set({ refusals: state.refusals + 1 });
    throw new NotTheWriter('Another tab is writing here. Take over in the band at the top, then do it again.');
  }
  set({ saving: state.saving + 1 });
  try {
    return await run();
  } catch (error) {
    if (!isStorageError(error)) throw error;
    const full = /quota/i.test(namesIn(error));
    const says = full
      ? 'This browser has no room left for Kolleta.'
      : `The browser’s storage did not take it (${(error as Error).name ?? 'no reason given'}).`;
    set({ trouble: { kind: full ? 'full' : 'failed', says, unkept: [...(state.trouble?.unkept ?? []), { label, run, edit }] } });
    throw new NotKept(`${says} “${label}” is not kept yet.`);
  } finally {
    set({ saving: state.saving - 1 });
  }
}

/** Tries everything again that could not be kept, in order; what fails again stays. */
export async function tryAgain(): Promise<boolean> {
  const waiting = state.trouble?.unkept ?? [];
  set({ trouble: undefined });
  for (const [i, { label, run, edit }] of waiting.entries()) {
    try {
      await keep(label, run, edit);
    } catch (error) {
      if (!(error instanceof NotKept)) throw error;
      const now = state.trouble as Trouble | undefined;
      if (now) set({ trouble: { ...now, unkept: [...now.unkept, ...waiting.slice(i + 1)] } });
      return false;
    }
  }
  return true;
}

/** Lets what could not be kept go. */
export const letGo = (): void => set({ trouble: undefined });
