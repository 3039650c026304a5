import { formatLength, formatMoney, type LengthSystem } from '../units';
import { unitWord, type GatherItem } from './gatherList';

/** How amounts are written. */
export interface GatherFormat {
  readonly lengths: LengthSystem;
  readonly currency: string;
}

const amountWords = (amount: number, { unit }: Pick<GatherItem, 'unit'>, lengths: LengthSystem): string =>
  unit === 'mm' ? formatLength(amount, lengths, { digits: 0 }) : unitWord(amount, unit);

/** What is said of one thing to gather: how much of it, and whether it is there. */
export function gatherWords(item: GatherItem, { lengths, currency }: GatherFormat): { readonly needed: string; readonly state: string } {
  const { needed, left, verdict, toBuy } = item;
  const price = toBuy === undefined || toBuy === 0 ? '' : `, about ${formatMoney(toBuy, currency)}`;
  return {
    needed: amountWords(needed, item, lengths),
    state:
      verdict === 'there'
        ? 'there'
        : verdict === 'unlisted'
          ? 'not in your stock list'
          : verdict === 'missing'
            ? `to buy${price}`
            : `only ${amountWords(Math.floor(left * 10) / 10, item, lengths)} left, buy ` +
              `${amountWords(Math.ceil((needed - left) * 10) / 10, item, lengths)}${price}`,
  };
}

/** The list as text, to share or to take along. */
export function gatherText(title: string, items: readonly GatherItem[], format: GatherFormat, done: ReadonlySet<string>): string {
  const line = (item: GatherItem) => {
    const { needed, state } = gatherWords(item, format);
    return `${done.has(item.key) ? '[x]' : '[ ]'} ${item.name}: ${needed} (${state})`;
  };
  return [title, '', ...items.map(line), ''].join('\n');
}
