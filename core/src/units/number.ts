import { good, refused, type Problem, type Result } from './result';

/** Digits in groups of three by one of the signs. */
const inThrees = (sign: string): RegExp => new RegExp(`^\\d{1,3}(?:\\${sign}\\d{3})+$`);
const COMMAS = inThrees(',');
const POINTS = inThrees('.');
/** Spaces, as they part thousands, not before a fraction. */
const SPACED = /(?<!\d)\d{1,3}(?:[ \u00a0\u202f]\d{3})+(?![\d/])/g;

/** A text whose thousands are not parted by spaces. */
export const withoutGroups = (text: string): string => text.replace(SPACED, (number) => number.replace(/\s/g, ''));

/**
 * What a number may be as it is written in one country or another: "12,5" is 12.5, "1.234,5" and "1,234.5" are 1234.5, "1,200" is 1200 or 1.2.
 * A point alone parts decimals, as everywhere in Kolleta.
 *
 * @returns one value, two where a comma may part thousands or decimals, or none where it is no number
 */
export function numbersIn(text: string): readonly number[] {
  const [, sign, digits] = /^([-−–+]?)\s*(\S+)$/.exec(withoutGroups(text.trim())) ?? [];
  if (digits === undefined || !/^(?:\d[\d.,]*|[.,]\d+)$/.test(digits)) return [];
  const [comma, point] = [digits.lastIndexOf(','), digits.lastIndexOf('.')];
  const plain = (written: string): number => (sign === '' || sign === '+' ? 1 : -1) * Number(written);
  // the later of two signs parts decimals
  if (comma >= 0 && point >= 0) {
    const at = Math.max(comma, point);
    const [whole, rest] = [digits.slice(0, at), digits.slice(at + 1)];
    if (!(comma > point ? POINTS : COMMAS).test(whole) || !/^\d+$/.test(rest)) return [];
    return [plain(`${whole.replace(/[.,]/g, '')}.${rest}`)];
  }
  const signs = digits.replace(/\d/g, '').length;
  if (signs > 1) return (comma >= 0 ? COMMAS : POINTS).test(digits) ? [plain(digits.replace(/[.,]/g, ''))] : [];
  const decimal = plain(digits.replace(',', '.'));
  return COMMAS.test(digits) && !digits.startsWith('0') ? [plain(digits.replace(',', '')), decimal] : [decimal];
}

/** Says that a number can be read in two ways, and what to type. */
export const eitherOf = (text: string, where: string, [one, other]: readonly string[]): { ok: false; problem: Problem } =>
  refused(`"${text}" may be ${one} or ${other}.`, `${one} or ${other}`, where, `Type ${one} or ${other}.`);

/** What a typed number may be. */
export interface NumberOf {
  readonly least: number;
  readonly most: number;
  /** Units that may stand after it; the first is what is said. */
  readonly units?: readonly string[];
  readonly whole?: boolean;
}

/**
 * Reads a number that a person typed.
 *
 * @param where the name of the field, for the problem
 * @returns a value within its bounds; a problem for what is no number or out of bounds, and where it may be two numbers that both fit
 */
export function parseNumber(text: string, where: string, { least, most, units = [], whole = false }: NumberOf): Result<number> {
  const trimmed = text.trim();
  const unit = units.find((one) => trimmed.toLowerCase().endsWith(one.toLowerCase()));
  const found = numbersIn(unit ? trimmed.slice(0, -unit.length) : trimmed);
  const fit = found.filter((n) => n >= least && n <= most && (!whole || Number.isInteger(n)));
  if (fit.length > 1) return eitherOf(text, where, fit.map(String));
  if (fit.length === 1) return good(fit[0]!);
  const said = (n: number) => n.toLocaleString('en').replace('-', '−');
  const bounds = `${said(least)} to ${said(most)}${units[0] ? ` ${units[0]}` : ''}`;
  return refused(`"${text}" does not fit here.`, bounds, where, `Type a ${whole ? 'whole number' : 'number'} from ${bounds}.`);
}
