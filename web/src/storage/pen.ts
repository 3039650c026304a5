import { setPen } from './keeping';
import { databaseOf, PLACE, type Place } from './place';
import { Told } from './told';

const lockOf = (place: Place): string => `${databaseOf(place)}-pen`;
const LOCK = lockOf(PLACE);

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

/**
 * Writes into the workshop of the other place, while no tab has it open.
 *
 * @throws Told when one has
 */
export async function withPenOf(place: Place, write: () => Promise<void>): Promise<void> {
  if (!('locks' in navigator)) return write();
  await navigator.locks.request(lockOf(place), { ifAvailable: true }, async (lock) => {
    if (!lock) throw new Told('Your own workshop is open in another tab. Open the file there, or close that tab and open it here again.');
    await write();
  });
}
