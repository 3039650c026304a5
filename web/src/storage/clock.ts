import { db } from './db';

let offset = 0;

/** Now, UTC ms: the real clock, or the demo's, which ticks from where the demo begins. */
export const now = (): number => Date.now() + offset;

/** Reads the demo's offset once at the start. */
export async function readClock(): Promise<void> {
  offset = (await db.settings.get('clockOffset'))?.value ?? 0;
}

/** Shows a moment from now on without keeping it: until the database says what clock this workshop has. */
export const assumeClock = (at: number): void => {
  offset = at - Date.now();
};

/** How far the workshop's clock is ahead of the device's, ms. */
export const clockOffset = (): number => offset;

/** Keeps an offset as it is. */
export async function keepClockOffset(by: number): Promise<void> {
  offset = by;
  await db.settings.put({ key: 'clockOffset', value: by });
}

/** Moves the clock against the device's by so many ms more, and keeps that. */
export async function shiftClock(by: number): Promise<void> {
  offset += by;
  await db.settings.put({ key: 'clockOffset', value: offset });
}

/** Sets the clock so that it now shows a moment, or back to the real one. */
export async function setClock(at: number | undefined): Promise<void> {
  offset = at === undefined ? 0 : at - Date.now();
  await db.settings.put({ key: 'clockOffset', value: offset });
}
