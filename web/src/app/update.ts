type Update = () => Promise<void>;
let waiting: Update | undefined;
const listeners = new Set<() => void>();

/** The update that is ready, if one is: calling it loads the new Kolleta. */
export const updateNow = (): Update | undefined => waiting;
export function onUpdate(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says that an update is ready. */
export function offerUpdate(update: Update): void {
  waiting = update;
  for (const listener of listeners) listener();
}
