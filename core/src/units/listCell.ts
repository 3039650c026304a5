import { numbersIn, withoutGroups } from './number';

/** What a spreadsheet would take for a formula, and is no number: the writer of lists puts one more apostrophe before it. */
export const FORMULA = /^'*(?:[=@\t\r]|[-+](?!\s*[\d.,]+$))/;

/** A cell of a list as it was before it was made harmless. */
export const cellOf = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell);

/** The sign that parts decimals in a list. */
export type DecimalSign = '.' | ',';

/** One sign, and three digits after it: "1,200". */
const EITHER = /^[-−+]?\s*[1-9]\d{0,2}[.,]\d{3}$/;

/** What the numbers of a list say of their decimals. */
export interface Decimals {
  /** The sign that parts them, where one of them can be read in one way only; a point where there is none to part. */
  readonly sign?: DecimalSign;
  /** A number that could be either, to ask by. */
  readonly either?: string;
}

/** The decimal sign of a list as a whole: by the cells that can only be read in one way. Those that say different things leave it open. */
export function decimalsOf(cells: readonly string[]): Decimals {
  const said = new Set<DecimalSign>();
  let either: string | undefined;
  for (const cell of cells.map((one) => withoutGroups(one.trim()))) {
    if (EITHER.test(cell)) either ??= cell;
    else if (numbersIn(cell).length === 1) {
      const signs = cell.replace(/[^.,]/g, '');
      const last = signs.at(-1) as DecimalSign | undefined;
      // a sign that comes again parts thousands
      if (last) said.add(signs.length > 1 && new Set(signs).size === 1 ? (last === ',' ? '.' : ',') : last);
    }
  }
  const sign = said.size === 1 ? [...said][0]! : either === undefined ? '.' : undefined;
  return { ...(sign ? { sign } : {}), ...(either === undefined ? {} : { either }) };
}

/** A number of a list whose decimal sign is known. */
export function numberBy(cell: string, sign: DecimalSign): number | undefined {
  const plain = withoutGroups(cell.trim());
  if (EITHER.test(plain) && !plain.includes(sign)) return Number(plain.replace(/[.,\s]/g, '').replace('−', '-'));
  return numbersIn(plain).at(-1);
}
