import {
  CREAM_USE,
  MASKING_USE,
  PAINT,
  SEALED_SHARE,
  SUPPLY_KINDS,
  SUPPLY_UNITS,
  SUPPLY_USES,
  WIPE_USES,
  type CoatId,
  type StockKind,
  type SupplyKindId,
  type SupplyUnit,
  type SupplyUse,
} from '../facts';
import { faceOf, paintNeeded, type StepAbout, type WorkStep } from '../finish';
import { coatPaint } from '../blanks';
import type { Id, Job, JobId, Shop, Supply } from '../job';
import { capital } from '../units';

/** One thing to lay ready. */
export interface GatherItem {
  /** Tells it from others, the same from plan to plan. */
  readonly key: string;
  readonly stock: StockKind;
  /** In stock, where it is known there. */
  readonly id?: Id;
  readonly name: string;
  readonly needed: number;
  readonly left: number;
  readonly unit: 'mm' | 'ml' | 'piece' | 'm' | 'g';
  /** `unlisted`: nothing of its kind stands in the stock list, though it may lie in a drawer. */
  readonly verdict: 'there' | 'short' | 'missing' | 'unlisted';
  /** What buying the missing rest costs, minor units, where a price is known. */
  readonly toBuy?: number;
  readonly jobs: readonly JobId[];
}

/** A job with the steps that are still to be done. */
export interface GatherWork {
  readonly job: Job;
  readonly steps: readonly WorkStep[];
}

/** What a job needs of one thing. */
interface Need {
  readonly stock: StockKind;
  readonly id?: Id;
  readonly name: string;
  readonly unit: GatherItem['unit'];
  readonly amount: number;
}

type About<K extends StepAbout['kind']> = Extract<StepAbout, { kind: K }>;

/** A coat of the whole face, ml. */
const coatOf = (job: Job, coats: number): number =>
  Math.ceil(paintNeeded(faceOf(job.piece) * 1e6 * PAINT.edges, coats, job.count, PAINT.spreadBrushed));

function supplyNeed({ kind, name, unit, job, piece }: SupplyUse, pieces: number, supplies: readonly Supply[]): Need {
  const own = supplies.find((one) => one.kind === kind && one.unit === unit);
  return { stock: 'supply', ...(own ? { id: own.id } : {}), name: own?.name ?? capital(name), unit, amount: job + piece * pieces };
}

/** The pot that a coat is put on with: the one that was chosen, else the first of its kind. */
function potNeed(job: Job, coat: CoatId, amount: number, { paints }: Pick<Shop, 'paints'>): Need {
  const own = coat === job.piece.coat ? coatPaint(job.piece, paints) : paints.find((paint) => paint.coat === coat);
  return {
    stock: 'paint',
    ...(own ? { id: own.id } : {}),
    name: own?.name ?? capital(coat === 'sealer' ? 'clear sealer' : 'paint of that kind'),
    unit: 'ml',
    amount,
  };
}

/** What one step uses up. */
function needsOf({ job, step }: { job: Job; step: WorkStep }, shop: Pick<Shop, 'films' | 'tapes' | 'paints' | 'supplies'>): Need[] {
  const { about } = step;
  const supplies = shop.supplies ?? [];
  const uses = (SUPPLY_USES[step.kind] ?? []).map((use) => supplyNeed(use, job.count, supplies));
  const paint = (name: string | undefined, millilitres: number): Need[] => {
    const own = shop.paints.find((one) => one.name === name);
    return [{ stock: 'paint', ...(own ? { id: own.id } : {}), name: own?.name ?? 'Paint for the mark', unit: 'ml', amount: millilitres }];
  };
  const film = (): Need[] =>
    step.takes ? [{ stock: 'film', id: step.takes.film, name: (about as About<'cut'>).film, unit: 'mm', amount: step.takes.length }] : [];
  const tape = ({ tape: piece }: About<'tape'>): Need[] => {
    const own = shop.tapes.find((one) => one.name === piece?.name);
    return piece && own ? [{ stock: 'tape', id: own.id, name: own.name, unit: 'mm', amount: Math.ceil(piece.length) }] : [];
  };
  switch (about.kind) {
    case 'cut':
      return [...film(), ...uses];
    case 'tape':
      return tape(about);
    case 'stain':
    case 'coat':
      return [...uses, potNeed(job, about.coat, coatOf(job, 1), shop)];
    case 'seal':
      return [...uses, potNeed(job, 'sealer', coatOf(job, 1), shop)];
    case 'sealOver':
      return [...uses, potNeed(job, 'sealer', Math.ceil(coatOf(job, 1) * SEALED_SHARE), shop)];
    case 'dab':
    case 'cover':
      return [...uses, ...(about.nth[0] === 1 ? paint(about.paint, about.millilitres) : [])];
    case 'clean':
      return about.cleaning === 'wipe' || about.cleaning === 'wipeGently'
        ? WIPE_USES.map((use) => supplyNeed(use, job.count, supplies))
        : uses;
    case 'place':
      return about.mask === undefined ? uses : [...uses, supplyNeed(MASKING_USE, job.count, supplies)];
    case 'etch':
      return [...uses, supplyNeed({ ...CREAM_USE, job: about.millilitres, piece: 0 }, 0, supplies)];
    default:
      return uses;
  }
}

/** What a job needs, one entry a thing. */
function needsOfJob({ job, steps }: GatherWork, shop: Pick<Shop, 'films' | 'tapes' | 'paints' | 'supplies'>): Need[] {
  const kindOf = new Map((shop.supplies ?? []).map(({ id, kind }) => [id, kind]));
  const own = (job.needs ?? []).flatMap(({ supply, amount }): Need[] => {
    const found = (shop.supplies ?? []).find(({ id }) => id === supply);
    return found ? [{ stock: 'supply', id: found.id, name: found.name, unit: found.unit, amount: amount * job.count }] : [];
  });
  const all = new Map<string, Need>();
  for (const need of [...steps.flatMap((step) => needsOf({ job, step }, shop)), ...own]) {
    const key = keyOf(need);
    const known = all.get(key);
    const tool = need.stock === 'supply' && (need.id ? isTool(kindOf.get(need.id)) : need.unit === 'piece');
    const amount = known ? (tool ? Math.max(known.amount, need.amount) : known.amount + need.amount) : need.amount;
    all.set(key, { ...need, amount });
  }
  return [...all.values()].filter(({ amount }) => amount > 0);
}

/** Something that a job uses up beside film and tape, as it is paid for. */
export interface UsedUp {
  readonly kind: 'paint' | 'supply' | 'trimming' | 'blank';
  readonly name: string;
  /** In its own unit, parts of one where a tool serves several jobs. */
  readonly amount: number;
  readonly unit: SupplyUnit;
  /** Of one unit, minor units; nothing where it is not in stock or has no price. */
  readonly price?: number;
}

/** What a job uses up beside film and tape, with its price; tools by the share of the jobs that they serve. */
export function usedUp(work: GatherWork, shop: Pick<Shop, 'films' | 'tapes' | 'paints' | 'supplies'>): UsedUp[] {
  const own = new Set((work.job.needs ?? []).map(({ supply }) => supply));
  return needsOfJob(work, shop).flatMap(({ stock, id, name, amount, unit }): UsedUp[] => {
    if ((stock !== 'paint' && stock !== 'supply') || unit === 'mm') return [];
    const supply = (shop.supplies ?? []).find((one) => one.id === id);
    const row = supply && SUPPLY_KINDS[supply.kind];
    const { price } = stockOf(stock, id, shop, () => 0);
    const kind = stock === 'paint' ? 'paint' : supply?.kind === 'blank' ? 'blank' : id !== undefined && own.has(id) ? 'trimming' : 'supply';
    return [{ kind, name, unit, amount: amount / (row?.lasts ?? 1), ...(price === undefined ? {} : { price }) }];
  });
}

/** A tool of a job is laid ready once, however many steps it serves. */
const isTool = (kind: SupplyKindId | undefined): boolean => kind !== undefined && SUPPLY_KINDS[kind].serves === 'job';

const keyOf = ({ stock, id, name }: Pick<Need, 'stock' | 'id' | 'name'>): string => `${stock}:${id ?? name}`;

/** Amounts as they are taken in hand: whole pieces, whole millilitres. */
const rounded = (amount: number, unit: GatherItem['unit']): number =>
  unit === 'm' ? Math.ceil(amount * 10) / 10 : Math.ceil(amount - 1e-9);

/**
 * What jobs need beside hands: film, tape, paint, supplies and trimmings, with what is there of each and what has to be bought.
 *
 * @param works jobs with the steps still to be done
 * @param shop as it was counted
 * @param filmLeft mm left of each film
 * @returns what is missing first, then what is short, what the stock list does not know, and what is there
 */
export function gatherList(
  works: readonly GatherWork[],
  shop: Pick<Shop, 'films' | 'tapes' | 'paints' | 'supplies'>,
  filmLeft: (film: Id) => number,
): GatherItem[] {
  const all = new Map<string, Need & { jobs: JobId[] }>();
  for (const work of works)
    for (const need of needsOfJob(work, shop)) {
      const key = keyOf(need);
      const known = all.get(key);
      all.set(key, { ...need, amount: (known?.amount ?? 0) + need.amount, jobs: [...(known?.jobs ?? []), work.job.id] });
    }
  const items = [...all.entries()].map(([key, { stock, id, name, unit, amount, jobs }]): GatherItem => {
    const needed = rounded(amount, unit);
    const { left, price } = stockOf(stock, id, shop, filmLeft);
    const short = Math.max(0, needed - left);
    return {
      ...{ key, stock, name, unit, needed, left, jobs },
      ...(id ? { id } : {}),
      verdict: id === undefined ? 'unlisted' : left <= 0 ? 'missing' : short > 0 ? 'short' : 'there',
      ...(short > 0 && price !== undefined ? { toBuy: Math.round(short * price) } : {}),
    };
  });
  const rank = { missing: 0, short: 1, unlisted: 2, there: 3 } as const;
  const kinds: StockKind[] = ['film', 'tape', 'paint', 'supply'];
  return items.toSorted(
    (a, b) => rank[a.verdict] - rank[b.verdict] || kinds.indexOf(a.stock) - kinds.indexOf(b.stock) || a.name.localeCompare(b.name),
  );
}

/** What there is of a thing, and what one unit of it costs, minor units. */
function stockOf(
  stock: StockKind,
  id: Id | undefined,
  { films, tapes, paints, supplies = [] }: Pick<Shop, 'films' | 'tapes' | 'paints' | 'supplies'>,
  filmLeft: (film: Id) => number,
): { left: number; price?: number | undefined } {
  if (id === undefined) return { left: 0 };
  if (stock === 'film') {
    const film = films.find((one) => one.id === id);
    return film ? { left: Math.floor(filmLeft(id)), price: (film.price * film.width) / 1e6 } : { left: 0 };
  }
  if (stock === 'tape') {
    const tape = tapes.find((one) => one.id === id);
    return tape ? { left: tape.length, price: (tape.price * tape.width) / 1e6 } : { left: 0 };
  }
  if (stock === 'paint') {
    const paint = paints.find((one) => one.id === id);
    return paint ? { left: paint.volume, price: paint.price === undefined ? undefined : paint.price / 1000 } : { left: 0 };
  }
  const supply = supplies.find((one) => one.id === id);
  return supply ? { left: supply.amount, price: supply.price } : { left: 0 };
}

/** An amount with its unit, for a person, but for lengths of film and tape, which are shown in the maker's units. */
export const unitWord = (amount: number, unit: 'ml' | 'piece' | 'm' | 'g'): string =>
  `${amount} ${amount === 1 ? SUPPLY_UNITS[unit].one : SUPPLY_UNITS[unit].name}`;
