import { PRICING, type SupplyUnit } from '../facts';
import type { UsedUp } from '../gather';
import type { Id, Job, Shop, StepId, Tape } from '../job';
import type { WorkStep } from '../finish';
import type { Money } from '../units';

/** What a part of a price is for. */
export type CostKind =
  'film' | 'tape' | 'paint' | 'supply' | 'blank' | 'trimming' | 'hands' | 'cutter' | 'spoilage' | 'overhead' | 'margin' | 'tax';

/** One part of a price. */
export interface CostLine {
  readonly kind: CostKind;
  readonly name: string;
  /** Minor units. */
  readonly amount: Money;
  /** How much of it, in its own unit: mm² of film, uses of tape, ml, pieces, minutes, mm of cutting, per cent. */
  readonly quantity: number;
  /** What supplies are counted in. */
  readonly unit?: SupplyUnit;
  /** It has no price in stock: the amount is 0, and the whole is too little by it. */
  readonly unpriced?: true;
}

/** What a job costs and what it is to be sold for, for all its pieces. */
export interface Cost {
  readonly count: number;
  /** In the order in which they arise; none is below 0. */
  readonly lines: readonly CostLine[];
  /** All lines but tax. */
  readonly net: Money;
  readonly tax: Money;
  /** Everything: the sum of the lines. */
  readonly total: Money;
}

/** Tape that lifts the layers of a job. */
export interface TapeUsed {
  readonly tape: Pick<Tape, 'name' | 'price' | 'width'>;
  /** Taken from the roll for all pieces, mm. */
  readonly length: number;
  /** How often these pieces lift here, of how often they could. */
  readonly lifts: number;
  readonly uses: number;
}

/** What a job takes. */
export interface CostWork {
  readonly job: Pick<Job, 'count' | 'blank'>;
  readonly steps: readonly WorkStep[];
  /** Who does each step, as it is planned; nobody by name where there is one pair of hands. */
  readonly by: ReadonlyMap<StepId, readonly Id[]>;
  readonly tapes: readonly TapeUsed[];
  readonly used: readonly UsedUp[];
  /** How far the knife goes, mm. */
  readonly knife: number;
}

type CostShop = Pick<Shop, 'films' | 'rate' | 'people' | 'pricing'>;

const MINUTES = 60;

/** Lines with the same kind and name as one. */
function joined(lines: readonly CostLine[]): CostLine[] {
  const all = new Map<string, CostLine>();
  for (const line of lines) {
    const key = `${line.kind} ${line.name}`;
    const known = all.get(key);
    all.set(key, known ? { ...known, amount: known.amount + line.amount, quantity: known.quantity + line.quantity } : line);
  }
  return [...all.values()].filter(({ amount, quantity }) => amount > 0 || quantity > 0);
}

/** Film by the area that is really taken, with its waste. */
const filmLines = (steps: readonly WorkStep[], { films }: CostShop): CostLine[] =>
  steps.flatMap(({ takes }): CostLine[] => {
    const film = takes && films.find(({ id }) => id === takes.film);
    return film ? [{ kind: 'film', name: film.name, amount: Math.round((takes.area * film.price) / 1e6), quantity: takes.area }] : [];
  });

/** Tape by the share of its uses. */
const tapeLines = (tapes: readonly TapeUsed[]): CostLine[] =>
  tapes.map(({ tape, length, lifts, uses }) => ({
    ...{ kind: 'tape', name: tape.name, quantity: lifts },
    amount: Math.round(((length * tape.width * tape.price) / 1e6) * Math.min(1, uses > 0 ? lifts / uses : 1)),
  }));

/** Hands by who does it: those with a rate of their own at that, all others at that of the workshop. Where two are needed, both are paid. */
function handLines(work: CostWork, { rate, people = [] }: CostShop): CostLine[] {
  const minutes = new Map<Id | undefined, number>();
  for (const step of work.steps) {
    // machines are planned beside the hands
    const by = (work.by.get(step.id) ?? []).filter((id) => people.some((person) => person.id === id));
    for (const doer of by.length > 0 ? by : [undefined]) {
      const who = people.find(({ id, rate: own }) => id === doer && own !== undefined)?.id;
      minutes.set(who, (minutes.get(who) ?? 0) + step.hands);
    }
  }
  return [...minutes].map(([who, taken]) => {
    const person = people.find(({ id }) => id === who);
    const amount = Math.round((taken * (person?.rate ?? rate)) / MINUTES);
    return { kind: 'hands', name: person?.name ?? 'Work', amount, quantity: taken };
  });
}

/**
 * What a job costs and what it is to be sold for: film by the area really taken, tape by the share of its uses, paint and supplies by amount, blanks,
 * work by the hour, blades and cutter by the metre; what goes wrong by the rate that the log knows; overhead, margin and tax.
 * Everything in integer minor units: each line is rounded by itself, and the price is their sum.
 *
 * @param again the share of steps that have to be done again, from 0 to 1
 */
export function costOf(work: CostWork, shop: CostShop, again: number): Cost {
  const { job, used, knife } = work;
  const { overhead, margin, tax, knifeMetre } = shop.pricing ?? PRICING;
  const direct = joined([
    ...filmLines(work.steps, shop),
    ...tapeLines(work.tapes),
    ...used.map(({ kind, name, amount, unit, price }): CostLine => ({
      ...{ kind, name, quantity: amount, unit, amount: Math.round(amount * (price ?? 0)) },
      ...(price === undefined ? { unpriced: true } : {}),
    })),
    { kind: 'blank', name: 'Blank pieces', amount: (job.blank ?? 0) * job.count, quantity: job.count },
    ...handLines(work, shop),
    { kind: 'cutter', name: 'Blades and cutter', amount: Math.round(((knife / 1000) * knifeMetre) / 1000), quantity: knife },
  ]);
  const sum = (lines: readonly CostLine[]) => lines.reduce((all, { amount }) => all + amount, 0);
  const share = (kind: CostKind, name: string, percent: number, of: Money): CostLine => ({
    ...{ kind, name, quantity: percent, amount: Math.round((of * percent) / 100) },
  });
  const spoiled = share('spoilage', 'What goes wrong', 100 * again, sum(direct));
  const costs = sum(direct) + spoiled.amount;
  const over = share('overhead', 'Overhead', overhead, costs);
  const won = share('margin', 'Margin', margin, costs + over.amount);
  const net = costs + over.amount + won.amount;
  const taxed = share('tax', 'Tax', tax, net);
  const lines = [...direct, spoiled, over, won, taxed].filter(({ amount, unpriced }) => amount > 0 || unpriced);
  return { count: job.count, lines, net, tax: taxed.amount, total: net + taxed.amount };
}

/** The price of one piece of several, so that they bring in the whole: rounded up to a whole minor unit. */
export const pieceOf = ({ total, count }: Pick<Cost, 'total' | 'count'>): Money => Math.ceil(total / count);

/**
 * The share of work that is done again, from how often it was: drawn towards what is usual while the log knows little.
 *
 * @param again how many steps went wrong and were done again
 * @param all how many were done or went wrong
 */
export const shareAgain = (again: number, all: number): number => (again + PRICING.again * PRICING.againRuns) / (all + PRICING.againRuns);
