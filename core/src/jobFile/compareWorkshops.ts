import type { Workshop } from './files';

/** What would change if one workshop took the place of another, by name. */
export interface WorkshopDifference {
  readonly jobsNew: readonly string[];
  readonly jobsGone: readonly string[];
  readonly jobsChanged: readonly string[];
  readonly eventsNew: number;
  readonly eventsGone: number;
  /** Films, tapes, paints, supplies, machines, patterns that are new, gone or changed; and the shop's own settings. */
  readonly stock: readonly string[];
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
/** Keys in one order, so that files written by others compare. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sorted(v)]),
  );
}

interface Named {
  readonly id: string;
  readonly name: string;
}
function parts<T extends Named>(before: readonly T[], after: readonly T[]) {
  const old = new Map(before.map((item) => [item.id, item]));
  const ids = new Set(after.map((item) => item.id));
  return {
    fresh: after.filter((item) => !old.has(item.id)),
    gone: before.filter((item) => !ids.has(item.id)),
    changed: after.filter((item) => old.has(item.id) && !same(old.get(item.id), item)),
  };
}

/** What is compared thing by thing. */
const STOCK = ['films', 'tapes', 'paints', 'supplies', 'machines', 'presses', 'patterns'] as const;

/** What would change if `after` took the place of `before`. */
export function compareWorkshops(before: Workshop, after: Workshop): WorkshopDifference {
  const jobs = parts(before.jobs, after.jobs);
  const names = (items: readonly Named[]) => items.map((item) => item.name);
  const [had, has] = [new Set(before.events.map((e) => e.id)), new Set(after.events.map((e) => e.id))];
  const stock = STOCK.flatMap((kind) => {
    const { fresh, gone, changed } = parts<Named>(before.shop[kind] ?? [], after.shop[kind] ?? []);
    return [
      ...names(fresh).map((name) => `${name} (new)`),
      ...names(gone).map((name) => `${name} (gone)`),
      ...names(changed).map((name) => `${name} (changed)`),
    ];
  });
  const settings = (shop: Workshop['shop']) => ({ ...shop, ...Object.fromEntries(STOCK.map((kind) => [kind, []])) });
  return {
    jobsNew: names(jobs.fresh),
    jobsGone: names(jobs.gone),
    jobsChanged: names(jobs.changed),
    eventsNew: after.events.filter((e) => !had.has(e.id)).length,
    eventsGone: before.events.filter((e) => !has.has(e.id)).length,
    stock: same(settings(before.shop), settings(after.shop)) ? stock : [...stock, 'room, hours and units'],
  };
}

/** Whether nothing would change. */
export const isSameWorkshop = (d: WorkshopDifference): boolean =>
  d.jobsNew.length + d.jobsGone.length + d.jobsChanged.length + d.eventsNew + d.eventsGone + d.stock.length === 0;
