import { setPen } from './keeping';
import { databaseOf, PLACE } from './place';

const LOCK = `${databaseOf(PLACE)}-pen`;

/** Holds the lock until it is stolen or the tab ends. */
const hold = () => {
  setPen(true);
  return new Promise<void>(() => undefined);
};

/** Waits in line for the pen; when another tab takes it, this one reads and waits again. */
async function wait(options: LockOptions): Promise<void> {
  try {
    await navigator.locks.request(LOCK, options, hold);
  } catch (error) {
    if ((error as Error).name !== 'AbortError') throw error;
    // another tab took over
    setPen(false);
    await wait({});
  }
}

/** Asks for the pen: the first tab writes, later ones read until the first closes or they take over. */
export async function askForPen(): Promise<void> {
  if (!('locks' in navigator)) {
    setPen(true);
    return;
  }
  const { held } = await navigator.locks.query();
  if (held?.some((lock) => lock.name === LOCK)) setPen(false);
  void wait({});
}

/** Takes the pen from the tab that has it. */
export const takeOver = (): void => void wait({ steal: true });
