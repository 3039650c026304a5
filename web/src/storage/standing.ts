import { standsOf, type Stands } from '@kolleta/core/schedule';
import type { Plan } from '@kolleta/core/plan';
import { now } from './clock';
import type { Standing } from './db';
import { keepDerived, readDerived } from './derived';
import type { WorkshopState } from './useWorkshop';

/** Written so long after a plan, ms. */
const LATER_MS = 900;
/** Taken back is seldom more than the last few. */
const MOST = 12;

let known: readonly Standing[] = [];

const shopOf = ({ shop: { hours, people, machines, presses, order } }: WorkshopState): string =>
  // who is called away or has a day off leaves as much as can be where it stood
  JSON.stringify([hours.zone, hours.week, hours.extra, people, machines.map(({ id }) => id), presses?.map(({ id }) => id), order]);
const offOf = ({ shop }: WorkshopState): string => JSON.stringify((shop.hours.off ?? []).filter(({ end }) => end > now()));
/** Steps that were put at a moment, and when: one after another, told apart by their words. */
const pinsOf = ({ jobs }: WorkshopState): string[] =>
  jobs.filter(({ closed }) => !closed).flatMap(({ pins = [] }) => pins.map(({ step, at }) => `${at} ${step}`));

const stepOf = (pin: string): string => pin.slice(pin.indexOf(' ') + 1);

/** Reads where the steps stood when Kolleta was last open. */
export async function loadStanding(): Promise<void> {
  const row = await readDerived('standing');
  known = row?.standing ? [row.standing] : [];
}

/** Where the steps stand that people know of, for a state of the workshop; nothing where all is planned anew. */
export function standsFor(state: WorkshopState): Stands | undefined {
  const last = known.at(-1);
  if (!last || last.shop !== shopOf(state)) return undefined;
  const pins = pinsOf(state);
  const off = offOf(state);
  const before = known.findLast((one) => one.shop === last.shop && one.pins.join() === pins.join() && (one.off ?? '[]') === off);
  if (before) return before.stands;
  // where a step was let go and what stood before is not known any more, all find their own times
  const there = new Set(pins.map(stepOf));
  return last.pins.every((pin) => there.has(stepOf(pin))) ? last.stands : undefined;
}

let timer: ReturnType<typeof setTimeout> | undefined;
/** Takes a plan as the one that people know. */
export function keepStanding(state: WorkshopState, { schedule }: Plan): void {
  const one: Standing = { shop: shopOf(state), pins: pinsOf(state), off: offOf(state), stands: standsOf(schedule.solution) };
  known = [...known.filter(({ shop, pins, off }) => shop !== one.shop || pins.join() !== one.pins.join() || off !== one.off), one].slice(
    -MOST,
  );
  clearTimeout(timer);
  timer = setTimeout(() => {
    void keepDerived({ id: 'standing', standing: one });
  }, LATER_MS);
}
