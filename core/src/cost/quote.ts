import { PRICING } from '../facts';
import type { Money } from '../units';
import { counted, formatMoney, plural } from '../units';
import type { Cost } from './cost';

/** One job of an order, as its client is to read it. */
export interface QuoteItem {
  readonly name: string;
  /** What the piece is: "tapered pint glass". */
  readonly piece: string;
  /** How it is made: "decal in white gloss". */
  readonly made: string;
  readonly cost: Cost;
}

/** A line of a quote or an invoice: pieces at a price without tax. */
export interface QuoteLine {
  readonly text: string;
  readonly pieces: number;
  readonly each: Money;
  readonly amount: Money;
}

/** What a client is asked for, in minor units. */
export interface Quote {
  readonly lines: readonly QuoteLine[];
  readonly net: Money;
  readonly taxPercent: number;
  readonly tax: Money;
  readonly total: Money;
}

/** The lines of an order: each piece at a whole price, so that they add up to what is asked for. */
export function quoteOf(items: readonly QuoteItem[], taxPercent: number): Quote {
  const lines = items.map(({ name, piece, made, cost }): QuoteLine => {
    const each = Math.ceil(cost.net / cost.count);
    const pieces = counted(cost.count, piece, plural(piece));
    return { text: `${name}: ${pieces}, ${made}`, pieces: cost.count, each, amount: each * cost.count };
  });
  const net = lines.reduce((sum, { amount }) => sum + amount, 0);
  const tax = Math.round((net * taxPercent) / 100);
  return { lines, net, taxPercent, tax, total: net + tax };
}

/** What stands on the paper beside the lines. */
export interface QuoteHead {
  readonly kind: 'quote' | 'invoice';
  readonly maker: string;
  readonly client: string;
  /** Days as they are written. */
  readonly day: string;
  readonly ready?: string | undefined;
  readonly currency: string;
}

/** A quote or an invoice as lines of text, the first its title. */
export function quoteText(
  { lines, net, taxPercent, tax, total }: Quote,
  { kind, maker, client, day, ready, currency }: QuoteHead,
): string[] {
  const money = (amount: Money) => formatMoney(amount, currency);
  return [
    `${kind === 'quote' ? 'Quote' : 'Invoice'} from ${maker}`,
    `${client === '' ? '' : `For ${client}, `}${day}`,
    '',
    ...lines.map(({ text, pieces, each, amount }) => `${text}: ${pieces > 1 ? `${money(each)} each, ` : ''}${money(amount)}`),
    '',
    ...(taxPercent > 0 ? [`Without tax: ${money(net)}`, `Tax ${taxPercent} %: ${money(tax)}`] : []),
    `${kind === 'quote' ? 'In all' : 'To pay'}: ${money(total)}`,
    ...(ready === undefined ? [] : [kind === 'quote' ? `Can be packed by ${ready}.` : `Packed ${ready}.`]),
    ...(kind === 'quote' ? [`Holds for ${PRICING.holds} days.`] : []),
  ];
}
