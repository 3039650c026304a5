import { eitherOf, numbersIn } from './number';
import { good, refused, type Result } from './result';

/** An amount in integer minor units (cents) of one currency. */
export type Money = number;

/** Writes minor units for a person in the shop's currency, e.g. "€12.40". */
export function formatMoney(minor: Money, currency: string, locale = 'en-IE'): string {
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 100);
}

/** The sign of a currency, as in prices: "€", "US$". */
export const currencySign = (currency: string, locale = 'en-IE'): string =>
  new Intl.NumberFormat(locale, { style: 'currency', currency }).formatToParts(0).find(({ type }) => type === 'currency')?.value ??
  currency;

/**
 * Reads a price as it is typed: "12", "12.40", "12,40", "1,200.00", with or without the currency's sign.
 *
 * @returns minor units
 */
export function parseMoney(text: string, currency: string, where: string): Result<Money> {
  const bare = text
    .replace(currencySign(currency), '')
    .replace(currency, '')
    .replaceAll(/[\s$€£]/g, '');
  // no price has three decimals: what stands after one sign in threes may be thousands
  const found = /^[1-9]\d{0,2}\.\d{3}$/.test(bare) ? [Number(bare.replace('.', '')), Number(bare)] : numbersIn(bare);
  if (found.length > 1)
    return eitherOf(
      text,
      where,
      found.map((n) => n.toFixed(2)),
    );
  const minor = (found[0] ?? Number.NaN) * 100;
  if (minor >= 0 && Math.abs(minor - Math.round(minor)) < 1e-6) return good(Math.round(minor));
  return refused(`"${text}" is not a price.`, 'an amount', where, 'Type an amount such as 12.40.');
}
